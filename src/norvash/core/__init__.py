"""Rules and computation: numbers in, results out."""
