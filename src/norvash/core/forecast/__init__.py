"""The forecast: when the first brush of a set reaches its limit, with its chances."""
