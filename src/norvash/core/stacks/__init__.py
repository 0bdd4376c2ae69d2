"""What comes off a motor and goes back: parts in their order on an axis, and counts of what has no order."""
