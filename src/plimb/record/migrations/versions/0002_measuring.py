"""Measuring: conditions, blades, trays, repeats."""

import sqlalchemy as sa
from alembic import op

revision = "0002"
down_revision = "0001"


def upgrade() -> None:
    op.create_table(
        "blade_set",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("stacking", sa.Boolean(), nullable=False),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_blade_set")),
        sa.UniqueConstraint("name", name=op.f("uq_blade_set_name")),
    )
    op.create_table(
        "blade",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("blade_set_id", sa.Integer(), nullable=False),
        sa.Column("nominal_nm", sa.Integer(), nullable=False),
        sa.Column("measured_nm", sa.Integer(), nullable=True),
        sa.Column("state", sa.String(), nullable=False),
        sa.CheckConstraint("state IN ('sound', 'bent', 'broken')", name=op.f("ck_blade_state")),
        sa.ForeignKeyConstraint(
            ["blade_set_id"], ["blade_set.id"], name=op.f("fk_blade_blade_set_id_blade_set")
        ),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_blade")),
        sa.UniqueConstraint("blade_set_id", "nominal_nm", name=op.f("uq_blade_blade_set_id")),
    )
    op.create_table(
        "strip_tray",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("card_id", sa.Integer(), nullable=False),
        sa.Column("document", sa.JSON(), nullable=False),
        sa.Column("recorded_at", sa.DateTime(), nullable=False),
        sa.ForeignKeyConstraint(["card_id"], ["card.id"], name=op.f("fk_strip_tray_card_id_card")),
        sa.PrimaryKeyConstraint("id", name=op.f("pk_strip_tray")),
    )
    with op.batch_alter_table("strip_tray", schema=None) as batch_op:
        batch_op.create_index(batch_op.f("ix_strip_tray_card_id"), ["card_id"], unique=False)

    with op.batch_alter_table("card", schema=None) as batch_op:
        batch_op.add_column(sa.Column("hours", sa.Integer(), nullable=True))
        batch_op.add_column(sa.Column("rested_hours", sa.String(), nullable=True))
        batch_op.add_column(sa.Column("temperature_c", sa.String(), nullable=True))
        batch_op.add_column(
            sa.Column("warm_reason", sa.String(), server_default="", nullable=False)
        )
        batch_op.add_column(
            sa.Column("method", sa.String(), server_default="marks", nullable=False)
        )
        batch_op.add_column(sa.Column("seen_to", sa.JSON(), server_default="[]", nullable=False))
    # a reference added this way does not copy the table, which other tables point to
    op.execute(
        "ALTER TABLE card ADD COLUMN blade_set_id INTEGER "
        "CONSTRAINT fk_card_blade_set_id_blade_set REFERENCES blade_set (id)"
    )

    with op.batch_alter_table("gap_reading", schema=None) as batch_op:
        batch_op.add_column(
            sa.Column("repeats", sa.Boolean(), server_default=sa.text("0"), nullable=False)
        )
        batch_op.add_column(sa.Column("kept", sa.JSON(), server_default="[]", nullable=False))
        batch_op.add_column(
            sa.Column("warm", sa.Boolean(), server_default=sa.text("0"), nullable=False)
        )
