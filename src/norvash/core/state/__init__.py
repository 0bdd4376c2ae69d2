"""The motor as it stands, as values: its record at one moment, and what is found of it; read by every verdict."""
