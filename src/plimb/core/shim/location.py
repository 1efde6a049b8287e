"""Where a shim can be, and which ways it can go: one place at a time, one event a move."""

from dataclasses import dataclass
from enum import StrEnum

from plimb.core.errors import BadValue


class Where(StrEnum):
    """The kinds of place: the drawer, a valve, the tray of a job, on order, gone for good."""

    DRAWER = "drawer"
    ENGINE = "engine"
    CARD = "card"
    ORDER = "order"
    GONE = "gone"


@dataclass(frozen=True, slots=True, kw_only=True)
class Location:
    """One place. An engine's needs its valve, a job's tray its card, an order its line."""

    where: Where
    engine_id: int | None = None
    valve: str | None = None
    card_id: int | None = None
    order_line_id: int | None = None

    def __post_init__(self) -> None:
        wants = {
            Where.ENGINE: (self.engine_id, self.valve),
            Where.CARD: (self.card_id,),
            Where.ORDER: (self.order_line_id,),
        }
        given = {
            name
            for name in ("engine_id", "valve", "card_id", "order_line_id")
            if getattr(self, name) is not None
        }
        if None in wants.get(self.where, ()) or len(given) != len(wants.get(self.where, ())):
            raise BadValue("A place is a valve, a job's tray, an order, the drawer, or gone.",
                           field="place")  # fmt: skip

    def words(self) -> str:
        """Return the place as the record of moves writes it."""
        if self.where is Where.ENGINE:
            return f"engine {self.engine_id}, {self.valve}"
        if self.where is Where.CARD:
            return f"card {self.card_id}"
        return f"order line {self.order_line_id}" if self.where is Where.ORDER else self.where.value


DRAWER, GONE = Location(where=Where.DRAWER), Location(where=Where.GONE)

WAYS: dict[Where, frozenset[Where]] = {
    Where.DRAWER: frozenset({Where.CARD, Where.ENGINE, Where.GONE}),
    Where.ENGINE: frozenset({Where.CARD, Where.DRAWER, Where.GONE, Where.ENGINE}),
    Where.CARD: frozenset({Where.ENGINE, Where.DRAWER, Where.GONE, Where.CARD}),
    Where.ORDER: frozenset({Where.CARD, Where.DRAWER, Where.GONE}),
    Where.GONE: frozenset({Where.DRAWER}),
}
"""From each kind of place the kinds a piece can go to."""


def check_way(left: Location, reached: Location) -> None:
    """Refuse a move that cannot be; BadValue if nothing goes that way, or it is there already."""
    if left == reached:
        raise BadValue(f"The shim is there already: {reached.words()}.", field="place")
    if reached.where not in WAYS[left.where]:
        raise BadValue(
            f"A shim does not go from {left.words()} to {reached.words()}.", field="place"
        )
