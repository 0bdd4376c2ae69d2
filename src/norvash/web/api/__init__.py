"""JSON twins of the pages."""
