"""Stand-ins for outside devices, and the links to them."""
