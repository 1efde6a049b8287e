"""How near is near enough for one valve that is changed by an amount and has no spec."""

import sqlalchemy as sa
from alembic import op

revision = "0022"
down_revision = "0021"


def upgrade() -> None:
    op.add_column("card", sa.Column("near_enough_nm", sa.Integer(), nullable=True))
