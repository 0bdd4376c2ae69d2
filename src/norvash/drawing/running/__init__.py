"""What is measured while a motor is fed or run, drawn."""
