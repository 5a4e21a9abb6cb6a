"""Reads drawings with another program's library and says what it found: layers, and of each closed outline its area and box, in mm."""
import json
import math
import sys

import ezdxf
from ezdxf.math import bulge_to_arc


def area(points):
    """Area of a closed polyline of (x, y, bulge): its polygon, and a segment of a circle for each bulge."""
    total = 0.0
    for (x1, y1, bulge), (x2, y2, _) in zip(points, points[1:] + points[:1]):
        total += (x1 * y2 - x2 * y1) / 2
        if bulge:
            _, start, end, radius = bulge_to_arc((x1, y1), (x2, y2), bulge)
            sweep = (end - start) % (2 * math.pi)
            total += math.copysign(radius * radius * (sweep - math.sin(sweep)) / 2, bulge)
    return total


def box(points):
    """Its box, with the points where an arc reaches furthest to a side."""
    reached = [(x, y) for x, y, _ in points]
    for (x1, y1, bulge), (x2, y2, _) in zip(points, points[1:] + points[:1]):
        if bulge:
            centre, start, end, radius = bulge_to_arc((x1, y1), (x2, y2), bulge)
            for quarter in range(4):
                angle = quarter * math.pi / 2
                if (angle - start) % (2 * math.pi) <= (end - start) % (2 * math.pi):
                    reached.append((centre[0] + radius * math.cos(angle), centre[1] + radius * math.sin(angle)))
    return [f(at[side] for at in reached) for f in (min, max) for side in (0, 1)]


def read(path):
    document = ezdxf.readfile(path)
    faults = [str(fault) for fault in document.audit().errors]
    space = document.modelspace()
    outlines = []
    for line in space.query("POLYLINE"):
        points = [(v.dxf.location.x, v.dxf.location.y, v.dxf.bulge if v.dxf.hasattr("bulge") else 0) for v in line.vertices]
        outlines.append(
            {
                "layer": line.dxf.layer,
                "closed": line.is_closed,
                "arcs": sum(1 for point in points if point[2]),
                "area": area(points),
                "box": box(points),
            }
        )
    return {
        "version": document.dxfversion,
        "faults": faults,
        "layers": sorted(layer.dxf.name for layer in document.layers),
        "outlines": outlines,
        "lines": [line.dxf.layer for line in space.query("LINE")],
        "texts": [text.dxf.text for text in space.query("TEXT")],
    }


print(json.dumps([read(path) for path in sys.argv[1:]]))
