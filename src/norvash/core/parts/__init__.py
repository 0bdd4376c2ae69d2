"""Parts that are offered for a motor: whether each is the right one, and how it goes in."""
