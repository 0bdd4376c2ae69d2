"""The rulebook: every figure of the trade by name."""
