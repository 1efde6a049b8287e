"""Processes beside the server that answer reads: they see what was written, and may die."""

import os
import signal
from concurrent.futures import ThreadPoolExecutor
from multiprocessing import active_children

import pytest
from werkzeug.test import Client

from plimb.actions.backup import copy_now, put_back
from plimb.actions.shop import change_settings
from plimb.web.application import create_app
from plimb.web.readers import Readers

from ..conftest import NOON


class Served:
    """An application that two readers answer for, and what it had to answer itself."""

    def __init__(self, school):
        self.beside = Readers(2)
        app, self.itself = create_app(school), []
        own = app.wsgi_app

        def noted(environ, start_response):
            self.itself.append(environ["PATH_INFO"])
            return own(environ, start_response)

        app.wsgi_app = noted
        self.beside.answer_for(app, school, create_app)
        self.app = app

    def name(self, _time=0):
        return Client(self.app).get("/api/shop").json["name"]


@pytest.fixture
def served(school):
    made = Served(school)
    yield made
    made.beside.close()


def test_what_was_written_is_seen_by_whoever_reads_next(school, served):
    for name in ("One", "Two", "Three"):
        change_settings(school, name=name)
        with ThreadPoolExecutor(4) as pool:
            assert set(pool.map(served.name, range(6))) == {name}
    assert served.itself == []
    assert Client(served.app).get("/api/cards/999").json["code"] == "not_found"
    assert Client(served.app).post("/api/engines", json={}).status_code == 422
    assert Client(served.app).get("/api/instrument/readings/0").json["connected"] is False
    assert served.itself == ["/api/engines", "/api/instrument/readings/0"]


def test_a_copy_put_back_is_what_they_read_from_then_on(school, served):
    before = served.name()
    copy = copy_now(school.path, NOON)
    change_settings(school, name="Later")
    assert [served.name() for _time in range(3)] == ["Later"] * 3
    put_back(school, copy.name)
    assert [served.name() for _time in range(3)] == [before] * 3
    change_settings(school, name="Anew")
    assert [served.name() for _time in range(3)] == ["Anew"] * 3
    assert served.itself == []


def test_where_they_die_the_server_answers_itself(school, served):
    here = served.name()
    for one in active_children():
        os.kill(one.pid, signal.SIGKILL)
        one.join()
    assert [served.name() for _time in range(3)] == [here] * 3
    assert served.itself == ["/api/shop"] * 3
    put_back(school, copy_now(school.path, NOON).name)


def test_one_that_is_stopped_hangs_nobody_and_not_the_end_either(school, served):
    here = served.name()
    for one in active_children():
        os.kill(one.pid, signal.SIGSTOP)
    with ThreadPoolExecutor(4) as pool:
        assert set(pool.map(served.name, range(4))) == {here}
    assert served.itself == ["/api/shop"] * 4
    put_back(school, copy_now(school.path, NOON).name)
    assert served.name() == here
