"""The camshafts of a card that are out for another job, by name."""

import sqlalchemy as sa
from alembic import op

revision = "0021"
down_revision = "0020"


def upgrade() -> None:
    op.add_column("card", sa.Column("shafts_aside", sa.JSON(), server_default="[]", nullable=False))
