"""The verdict on a motor: its parts, its grade, and every sentence that joins them."""
