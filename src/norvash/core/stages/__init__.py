"""The stages of a bench sheet: one module or package each."""
