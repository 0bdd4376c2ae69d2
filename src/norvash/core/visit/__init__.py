"""A visit as it stands: what was done, walked, proven and is open."""
