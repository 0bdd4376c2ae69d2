"""Bearings and bushes: what a number means, how long they last, whether a part fits."""
