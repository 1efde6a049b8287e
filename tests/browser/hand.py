"""Somebody at the bench, from a new engine on: taps and typed figures, counted."""

import re
from typing import Any

from playwright.sync_api import Page, expect

from .slowly import keyed


class Hand:
    """Somebody at the bench: taps and typed figures, counted."""

    def __init__(self, open_page: Any, name: str, **size: Any) -> None:
        self.page: Page = open_page("/engines/new", **size)
        self.page.get_by_label("Name of this machine").wait_for()
        self.name, self.taps, self.keys = name, 0, 0

    def tap(self, what: Any) -> None:
        what.click()
        self.taps += 1

    def reach(self, what: Any, folded: Any = None) -> Any:
        """Open what is folded under More where that is where it is."""
        more = self.page.locator("details:not([open]) > summary", has_text="More:")
        there = what if folded is None else folded
        if more.count() and there.count() and not there.first.is_visible():
            self.tap(more)
        return what

    def button(self, name: str, **more: Any) -> None:
        button = self.page.get_by_role("button", name=name, exact=True, **more)
        folded = self.page.locator("details button").filter(has_text=re.compile(f"^{name}$"))
        self.tap(self.reach(button, folded))

    def pick(self, label: str, item: str) -> None:
        """Tap the answer where it stands there, else open the list of them."""
        group = self.page.get_by_role("group", name=label, exact=True)
        if group.count():
            self.tap(group.get_by_text(item, exact=True))
            return
        self.tap(self.reach(self.page.get_by_label(f"{label}:")))
        self.tap(self.page.get_by_role("option", name=item).first)

    def type(self, label: str, text: str, *, within: Any = None) -> None:
        keyed(self.reach((within or self.page).get_by_label(label, exact=True)), text)
        self.keys += len(text)

    def sizes(self, low: str, high: str, step: str) -> None:
        self.type("or type them: smallest-largest/step", f"{low}-{high}/{step}")

    def open_card(self, kind: str | None = None, **typed: str) -> None:
        """Save the engine and open a card of that kind."""
        self.type("Name of this machine", self.name)
        self.button("Save and open a card")
        if kind:
            self.pick("Kind of job", kind)
        self.type("Technician", "Nessa")
        for label, text in typed.items():
            self.type(label.replace("_", " "), text)
        self.button("Open the card")
        expect(self.page.locator("header")).to_contain_text(self.name)

    def go(self, stage: str) -> None:
        self.tap(self.page.get_by_role("navigation", name="Stages").get_by_text(stage, exact=True))

    def enter(self, valve: str, text: str) -> None:
        """Type something for a valve; that it is written is seen on the record."""
        entry = self.page.locator("#entry")
        self.page.locator(f"[data-valve='{valve}']").click()
        expect(entry).to_have_attribute("aria-label", f"{self.what} of {valve}")
        keyed(entry, text)
        entry.press("Enter")
        self.keys += len(text) + 1
        expect(entry).to_have_value("")

    what = "Gap"

    @property
    def card(self) -> Any:
        return self.page.request.get("/api/cards/1").json()

    def valve(self, name: str) -> Any:
        return next(one for one in self.card["valves"] if one["valve"] == name)

    def sheet(self) -> str:
        """Go to the sheet and return what it says."""
        self.go("Sign")
        article = self.page.locator("article.sheet")
        expect(article).to_contain_text("Signed")
        return article.inner_text()

    def sign(self, remarks: str = "") -> None:
        self.type("Name", "Nessa")
        if remarks:
            self.type("Remarks", remarks)
        self.button("Sign")
        expect(self.page.get_by_text("signed this card")).to_be_visible()
        print(f"{self.name}: {self.taps} taps, {self.keys} keys")
