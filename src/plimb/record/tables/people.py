"""Who works here, and on which screen each is signed in."""

from datetime import datetime
from enum import StrEnum

from sqlalchemy import ForeignKey
from sqlalchemy.orm import Mapped, mapped_column, relationship

from plimb.record.tables.base import Base


class PersonRole(StrEnum):
    """What somebody may do: a technician the work, an owner the shop's settings as well."""

    TECHNICIAN = "technician"
    OWNER = "owner"


class PersonRow(Base):
    """Somebody who works here. `code` is a hash; without one nobody can sign in as them.

    Who has left stays on record, for what they wrote.
    """

    __tablename__ = "person"

    name: Mapped[str] = mapped_column(unique=True)
    role: Mapped[PersonRole]
    code: Mapped[str | None]
    made_at: Mapped[datetime]
    left_at: Mapped[datetime | None]


class WrongCodeRow(Base):
    """How often a wrong code was given for somebody of late, and when the last was."""

    __tablename__ = "wrong_code"

    who: Mapped[str] = mapped_column(unique=True)
    count: Mapped[int]
    last: Mapped[datetime]


class SittingRow(Base):
    """One screen at which somebody is signed in; its token is kept as a hash."""

    __tablename__ = "sitting"

    token: Mapped[str] = mapped_column(unique=True)
    person_id: Mapped[int] = mapped_column(ForeignKey("person.id"))
    begun_at: Mapped[datetime]
    seen_at: Mapped[datetime]
    person: Mapped[PersonRow] = relationship()
