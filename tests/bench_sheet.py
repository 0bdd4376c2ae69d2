"""An open bench sheet, written on in few words."""

from conftest import Shop
from norvash.store import entries
from norvash.work.measuring import record
from norvash.work.opening import open_sheet
from norvash.work.sheet_page import SheetPage, sheet_page
from norvash.work.sheets import enter
from norvash.work.signing import sign


class Bench:
    """One open sheet, written on in few words."""

    def __init__(self, shop: Shop, motor: str, kind: str = "full") -> None:
        self.shop, self.motor = shop, motor
        self.id = open_sheet(shop.conn, shop.act(), motor, kind=kind, counter="")

    def put(self, field: str, text: str, place: int = 0, **more: str) -> str:
        there = entries.list_entries(self.shop.conn, self.id).get((field, place))
        return enter(
            self.shop.conn,
            self.shop.later(minutes=1).act(),
            self.id,
            field_id=field,
            place=place,
            text=text,
            replaces=there.id if there else "",
            more=more,
        )

    def measure(self, *values: str) -> None:
        for place, value in enumerate(values, start=1):
            record(self.shop.conn, self.shop.later(minutes=1).act(), self.id, position=place, text=value)

    def sign(self, why: str = "") -> str:
        return sign(self.shop.conn, self.shop.later(minutes=1).act(), self.id, why)

    @property
    def page(self) -> SheetPage:
        return sheet_page(self.shop.conn, self.id, self.shop.now.date())
