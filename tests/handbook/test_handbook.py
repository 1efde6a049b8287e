"""The handbook: its links lead somewhere, nothing is missing, and its sums are the core's."""

import re
from pathlib import Path
from typing import Any

import pytest

from plimb.core.engine.followers import Follower
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit, mm, show_mm
from plimb.core.measure.limits import Spec, parse_limits
from plimb.core.measure.shorthand import parse_reading
from plimb.core.measure.uncertainty import USUAL_DOUBT
from plimb.core.shim.sum import Aim, sizes_around, sought_thickness, window
from plimb.practice.lessons import LESSONS

BOOK = Path(__file__).parents[2] / "docs" / "handbook"
PAGES = {page.stem: page.read_text("utf-8") for page in BOOK.glob("*.md")}
EVERY_SIZE = range(mm("1.20"), mm("3.50") + 1, mm("0.05"))


def anchors(text: Any) -> Any:
    return {re.sub(r"[^\w -]", "", one).strip().lower().replace(" ", "-")
            for one in re.findall(r"^#+ (.*)$", text, re.M)}  # fmt: skip


@pytest.mark.parametrize("name", PAGES)
def test_every_link_and_figure_leads_somewhere_and_figures_say_what_they_show(name: Any) -> None:
    for page, anchor in re.findall(r"\]\(([\w-]+)\.md(?:#([\w-]+))?\)", PAGES[name]):
        assert page in PAGES
        assert not anchor or anchor in anchors(PAGES[page])
    for says, figure in re.findall(r"!\[([^\]]*)\]\(([^)]*)\)", PAGES[name]):
        assert len(says) > 10
        assert "<title>" in (BOOK / figure).read_text("utf-8")
    assert PAGES[name].count("](") == len(
        re.findall(r"\]\((?:[\w-]+\.md|figures/\w+\.svg)", PAGES[name])
    )


def test_every_stage_follower_and_lesson_has_its_page_and_every_page_is_in_the_contents() -> None:
    assert {stage.value for stage in Stage} <= set(PAGES)
    assert {follower.value for follower in Follower} <= set(PAGES)
    assert {lesson.page for lesson in LESSONS} <= set(PAGES)
    listed = set(re.findall(r"\]\(([\w-]+)\.md", PAGES["index"]))
    assert listed == set(PAGES) - {"index"}


def blocks(page: str, name: Any) -> Any:
    """Return what is said in each comment of that name, and the lines after it."""
    return re.findall(rf"<!-- {name} (.*?) -->\n\n((?:    .*\n)*)", PAGES[page])


def test_every_sum_is_what_the_core_works_out() -> None:
    sums = blocks("sums", "sum")
    assert len(sums) == 2
    for said, lines in sums:
        asked = dict(part.split("=") for part in said.split())
        gap = parse_reading(asked["gap"], Unit.MM).gap
        limits, shim = parse_limits(asked["spec"], Unit.MM), mm(asked["shim"])
        found = window(gap, shim, limits)
        assert f"window = {show_mm(found.thin_nm)} to {show_mm(found.thick_nm)}" in lines
        spec = Spec(check=limits)
        ideal = sought_thickness(gap, shim, spec, limits, Aim(asked["aim"]))
        assert f" = {show_mm(ideal)}\n" in lines
        (thinner,), (thicker,) = sizes_around(EVERY_SIZE, ideal)
        for size in (thinner, thicker):
            assert f"{show_mm(size)} gives {show_mm(gap.best_nm + shim - size)}" in lines
    ((said, lines),) = blocks("sums", "back")
    asked = dict(part.split("=") for part in said.split())
    back = mm(asked["now"]) + mm(asked["shim"]) - mm(asked["before"])
    assert f"= −{show_mm(-back)}: it was held open by {show_mm(-back)}" in lines
    ((thou, lines),) = blocks("sums", "thou")
    assert f"{thou} thou = {show_mm(parse_reading(thou, Unit.INCH).gap.best_nm)} mm" in lines


def test_every_assumption_and_check_value_is_the_cores() -> None:
    rows = re.findall(r"^\|.*\| ±?([\d.]+) mm \|.*<!-- doubt (\w+) -->", PAGES["assumptions"], re.M)
    assert {name for _mm, name in rows} == set(USUAL_DOUBT.__dataclass_fields__)
    for said, name in rows:
        assert getattr(USUAL_DOUBT, name) == mm(said), name
    checks = re.findall(r"^\|(.*)<!-- check (\w+) (.*?) -->", PAGES["assumptions"], re.M)
    assert len(checks) == 6
    for row, what, said in checks:
        shim, gap, asked = said.split()
        if what == "window":
            zero = parse_reading(gap.replace("0.00", "0"), Unit.MM, zero_is_number=True).gap
            found = window(zero, mm(shim), parse_limits(asked, Unit.MM))
            answer = f"{show_mm(found.thin_nm)} to {show_mm(found.thick_nm)}"
        else:
            answer = show_mm(mm(shim) + mm(gap) - mm(asked))
        assert f"| {answer} " in row


def test_forty_questions_of_beginners_are_answered_by_the_page_that_help_opens_there() -> None:
    said = (BOOK.parents[1] / "frontend" / "src" / "App.svelte").read_text("utf-8")
    helps = dict(re.findall(r'title: "([^"]+)", page: "([\w-]+)"', said))
    helps |= {stage.value.title(): stage.value for stage in Stage}
    rows = re.findall(r"^\| (.+\?) \| ([\w ]+) \| \[(.+)\]\(([\w-]+)\.md\) \|$",
                      PAGES["questions"], re.M)  # fmt: skip
    assert len(rows) >= 40
    assert len(rows) == PAGES["questions"].count("\n| ") - 1
    for question, asked_at, answer, page in rows:
        plain = " ".join(re.sub(r"[*`]", "", PAGES[page]).split()).lower()
        assert answer.lower() in plain, question
        there = helps[asked_at]
        assert page == there or f"]({page}.md" in PAGES[there], question


WORDS = (
    "in range", "too tight", "too loose", "not clear yet", "no gap", "allowed gap", "limits",
    "position", "mark", "service check", "re-measure", "round", "manufacturer", "meter",
    "parts counter", "shim", "temporary shim", "plan rules", "target", "feeler set", "guess",
    "firing order", "chance", "kit", "swap", "stage", "card", "interval", "held open", "lean",
)  # fmt: skip


def test_the_glossary_has_the_words_that_the_screens_use() -> None:
    explained = " ".join(PAGES["glossary"].split())
    heads = {one.strip().lower() for bold in re.findall(r"\*\*(.+?)\*\*:", explained)
             for one in bold.split(",")}  # fmt: skip
    assert set(WORDS) <= heads
