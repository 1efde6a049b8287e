"""Cold and safe: what is to be seen to depends on the engine and on how it is turned."""

from decimal import Decimal
from typing import Any

import pytest

from plimb.core.engine.conditions import Conditions
from plimb.core.engine.followers import Follower
from plimb.core.engine.turning import Method
from plimb.core.errors import BadValue
from plimb.core.job.lists import ListFacts, ListName, list_of
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point


def listed(
    layout: Any = Layout.INLINE_FOUR,
    follower: Any = Follower.BUCKET_UNDER,
    method: Any = Method.MARKS,
    rotation: Any = None,
) -> Any:
    valves = 2 if follower is Follower.OPENER_CLOSER else 4
    start = Start(layout=layout, follower=follower, valves=valves)
    document = starting_point(start)
    document["engine"]["crank"]["rotation"] = rotation
    engine = EngineFile.model_validate(document).to_core()
    return {
        item.id: item for item in list_of(ListName.SAFE, ListFacts(engine=engine, method=method))
    }


COMMON = {"power", "stand", "fuel", "hands", "clean", "plug", "plugs-out", "direction"}


@pytest.mark.parametrize(
    ("more", "own"),
    [
        ({}, set()),
        ({"follower": Follower.BUCKET_OVER}, {"holder"}),
        ({"follower": Follower.FINGER}, {"pad"}),
        ({"follower": Follower.OPENER_CLOSER}, {"both"}),
        ({"method": Method.LOBE}, {"lobe"}),
        ({"layout": Layout.SINGLE}, {"decompressor"}),
    ],
)
def test_the_list_has_what_belongs_to_this_engine_and_method(more: Any, own: Any) -> None:
    items = listed(**more)
    assert set(items) == COMMON | own
    assert all(item.does and item.caution for item in items.values())


def test_the_list_warns_of_the_starter_and_names_the_direction() -> None:
    items = listed()
    assert "starter" in items["power"].caution
    assert items["direction"].does == "Turn in its own direction only"
    assert listed(rotation="clockwise")["direction"].does == "Turn clockwise only"


@pytest.mark.parametrize(
    ("noted", "field"),
    [
        ({"rested_hours": Decimal("-0.1")}, "rested"),
        ({"temperature_c": Decimal("201")}, "temperature"),
        ({"temperature_c": Decimal("-51")}, "temperature"),
    ],
)
def test_conditions_that_cannot_be_are_refused(noted: Any, field: Any) -> None:
    with pytest.raises(BadValue) as refusal:
        Conditions(**noted)
    assert refusal.value.field == field


def test_what_nobody_noted_is_not_warm_and_not_noted() -> None:
    assert not Conditions().noted
    assert not Conditions().warm
    assert Conditions(temperature_c=Decimal("20")).noted


def test_each_reason_for_being_warm_is_said() -> None:
    both = Conditions(temperature_c=Decimal("60"), rested_hours=Decimal("1"))
    assert len(both.warnings) == 2
