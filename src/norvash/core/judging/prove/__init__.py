"""Prove: the gate before power, the protective earth, the run judged by its figures, and the complaint."""
