"""How fast, with how much current and field, and how hot a motor may run."""
