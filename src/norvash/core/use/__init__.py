"""Use: counters, the log of hours and starts, seasons."""
