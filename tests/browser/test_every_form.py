"""Every form, key by key, at a server that takes two seconds: what was typed is what is kept.

A table of them. Where a list takes several entries, they are typed one after the other with no
wait between; what was typed for the second may not be lost to the answer about the first.
"""

from dataclasses import dataclass
from typing import Any

import pytest
from playwright.sync_api import Page

from plimb.card.acts.choose import choose_piece
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.fit import fit_piece
from plimb.card.acts.sign import sign_card
from plimb.core.engine.engine import Side
from plimb.core.lengths import Unit, mm
from plimb.core.shim.shim import Source
from plimb.record.database import Database
from plimb.web.server.application import create_app

from ..guest import Job
from .slowly import keys, late, pick, until

TWO_SECONDS = 2.0
CARD, ENGINE = "/api/cards/1", "/api/engines/1"


@dataclass(frozen=True, kw_only=True)
class Form:
    """One form: where it stands, what is typed into which field, and what is kept of it.

    `typed` are rounds of fields and texts; `opens` is tapped first, `picks` chosen, `send` after
    each round, else Enter sends. `kept` is asked of what the server says at `at`.
    """

    at: str
    path: str
    typed: tuple[tuple[tuple[str, str], ...], ...]
    kept: str
    opens: tuple[str, ...] = ()
    picks: tuple[tuple[str, str], ...] = ()
    send: str | None = None
    prepared: str = "feel"


def card(stage: str, kept: str, *typed: Any, **more: Any) -> Form:
    return Form(at=CARD, path=f"/cards/1/{stage}", typed=typed, kept=kept, **more)


def setting(name: str, says: str, text: str) -> Form:
    """Return a setting's form: kept as it was typed."""
    return Form(
        at="/api/settings", path="/shop", typed=(((says, text),),),
        kept=f"(said) => said.settings.find((one) => one.name === '{name}').value == '{text}'",
    )  # fmt: skip


