"""Open the record: SQLite with foreign keys on, write-ahead log, one writer at a time."""

import os
import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager
from datetime import datetime
from pathlib import Path
from typing import Any

from alembic import command
from alembic.config import Config
from alembic.runtime.migration import MigrationContext
from platformdirs import user_data_path
from sqlalchemy import Connection, Engine, create_engine, event
from sqlalchemy.exc import DBAPIError
from sqlalchemy.orm import Session, sessionmaker
from sqlalchemy.pool import QueuePool

from plimb.core.errors import BadValue, RecordGone
from plimb.record.copying import (
    MIGRATIONS,
    copied_whole,
    looking,
    newest_revision,
    refuse_later,
)
from plimb.record.faults import plain_words
from plimb.record.idempotency import refuse_twice
from plimb.record.journal import close_entry, lay_triggers, lift_triggers, own_up, take_up
from plimb.record.lock import hold_anew, named


def record_path(name: str) -> Path:
    """Return where this user's record of that name is kept."""
    return user_data_path("plimb", appauthor=False) / f"{name}.sqlite3"


class Database:
    """The record in one file, brought to the newest schema when opened.

    `backfilled` says that what is kept of cards was made up for. Any number of processes may have
    it open: SQLite lets one of them write at a time, and the others wait.
    """

    def __init__(self, path: Path, *, settled: bool = False) -> None:
        """Open a record; one that is `settled` was brought up to date just before."""
        path.parent.mkdir(parents=True, exist_ok=True)
        self.path = path
        if not path.exists():
            path.touch(mode=0o600)
        self.engine = _engine(path)
        if not settled:
            migrate(self.engine)
        about = {"record": path}
        # a reader writes nothing, whatever is made up in it: it would wait for whoever writes
        self._readers = sessionmaker(self.engine, info=about, autoflush=False)
        self._writers = sessionmaker(self.engine.execution_options(writes=True), info=about)
        self._file = named(path)
        hold_anew(path)
        self.backfilled = False

    @contextmanager
    def reading(self) -> Iterator[Session]:
        """Give a session that sees one moment of the record."""
        with self._readers() as session:
            self._still_there()
            yield session

    @contextmanager
    def writing(self, what: str, at: datetime | None = None) -> Iterator[Session]:
        """Give a session whose whole work is saved at the end, or none of it.

        Args:
            what: What is done, in the words of the trade: it stands in the journal.
            at: When, as naive UTC; now where nothing is said.
        """
        with self._writers.begin() as session:
            self._still_there()
            own_up(session.connection())
            refuse_twice(session)
            yield session
            session.flush()
            close_entry(session.connection(), what, at=at)
            self._still_there()

    def _still_there(self) -> None:
        """Refuse to go on where the file that is open is not the record any more: RecordGone."""
        now = named(self.path)
        self._file = self._file or now
        if now is None or now != self._file:
            raise RecordGone(self.path.name)

    def close(self) -> None:
        """Let go of the file."""
        self.engine.dispose()


def is_writable(path: Path) -> bool:
    """Return whether a record, and its folder for the log beside it, can be written."""
    return os.access(path, os.W_OK) and os.access(path.parent, os.W_OK)


def _engine(path: Path) -> Engine:
    if not is_writable(path):
        return _looked_at_only(path)
    engine = create_engine(f"sqlite:///{path}", connect_args={"timeout": 30})

    @event.listens_for(engine, "connect")
    def _prepare(connection: Any, _record: object) -> None:
        connection.isolation_level = None  # transactions are begun below, in the right mode
        for pragma in ("foreign_keys=ON", "journal_mode=WAL", "synchronous=FULL"):
            connection.execute(f"PRAGMA {pragma}")

    @event.listens_for(engine, "begin")
    def _begin(connection: Connection) -> None:
        writes = connection.get_execution_options().get("writes", False)
        connection.exec_driver_sql("BEGIN IMMEDIATE" if writes else "BEGIN")

    return engine


