"""The tasks that findings lead to, by what is worked on."""
