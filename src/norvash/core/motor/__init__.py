"""A motor on record: its class, figures, brush positions, sets and rounds."""
