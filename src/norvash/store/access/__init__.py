"""Roles, secrets, sessions and how signatures came about."""
