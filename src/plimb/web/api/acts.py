"""Every act on a card over the wire: one address for each, made from its row.

What is sent is what the act takes, with the version that the sender saw and the sender's own key;
the answer is the card as it then stands.
"""

from apiflask import APIBlueprint

from plimb.card.acting import Change, Doing
from plimb.card.doing import DOING
from plimb.card.said import ChangeIn, first_line, sent_to
from plimb.card.view import CardView
from plimb.web.api.cards import CardOut, card_as_it_stands
from plimb.web.api.people import whoever
from plimb.web.wire.request import now, record
from plimb.web.wire.rights import only

blueprint = APIBlueprint("acts", __name__, url_prefix="/api/cards/<int:card_id>/acts")


def _serve(doing: Doing) -> None:
    row = doing.row

    def answer(card_id: int, json_data: ChangeIn) -> CardView:
        change = Change(card_id=card_id, version=json_data.version, key=json_data.key, now=now())
        said = json_data.said()
        if row.name is not None:
            said[row.name] = whoever(said[row.name])
        doing.done(record(), change, **said)
        return card_as_it_stands(card_id)

    answer.__name__ = row.kind.replace("-", "_")
    answer.__doc__ = first_line(doing.do)
    called = "".join(part.capitalize() for part in row.kind.split("-")) + "In"
    sent = sent_to(called, doing.do, ChangeIn, **doing.sent)
    run = only(row.may)(blueprint.input(sent)(blueprint.output(CardOut)(answer)))
    blueprint.post(f"/{row.kind}")(run)


for _kind in sorted(DOING):
    _serve(DOING[_kind])
