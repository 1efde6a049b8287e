"""What the shop's own hand is worth."""

import sqlalchemy as sa
from alembic import op

revision = "0014"
down_revision = "0013"


def upgrade() -> None:
    op.add_column("shop", sa.Column("hand_nm", sa.Integer(), nullable=True))
