"""Brushes: carbon, springs and leads, holders."""
