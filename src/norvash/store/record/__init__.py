"""The rows of the record: motors, sheets, brushes, use, lives, and every write."""
