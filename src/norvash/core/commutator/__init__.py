"""The commutator: what is seen and measured on it, and the cut that mends it."""
