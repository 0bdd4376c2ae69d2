"""Before opening: supply, speed settings, drops, battery, terminals, current."""
