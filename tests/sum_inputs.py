"""Inputs of sums that several tests give."""

SHORT = [10.0] * 12 + [0.02] + [10.0] * 11
EVEN = [10.0] * 24
LADDER = {"supply_v": 100, "expected_share": [0.45, 0.62, 0.8, 1.0]}
HOIST = [0.15, 0.106, 0.0, -0.106, -0.15, -0.106, 0.0, 0.106]
LIMIT = {"new_mm": 22.0, "limit_mm": 8.0}
