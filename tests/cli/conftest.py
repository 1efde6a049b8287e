"""The command line as tests call it."""

from typing import Any

import pytest
from click.testing import CliRunner

from plimb.cli.root import main


@pytest.fixture
def plimb() -> Any:
    """Return a function that runs a command with these words."""
    return lambda *words: CliRunner().invoke(main, words)
