"""What the views of several stages share."""
