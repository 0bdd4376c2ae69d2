"""What is tested to earth."""

CIRCUITS = {"whole": "the whole circuit, brush gear in it", "armature": "armature alone, or a bar to the shaft"}
