"""History files: read whole or refused with the path; a forecast read off one; the calendar."""

import json
from datetime import date, datetime
from pathlib import Path
from typing import Any

import icalendar
import pytest
from click.testing import CliRunner

from plimb.cli.engine import forecast
from plimb.core.errors import BadValue
from plimb.core.wear.forecast import forecast as wear
from plimb.files.calendar import CalendarEvent, calendar_of
from plimb.files.history_file import history_as_json, read_history_file
from plimb.files.open_json import write_json
from plimb.trials.report import engine_of

VALVES = [one["id"] for one in engine_of(3, "0.05")["engine"]["valves"]]


def document(**check: Any) -> Any:
    first = {"date": "2024-04-01", "at": 12000, "gaps": [{"valve": VALVES[0], "called": 0.18}]}
    return {
        **engine_of(3, "0.05"),
        "format": "plimb-history",
        "measure": "km",
        "checks": [
            {"date": "2025-04-01", "at": 18000, "gaps": [{"valve": VALVES[0], "called": 0.16}]},
            first | check,
        ],
    }


def test_checks_go_by_their_dates_and_a_file_comes_back_as_it_was() -> None:
    made = document(
        pieces=[{"valve": VALVES[0], "measured": 2.5}],
        left=[{"valve": VALVES[0], "goes": [0.2], "refuses": [0.23], "piece": 2.45}],
    )
    read = read_history_file(json.dumps(made))
    past = read.past()
    assert [one.on for one in past] == [date(2024, 4, 1), date(2025, 4, 1)]
    again = read_history_file(
        write_json(
            history_as_json(
                made, read.to_core().clearances, read.measure, past, read.unit, read.of_shims
            )
        )
    )
    assert again.past() == past


@pytest.mark.parametrize(
    ("check", "path"),
    [
        ({"gaps": [{"valve": "NO", "called": 0.1}]}, "$.checks[1].gaps[0]"),
        ({"gaps": [{"valve": VALVES[0], "called": 0.1}] * 2}, "$.checks[1].gaps[1]"),
        ({"gaps": [{"valve": VALVES[0]}]}, "$.checks[1].gaps[0]"),
        ({"left": [{"valve": VALVES[0], "piece": 250}]}, "$.checks[1].left[0]"),
        ({"at": -1}, "$.checks[1].at"),
        ({"date": "yesterday"}, "$.checks[1].date"),
        ({"note": "x"}, "$.checks[1].note"),
    ],
    ids=lambda one: one if isinstance(one, str) else "",
)
def test_a_history_that_cannot_be_is_refused_with_its_path(check: Any, path: Any) -> None:
    with pytest.raises(BadValue) as said:
        read_history_file(json.dumps(document(**check))).past()
    assert said.value.field == path


def test_the_command_says_it_to_people_and_to_programs(tmp_path: Path) -> None:
    file = tmp_path / "history.json"
    file.write_text(json.dumps(document()), "utf-8")
    said = CliRunner().invoke(forecast, [str(file)])
    assert f"{VALVES[0]}: closes by 0.0033 mm in 1\u202f000 km" in said.output
    assert "Check by" in said.output
    answer = json.loads(CliRunner().invoke(forecast, [str(file), "--json"]).output)
    assert answer["measure"] == "km"
    seen = wear(
        read_history_file(file.read_text("utf-8")).to_core().clearances,
        read_history_file(file.read_text("utf-8")).past(),
    )
    line, rate = answer["valves"][0], seen.valves[0].rate
    assert line["rate_per_1000"]["best"] == pytest.approx(rate.best_nm / 1e6)
    assert line["stacks"] == [{"at": 12000.0, "low": None, "high": None},
                              {"at": 18000.0, "low": None, "high": None}]  # fmt: skip
    assert answer["valves"][1]["rate_per_1000"] == {"best": None, "low": None, "high": None}
    assert answer["next_check"]["at"] == seen.next_check.at


WORDS = CalendarEvent(
    uid="engine-7-abc@plimb", on=date(2026, 3, 1), summary="Check; the Ä, \\ engine",
    words="at 9 000 km: a long line that has to be folded, since no line may be longer than "
    "seventy-five octets, the end of it left out",
)  # fmt: skip


def test_a_calendar_is_as_rfc_5545_has_it() -> None:
    """Source: RFC 5545, 3.1 (lines end in CRLF and have 75 octets), 3.3.11 (what is escaped)."""
    made = calendar_of("School", [WORDS], datetime(2026, 1, 1, 12, 0))
    assert made.endswith(b"END:VCALENDAR\r\n")
    lines = made.split(b"\r\n")
    assert max(map(len, lines)) <= 75
    assert not any(b"\n" in line or b"\r" in line for line in lines)
    whole = made.replace(b"\r\n ", b"").decode()
    assert "SUMMARY:Check\\; the Ä\\, \\\\ engine\r\n" in whole
    for line in ("UID:engine-7-abc@plimb", "DTSTAMP:20260101T120000Z", "TRIGGER:-P14D",
                 "DTSTART;VALUE=DATE:20260301", "DTEND;VALUE=DATE:20260302"):  # fmt: skip
        assert f"{line}\r\n" in whole
    (event,) = icalendar.Calendar.from_ical(made).walk("VEVENT")
    assert (str(event["summary"]), str(event["description"])) == (WORDS.summary, WORDS.words)
