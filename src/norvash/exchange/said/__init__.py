"""What can be said of a motor or on a sheet: each kind as one model, with the job that it stands for."""
