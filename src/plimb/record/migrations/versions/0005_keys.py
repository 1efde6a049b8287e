"""A stable key a clearance, typed places in the moves of pieces, summaries of cards."""

import json
import re

import sqlalchemy as sa
from alembic import op

revision = "0005"
down_revision = "0004"

_SAME = ("cylinder", "side", "position", "action", "camshaft")


def upgrade() -> None:
    bind = op.get_bind()
    there = {column["name"] for column in sa.inspect(bind).get_columns("card")}
    with op.batch_alter_table("card", schema=None) as batch_op:
        batch_op.add_column(sa.Column("summary", sa.JSON(none_as_null=True), nullable=True))
        if "as_signed" not in there:  # records made before it came to 0004
            batch_op.add_column(sa.Column("as_signed", sa.JSON(none_as_null=True), nullable=True))
    with op.batch_alter_table("shim_move", schema=None) as batch_op:
        batch_op.alter_column("left", existing_type=sa.String(), type_=sa.JSON(), nullable=True)
        batch_op.alter_column("reached", existing_type=sa.String(), type_=sa.JSON())
    _type_places(bind)
    _keep_keys(bind)


def _type_places(bind: sa.Connection) -> None:
    """Write each place that a piece left or reached as what it is, not as words."""
    for number, left, reached in bind.execute(
        sa.text('SELECT id, "left", reached FROM shim_move')
    ).all():
        bind.execute(
            sa.text('UPDATE shim_move SET "left" = :left, reached = :reached WHERE id = :id'),
            {"id": number, "left": _place(left), "reached": _place(reached)},
        )


def _place(words: str) -> str | None:
    if words == "nowhere":
        return None
    place: dict[str, object] = {"where": words, "engine_id": None, "valve": None, "card_id": None,
             "order_line_id": None}  # fmt: skip
    if engine := re.fullmatch(r"engine (\d+), (.*)", words, re.S):
        place |= {"where": "engine", "engine_id": int(engine[1]), "valve": engine[2]}
    elif card := re.fullmatch(r"card (\d+)", words):
        place |= {"where": "card", "card_id": int(card[1])}
    elif line := re.fullmatch(r"order line (\d+)", words):
        place |= {"where": "order", "order_line_id": int(line[1])}
    return json.dumps(place, ensure_ascii=False)


def _keep_keys(bind: sa.Connection) -> None:
    """Give valves that were renamed the key they had; others go by their name.

    A valve is the same one where it kept its name, or else its place in the list with cylinder,
    side, position and camshaft. A document in which nothing was renamed stays as it is.
    """
    engines: dict[int, list[tuple[int, str]]] = {}
    for number, engine_id, document in bind.execute(
        sa.text("SELECT id, engine_id, document FROM engine_revision ORDER BY engine_id, number")
    ).all():
        engines.setdefault(engine_id, []).append((number, document))
    for revisions in engines.values():
        before: list[dict[str, str]] = []
        for number, document in revisions:
            whole = json.loads(document)
            valves = whole["engine"]["valves"]
            if _key_of(valves, before):
                bind.execute(
                    sa.text("UPDATE engine_revision SET document = :document WHERE id = :id"),
                    {"id": number, "document": json.dumps(whole, ensure_ascii=False, indent=1)},
                )
            before = valves


def _key_of(valves: list[dict[str, str]], before: list[dict[str, str]]) -> bool:
    """Write the keys of renamed valves; whether there were any."""
    by_name = {valve["id"]: valve.get("key", valve["id"]) for valve in before}
    names = {valve["id"] for valve in valves}
    wanted = []
    for place, valve in enumerate(valves):
        key = by_name.get(valve["id"])
        old = before[place] if place < len(before) else None
        if key is None and old is not None and old["id"] not in names:
            alike = all(valve.get(name) == old.get(name) for name in _SAME)
            key = old.get("key", old["id"]) if alike else None
        wanted.append(valve["id"] if key is None else key)
    if len(set(wanted)) < len(wanted):
        return False  # two would go by one key: each goes by its name
    changed = False
    for valve, key in zip(valves, wanted, strict=True):
        if key != valve["id"]:
            valve["key"] = key
            changed = True
    return changed
