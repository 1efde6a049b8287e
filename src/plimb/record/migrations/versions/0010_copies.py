"""How many of a record's own copies the shop keeps."""

import sqlalchemy as sa
from alembic import op

revision = "0010"
down_revision = "0009"


def upgrade() -> None:
    with op.batch_alter_table("shop", schema=None) as batch_op:
        for name, usual in (("keep_days", "7"), ("keep_weeks", "4"), ("keep_months", "12")):
            batch_op.add_column(sa.Column(name, sa.Integer(), server_default=usual, nullable=False))
