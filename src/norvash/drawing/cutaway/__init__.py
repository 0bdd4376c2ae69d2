"""The cutaway: a long section of a motor, drawn from its figures, on which its parts are told and touched."""
