"""What was written down for valves: gaps, shims that came out, pieces decided on."""

from datetime import datetime

from sqlalchemy import JSON, CheckConstraint, ForeignKey, Index, text
from sqlalchemy.orm import Mapped, mapped_column

from plimb.core.lengths import Unit
from plimb.core.measure.about import ReadingAbout
from plimb.core.measure.gap import Feel
from plimb.core.shim.shim import Condition, Source, Trust
from plimb.record.tables.base import Base, Values


class _Line:
    """A line written on a card: it is superseded by a later one, never changed.

    `valve` is the clearance's key. `typed` is kept as it came from the keys; an empty one
    strikes the earlier line out.
    """

    round_id: Mapped[int] = mapped_column(ForeignKey("round.id"), index=True)
    valve: Mapped[str]
    typed: Mapped[str]
    recorded_at: Mapped[datetime]
    superseded_at: Mapped[datetime | None]


_CURRENT = text("superseded_at IS NULL")


class GapRow(_Line, Base):
    """A gap as felt: before the work (`found`) or after it (`proof`).

    A line that `repeats` the one it supersedes does not correct it: both are readings of
    the same gap. `kept` names the slips that were asked about and answered "it is so". `reason`
    is why a gap as found was corrected once pieces were out; `about` how it was felt.
    """

    __tablename__ = "gap_reading"
    __table_args__ = (
        Index(
            "uq_gap_reading_current",
            "round_id",
            "valve",
            "purpose",
            unique=True,
            sqlite_where=_CURRENT,
        ),
        CheckConstraint("purpose IN ('found', 'proof')", name="purpose"),
    )

    purpose: Mapped[str]
    unit: Mapped[Unit]
    goes: Mapped[list[int] | None] = mapped_column(JSON(none_as_null=True))
    refuses: Mapped[list[int] | None] = mapped_column(JSON(none_as_null=True))
    feel: Mapped[Feel | None]
    low_nm: Mapped[int | None]
    high_nm: Mapped[int | None]
    open_above: Mapped[bool]
    called_nm: Mapped[int | None]
    thinnest: Mapped[bool] = mapped_column(server_default=text("1"))
    repeats: Mapped[bool] = mapped_column(server_default=text("0"))
    kept: Mapped[list[str]] = mapped_column(JSON, server_default="[]")
    warm: Mapped[bool] = mapped_column(server_default=text("0"))
    guess: Mapped[bool] = mapped_column(server_default=text("0"))
    reason: Mapped[str] = mapped_column(server_default="")
    about: Mapped[ReadingAbout] = mapped_column(Values(ReadingAbout), server_default="{}")
    supersedes_id: Mapped[int | None] = mapped_column(ForeignKey("gap_reading.id"))


class ShimReadingRow(_Line, Base):
    """A shim that came out: its marking, its measured thickness, what it is fit for.

    `answered` is which of the two was said to count where they disagree; `zero_nm` was taken
    off each of the `readings`.
    """

    __tablename__ = "piece_reading"
    __table_args__ = (
        Index("uq_piece_reading_current", "round_id", "valve", unique=True, sqlite_where=_CURRENT),
    )

    marked: Mapped[str | None]
    marked_nm: Mapped[int | None]
    measured_nm: Mapped[int | None]
    readings: Mapped[list[int]] = mapped_column(JSON, server_default="[]")
    condition: Mapped[Condition] = mapped_column(server_default="sound")
    doubt_nm: Mapped[int | None]
    zero_nm: Mapped[int] = mapped_column(server_default=text("0"))
    answered: Mapped[Trust | None]
    supersedes_id: Mapped[int | None] = mapped_column(ForeignKey("piece_reading.id"))


class ChoiceRow(_Line, Base):
    """The thickness decided on for a valve, where it comes from, and whether by hand.

    `shim_id` is the piece out of the drawer that is kept back for it; `swapped` says that the
    counter took the valve's old piece for it. `made_from` is what stood
    when it was decided: what it was worked out from; `doubt_nm` what the instrument is good to
    that measured the piece as it went in.
    """

    __tablename__ = "choice"
    __table_args__ = (
        Index("uq_choice_current", "round_id", "valve", unique=True, sqlite_where=_CURRENT),
    )

    thickness_nm: Mapped[int | None]
    source: Mapped[Source] = mapped_column(server_default="counter")
    from_valve: Mapped[str | None]
    by_hand: Mapped[bool] = mapped_column(server_default=text("1"))
    shim_id: Mapped[int | None] = mapped_column(ForeignKey("shim.id"))
    by_marking: Mapped[bool] = mapped_column(server_default=text("0"))
    measured_nm: Mapped[int | None]
    fitted_at: Mapped[datetime | None]
    swapped: Mapped[bool] = mapped_column(server_default=text("0"))
    made_from: Mapped[list[int | None] | None] = mapped_column(JSON(none_as_null=True))
    doubt_nm: Mapped[int | None]
    supersedes_id: Mapped[int | None] = mapped_column(ForeignKey("choice.id"))
