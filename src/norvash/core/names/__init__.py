"""The names under which things are kept: what they are called today, and what is left of those that are gone."""
