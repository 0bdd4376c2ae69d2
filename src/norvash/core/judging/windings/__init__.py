"""Windings and magnets: insulation, coils, heat, growler, chains."""
