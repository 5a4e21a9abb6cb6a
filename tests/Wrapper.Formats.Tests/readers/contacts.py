"""Reads vCards with another program's library."""
import json
import sys

import vobject

raw = open(sys.argv[1], "rb").read()
print(
    json.dumps(
        {
            "longest": max(len(line) for line in raw.split(b"\r\n")),
            "cards": [
                {
                    name.lower(): [
                        item.value.street if name == "ADR" else item.value[0] if name == "ORG" else item.value
                        for item in card.contents.get(name.lower(), [])
                    ]
                    for name in ("FN", "ORG", "TEL", "EMAIL", "ADR", "NOTE", "UID", "KIND", "ROLE")
                }
                for card in vobject.readComponents(raw.decode("utf-8"))
            ],
        }
    )
)
