"""What each signed card says for the years, what old notebooks say, when an engine is due, search.

`outcome`, `outlook` and `due_on` are made from other columns, and made up for when they are asked
for; `finding` is the full text of the cards.
"""

import sqlalchemy as sa
from alembic import op

revision = "0012"
down_revision = "0011"


def upgrade() -> None:
    op.create_table(
        "noted_check",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("engine_id", sa.Integer(), nullable=False),
        sa.Column("on", sa.Date(), nullable=False),
        sa.Column("at", sa.String(), nullable=True),
        sa.Column("new_life", sa.Boolean(), nullable=False),
        sa.Column("valves", sa.JSON(), nullable=False),
        sa.Column("source", sa.String(), nullable=False),
        sa.Column("noted_by", sa.String(), nullable=False),
        sa.Column("noted_at", sa.DateTime(), nullable=False),
        sa.Column("taken_back_at", sa.DateTime(), nullable=True),
        sa.ForeignKeyConstraint(
            ["engine_id"], ["engine.id"], name="fk_noted_check_engine_id_engine"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_noted_check"),
    )
    op.create_index("ix_noted_check_engine_id", "noted_check", ["engine_id"])
    with op.batch_alter_table("card", schema=None) as batch_op:
        batch_op.add_column(sa.Column("outcome", sa.JSON(), nullable=True))
        batch_op.create_index("ix_card_opened_at", ["opened_at"])
        batch_op.create_index("ix_card_signed_at", ["signed_at"])
    with op.batch_alter_table("engine", schema=None) as batch_op:
        batch_op.add_column(sa.Column("outlook", sa.JSON(), nullable=True))
        batch_op.add_column(sa.Column("due_on", sa.Date(), nullable=True))
        batch_op.create_index("ix_engine_due_on", ["due_on"])
    with op.batch_alter_table("shop", schema=None) as batch_op:
        batch_op.add_column(sa.Column("calendar", sa.String(), nullable=True))
    op.execute(
        "CREATE VIRTUAL TABLE finding USING fts5"
        "(machine, people, words, sizes, tokenize = 'unicode61 remove_diacritics 2')"
    )
