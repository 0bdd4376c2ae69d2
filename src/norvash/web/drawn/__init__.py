"""Drawings as pages show them, made from what a page knows."""
