"""Jobs on a sheet: opened, entered, measured, corrected, signed, taken back."""
