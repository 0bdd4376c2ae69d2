"""A motor read from the record, as a whole, and what it says by itself: what a job begins with."""
