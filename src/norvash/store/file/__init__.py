"""The database as a file: opened, lifted, copied, locked, watched, looked at whole."""
