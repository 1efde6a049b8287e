"""Every address held to its own description, by cases made from it."""

import pytest
import schemathesis
from hypothesis import HealthCheck, settings

from plimb.web.application import create_app

from ..conftest import LONG, NOON

CASES = 60 if LONG else 1
"""Of each address so many: more than 5,000 in all when run whole."""


@pytest.fixture
def described(school):
    app = create_app(school, clock=lambda: NOON)
    return schemathesis.openapi.from_wsgi("/api/openapi.json", app)


schema = schemathesis.pytest.from_fixture("described")


@schema.parametrize()
@settings(max_examples=CASES, deadline=None, suppress_health_check=list(HealthCheck))
def test_every_answer_is_as_described_and_none_is_a_fault(case):
    case.call_and_validate()
