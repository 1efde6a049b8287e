"""One after the other, in the order in which they came."""

from threading import Condition
from types import TracebackType


class Turns:
    """A lock that is given in the order in which it was asked for: nobody is passed over."""

    def __init__(self) -> None:
        self._changed, self._drawn, self._served = Condition(), 0, 0

    def __enter__(self) -> None:
        with self._changed:
            mine = self._drawn
            self._drawn += 1
            self._changed.wait_for(lambda: self._served == mine)

    def __exit__(
        self,
        kind: type[BaseException] | None,
        error: BaseException | None,
        trace: TracebackType | None,
    ) -> None:
        with self._changed:
            self._served += 1
            self._changed.notify_all()
