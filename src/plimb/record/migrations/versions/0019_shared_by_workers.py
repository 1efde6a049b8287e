"""What all that serve a record share: wrong codes of late, what an instrument has sent."""

import sqlalchemy as sa
from alembic import op

revision = "0019"
down_revision = "0018"


def upgrade() -> None:
    op.create_table(
        "wrong_code",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("who", sa.String(), nullable=False),
        sa.Column("count", sa.Integer(), nullable=False),
        sa.Column("last", sa.DateTime(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_wrong_code"),
        sa.UniqueConstraint("who", name="uq_wrong_code_who"),
    )
    op.create_table(
        "instrument_line",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("text", sa.String(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_instrument_line"),
        sqlite_autoincrement=True,
    )
