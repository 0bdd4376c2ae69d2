"""The sums that a technician may want alone."""
