"""What the entries of each stage say, and what keeps a visit from going on: the only room that judges."""
