"""Reads a lay with another program's library: how many pieces, their area, and by how much they overlap or leave the cloth."""
import json
import sys

import ezdxf
from ezdxf.path import make_path
from shapely.geometry import Polygon

space = ezdxf.readfile(sys.argv[1]).modelspace()


def outlines(layer):
    return [
        Polygon([(at.x, at.y) for at in make_path(line).flattening(0.005)])
        for line in space.query("POLYLINE")
        if line.dxf.layer == layer
    ]


pieces, cloth = outlines("CUT"), outlines("CLOTH")[0]
overlap = sum(
    pieces[n].intersection(other).area
    for n in range(len(pieces))
    for other in pieces[n + 1 :]
)
print(
    json.dumps(
        {
            "pieces": len(pieces),
            "area": sum(piece.area for piece in pieces),
            "overlap": overlap,
            "outside": sum(piece.difference(cloth).area for piece in pieces),
        }
    )
)
