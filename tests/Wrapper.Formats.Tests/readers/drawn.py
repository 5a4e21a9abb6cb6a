"""Draws the outline of a pad 400 x 300 mm with a front that bows out by an arc of 250 mm, as other programs do: in so many ways."""
import sys

import ezdxf

kind, path = sys.argv[1:]
inches = kind.endswith("inches")
s = 1 / 25.4 if inches else 1
drawing = ezdxf.new("R12" if kind == "lines" else "R2010", setup=False)
if kind != "lines":
    drawing.header["$INSUNITS"] = 1 if inches else 4
space = drawing.modelspace()
# The bow below: from (0, 0) to (400, 0), its centre 150 above the chord: radius 250, a sagitta of 100.
if kind == "lines":
    space.add_line((400, 300), (0, 300))
    space.add_line((0, 300), (0, 0))
    space.add_line((400, 0), (400, 300))
    import math

    half = math.degrees(math.asin(200 / 250))
    space.add_arc((200, 150), 250, 270 - half, 270 + half)
    # A hole within it is not its outline.
    space.add_circle((200, 150), 20)
else:
    bulge = 100 / 200
    space.add_lwpolyline(
        [(0, 0, bulge), (400 * s, 0, 0), (400 * s, 300 * s, 0), (0, 300 * s, 0)], format="xyb", close=True
    )
drawing.saveas(path)
