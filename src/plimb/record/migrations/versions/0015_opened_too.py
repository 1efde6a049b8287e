"""Valves that are opened because somebody wants it."""

import sqlalchemy as sa
from alembic import op

revision = "0015"
down_revision = "0014"


def upgrade() -> None:
    op.add_column("card", sa.Column("opened_too", sa.JSON(), server_default="[]", nullable=False))
