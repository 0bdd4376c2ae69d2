"""What the results of the sums of run-in and proof are called on their pages."""

PROOF = {
    "volts_v": "volts",
    "most_a": "at most",
    "release_share": "print that releases the load",
    "k_v_s_per_a": "flux a current, V·s/A",
    "friction_nm": "friction",
    "drag_nm_s": "drag, N·m·s",
    "turns": "it turns",
    "resistance_ohm": "resistance of the whole circuit",
    "inrush_a": "start at full volts",
    "section_mm2": "cable of the table",
    "no_load_rpm": "speed without load",
    "field_a": "field current",
    "least_a": "least before power",
    "driven_rpm": "speed of the driven one",
    "expected_v": "what its plate says there, V",
    "rises": "it rises with speed",
    "permissible_g_mm": "unbalance that may stay, g·mm",
    "grade_used_mm_s": "speed of its centre, mm/s",
}
