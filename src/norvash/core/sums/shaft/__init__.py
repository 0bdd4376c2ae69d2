"""Sums about bearings, shaft, parts that are offered, and closing up."""
