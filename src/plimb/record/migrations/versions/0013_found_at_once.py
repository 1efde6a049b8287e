"""What a card has written, and which pieces are alike, found without looking through all of them.

Partial indexes do not serve a search for every line of a round, the superseded ones too.
"""

from alembic import op

revision = "0013"
down_revision = "0012"


def upgrade() -> None:
    op.create_index("ix_gap_reading_round_id", "gap_reading", ["round_id"])
    op.create_index("ix_piece_reading_round_id", "piece_reading", ["round_id"])
    op.create_index("ix_choice_round_id", "choice", ["round_id"])
    op.create_index(
        "ix_shim_alike",
        "shim",
        ["place", "condition", "family_id", "marked_nm", "measured_nm", "thickness_nm"],
    )
