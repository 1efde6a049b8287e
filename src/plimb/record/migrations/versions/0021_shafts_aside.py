"""Camshafts that are out for another job, and old pieces that the counter took for new ones."""

import sqlalchemy as sa
from alembic import op

revision = "0021"
down_revision = "0020"


def upgrade() -> None:
    op.add_column("card", sa.Column("shafts_aside", sa.JSON(), server_default="[]", nullable=False))
    op.add_column("choice", sa.Column("swapped", sa.Boolean(), server_default="0", nullable=False))
