"""A fresh record, an application on it, and the school that ships as the demo."""

import os
import shutil
import tarfile
from collections.abc import Callable
from datetime import datetime, timedelta
from pathlib import Path
from typing import Any

import pytest
from argon2 import PasswordHasher
from filelock import FileLock
from hypothesis import HealthCheck, Phase, settings

from plimb.card.acting import Change
from plimb.card.build import read_card
from plimb.demo.load import fill
from plimb.record.database import Database
from plimb.shop import people
from plimb.web.server.application import create_app

NOON = datetime(2026, 11, 24, 12, 0)

LONG = bool(os.environ.get("PLIMB_LONG"))


def some(values: Any, *kept: int) -> list:
    """Return parameters of which `make test` has those at some places, `make test-long` all."""
    listed = list(values)
    places = {place % len(listed) for place in kept}
    return [
        value if place in places else pytest.param(value, marks=pytest.mark.long)
        for place, value in enumerate(listed)
    ]


def pytest_collection_modifyitems(config: Any, items: Any) -> None:
    """Leave what is marked long to `make test-long`."""
    left = [] if LONG else [one for one in items if one.get_closest_marker("long")]
    config.hook.pytest_deselected(items=left)
    items[:] = [one for one in items if one not in set(left)]


settings.register_profile(
    "plimb",
    deadline=None,
    derandomize=not LONG,  # `make test` tries the same cases every time, `make test-long` new ones
    phases=[Phase.explicit, Phase.generate, Phase.shrink] if LONG else [Phase.explicit,
                                                                         Phase.generate],
    suppress_health_check=[HealthCheck.too_slow],
)  # fmt: skip
settings.load_profile("plimb")


def earlier_records() -> dict[str, str]:
    """Return the demo's record as each earlier schema had it, as SQL by name."""
    with tarfile.open(Path(__file__).parent / "records" / "records.tar.xz") as archive:
        return {
            one.name.removesuffix(".sql"): archive.extractfile(one).read().decode()
            for one in archive.getmembers()
        }


def made_once(folders: pytest.TempPathFactory, name: str, make: Callable[[Path], None]) -> Path:
    """Return a file that is made by the first process that wants it, for all of this run."""
    base = folders.getbasetemp()
    base = base.parent if "PYTEST_XDIST_WORKER" in os.environ else base
    path = base / name
    with FileLock(f"{path}.lock"):
        if not path.exists():
            make(path.with_suffix(".new"))
            path.with_suffix(".new").rename(path)
    return path


@pytest.fixture(scope="session")
def empty(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """Return an empty record of the newest schema: made once, as its migrations take a while."""
    return made_once(tmp_path_factory, "empty.sqlite3", lambda path: Database(path).close())


@pytest.fixture
def fresh(empty: Path, tmp_path: Path) -> Any:
    """Return a function that gives an empty record by name."""
    opened: list[Database] = []

    def copied(name: str) -> Database:
        path = tmp_path / f"{name}{len(opened) or ''}.sqlite3"
        opened.append(Database(Path(shutil.copy(empty, path))))
        return opened[-1]

    yield copied
    for one in opened:
        one.close()


@pytest.fixture
def database(fresh: Any) -> Database:
    """Return a record of its own with nothing in it."""
    return fresh("shop")


@pytest.fixture(scope="session")
def filled(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """Return a record that the demo was loaded into once, to be copied."""

    def load(path: Path) -> None:
        loaded = Database(path)
        fill(loaded)
        loaded.close()

    return made_once(tmp_path_factory, "filled.sqlite3", load)


@pytest.fixture(autouse=True, scope="session")
def cheap_codes() -> Any:
    """Hash codes with as little work as there is; give what does it otherwise."""
    with pytest.MonkeyPatch.context() as patch:
        usual, cheap = people._hasher, PasswordHasher(time_cost=1, memory_cost=8, parallelism=1)
        patch.setattr(people, "_hasher", lambda: cheap)
        yield usual


@pytest.fixture
def school(filled: Path, tmp_path: Path) -> Any:
    """Return a record of its own with the demo's engines and cards in it."""
    opened = Database(Path(shutil.copy(filled, tmp_path / "school.sqlite3")))
    yield opened
    opened.close()


@pytest.fixture
def client(school: Database) -> Any:
    return create_app(school, clock=lambda: NOON).test_client()


@pytest.fixture
def seen() -> Any:
    """Return a function that reads a card as it now stands."""

    def look(database: Database, card_id: int) -> Any:
        with database.reading() as session:
            return read_card(session, card_id)

    return look


class Hand:
    """Somebody changing one card, each act with a key and a minute of its own."""

    def __init__(self, card_id: int, version: int) -> None:
        self.card_id, self.version, self.acts = card_id, version, 0

    def change(self) -> Change:
        self.acts += 1
        return Change(
            card_id=self.card_id,
            version=self.version,
            key=f"act-{self.card_id}-{self.acts:06}",
            now=NOON + timedelta(minutes=self.acts),
        )


@pytest.fixture
def hand() -> Any:
    return Hand
