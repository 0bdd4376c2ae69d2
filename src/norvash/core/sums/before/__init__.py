"""Sums before a motor is opened."""
