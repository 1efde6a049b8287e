"""Hours with a decimal point, and cards that were opened by mistake put away."""

import sqlalchemy as sa
from alembic import op

revision = "0007"
down_revision = "0006"


def upgrade() -> None:
    with op.batch_alter_table("card", schema=None) as batch_op:
        batch_op.alter_column("hours", existing_type=sa.Integer(), type_=sa.String())
        batch_op.add_column(sa.Column("put_away_at", sa.DateTime(), nullable=True))
