"""Brushes, their holders and faces, drawn."""
