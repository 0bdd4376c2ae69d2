"""Money: prices as whole minor units, what a way costs, packs, and where another way wins."""
