"""Use and days drawn: the life of a set, forecasts, the weeks ahead."""
