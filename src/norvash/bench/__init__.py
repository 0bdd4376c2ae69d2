"""Speed, shown as ratios in one run."""
