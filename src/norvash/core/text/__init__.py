"""Text: quantities as typed, words, numbers in sentences."""
