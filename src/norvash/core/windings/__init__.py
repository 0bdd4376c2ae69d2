"""Windings: their resistance and their insulation."""
