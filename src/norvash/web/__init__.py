"""Pages and JSON over HTTP."""