def _looked_at_only(path: Path) -> Engine:
    """Return an engine for a record that cannot be written: it is read as it lies there."""

    def look() -> sqlite3.Connection:
        return sqlite3.connect(
            f"{path.absolute().as_uri()}?mode=ro&immutable=1", uri=True, check_same_thread=False
        )

    return create_engine("sqlite://", creator=look, poolclass=QueuePool)


def migrate(engine: Engine) -> None:
    """Bring the record to the newest schema, from empty or from any earlier one.

    Raises:
        BadValue: It is no record of Plimb's or a later version's, or afterwards a line of it
            points to one that is not there.
    """
    config = Config()
    config.set_main_option("script_location", str(MIGRATIONS))
    with engine.execution_options(writes=True).connect() as connection:
        with connection.begin():
            schema = MigrationContext.configure(connection).get_current_revision()
            writable = is_writable(path_of(connection))
            if schema == newest_revision():
                if writable:
                    lay_triggers(connection)
                return
            _refuse_others(connection, schema)
            if not writable:
                raise BadValue(
                    f"record: it is an earlier version's (schema {schema}) and cannot be written, "
                    "so it cannot be brought up to date. Copy it to where you may write.",
                    field="database",
                )
        if schema is not None:
            _copy_before(connection, schema)
        # tables are taken down and put up again: what points to them is looked at afterwards
        _heed_foreign_keys(connection, False)
        try:
            with connection.begin():
                config.attributes["connection"] = connection
                lift_triggers(connection)
                command.upgrade(config, "head")
                lay_triggers(connection)
                take_up(connection, f"brought to schema {newest_revision()}, as it then stood")
                if lost := connection.exec_driver_sql("PRAGMA foreign_key_check").first():
                    raise BadValue(
                        f"record: a line of {lost[0]} points to one that is not there; it was "
                        "left as it was. Put back a copy."
                    )
        finally:
            _heed_foreign_keys(connection, True)


def _refuse_others(connection: Connection, schema: str | None) -> None:
    """Refuse a later version's record, and a file of tables that are not Plimb's."""
    if schema is not None:
        refuse_later(schema, "record: it", "database")
    tables = connection.exec_driver_sql("SELECT count(*) FROM sqlite_schema").scalar()
    if schema is None and tables:
        raise BadValue("record: the file is no record of Plimb's; name another.", field="database")


def _copy_before(connection: Connection, schema: str) -> None:
    """Keep the record as it was before it is brought to another schema."""
    record = path_of(connection)
    copy = copies_of(record) / f"before-{newest_revision()}-from-{schema}.sqlite3"
    # lines that point nowhere are looked for after the upgrade, which is refused for them
    copied_whole(record, copy, _readable).replace(copy)


def _readable(copy: Path) -> None:
    with closing(looking(copy)) as look:
        if look.execute("PRAGMA integrity_check").fetchone()[0] != "ok":
            raise BadValue("record: it is damaged. Put back a copy.", field="database")


def path_of(connection: Connection) -> Path:
    """Return the file that a connection is open on."""
    driver = connection.connection.driver_connection  # no transaction is begun for it
    assert driver is not None  # just opened
    lines = driver.execute("PRAGMA database_list").fetchall()
    return Path(next(place for _number, name, place in lines if name == "main"))


def copies_of(record: Path) -> Path:
    """Return the folder beside a record that its own copies lie in."""
    return record.with_name(f"{record.stem}-copies")


def _heed_foreign_keys(connection: Connection, heed: bool) -> None:
    driver = connection.connection.driver_connection
    assert driver is not None  # just opened
    driver.execute(f"PRAGMA foreign_keys={'ON' if heed else 'OFF'}")


def trouble(error: BaseException) -> str:
    """Return in plain words what is wrong around the record, nothing where it is not that."""
    around = (OSError, DBAPIError, sqlite3.Error)
    return plain_words(error) if isinstance(error, around) else ""
