"""What is noted of a reading besides the gap itself."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True, kw_only=True)
class ReadingAbout:
    """How a gap was felt; a field that says nothing is as usual, and stands in no file.

    `blade_set` is the name of the set it was felt with; `stacks_measured` says that every stack
    in it had been measured together, so that no oil is to be reckoned between its blades.
    """

    blade_set: str = ""
    stacks_measured: bool = False


USUAL = ReadingAbout()
