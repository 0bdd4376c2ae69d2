"""Notes of the past: laid beside the record, kept together, taken back together."""