FORMS: dict[str, Form] = {
    "the shop's name": setting("name", "Name of the shop", "Hallow Works"),
    "sure enough": setting("sure", "Accept a plan from, %", "85"),
    "a round's price": setting("round_cost", "Another round costs", "120"),
    "how far off is asked": setting(
        "other_shim_nm", "Ask about a shim that is off by more than, mm", "0.03"
    ),
    "copies": setting("keep_days", "Daily copies", "9"),
    "a feeler set": Form(
        at="/api/shop", path="/shop", send="Save the set",
        typed=((("Name", "Thin ones"), ("Add blades; both marks as .006/.152", "0.04 0.06 0.10")),),
        kept="(said) => said.blade_sets.some((one) => one.name === 'Thin ones'"
             " && one.blades.length === 3)",
    ),
    "micrometers": Form(
        at="/api/shop", path="/shop",
        typed=((("One more", "Old one"), ("Good to ±", "0.005")),),
        kept="(said) => said.instruments.some((one) => one.name === 'Old one')",
    ),
    "into the drawer, three times": Form(
        at="/api/drawer", path="/drawer",
        typed=tuple(((("Put in: markings, thicknesses, how many", text),))
                    for text in ("2.45", "2.50x2", "2.612")),
        kept="(said) => said.families[0].pieces === 4",
    ),
    "an engine": Form(
        at=ENGINE, path="/engines/1", send="Save the engine",
        typed=((("Name of this machine", "No. 9"), ("Page", "41"),
                ("Whose it is", "Oda Brannoch"),
                ("Plate or frame number", "OH 9"),
                ("Check every (from the manual)", "14,000"),
                ("How the camshaft caps are marked", "I1 to I3")),),
        kept="(said) => { const { engine } = JSON.parse(said.document);"
             " return said.label.endsWith('No. 9') && engine.page === '41'"
             " && engine.owner === 'Oda Brannoch' && engine.plate === 'OH 9'"
             " && engine.interval === 14000 && engine.caps === 'I1 to I3'; }",
    ),
    "a spec as it is printed": Form(
        at=ENGINE, path="/engines/1", send="Save the engine",
        typed=((("Intake allowed gap, as printed", "0.13 +0.02 -0.03"),
                ("Intake: range after setting", "0.12-0.14"),
                ("Exhaust allowed gap, as printed", "0.22±0.03")),),
        kept="(said) => { const { intake, exhaust } = JSON.parse(said.document).engine.spec;"
             " return intake.min === 0.1 && intake.max === 0.15 && intake.set_max === 0.14"
             " && exhaust.nominal === 0.22 && exhaust.plus_minus === 0.03; }",
    ),
    "a card": Form(
        at="/api/cards/2", path="/", opens=("Open a card",), send="Open the card",
        picks=(("Engine", "Guest"),),
        typed=((("Technician", "Nessa"), ("Reason for the job", "It ticks"),
                ("Distance", "12,400")),),
        kept="(said) => said.opened_by === 'Nessa' && said.reason === 'It ticks'"
             " && said.distance === 12400",
    ),
    "how cold": card(
        "ready", "(said) => said.conditions.rested_hours == 20"
        " && said.conditions.temperature_c == 8",
        (("Hours since it ran", "20"), ("Coolant or head, °C", "8")),
    ),
    "what the card says": card(
        "ready", "(said) => said.reason === 'Noise' && said.opened_by === 'Edda B'",
        (("Reason for the job", "Noise"), ("Technician", "Edda B")), opens=("Correct",),
        send="Put it right",
    ),
    "the machine": card(
        "ready", "(said) => said.machine.owner === 'Oda' && said.machine.plate === 'OH 7'"
        " && said.machine.caps === 'E1 to E3'",
        (("Whose machine it is", "Oda"), ("Plate or frame number", "OH 7"),
         ("How the camshaft caps are marked", "E1 to E3")),
        send="Keep with the engine",
    ),
    "three tools": card(
        "ready", "(said) => said.machine.tools.join() === 'Hook,Long key,Thin ring'",
        *((("One of its own, kept with the engine", text),)
          for text in ("Hook", "Long key", "Thin ring")),
    ),
    "parts to renew": card(
        "ready", "(said) => said.machine.parts.map((one) => one.what).join() === 'Gasket,Ring'"
        " && said.machine.parts[0].price === '12.50'",
        (("Part", "Gasket"), ("The shop’s number", "G-7"), ("Price", "12.50")), (("Part", "Ring"),),
    ),
    "what the rider says": card(
        "ready", "(said) => said.symptoms === 'Ticks when it is cold'",
        (("What it did: hard cold start, noise, lost power", "Ticks when it is cold"),),
    ),
    "compression": card(
        "ready", "(said) => said.checks.cylinders[0]?.dry === '12.5'"
        " && said.checks.cylinders[0]?.wet === '13' && said.checks.chain === 'slack'",
        (("dry", "12.5"), ("with oil", "13"), ("Cam chain and tensioner", "slack")),
        send="Write them down",
    ),
    "parts that came off": card(
        "ready", "(said) => said.tray.map((one) => one.name).join() === 'Tank,Coils,Cover'",
        *((("Part that came off", text),) for text in ("Tank", "Coils", "Cover")),
    ),
    "a note": card(
        "feel", "(said) => said.notes.feel === 'The left one ticks'",
        (("On this card", "The left one ticks"),), send="",
    ),
    "gaps, one after the other": card(
        "feel", "(said) => said.valves.map((one) => one.found?.typed).join() === '12,13,22,23'",
        *((("", text),) for text in ("12", "13", "22", "23")),
    ),
    "a correction with its reason": card(
        "feel", "(said) => said.valves.find((one) => one.valve === 'IN L').found.typed === '9'",
        (("Why it is corrected", "Read wrongly"), ("Gap of IN L", "9")), prepared="read",
        opens=("IN L",),
    ),
    "shims, one after the other": card(
        "read", "(said) => said.valves.filter((one) => one.piece).map((one) => one.piece.typed)"
        ".join() === '250,2.45 2.448'",
        (("", "250"),), (("", "2.45 2.448"),), prepared="felt",
    ),
    "a micrometer's zero": card(
        "read", "(said) => said.zero?.nm === 2000", (("Reads when closed", "0.002"),),
        prepared="felt",
    ),
    "a shim as it goes in": card(
        "fit", "(said) => said.fit[0].measured?.mm === '2.402'",
        (("Measured, if you do", "2.402"),), prepared="chosen",
    ),
    "gaps after fitting": card(
        "prove", "(said) => said.valves.filter((one) => one.proof).map((one) => one.proof.typed)"
        ".join() === '13-15'",
        (("Gap after fitting of IN L", "13-15"),), prepared="fitted",
        opens=("One turn", "One turn"),
    ),
    "why it goes round again": card(
        "prove", "(said) => said.round === 2",
        (("Why it goes round again", "The shim was dirty"),), prepared="out",
        send="Do another round (2)",
    ),
    "the bill": card(
        "sign", "(said) => said.bill.map((one) => one.what).join() === 'Gasket,Oil,Sealant'"
        " && said.bill[0].price === '12.50' && said.bill[1].count === 2",
        (("Used", "Gasket"), ("Price", "12.50")), (("Used", "Oil"), ("Count", "2")),
        (("Used", "Sealant"),), prepared="measured",
    ),
    "the signature": card(
        "sign", "(said) => said.signed_by === 'Edda B'",
        (("Name", "Edda B"), ("Remarks", "Runs well"), ("Next check at, km", "24,000")),
        prepared="measured", send="Sign",
    ),
    "a line after the signature": card(
        "sign", "(said) => said.signed_by !== null",
        (("Something to add? A dated line of its own", "Chain is slack"), ("Name", "Oda")),
        prepared="signed", send="Save",
    ),
}  # fmt: skip
"""What a technician can fill in, form by form."""

