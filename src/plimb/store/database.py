"""Open the record: SQLite with foreign keys on, write-ahead log, one writer at a time."""

from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any

from alembic import command
from alembic.config import Config
from alembic.runtime.migration import MigrationContext
from alembic.script import ScriptDirectory
from platformdirs import user_data_path
from sqlalchemy import Connection, Engine, create_engine, event
from sqlalchemy.orm import Session, sessionmaker

from plimb.core.errors import BadValue

MIGRATIONS = Path(__file__).parent / "migrations"


def record_path(name: str) -> Path:
    """Return where this user's record of that name is kept."""
    return user_data_path("plimb", appauthor=False) / f"{name}.sqlite3"


class Database:
    """The record in one file, brought to the newest schema when opened."""

    def __init__(self, path: Path) -> None:
        path.parent.mkdir(parents=True, exist_ok=True)
        self.path = path
        self.engine = _engine(path)
        migrate(self.engine)
        self._readers = sessionmaker(self.engine)
        self._writers = sessionmaker(self.engine.execution_options(writes=True))

    @contextmanager
    def reading(self) -> Iterator[Session]:
        """Give a session that sees one moment of the record."""
        with self._readers() as session:
            yield session

    @contextmanager
    def writing(self) -> Iterator[Session]:
        """Give a session whose whole work is saved at the end, or none of it."""
        with self._writers.begin() as session:
            yield session

    def close(self) -> None:
        """Let go of the file."""
        self.engine.dispose()


def _engine(path: Path) -> Engine:
    engine = create_engine(f"sqlite:///{path}", connect_args={"timeout": 10})

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


def newest_revision() -> str:
    """Return the name of the newest schema."""
    head = ScriptDirectory(str(MIGRATIONS)).get_current_head()
    assert head is not None  # the migrations ship with the package
    return head


def migrate(engine: Engine) -> None:
    """Bring the record to the newest schema, from empty or from any earlier one.

    Raises:
        BadValue: Afterwards a line of the record points to one that is not there.
    """
    config = Config()
    config.set_main_option("script_location", str(MIGRATIONS))
    with engine.execution_options(writes=True).connect() as connection:
        with connection.begin():
            if MigrationContext.configure(connection).get_current_revision() == newest_revision():
                return
        # tables are taken down and put up again: what points to them is looked at afterwards
        _heed_foreign_keys(connection, False)
        try:
            with connection.begin():
                config.attributes["connection"] = connection
                command.upgrade(config, "head")
                if lost := connection.exec_driver_sql("PRAGMA foreign_key_check").first():
                    raise BadValue(
                        f"record: a line of {lost[0]} points to one that is not there; it was "
                        "left as it was. Put back a copy."
                    )
        finally:
            _heed_foreign_keys(connection, True)


def _heed_foreign_keys(connection: Connection, heed: bool) -> None:
    driver = connection.connection.driver_connection
    assert driver is not None  # just opened
    driver.execute(f"PRAGMA foreign_keys={'ON' if heed else 'OFF'}")
