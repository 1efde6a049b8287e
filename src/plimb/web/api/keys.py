"""Keys over the wire: the shop's own, and those of other shops that it knows."""

from apiflask import APIBlueprint

from plimb.card import sealing
from plimb.card.said import Sent, sent_to
from plimb.card.sealing import KeysView, KnownKey
from plimb.web.wire.read_off import Answer, answer_of, read_off
from plimb.web.wire.request import now, record
from plimb.web.wire.rights import owners_only

blueprint = APIBlueprint("keys", __name__, url_prefix="/api/keys")

KnownKeyOut = answer_of(KnownKey, "KnownKeyOut")


@read_off(KeysView)
class KeysOut(Answer):
    """The public part of the shop's own key, and the keys of other shops that it knows."""


@blueprint.get("")
@blueprint.output(KeysOut)
def get_keys() -> KeysView:
    """Return the keys that the shop has and knows."""
    return sealing.read_keys(record())


@blueprint.post("")
@blueprint.input(sent_to("KnownKeyIn", sealing.know_key, now=None))
@blueprint.output(KeysOut)
@owners_only
def know_key(json_data: Sent) -> KeysView:
    """Take another shop's key for known."""
    sealing.know_key(record(), **json_data.said(), now=now())
    return sealing.read_keys(record())


@blueprint.delete("/<int:key_id>")
@blueprint.output(KeysOut)
@owners_only
def forget_key(key_id: int) -> KeysView:
    """Take another shop's key for unknown again."""
    sealing.forget_key(record(), key_id=key_id)
    return sealing.read_keys(record())
