"""Who works here, the journal of every write, seals and keys, where a card came from."""

import sqlalchemy as sa
from alembic import op

revision = "0011"
down_revision = "0010"


def upgrade() -> None:
    op.create_table(
        "person",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("role", sa.String(length=10), nullable=False),
        sa.Column("code", sa.String(), nullable=True),
        sa.Column("made_at", sa.DateTime(), nullable=False),
        sa.Column("left_at", sa.DateTime(), nullable=True),
        sa.PrimaryKeyConstraint("id", name="pk_person"),
        sa.UniqueConstraint("name", name="uq_person_name"),
    )
    op.create_table(
        "sitting",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("token", sa.String(), nullable=False),
        sa.Column("person_id", sa.Integer(), nullable=False),
        sa.Column("begun_at", sa.DateTime(), nullable=False),
        sa.Column("seen_at", sa.DateTime(), nullable=False),
        sa.ForeignKeyConstraint(["person_id"], ["person.id"], name="fk_sitting_person_id_person"),
        sa.PrimaryKeyConstraint("id", name="pk_sitting"),
        sa.UniqueConstraint("token", name="uq_sitting_token"),
    )
    op.create_table(
        "entry",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("at", sa.DateTime(), nullable=False),
        sa.Column("who", sa.String(), nullable=False),
        sa.Column("what", sa.String(), nullable=False),
        sa.Column("before", sa.String(), nullable=False),
        sa.Column("hash", sa.String(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_entry"),
    )
    op.create_table(
        "change",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("entry_id", sa.Integer(), nullable=False),
        sa.Column("of", sa.String(), nullable=False),
        sa.Column("row", sa.Integer(), nullable=False),
        sa.Column("old", sa.String(), nullable=True),
        sa.Column("new", sa.String(), nullable=True),
        sa.PrimaryKeyConstraint("id", name="pk_change"),
    )
    op.create_index("ix_change_entry_id", "change", ["entry_id"])
    op.create_index("ix_change_of_row", "change", ["of", "row"])
    op.create_table(
        "seal",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("card_id", sa.Integer(), nullable=False),
        sa.Column("fingerprint", sa.String(), nullable=False),
        sa.Column("head", sa.String(), nullable=False),
        sa.Column("sealed_at", sa.DateTime(), nullable=False),
        sa.Column("public", sa.String(), nullable=False),
        sa.Column("signature", sa.String(), nullable=False),
        sa.ForeignKeyConstraint(["card_id"], ["card.id"], name="fk_seal_card_id_card"),
        sa.PrimaryKeyConstraint("id", name="pk_seal"),
        sa.UniqueConstraint("card_id", name="uq_seal_card_id"),
    )
    op.create_table(
        "shop_key",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("public", sa.String(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("own", sa.Boolean(), nullable=False),
        sa.Column("since", sa.DateTime(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_shop_key"),
        sa.UniqueConstraint("public", name="uq_shop_key_public"),
    )
    op.create_table(
        "asked",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("key", sa.String(), nullable=False),
        sa.Column("digest", sa.String(), nullable=False),
        sa.Column("made", sa.String(), nullable=False),
        sa.Column("at", sa.DateTime(), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_asked"),
        sa.UniqueConstraint("key", name="uq_asked_key"),
    )
    with op.batch_alter_table("card", schema=None) as batch_op:
        batch_op.add_column(sa.Column("origin", sa.JSON(), nullable=True))
    with op.batch_alter_table("card_event", schema=None) as batch_op:
        batch_op.add_column(sa.Column("digest", sa.String(), nullable=True))
