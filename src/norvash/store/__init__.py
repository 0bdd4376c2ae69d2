"""Rows in and out of SQLite; never commits."""
