"""What another round costs, what the counter swaps or orders, what a choice was made from."""

import sqlalchemy as sa
from alembic import op

revision = "0009"
down_revision = "0008"


def upgrade() -> None:
    with op.batch_alter_table("shop", schema=None) as batch_op:
        batch_op.add_column(sa.Column("round_cost", sa.String(), nullable=True))
        batch_op.add_column(sa.Column("sure", sa.Integer(), server_default="90", nullable=False))
    with op.batch_alter_table("card", schema=None) as batch_op:
        batch_op.add_column(sa.Column("recalled", sa.JSON(), server_default="{}", nullable=False))
    with op.batch_alter_table("gap_reading", schema=None) as batch_op:
        batch_op.add_column(sa.Column("thinnest", sa.Boolean(), server_default="1", nullable=False))
    with op.batch_alter_table("choice", schema=None) as batch_op:
        batch_op.add_column(sa.Column("made_from", sa.JSON(), nullable=True))
        batch_op.add_column(sa.Column("doubt_nm", sa.Integer(), nullable=True))
    with op.batch_alter_table("shim_family", schema=None) as batch_op:
        batch_op.add_column(sa.Column("swap_price", sa.String(), nullable=True))
        batch_op.add_column(sa.Column("to_order", sa.JSON(), server_default="[]", nullable=False))
        batch_op.add_column(sa.Column("wait_days", sa.Integer(), nullable=True))
