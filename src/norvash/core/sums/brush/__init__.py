"""Sums about brushes: carbon, limit, line, load and fit."""
