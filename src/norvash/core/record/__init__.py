"""The record of a motor: what people have said of it, and what each thing that they say does to it."""
