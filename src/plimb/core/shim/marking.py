"""What a shim's marking stands for, by the family's code; all it could be, never a guess."""

from enum import StrEnum

from plimb.core.lengths import NM_PER_THOU, Unit, mm


class Code(StrEnum):
    """How a family's shims are marked."""

    AUTO = "auto"
    HUNDREDTHS = "hundredths"
    THOUSANDTHS = "thousandths"
    ROUNDED = "rounded"


WORN = "?"
"""Stands for a digit that is worn off."""

_HUNDREDTH, _THOUSANDTH = mm("0.01"), mm("0.001")
_ROUNDS_BY = mm("0.005")


def decode(
    marking: str, sizes: tuple[int, ...], code: Code = Code.AUTO, unit: Unit = Unit.MM
) -> tuple[int, ...]:
    """Return every thickness in nanometres that the marking can stand for, thinnest first.

    Args:
        marking: Digits as read, `?` for one that is worn off: `275`, `2975`, `3`, `2?5`, `46`.
        sizes: What the family is made in, thinnest first.
        code: `hundredths` takes 275 for 2.75, `thousandths` 2975 for 2.975, `rounded` 298 for
            the family's size next to 2.98, such as 2.975; `auto` takes what the family allows.
        unit: Of inches a marking is in thousandths, or ten-thousandths: `110` is 0.110 in.
    """
    if unit is Unit.INCH:
        return tuple(
            size for size in sizes if any(_fits(marking, inches) for inches in _inches(size))
        )
    if WORN in marking:
        return tuple(size for size in sizes if any(_fits(marking, face) for face in _faces(size)))
    if code is Code.HUNDREDTHS:
        return (int(marking) * _HUNDREDTH,)
    if code is Code.THOUSANDTHS:
        return (int(marking) * _THOUSANDTH,)
    if len(marking) == 2:
        # 27 is 2.7 and something, or, as graded buckets are stamped, 46 the end of 5.46
        return tuple(
            size
            for size in sizes
            for face in (_faces(size)[0],)
            if face.startswith(marking) or face.endswith(marking)
        )
    literal_nm = int(marking) * mm("1") // 10 ** (len(marking) - 1)
    if literal_nm in sizes and code is Code.AUTO:
        return (literal_nm,)
    near = tuple(size for size in sizes if abs(size - literal_nm) <= _ROUNDS_BY)
    if near:
        return near
    if code is Code.AUTO and len(marking) == 3 and marking[-1] in "38":
        # 298 is 2.98, or a rounded 2.975
        return (literal_nm - _ROUNDS_BY, literal_nm)
    return (literal_nm,)


def _faces(size_nm: int) -> tuple[str, str]:
    """Return how a thickness may be marked: in hundredths, rounded up, and in thousandths."""
    return f"{(size_nm + _ROUNDS_BY) // _HUNDREDTH:03}", f"{size_nm // _THOUSANDTH:04}"


def _inches(size_nm: int) -> tuple[str, str]:
    """Return how a thickness may be marked in thousandths and in ten-thousandths of an inch."""
    tenths = round(size_nm * 10 / NM_PER_THOU)
    return f"{round(size_nm / NM_PER_THOU):03}", f"{tenths:04}"


def _fits(marking: str, face: str) -> bool:
    return len(marking) == len(face) and all(
        seen in (WORN, stamped) for seen, stamped in zip(marking, face, strict=True)
    )
