"""What thicknesses can be had: a family of shims in runs of even steps."""

from dataclasses import dataclass
from decimal import Decimal

from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, mm, parse_length, show_mm
from plimb.core.shim.marking import Code

MIN_SHIM_NM = mm("0.5")
MAX_SHIM_NM = mm("15")
MIN_STEP_NM = mm("0.001")


def check_shim(thickness_nm: int, *, field: str = "shim") -> int:
    """Return the thickness if a shim can be that thick (0.5 to 15 mm, common practice).

    Raises:
        BadValue: It cannot.
    """
    if not MIN_SHIM_NM <= thickness_nm <= MAX_SHIM_NM:
        raise BadValue(
            f"{field} of {show_mm(thickness_nm)} mm is not a shim; shims are "
            f"{show_mm(MIN_SHIM_NM)} to {show_mm(MAX_SHIM_NM)} mm thick.",
            field=field,
        )
    return thickness_nm


@dataclass(frozen=True, slots=True, kw_only=True)
class Run:
    """Thicknesses from one to another by a step, in nanometres, both ends included."""

    from_nm: int
    to_nm: int
    step_nm: int

    def __post_init__(self) -> None:
        check_shim(self.from_nm, field="run")
        check_shim(self.to_nm, field="run")
        if self.step_nm < MIN_STEP_NM:
            raise BadValue(
                f"run has a step of {show_mm(self.step_nm)} mm; a step is at least 0.001 mm.",
                field="run",
            )
        if self.from_nm > self.to_nm:
            raise BadValue(
                "run starts above its end; write the thinnest first, like 1.20-3.50/0.05.",
                field="run",
            )

    def sizes(self) -> range:
        """Return the thicknesses, thinnest first."""
        return range(self.from_nm, self.to_nm + 1, self.step_nm)


Kind = tuple[int | None, tuple[Run, ...], str]
"""What pieces must share to fit one another's place."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Family:
    """Shims that fit one another's place: one outside diameter, one or more runs.

    Without a diameter or a run nothing is known of it, and `apart` is all that tells unknown
    families of one engine from one another. `unit` is what its markings and sizes are in.
    """

    runs: tuple[Run, ...]
    diameter_nm: int | None = None
    price: Decimal | None = None
    code: Code = Code.AUTO
    apart: str = ""
    unit: Unit = Unit.MM

    @property
    def kind(self) -> Kind:
        """What pieces must share to fit one another's place: diameter, and runs where unknown.

        Pieces of one diameter are one family whatever their dealers' runs; where no diameter
        is given the runs are all there is to tell families apart by.
        """
        return (self.diameter_nm, () if self.diameter_nm else self.runs, self.apart)

    @property
    def known(self) -> bool:
        """Whether anybody has said which shims fit."""
        return self.diameter_nm is not None or bool(self.runs)

    def sizes(self) -> tuple[int, ...]:
        """Return every thickness that is made, once each, thinnest first."""
        return tuple(sorted({size for run in self.runs for size in run.sizes()}))


COMMON_KIT = Family(runs=(Run(from_nm=mm("1.20"), to_nm=mm("3.50"), step_nm=mm("0.05")),))
"""A common kit, 1.20 to 3.50 mm by 0.05 (common practice), used where no run is given."""


def parse_run(text: str, unit: Unit) -> Run:
    """Return the run written as `1.20-3.50/0.05`.

    Raises:
        BadValue: It cannot be read, or its ends or step cannot be.
    """
    ends, slash, step = text.replace("–", "-").partition("/")
    low, dash, high = ends.partition("-")
    if not slash or not dash:
        raise BadValue(
            f"run “{text}” cannot be read; write thinnest-thickest/step, like 1.20-3.50/0.05.",
            field="run",
        )
    return Run(
        from_nm=parse_length(low, unit, field="run"),
        to_nm=parse_length(high, unit, field="run"),
        step_nm=parse_length(step, unit, field="run"),
    )
