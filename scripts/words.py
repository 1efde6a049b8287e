"""Collect every text that people read, and fail where one is not in plain words.

Texts are read off the sources: what stands in the pages and in their labels, what the sentences
of the rules are made of, the lists, the handbook. `docs/words.md` says what is asked of them.

make words
"""

import ast
import re
import sys
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

ROOT = Path(__file__).parent.parent
MOST_WORDS = 20
"""A sentence has no more words than this."""

STILL_LONG = 5
"""So many sentences are longer still; the number only falls."""

HARD = (
    "what the shop calls it", "set to, if printed", "nobody has said", "its counter counts",
    "by that counter", "nothing is bought", "who does the work", "why now",
     "to see to", "all seen to", "not seen to", "strip tray",
    "proof one", "proof two", "from being lifted", "ask me", "settles the verdict soonest",
    "as it reads, it stays shut", "open it too", "shows empty", "zero checked",
    "nothing waits here", "all done here", "nothing does better", "the same moves",
    "touch least", "for now, then again", "after the pieces for now", "nobody needs it now",
    "must measure", "go round again", "as left", "opens up", "wears far faster",
    "to have what is wanted", "a hand feels", "sure enough from", "tell the truth afterwards",
    "tells the truth afterwards", "not settled", "how far off is still right",
    "close-rest", "instrument id", "piece", "pieces", "the maker", "maker's", "maker’s",
    "first stop", "the stops", "to its stop", "a stop of",
)  # fmt: skip
"""Phrases that are riddles to somebody who is tired: docs/words.md has a better one for each."""

ALONE = ("write it", "note it", "all done")
"""A button does not say just this."""

_TAG = re.compile(r"<[^<>]*>")
_LABEL = re.compile(r'\b(?:label|title|says|help|placeholder|aria-label|note)="([^"{}]*)"')
_CODE = re.compile(r"<(script|style)\b.*?</\1>|<!--.*?-->", re.DOTALL)
_CLASS = re.compile(r'\b(?:class|look|input|style:[\w-]+|d|transform)=(?:"[^"]*"|\{[^{}]*\})')
_BRACES = re.compile(r"\{[^{}]*\}")
_QUOTED = re.compile(r'"([^"\\\n]{3,})"|`([^`\\]{3,})`')
_KEYS = re.compile(r"[-:]\[|\bflex\b|\bgrid\b|\btext-|^[a-z0-9-]+(?:[ :/][a-z0-9:/.-]+)*$")
"""Classes, keys and paths are nothing said."""
_END = re.compile(r"(?<=[.!?:;])\s+(?=[A-Z“])|\n")


@dataclass(frozen=True, slots=True)
class Said:
    """A text, and where it stands."""

    where: str
    text: str


def _prose(text: str) -> bool:
    """Return whether that is something said, and no key, class or path."""
    words = text.split()
    if len(words) < 2 or not re.search(r"[a-z]{2}", text):
        return False
    return not re.search(
        r"[-:]\[|\bflex\b|\bgrid\b|\btext-|^[a-z0-9-]+(?:[ :/][a-z0-9:/.-]+)*$", text
    )


def _of_page(path: Path) -> Iterator[str]:
    """Give the texts of a page: what stands between its tags, its labels, what its script says."""
    source = path.read_text()
    for match in _LABEL.finditer(source):
        yield match[1]
    for script in re.findall(r"<script\b.*?</script>", source, re.DOTALL):
        code = re.sub(r"/\*.*?\*/|//[^\n]*", "", script, flags=re.DOTALL)
        for match in _QUOTED.finditer(code):
            yield re.sub(r"\$\{[^}]*\}", "…", match[1] or match[2])
    body = _CODE.sub("", source)
    for inside in _BRACES.findall(_CLASS.sub("", body)):
        for match in _QUOTED.finditer(inside):
            yield re.sub(r"\$\{[^}]*\}", "…", match[1] or match[2])
    while (less := _BRACES.sub(" ", body)) != body:
        body = less
    for text in _TAG.split(body):
        yield " ".join(text.split())


