"""Mend the OpenAPI document where the generator leaves it loose."""

from typing import Any

from apiflask import APIFlask

from plimb.web.wire.read_off import RefusalOut

REFUSALS = ("401", "403", "404", "409", "415", "422", "503")


def init_app(app: APIFlask) -> None:
    """Mend the document each time it is written."""
    app.spec_processor(_mend)


def _mend(document: Any) -> Any:
    """Require bodies, name the one refusal shape, and fold nested models into one each."""
    schemas = document["components"]["schemas"]
    document.pop("servers", None)  # the same document wherever it is served
    schemas.pop("ValidationError", None)
    schemas["RefusalOut"] = RefusalOut.model_json_schema()
    refusal = {"$ref": "#/components/schemas/RefusalOut"}
    for path in document["paths"].values():
        for method, operation in path.items():
            if method == "parameters":
                continue
            if "requestBody" in operation:
                operation["requestBody"]["required"] = True
            responses = {
                status: answer
                for status, answer in operation["responses"].items()
                if status.startswith("2")
            }
            for status in REFUSALS:
                responses[status] = {
                    "description": "Refused",
                    "content": {"application/json": {"schema": refusal}},
                }
            operation["responses"] = responses
    for name in [name for name in schemas if "." in name]:
        schemas.setdefault(name.rpartition(".")[2], schemas[name])
        del schemas[name]
    return _folded(document)


def _folded(node: Any) -> Any:
    """Return the node with every reference to `Parent.Child` pointing to `Child`."""
    if isinstance(node, dict):
        return {
            key: f"#/components/schemas/{value.rpartition('/')[2].rpartition('.')[2]}"
            if key == "$ref"
            else _folded(value)
            for key, value in node.items()
        }
    return [_folded(item) for item in node] if isinstance(node, list) else node
