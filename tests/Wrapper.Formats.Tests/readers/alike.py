"""How much a page of a PDF, drawn by poppler, differs from a picture of it: the share of dots that are apart."""

import json
import subprocess
import sys

from PIL import Image, ImageChops

pdf, picture, dpi = sys.argv[1:]
subprocess.run(["pdftoppm", "-gray", "-r", dpi, "-f", "1", "-l", "1", "-singlefile", pdf, picture + "-pdf"], check=True)
drawn = Image.open(picture + "-pdf.pgm").convert("L")
other = Image.open(picture).convert("L").resize(drawn.size)
apart = ImageChops.difference(drawn, other).point(lambda grey: 255 if grey > 128 else 0)
print(json.dumps({"apart": apart.histogram()[255] / (drawn.width * drawn.height)}))
