"""Pieces, families, orders and instruments: the whole engine decided at once."""

import sqlalchemy as sa
from alembic import op

revision = "0003"
down_revision = "0002"


def upgrade() -> None:
    op.create_table(
        "instrument",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("doubt_nm", sa.Integer(), nullable=False),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_instrument")),
        sa.UniqueConstraint("name", name=op.f("uq_instrument_name")),
    )
    op.create_table(
        "shim_family",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("diameter_nm", sa.Integer(), nullable=True),
        sa.Column("runs", sa.JSON(), nullable=False),
        sa.Column("code", sa.String(), server_default="auto", nullable=False),
        sa.Column("price", sa.String(), nullable=True),
        sa.Column("kit_price", sa.String(), nullable=True),
        sa.Column("kit_each", sa.Integer(), server_default=sa.text("3"), nullable=False),
        sa.Column("supplier", sa.String(), server_default="", nullable=False),
        sa.Column("low_stock", sa.Integer(), server_default=sa.text("0"), nullable=False),
        sa.Column("version", sa.Integer(), server_default=sa.text("1"), nullable=False),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_shim_family")),
        sa.UniqueConstraint("diameter_nm", name=op.f("uq_shim_family_diameter_nm")),
        sa.UniqueConstraint("name", name=op.f("uq_shim_family_name")),
    )
    op.create_table(
        "part_order",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("card_id", sa.Integer(), nullable=True),
        sa.Column("number", sa.String(), nullable=False),
        sa.Column("key", sa.String(), nullable=False),
        sa.Column("ordered_at", sa.DateTime(), nullable=False),
        sa.ForeignKeyConstraint(["card_id"], ["card.id"], name=op.f("fk_part_order_card_id_card")),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_part_order")),
        sa.UniqueConstraint("key", name=op.f("uq_part_order_key")),
    )
    with op.batch_alter_table("part_order", schema=None) as batch_op:
        batch_op.create_index(batch_op.f("ix_part_order_card_id"), ["card_id"], unique=False)

    op.create_table(
        "part_order_line",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("order_id", sa.Integer(), nullable=False),
        sa.Column("family_id", sa.Integer(), nullable=False),
        sa.Column("thickness_nm", sa.Integer(), nullable=False),
        sa.Column("count", sa.Integer(), nullable=False),
        sa.Column("price", sa.String(), nullable=True),
        sa.Column("days", sa.Integer(), nullable=False),
        sa.Column("state", sa.String(), nullable=False),
        sa.Column("says", sa.String(), nullable=False),
        sa.CheckConstraint(
            "state IN ('ready', 'back-ordered', 'refused', 'received')",
            name=op.f("ck_part_order_line_state"),
        ),
        sa.ForeignKeyConstraint(
            ["family_id"], ["shim_family.id"], name=op.f("fk_part_order_line_family_id_shim_family")
        ),
        sa.ForeignKeyConstraint(
            ["order_id"], ["part_order.id"], name=op.f("fk_part_order_line_order_id_part_order")
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_part_order_line")),
    )
    with op.batch_alter_table("part_order_line", schema=None) as batch_op:
        batch_op.create_index(batch_op.f("ix_part_order_line_order_id"), ["order_id"], unique=False)

    op.create_table(
        "shim",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("family_id", sa.Integer(), nullable=False),
        sa.Column("marked", sa.String(), nullable=True),
        sa.Column("marked_nm", sa.Integer(), nullable=True),
        sa.Column("measured_nm", sa.Integer(), nullable=True),
        sa.Column("thickness_nm", sa.Integer(), nullable=False),
        sa.Column("condition", sa.String(), nullable=False),
        sa.Column("place", sa.String(), nullable=False),
        sa.Column("engine_id", sa.Integer(), nullable=True),
        sa.Column("valve", sa.String(), nullable=True),
        sa.Column("card_id", sa.Integer(), nullable=True),
        sa.Column("order_line_id", sa.Integer(), nullable=True),
        sa.CheckConstraint(
            "(place = 'card') = (card_id IS NOT NULL)", name=op.f("ck_shim_at_card")
        ),
        sa.CheckConstraint(
            "(place = 'engine') = (engine_id IS NOT NULL AND valve IS NOT NULL)",
            name=op.f("ck_shim_in_engine"),
        ),
        sa.CheckConstraint(
            "(place = 'order') = (order_line_id IS NOT NULL)", name=op.f("ck_shim_on_order")
        ),
        sa.CheckConstraint(
            "condition IN ('sound', 'worn', 'scrap')", name=op.f("ck_shim_condition")
        ),
        sa.CheckConstraint(
            "place IN ('drawer', 'engine', 'card', 'order', 'gone')", name=op.f("ck_shim_place")
        ),
        sa.ForeignKeyConstraint(["card_id"], ["card.id"], name=op.f("fk_shim_card_id_card")),
        sa.ForeignKeyConstraint(
            ["engine_id"], ["engine.id"], name=op.f("fk_shim_engine_id_engine")
        ),
        sa.ForeignKeyConstraint(
            ["family_id"], ["shim_family.id"], name=op.f("fk_shim_family_id_shim_family")
        ),
        sa.ForeignKeyConstraint(
            ["order_line_id"],
            ["part_order_line.id"],
            name=op.f("fk_shim_order_line_id_part_order_line"),
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_shim")),
    )
    with op.batch_alter_table("shim", schema=None) as batch_op:
        batch_op.create_index("ix_shim_place", ["place", "family_id", "thickness_nm"], unique=False)
        batch_op.create_index(
            "uq_shim_engine_place",
            ["engine_id", "valve"],
            unique=True,
            sqlite_where=sa.text("place = 'engine'"),
        )

    op.create_table(
        "shim_move",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("shim_id", sa.Integer(), nullable=False),
        sa.Column("left", sa.String(), nullable=False),
        sa.Column("reached", sa.String(), nullable=False),
        sa.Column("why", sa.String(), nullable=False),
        sa.Column("moved_at", sa.DateTime(), nullable=False),
        sa.ForeignKeyConstraint(["shim_id"], ["shim.id"], name=op.f("fk_shim_move_shim_id_shim")),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_shim_move")),
    )
    with op.batch_alter_table("shim_move", schema=None) as batch_op:
        batch_op.create_index(batch_op.f("ix_shim_move_shim_id"), ["shim_id"], unique=False)

    with op.batch_alter_table("card", schema=None) as batch_op:
        batch_op.add_column(
            sa.Column("trust", sa.String(), server_default="measured", nullable=False)
        )
        batch_op.add_column(
            sa.Column("reuse", sa.Boolean(), server_default=sa.text("1"), nullable=False)
        )
        batch_op.add_column(
            sa.Column("variant", sa.String(), server_default="best", nullable=False)
        )
        batch_op.add_column(sa.Column("forbidden", sa.JSON(), server_default="[]", nullable=False))
        batch_op.add_column(sa.Column("zero_nm", sa.Integer(), nullable=True))

    with op.batch_alter_table("choice", schema=None) as batch_op:
        batch_op.add_column(
            sa.Column("source", sa.String(), server_default="counter", nullable=False)
        )
        batch_op.add_column(sa.Column("from_valve", sa.String(), nullable=True))
        batch_op.add_column(
            sa.Column("by_hand", sa.Boolean(), server_default=sa.text("1"), nullable=False)
        )

    with op.batch_alter_table("piece_reading", schema=None) as batch_op:
        batch_op.add_column(sa.Column("readings", sa.JSON(), server_default="[]", nullable=False))
        batch_op.add_column(
            sa.Column("condition", sa.String(), server_default="sound", nullable=False)
        )
        batch_op.add_column(sa.Column("doubt_nm", sa.Integer(), nullable=True))
        batch_op.add_column(
            sa.Column("zero_nm", sa.Integer(), server_default=sa.text("0"), nullable=False)
        )
        batch_op.add_column(sa.Column("answered", sa.String(), nullable=True))

    # references added this way do not copy the tables, which other tables point to
    op.execute(
        "ALTER TABLE card ADD COLUMN instrument_id INTEGER "
        "CONSTRAINT fk_card_instrument_id_instrument REFERENCES instrument (id)"
    )
    op.execute(
        "ALTER TABLE choice ADD COLUMN shim_id INTEGER "
        "CONSTRAINT fk_choice_shim_id_shim REFERENCES shim (id)"
    )
