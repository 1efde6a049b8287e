"""What the shop has set is kept by name, and its secrets apart from it."""

import json

import sqlalchemy as sa
from alembic import op

revision = "0018"
down_revision = "0017"

_USUAL = {
    "name": "", "aim": "loose", "rounding": "nearest", "act": "out", "hand_turns": 2,
    "wrench": "N·m", "round_cost": None, "sure": 90, "hand_nm": None, "keep_days": 7,
    "keep_weeks": 4, "keep_months": 12,
}  # fmt: skip


def upgrade() -> None:
    op.create_table(
        "setting",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("value", sa.String(), nullable=True),
        sa.PrimaryKeyConstraint("id", name="pk_setting"),
        sa.UniqueConstraint("name", name="uq_setting_name"),
    )
    op.create_table(
        "secret",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("value", sa.String(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_secret"),
        sa.UniqueConstraint("name", name="uq_secret_name"),
    )
    record = op.get_bind()
    names = ", ".join((*_USUAL, "calendar"))
    shop = record.exec_driver_sql(f"SELECT {names} FROM shop ORDER BY id").mappings().first()
    for name, usual in _USUAL.items():
        if shop is not None and shop[name] != usual:
            said = (name, json.dumps(shop[name], ensure_ascii=False))
            record.exec_driver_sql("INSERT INTO setting (name, value) VALUES (?, ?)", said)
    if shop is not None and shop["calendar"] is not None:
        record.exec_driver_sql(
            "INSERT INTO secret (name, value) VALUES ('calendar', ?)", (shop["calendar"],)
        )
    op.drop_table("shop")
