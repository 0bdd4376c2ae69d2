"""Norvash: a thinking aid for the keepers of brushed electric motors."""
