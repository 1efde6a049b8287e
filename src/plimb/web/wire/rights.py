"""Who may ask for what, said at the address itself: owners, whoever works here, or anybody."""

from collections.abc import Callable
from typing import Any, TypeVar

from flask import current_app, request

from plimb.record.people import PersonRole

View = TypeVar("View", bound=Callable[..., Any])


def only(role: PersonRole) -> Callable[[View], View]:
    """Let only people of a role do what a view does; where nobody is set up, anybody may."""

    def mark(view: View) -> View:
        view.may = role  # type: ignore[attr-defined]
        return view

    return mark


owners_only = only(PersonRole.OWNER)


def before_who(view: View) -> View:
    """Answer a view before anybody has said who they are."""
    view.before_who = True  # type: ignore[attr-defined]
    return view


def said_of(name: str) -> Any:
    """Return what is said at the address of the view that is asked for, None where nothing is."""
    return getattr(current_app.view_functions.get(request.endpoint or ""), name, None)
