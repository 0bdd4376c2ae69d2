"""The bench sheet: one visit to one motor, from the call to the signature."""