def _of_module(path: Path) -> Iterator[str]:
    """Give the texts of a module: its strings and the parts of those that are filled in."""
    tree = ast.parse(path.read_text())
    docs = {
        id(node.body[0].value)
        for node in ast.walk(tree)
        if isinstance(node, (ast.Module, ast.ClassDef, ast.FunctionDef)) and node.body
        and isinstance(node.body[0], ast.Expr)
    }  # fmt: skip
    alone = {id(node.value) for node in ast.walk(tree) if isinstance(node, ast.Expr)}
    inside = {
        id(part) for node in ast.walk(tree) if isinstance(node, ast.JoinedStr)
        for part in node.values
    }  # fmt: skip
    for node in ast.walk(tree):
        if id(node) in docs or id(node) in alone:
            continue
        if (
            isinstance(node, ast.Constant)
            and isinstance(node.value, str)
            and id(node) not in inside
        ):
            yield node.value
        if isinstance(node, ast.JoinedStr):
            yield "".join(
                str(part.value) if isinstance(part, ast.Constant) else "…" for part in node.values
            )


def _of_handbook(path: Path) -> Iterator[str]:
    for part in path.read_text().split("\n\n"):
        if not part.startswith(("|", "```", "    ")):
            for item in re.split(r"\n(?=[-*] |\d+\. )", part):
                yield " ".join(item.split())


def said() -> list[Said]:
    """Return every text, each once a place."""
    pages = [*(ROOT / "frontend/src").rglob("*.svelte")]
    modules = [
        path
        for path in (ROOT / "src/plimb").rglob("*.py")
        if "migrations" not in path.parts and path.parts[-2] not in ("record", "tables", "wire")
    ]
    found: dict[Said, None] = {}
    for paths, read in (
        (pages, _of_page),
        (modules, _of_module),
        ([*(ROOT / "docs/handbook").glob("*.md")], _of_handbook),
    ):
        for path in paths:
            where = str(path.relative_to(ROOT))
            found |= {Said(where, text): None for text in read(path) if _prose(text)}
    return list(found)


def sentences(text: str) -> list[str]:
    """Return the sentences of a text."""
    plain = re.sub(r"[*`]|\]\([^)]*\)|\[", "", text)
    return [one.strip() for one in _END.split(plain) if one.strip()]


def hard(texts: list[Said]) -> list[str]:
    """Return where a phrase stands that has a plainer one."""
    return [
        f"{one.where}: “{phrase}” in “{one.text[:80]}”"
        for one in texts
        for phrase in HARD
        if re.search(rf"(?<![\w-]){re.escape(phrase)}(?![\w-])", one.text.lower())
    ] + [f"{one.where}: “{one.text}” alone" for one in texts if one.text.lower() in ALONE]


def long(texts: list[Said]) -> list[tuple[int, str, str]]:
    """Return the sentences of too many words, the longest first."""
    found = {
        (len(sentence.split()), one.where, sentence)
        for one in texts
        for sentence in sentences(one.text)
    }
    return sorted((one for one in found if one[0] > MOST_WORDS), reverse=True)


def main() -> int:
    """Print how many texts there are and what is wrong with them."""
    texts = said()
    phrases, longer = hard(texts), long(texts)
    longest = longer[0][0] if longer else MOST_WORDS
    print(f"{len(texts)} texts; longest sentence {longest} words; {len(phrases)} hard phrases; "
          f"{len(longer)} sentences over {MOST_WORDS} words")  # fmt: skip
    for line in phrases:
        print(line)
    if "--long" in sys.argv:
        for count, where, sentence in longer:
            print(f"{count} {where}: {sentence}")
    return int(bool(phrases) or len(longer) > STILL_LONG)


if __name__ == "__main__":
    sys.exit(main())
