"""From what is noticed to the likely cause, and to the check that tells most per minute."""
