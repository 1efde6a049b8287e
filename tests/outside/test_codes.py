"""What a code costs whoever tries them all."""

from typing import Any


def test_a_code_is_hashed_as_is_recommended(cheap_codes: Any) -> None:
    """RFC 9106, section 4, second recommended option: argon2id, t = 3, 64 MiB, four lanes."""
    usual = cheap_codes()
    cost = (usual.time_cost, usual.memory_cost, usual.parallelism, usual.type.name)
    assert cost == (3, 64 * 1024, 4, "ID")
