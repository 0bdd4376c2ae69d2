"""The Lanternmoor Playhouse, an invented theatre."""
