"""What is noted of a reading besides the gap itself."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True, kw_only=True)
class ReadingAbout:
    """How a gap was felt; a field that says nothing is as usual, and stands in no file.

    `blade_set` is the name of the set it was felt with.
    """

    blade_set: str = ""


USUAL = ReadingAbout()
