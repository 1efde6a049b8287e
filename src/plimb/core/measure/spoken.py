"""Readings as they are said aloud, by the dictation of a phone: `thirteen to fifteen`.

What is said becomes the shorthand that would have been typed; what is not understood is left as
it is, for the shorthand to refuse with its own words.
"""

import re
from collections.abc import Sequence

_TEENS = (
    "zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen"
)
_MORE = "sixteen seventeen eighteen nineteen"
_NUMBERS = [*_TEENS.split(" "), *_MORE.split(" ")]
_ONES = {word: number for number, word in enumerate(_NUMBERS)} | {"oh": 0, "nought": 0}
_TENS = {
    word: 10 * number
    for number, word in enumerate(
        ("twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"), 2
    )
}
_SIGNS = {
    "-": ("to", "until"),
    "+": ("plus",),
    "=": ("call", "called"),
    "l": ("loose", "loosely", "free", "freely"),
    "t": ("tight", "tightly"),
    "z": ("nothing", "none"),
    "r": ("refuses", "refused", "not", "doesn", "stops"),
    "?": ("about", "around", "roughly", "maybe", "guess"),
    "p": ("goes", "and", "but", "then"),
    "": ("a", "the", "it", "is", "at", "with", "light", "drag", "drags", "blade", "go", "does",
         "between", "gap", "mm", "thou", "hundredths", "t"),
}  # fmt: skip
"""What a word says: a sign of the shorthand, that nothing goes (z) or one refuses (r), that another
blade follows (p), or nothing at all."""

_SIGN_OF = {word: sign for sign, words in _SIGNS.items() for word in words}
_TOKEN = re.compile(r"\d*[.,]?\d+|[a-z]+|[+=]")
_SAID = re.compile(r"[a-z]{3,}|\bto\b")
_ONE = r"[\d.,]+(?:\+[\d.,]+)?"
_NONE = re.compile(rf"z?p?(?P<refuses>{_ONE})?p?(?P<no>r?)")
_READ = re.compile(
    rf"(?P<goes>{_ONE})(?P<feel>[lt]?)(?:(?:-|p+)(?P<refuses>{_ONE})p?r?)?p?(?:=(?P<called>[\d.,]+))?p?"
)


def as_typed(said: str) -> str:
    """Return the shorthand of what was said; anything that is none of it comes back unchanged."""
    words = said.lower().replace("’", " ").replace("'", " ").replace("-", " ")
    if not _SAID.search(words) or "<" in words:
        return said
    tokens = _TOKEN.findall(words)
    signs = "".join(_signs(tokens))
    guess, signs = "?" if "?" in signs else "", signs.replace("?", "")
    none, read = _NONE.fullmatch(signs), _READ.fullmatch(signs)
    if none and (signs[0] == "z" or (none["no"] and none["refuses"])):
        return f"-{none['refuses']}{guess}" if none["refuses"] else f"x{guess}"
    if read is None:
        return said
    typed = f"{read['goes']}{read['feel']}"
    typed += f"-{read['refuses']}" if read["refuses"] else ""
    return f"{typed}{'=' + read['called'] if read['called'] else ''}{guess}"


def _signs(tokens: Sequence[str]) -> list[str]:
    """Return each word's sign, numbers in figures; a word that is neither stays, and is refused."""
    found: list[str] = []
    point = False
    for at, token in enumerate(tokens):
        before = tokens[at - 1] if at else ""
        if token == "point":
            point = True
            whole = found.pop() if found and found[-1].isdigit() else ""
            found.append(f"{whole}.")
        elif token in _ONES and point:
            found[-1] += str(_ONES[token])
        elif token in _ONES and before in _TENS and 0 < _ONES[token] < 10:
            found[-1] = str(_TENS[before] + _ONES[token])
        else:
            point = False
            number = {**_ONES, **_TENS}.get(token)
            figure = token if number is None else str(number)
            # two numbers with nothing between them are not read as one
            parted = " " if figure[0].isdigit() and found and found[-1][-1:].isdigit() else ""
            found.append(parted + _SIGN_OF.get(figure, figure))
    return found
