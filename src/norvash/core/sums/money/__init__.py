"""Sums of money and of intervals."""
