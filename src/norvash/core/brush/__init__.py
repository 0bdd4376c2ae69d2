"""Brushes and their holders: readings, limits, wear, springs, seating."""