AFTER = {
    "a line after the signature": ("/api/cards/1/sheet",
                                   "(said) => said.amendments[0].endsWith('Chain is slack')"),
    "the signature": ("/api/cards/1/sheet", "(said) => said.next_check.includes('24\u202f000')"
                      " && said.remarks === 'Runs well'"),
    "a correction with its reason": ("/api/cards/1/sheet", "(said) => said.lines.some((one) =>"
                                     " one.says.includes('Read wrongly'))"),
    "why it goes round again": ("/api/cards/1/sheet",
                                "(said) => said.rounds[0].reason === 'The shim was dirty'"),
}  # fmt: skip
"""What else is kept, that stands somewhere else."""

SOME = ("three tools", "gaps, one after the other", "the bill")


@pytest.fixture
def application(database: Database, request: pytest.FixtureRequest) -> Any:
    """Serve a record with an engine and a card as far as the form wants it, two seconds late."""
    prepare(database, FORMS[request.node.callspec.params["name"]].prepared)
    return late(create_app(database), TWO_SECONDS, ("GET", "POST", "PUT", "PATCH", "DELETE"))


def prepare(database: Database, upto: str) -> None:
    sizes = {"diameter": 9.48, "runs": [{"from": 2.0, "to": 3.0, "step": 0.05}]}
    job = Job(database, change=lambda engine: engine.update(family=sizes))
    job.spec(Side.INTAKE, "0.10-0.15")
    job.spec(Side.EXHAUST, "0.20-0.25")
    if upto == "feel":
        return
    gaps = {"IN L": "8", "IN R": "9", "EX L": "22", "EX R": "23"}
    if upto in ("measured", "signed"):
        gaps |= {"IN L": "12", "IN R": "13"}
    for valve, text in gaps.items():
        job.gap(valve, text)
    if upto == "signed":
        job.act(sign_card, signed_by="Oda", remarks="")
    if upto in ("measured", "signed", "felt"):
        return
    job.shim("IN L", "245")
    if upto == "read":
        return
    job.act(choose_piece, valve="IN L", source=Source.COUNTER, thickness_nm=mm("2.40"))
    job.shim("IN R", "245")
    job.act(choose_piece, valve="IN R", source=Source.SAME, thickness_nm=mm("2.45"))
    if upto == "chosen":
        return
    job.act(fit_piece, valve="IN L", fitted=True, measured="")
    if upto == "out":
        job.act(write_down_gap, valve="IN L", purpose="proof", text="20", unit=Unit.MM)


def fill(page: Page, label: str, text: str) -> None:
    """Tap the field of that name and type over what stands in it; without a name just type."""
    if label:
        box = page.get_by_label(label, exact=True).first
        box.click()
        page.keyboard.press("ControlOrMeta+a")
    keys(page, text)


@pytest.mark.parametrize(
    "name", [name if name in SOME else pytest.param(name, marks=pytest.mark.long) for name in FORMS]
)
def test_what_is_typed_into_a_form_is_kept(open_page: Any, name: str) -> None:
    form = FORMS[name]
    page = open_page(form.path)
    page.locator("main input, main button").first.wait_for()
    for button in form.opens:
        page.get_by_role("button", name=button).first.click()
    for label, item in form.picks:
        pick(page, label, item)
    page.evaluate("() => document.querySelectorAll('details').forEach((one) => (one.open = true))")
    if not form.typed[0][0][0]:
        page.locator("#entry").click()
    for round_ in form.typed:
        for label, text in round_:
            fill(page, label, text)
        if form.send is None:
            keys(page, "⏎")
        elif form.send:
            page.get_by_role("button", name=form.send, exact=True).first.click()
        else:
            page.keyboard.press("Tab")
    until(page, form.at, form.kept)
    if name in AFTER:
        until(page, *AFTER[name])
