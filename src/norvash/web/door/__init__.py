"""Who comes in: sessions, rights, and what stands around every answer."""
