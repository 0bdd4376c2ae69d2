"""Bearings, shaft, seals, drive and solenoid."""
