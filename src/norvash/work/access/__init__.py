"""Who may come in: members, sessions, secrets, attempts."""
