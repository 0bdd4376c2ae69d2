"""What sits on the shaft, drawn: bearings, belts, and the parts that come off."""
