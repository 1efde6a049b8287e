"""Fitting, proving, rounds, tightening and amendments."""

import sqlalchemy as sa
from alembic import op

revision = "0004"
down_revision = "0003"


def upgrade() -> None:
    op.create_table(
        "amendment",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("card_id", sa.Integer(), nullable=False),
        sa.Column("key", sa.String(), nullable=False),
        sa.Column("written_by", sa.String(), nullable=False),
        sa.Column("text", sa.String(), nullable=False),
        sa.Column("written_at", sa.DateTime(), nullable=False),
        sa.ForeignKeyConstraint(["card_id"], ["card.id"], name=op.f("fk_amendment_card_id_card")),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_amendment")),
        sa.UniqueConstraint("key", name=op.f("uq_amendment_key")),
    )
    with op.batch_alter_table("amendment", schema=None) as batch_op:
        batch_op.create_index(batch_op.f("ix_amendment_card_id"), ["card_id"], unique=False)

    with op.batch_alter_table("card", schema=None) as batch_op:
        batch_op.add_column(sa.Column("tightening", sa.JSON(), server_default="[]", nullable=False))
        batch_op.add_column(sa.Column("as_signed", sa.JSON(none_as_null=True), nullable=True))

    with op.batch_alter_table("choice", schema=None) as batch_op:
        batch_op.add_column(
            sa.Column("by_marking", sa.Boolean(), server_default=sa.text("0"), nullable=False)
        )
        batch_op.add_column(sa.Column("measured_nm", sa.Integer(), nullable=True))
        batch_op.add_column(sa.Column("fitted_at", sa.DateTime(), nullable=True))

    with op.batch_alter_table("round", schema=None) as batch_op:
        batch_op.add_column(sa.Column("opened_at", sa.DateTime(), nullable=True))
        batch_op.add_column(sa.Column("reason", sa.String(), server_default="", nullable=False))
        batch_op.add_column(
            sa.Column("hand_turns", sa.Integer(), server_default=sa.text("0"), nullable=False)
        )

    with op.batch_alter_table("shop", schema=None) as batch_op:
        batch_op.add_column(
            sa.Column("hand_turns", sa.Integer(), server_default=sa.text("2"), nullable=False)
        )
        batch_op.add_column(sa.Column("wrench", sa.String(), server_default="N·m", nullable=False))
