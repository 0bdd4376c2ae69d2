"""Figures on scales: bands, shares, grades, money."""
