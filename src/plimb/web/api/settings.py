"""The shop's settings over the wire: what each is, and changes of those that are sent."""

from typing import Annotated, Any

from apiflask import APIBlueprint
from pydantic import Field, create_model

from plimb.card.rejudge import change_settings
from plimb.card.said import Sent
from plimb.shop.settings import SettingChoice, SettingView, rows, settings_view
from plimb.shop.tools import read_settings
from plimb.web.wire.read_off import Answer, answer_of, read_off
from plimb.web.wire.request import record
from plimb.web.wire.rights import owners_only

blueprint = APIBlueprint("settings", __name__, url_prefix="/api/settings")

ChoiceOut = answer_of(SettingChoice, "ChoiceOut")


@read_off(SettingView)
class SettingOut(Answer):
    """One setting: what it is called, what it means, how it stands, as it is typed."""


class SettingsOut(Answer):
    """Every setting of the shop."""

    settings: list[SettingOut]


_Typed = Annotated[str | int, Field(union_mode="left_to_right")]
SettingsIn: Any = create_model(
    "SettingsIn",
    __base__=Sent,
    __doc__="Settings to change, as they are typed; empty is the usual, what is not sent stays.",
    **{name: (_Typed, Field(default_factory=str)) for name in rows()},  # type: ignore[call-overload]
)


def _settings() -> dict[str, object]:
    return {"settings": settings_view(read_settings(record()))}


@blueprint.get("")
@blueprint.output(SettingsOut)
def get_settings() -> dict[str, object]:
    """Return every setting, what it means and how it stands."""
    return _settings()


@blueprint.patch("")
@blueprint.input(SettingsIn)
@blueprint.output(SettingsOut)
@owners_only
def change(json_data: Any) -> dict[str, object]:
    """Change the settings that are sent; the others stay."""
    change_settings(
        record(), **{name: getattr(json_data, name) for name in json_data.model_fields_set}
    )
    return _settings()
