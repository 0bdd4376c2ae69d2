"""Open formats in and out: tables, calendars."""
