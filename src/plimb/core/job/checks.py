"""What is looked at besides the gaps, and what goes on the bill."""

from collections.abc import Mapping
from dataclasses import dataclass
from decimal import Decimal
from enum import StrEnum

from plimb.core.errors import BadValue
from plimb.core.lengths import decimal_in

MOST_LINES = 60


class Pressure(StrEnum):
    """What a compression gauge reads in."""

    BAR = "bar"
    PSI = "psi"
    KPA = "kPa"

    @property
    def most(self) -> int:
        """More than this no engine has; it is a slip or another unit."""
        return {Pressure.BAR: 30, Pressure.PSI: 435, Pressure.KPA: 3000}[self]


@dataclass(frozen=True, slots=True, kw_only=True)
class CylinderCheck:
    """One cylinder's compression, dry and with oil on the piston, and leak-down in per cent."""

    cylinder: int
    dry: str = ""
    wet: str = ""
    leak: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class SideChecks:
    """What was looked at besides the gaps; figures as typed, empty where nobody looked."""

    unit: Pressure = Pressure.BAR
    cylinders: tuple[CylinderCheck, ...] = ()
    plugs: str = ""
    chain: str = ""
    sealing: str = ""
    other: str = ""

    def checked(self) -> "SideChecks":
        """Return the same; BadValue where a figure cannot be read or cannot be."""
        for cylinder in self.cylinders:
            for what in ("dry", "wet", "leak"):
                typed = getattr(cylinder, what)
                field = f"{what}-{cylinder.cylinder}"
                figure = decimal_in(typed, field)
                most = 100 if what == "leak" else self.unit.most
                unit = "%" if what == "leak" else self.unit.value
                if figure is not None and not 0 <= figure <= most:
                    raise BadValue(
                        f"cylinder {cylinder.cylinder}, {what} {typed.strip()} {unit} cannot be: "
                        f"it lies between 0 and {most}.",
                        field=field,
                    )
        return self

    def lines(self) -> tuple[str, ...]:
        """Return what was found, a sentence each."""
        said = []
        for cylinder in self.cylinders:
            figures = [
                f"{what} {typed.strip()} {unit}"
                for what, typed, unit in (
                    ("dry", cylinder.dry, self.unit), ("wet", cylinder.wet, self.unit),
                    ("leak-down", cylinder.leak, "%"),
                )
                if typed.strip()
            ]  # fmt: skip
            if figures:
                said.append(f"cylinder {cylinder.cylinder}: {', '.join(figures)}")
        words = (("plugs", self.plugs), ("chain", self.chain), ("sealing", self.sealing),
                 ("also", self.other))  # fmt: skip
        return (*said, *(f"{name}: {text.strip()}" for name, text in words if text.strip()))


@dataclass(frozen=True, slots=True, kw_only=True)
class BillLine:
    """One line of the bill; the price of one, None where nobody knows it."""

    what: str
    number: str = ""
    count: int = 1
    price: Decimal | None = None

    @property
    def sum(self) -> Decimal | None:
        """The price of all of them."""
        return None if self.price is None else self.price * self.count


@dataclass(frozen=True, slots=True, kw_only=True)
class Bill:
    """What was used, and its sum: of the known prices alone where not `complete`."""

    lines: tuple[BillLine, ...]

    @property
    def sum(self) -> Decimal:
        """What the lines of known price come to."""
        return sum((line.sum for line in self.lines if line.sum is not None), Decimal(0))

    @property
    def complete(self) -> bool:
        """Whether every price is known."""
        return all(line.price is not None for line in self.lines)

    def words(self) -> str:
        """Return the sum in words; a price nobody knows is no price of nothing."""
        if not self.lines:
            return ""
        if self.complete:
            return f"{self.sum:.2f}"
        unknown = ", ".join(line.what for line in self.lines if line.price is None)
        if all(line.price is None for line in self.lines):
            return f"not known: no price is entered for {unknown}"
        return f"{self.sum:.2f} without {unknown}, whose price is not known"


def bill_lines(lines: tuple[BillLine, ...]) -> tuple[BillLine, ...]:
    """Return the lines; BadValue where one says nothing, or a count or price cannot be."""
    if len(lines) > MOST_LINES:
        raise BadValue(f"A bill has at most {MOST_LINES} lines.", field="bill")
    for line in lines:
        if not line.what.strip():
            raise BadValue("Write what was used.", field="what")
        if not 1 <= line.count <= 999:
            raise BadValue(f"{line.what}: so many cannot be; write 1 to 999.", field="count")
        if line.price is not None and not 0 <= line.price <= 100_000:
            raise BadValue(f"{line.what}: that price cannot be.", field="price")
    return lines


def bill_of(shims: Mapping[str, tuple[int, Decimal | None]], written: tuple[BillLine, ...]) -> Bill:
    """Return the bill: first the pieces that were bought, by name with count and price of one."""
    pieces = tuple(
        BillLine(what=what, count=count, price=price) for what, (count, price) in shims.items()
    )
    return Bill(lines=(*pieces, *written))
