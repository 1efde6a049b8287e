"""What is noted of a reading besides the gap itself, as one typed value."""

import sqlalchemy as sa
from alembic import op

revision = "0020"
down_revision = "0019"


def upgrade() -> None:
    op.add_column("gap_reading", sa.Column("about", sa.JSON(), server_default="{}", nullable=False))
