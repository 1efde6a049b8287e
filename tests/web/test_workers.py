"""Workers all alike: what one writes all see, one that dies or hangs is replaced, none is left."""

import os
import shutil
import signal
import time
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path
from typing import Any

import pytest

from .served import Served


@pytest.fixture
def served(filled: Path, tmp_path: Path) -> Any:
    made = Served(shutil.copy(filled, tmp_path / "workers.sqlite3"))
    yield made
    made.stop()


several = pytest.mark.skipif(len(os.sched_getaffinity(0)) < 2, reason="one worker serves here")


@pytest.mark.long
@several
def test_what_was_written_and_what_was_put_back_is_what_all_read_from_then_on(served: Any) -> None:
    before = served.name()
    copies = served.ask("POST", "/api/copies")[1]["copies"]
    for name in ("One", "Two", "Three"):
        assert served.ask("PATCH", "/api/settings", {"name": name})[0] == 200
        with ThreadPoolExecutor(8) as pool:
            assert set(pool.map(served.name, range(16))) == {name}
    put = served.ask("POST", "/api/copies/put-back", {"name": copies[0]["name"]})
    assert (put[0], put[1]["aside"].startswith("workers.sqlite3.before")) == (200, True)
    with ThreadPoolExecutor(8) as pool:
        assert set(pool.map(served.name, range(16))) == {before}
    assert served.ask("PATCH", "/api/settings", {"name": "Anew"})[0] == 200
    with ThreadPoolExecutor(8) as pool:
        assert set(pool.map(served.name, range(16))) == {"Anew"}


@several
@pytest.mark.parametrize(
    "how", [signal.SIGKILL, pytest.param(signal.SIGSTOP, marks=pytest.mark.long)]
)
@pytest.mark.long
def test_a_worker_that_dies_or_hangs_is_replaced_and_others_are_answered_meanwhile(
    served: Any, how: Any
) -> None:
    worker = min(served.workers)
    os.kill(worker, how)
    print(f"{how.name}: longest answer meanwhile {served.replaced(worker):.2f} s")
    assert served.name()


@pytest.mark.long
@several
def test_wrong_codes_are_counted_by_all_of_them_together(served: Any) -> None:
    served.ask("POST", "/api/people", {"name": "Oda", "role": "owner", "code": "hill-climb"})
    wrong = {"person_id": 1, "code": "hill-climx"}
    with ThreadPoolExecutor(6) as pool:
        said = list(pool.map(lambda _n: served.ask("POST", "/api/people/here", wrong), range(12)))
    assert all(status == 403 for status, _body in said)
    assert sum("Too many wrong codes" in body["sentence"] for _status, body in said) >= 8


@pytest.mark.long
def test_the_server_ends_at_once_and_leaves_nobody_behind_though_one_is_stopped(
    served: Any,
) -> None:
    children = served.children
    os.kill(max(children), signal.SIGSTOP)
    served.process.send_signal(signal.SIGINT)
    assert served.process.wait(timeout=30) == 0
    assert not [one for one in children if Path(f"/proc/{one}").exists()]


def test_workers_end_with_their_server(served: Any) -> None:
    children = served.children
    served.process.kill()
    served.process.wait(timeout=30)
    until = time.monotonic() + 30
    while any(Path(f"/proc/{one}").exists() for one in children):
        assert time.monotonic() < until
        time.sleep(0.05)
