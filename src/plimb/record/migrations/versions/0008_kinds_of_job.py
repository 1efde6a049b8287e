"""Kinds of job, what is noted besides the gaps, the bill; sets in two scales, measured stacks."""

import sqlalchemy as sa
from alembic import op

revision = "0008"
down_revision = "0007"


def upgrade() -> None:
    with op.batch_alter_table("card", schema=None) as batch_op:
        batch_op.add_column(sa.Column("kind", sa.String(), server_default="set", nullable=False))
        batch_op.add_column(sa.Column("only_valve", sa.String(), nullable=True))
        batch_op.add_column(sa.Column("change_nm", sa.Integer(), nullable=True))
        batch_op.add_column(sa.Column("distance_mi", sa.Integer(), nullable=True))
        batch_op.add_column(sa.Column("next_check_mi", sa.Integer(), nullable=True))
        batch_op.add_column(sa.Column("next_check_hours", sa.String(), nullable=True))
        batch_op.add_column(sa.Column("next_check_on", sa.Date(), nullable=True))
        batch_op.add_column(sa.Column("symptoms", sa.String(), server_default="", nullable=False))
        batch_op.add_column(sa.Column("checks", sa.JSON(), nullable=True))
        batch_op.add_column(sa.Column("notes", sa.JSON(), server_default="{}", nullable=False))
        batch_op.add_column(sa.Column("bill", sa.JSON(), server_default="[]", nullable=False))
    with op.batch_alter_table("gap_reading", schema=None) as batch_op:
        batch_op.add_column(sa.Column("reason", sa.String(), server_default="", nullable=False))
    with op.batch_alter_table("blade_set", schema=None) as batch_op:
        batch_op.add_column(sa.Column("stacks", sa.JSON(), server_default="[]", nullable=False))
    with op.batch_alter_table("blade", schema=None) as batch_op:
        batch_op.add_column(sa.Column("stamped_nm", sa.Integer(), nullable=True))
