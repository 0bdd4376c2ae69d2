"""What a visit tells once it is signed, each subject as plain values."""
