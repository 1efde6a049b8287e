"""Every address held to its own description, by cases made from it."""

from typing import Any

import schemathesis
from hypothesis import HealthCheck, Phase, given, settings

from plimb.record.database import Database
from plimb.web.server.application import create_app

from ..conftest import LONG, NOON

CASES = 70 if LONG else 1
"""Of each address so many: more than 5,000 in all when run whole."""
GATE = settings(
    max_examples=CASES, deadline=None, suppress_health_check=list(HealthCheck),
    phases=[Phase.generate], derandomize=not LONG,
)  # fmt: skip


def test_every_answer_is_as_described_and_none_is_a_fault(school: Database) -> None:
    app = create_app(school, clock=lambda: NOON)
    described = schemathesis.openapi.from_wsgi("/api/openapi.json", app)
    # what fits its description may still be refused in the trade's own words: a name that is
    # taken, a piece of no such size
    accepted = described.config.checks.positive_data_acceptance
    accepted.expected_statuses = [*accepted.expected_statuses, "422"]
    tried, faults = 0, []
    for found in described.get_all_operations():
        operation: Any = found.ok()  # type: ignore[union-attr]  # a fault in it is one here

        @GATE
        @given(case=operation.as_strategy())
        def held_to(case: Any) -> None:
            nonlocal tried
            tried += 1
            case.call_and_validate()

        try:
            held_to()
        except (Exception, BaseExceptionGroup) as error:
            inner = getattr(error, "exceptions", ())
            faults.append("\n".join([f"{operation.label}: {error}", *map(str, inner)]))
    assert faults == [], "\n\n".join(faults[:5])
    assert tried >= (5000 if LONG else 60)
