"""Says where on a picture something is drawn, in pixels."""
import json
import sys

from PIL import Image, ImageChops

picture = Image.open(sys.argv[1]).convert("RGBA")
ground = Image.new("RGBA", picture.size, "white")
drawn = Image.alpha_composite(ground, picture).convert("L")
left, top, right, bottom = ImageChops.invert(drawn).point(lambda light: 255 if light > 80 else 0).getbbox()
print(json.dumps({"left": left, "top": top, "width": right - left, "height": bottom - top}))
