"""What each page shows, put together."""
