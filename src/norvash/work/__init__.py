"""The jobs of the technician; each opens its transaction once."""
