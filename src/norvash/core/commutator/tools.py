"""Tools that copper is cut with, and the rule that gives each its cutting speed."""

TOOLS = {"hss": "high-speed steel", "carbide": "carbide", "diamond": "diamond"}
SPEEDS = {"hss": "cut.hss", "carbide": "cut.carbide", "diamond": "cut.diamond"}


TURNED = {
    "seats": "on its bearing seats",
    "bearings": "in its own bearings",
    "centres": "between centres or in a chuck",
}
