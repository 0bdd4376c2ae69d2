"""What feeds a motor: speed settings, battery, cables, terminals."""
