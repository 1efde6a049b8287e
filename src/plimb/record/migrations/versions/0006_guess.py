"""Whether a reading was a guess."""

import sqlalchemy as sa
from alembic import op

revision = "0006"
down_revision = "0005"


def upgrade() -> None:
    with op.batch_alter_table("gap_reading", schema=None) as batch_op:
        batch_op.add_column(
            sa.Column("guess", sa.Boolean(), server_default=sa.text("0"), nullable=False)
        )
