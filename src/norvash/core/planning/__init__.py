"""Planning: policies, tables of intervals, the outlook over many motors."""
