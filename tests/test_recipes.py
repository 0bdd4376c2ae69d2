"""What CONTRIBUTING tells to do, and what would fail without a word if one of its lines were left out."""

import json
from pathlib import Path

from norvash.exchange.visit_export import _BY_JOB
from norvash.web.app import _API, _PAGES
from norvash.web.drawn.motor import _MAKERS
from norvash.work.act.may import MAY

ROOT = Path(__file__).parent.parent
WEB = ROOT / "src/norvash/web"
# What no file of a visit tells as a line of its own: what is of no visit, and what stands in it in another way.
IN_NO_FILE = {
    *("add a dark window", "end a dark window", "add a person", "choose keys", "end sessions", "give a code"),
    *("give a role", "name the site", "import hours", "import notes", "save a type", "enter notes", "take back notes"),
    *("add a motor", "add a policy", "end a policy", "change a rule", "confirm a sheet from a file", "say since when"),
    *("say which sight", "take back an answer", "take back into use", "take back use", "undo"),
}
# What comes from no queue of a browser, and from no file.
OF_NO_QUEUE = {
    *("add a person", "choose keys", "confirm a change", "confirm a sheet from a file", "end a dark window"),
    *("end sessions", "give a code", "give a role", "import hours", "import notes", "name the site", "save a type"),
}


def test_add_a_kind_of_entry_its_line_of_a_file() -> None:
    assert set(MAY) == set(_BY_JOB) | IN_NO_FILE


def test_add_a_kind_of_entry_its_act_is_known_again() -> None:
    kept = json.loads((ROOT / "tests/data/kept_ids.json").read_text())["jobs"]
    assert set(MAY) - OF_NO_QUEUE == {key.split(" ", 1)[1] for key in kept}


def test_add_a_page_it_is_served_and_so_is_its_json() -> None:
    def modules(folder: str) -> set[str]:
        return {p.stem for p in (WEB / folder).glob("*.py") if "router = APIRouter(" in p.read_text()}

    assert modules("pages") == {*_PAGES, "bench", "state", "who"}
    assert modules("api") == set(_API)


def test_add_a_drawing_of_a_motor_it_is_shown_where_it_is_saved_from() -> None:
    pages = "".join(p.read_text() for p in (WEB / "templates").glob("motor*.html"))
    assert [name for name in _MAKERS if f"/drawings/{name}.svg" not in pages] == []
