"""How pages are served: answers, forms, fragments, files that ship, long work."""
