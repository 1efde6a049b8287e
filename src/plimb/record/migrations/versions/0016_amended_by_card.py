"""A line that is added to a signed card has a key of its own on that card, not in the record."""

from alembic import op

revision = "0016"
down_revision = "0015"


def upgrade() -> None:
    with op.batch_alter_table("amendment", schema=None) as batch_op:
        batch_op.drop_constraint("uq_amendment_key", type_="unique")
        batch_op.create_unique_constraint("uq_amendment_card_id", ["card_id", "key"])
