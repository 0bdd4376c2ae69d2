"""Jobs on motors beside their sheets: added, used, stated, ruled, retired."""
