"""What insulation is measured of, each with a place of its own on a sheet."""

from types import MappingProxyType

CIRCUITS = MappingProxyType(
    {
        "whole": "whole circuit, brush gear in it",
        "armature": "armature alone",
        "field": "field alone",
        "shaft": "from a bar to the shaft",
        "post": "post to the case",
    }
)
# Those that are tested to earth in their own right, by their place; a bar to the shaft is read with the bar test.
PLACES = ("whole", "armature", "field", "post")
# Which of them are held to the figure of an armature without its brush gear.
OF_ARMATURE = ("armature", "shaft")
