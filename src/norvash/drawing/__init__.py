"""Drawings of the parts, to scale, as SVG."""
