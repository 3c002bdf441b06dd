#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Draws the sample art of the Wrenfold Plots and packs the sample job. Run it after changing the drawing:

    python3 samples/make_samples.py

The letters are drawn here too, from bars, diagonals and ring pieces, so that nothing depends on a font.
"""
import json
import math
import struct
import zipfile
import zlib
from pathlib import Path

HERE = Path(__file__).parent
WIDTH, HEIGHT = 155.0, 102.0  # mm


def number(value):
    text = f"{value:.3f}".rstrip("0").rstrip(".")
    return "0" if text == "-0" else text


class Pen:
    """Collects the outline of one sign in its own coordinates (Y up) and places it on the page (Y down)."""

    def __init__(self, x, baseline, scale):
        self.x, self.baseline, self.scale, self.parts = x, baseline, scale, []

    def place(self, x, y):
        return f"{number(self.x + x * self.scale)} {number(self.baseline - y * self.scale)}"

    def polygon(self, *points):
        area = sum(a[0] * b[1] - b[0] * a[1] for a, b in zip(points, points[1:] + points[:1]))
        if area < 0:
            points = points[::-1]
        self.parts.append("M" + " L".join(self.place(*p) for p in points) + " Z")

    def bar(self, x, y, width, height):
        self.polygon((x, y), (x + width, y), (x + width, y + height), (x, y + height))

    def ring(self, cx, cy, outer, inner, start, end, stretch=1.0):
        """Piece of a ring from start to end in degrees, counter-clockwise."""

        def at(radius, degrees):
            a = math.radians(degrees)
            return cx + radius * math.cos(a) * stretch, cy + radius * math.sin(a)

        def arc(radius, to, sweep):
            rx, ry = number(radius * self.scale * stretch), number(radius * self.scale)
            large = 1 if end - start > 180 else 0
            return f"A{rx} {ry} 0 {large} {sweep} {self.place(*at(radius, to))}"

        if end - start >= 360:
            self.ring(cx, cy, outer, inner, start, start + 180, stretch)
            self.ring(cx, cy, outer, inner, start + 180, start + 360, stretch)
            return
        self.parts.append(
            f"M{self.place(*at(outer, start))} {arc(outer, end, 0)} L{self.place(*at(inner, end))} {arc(inner, start, 1)} Z")

    def path(self):
        return " ".join(self.parts)


T = 1.7  # stroke of the letters, which are 10 high


def letter(pen, sign):
    """Draws one sign and returns how wide it is."""
    if sign == "W":
        for left in (0.0, 5.2):
            pen.polygon((left, 10), (left + T, 10), (left + 3.55, 0), (left + 1.85, 0))
            pen.polygon((left + 1.85, 0), (left + 3.55, 0), (left + 5.2 + T * 0.2, 10), (left + 5.2 - T * 0.6, 10))
        return 10.9
    if sign == "E" or sign == "F":
        pen.bar(0, 0, T, 10)
        pen.bar(0, 10 - T, 5.8, T)
        pen.bar(0, 5 - T / 2, 5.0, T)
        if sign == "E":
            pen.bar(0, 0, 5.8, T)
        return 5.8
    if sign == "N":
        pen.bar(0, 0, T, 10)
        pen.bar(5.4, 0, T, 10)
        pen.polygon((0, 10), (T, 10), (5.4 + T, 0), (5.4, 0))
        return 5.4 + T
    if sign == "O":
        pen.ring(4.4, 5, 5, 5 - T, 0, 360, 0.88)
        return 8.8
    if sign == "L":
        pen.bar(0, 0, T, 10)
        pen.bar(0, 0, 5.4, T)
        return 5.4
    if sign == "D":
        pen.bar(0, 0, T, 10)
        pen.bar(0, 0, 2.6, T)
        pen.bar(0, 10 - T, 2.6, T)
        pen.ring(2.6, 5, 5, 5 - T, -90, 90)
        return 7.6
    if sign in "PR":
        pen.bar(0, 0, T, 10)
        pen.bar(0, 10 - T, 3.4, T)
        pen.bar(0, 4.2, 3.4, T)
        pen.ring(3.4, 7.1, 2.9, 2.9 - T, -90, 90)
        if sign == "R":
            pen.polygon((2.3, 4.8), (4.2, 4.8), (6.8, 0), (4.8, 0))
        return 6.8 if sign == "R" else 6.3
    if sign == "T":
        pen.bar(2.5, 0, T, 10)
        pen.bar(0, 10 - T, 6.7, T)
        return 6.7
    if sign == "S":
        r = (10 + T) / 4
        pen.ring(r, 10 - r, r, r - T, 35, 270)
        pen.ring(r, r, r, r - T, -145, 90)
        return 2 * r
    if sign == "2":
        pen.ring(3.2, 6.8, 3.2, 3.2 - T, 0, 170)
        pen.polygon((6.4, 6.8), (6.4 - T, 6.8), (0.2, T), (0.2, 0), (2.1, 0))
        pen.bar(0.2, 0, 6.2, T)
        return 6.4
    if sign == "7":
        pen.bar(0, 10 - T, 6.4, T)
        pen.polygon((4.4, 10 - T), (6.4, 10 - T), (6.4, 9.4), (2.9, 0), (1.0, 0))
        return 6.4
    return 3.2  # a space


def line_of_text(text, x, baseline, height, gap):
    """One path a letter, and the width of the line in mm."""
    paths, scale, start = [], height / 10, x
    for sign in text:
        pen = Pen(x, baseline, scale)
        x += letter(pen, sign) * scale + gap
        if pen.parts:
            paths.append(pen.path())
    return paths, x - gap - start


def centred_text(text, centre, baseline, height, gap):
    _, width = line_of_text(text, 0, baseline, height, gap)
    return line_of_text(text, centre - width / 2, baseline, height, gap)[0]


def leaf(cx, cy, width, height):
    """Two halves of a leaf with a bare midrib between them."""
    gap = 0.5
    top, bottom = cy - height / 2, cy + height / 2
    halves = []
    for side in (-1, 1):
        x = cx + side * gap
        far = cx + side * width * 0.66
        halves.append(f"M{number(x)} {number(top)} C{number(far)} {number(top + height * 0.27)} "
                      f"{number(far)} {number(bottom - height * 0.27)} {number(x)} {number(bottom)} Z")
    return halves


def plate():
    fills = leaf(33, 44, 25, 41)
    fills += line_of_text("27", 72.5, 64.5, 36, 3.4)[0]
    fills += centred_text("WRENFOLD PLOTS", WIDTH / 2, 86.5, 8.4, 2.2)
    paths = "\n".join(f'    <path d="{d}"/>' for d in fills)
    return f"""<?xml version="1.0" encoding="UTF-8"?>
<!-- Wrenfold Plots: plot number plate, 155 x 102 mm. Drawn by samples/make_samples.py -->
<svg xmlns="http://www.w3.org/2000/svg" width="155mm" height="102mm" viewBox="0 0 155 102">
  <g fill="none" stroke="#d81b60" stroke-width="0.2">
    <rect x="0.5" y="0.5" width="154" height="101" rx="12"/>
    <circle cx="14" cy="14" r="4"/>
    <circle cx="141" cy="14" r="4"/>
  </g>
  <rect x="7" y="7" width="141" height="88" rx="8" fill="none" stroke="#1565c0" stroke-width="0.2"/>
  <g fill="#000000">
{paths}
  </g>
</svg>
"""


def job(svg):
    corner, size, angle = (72.0, 38.0), (214.0, 182.0), 0.02
    middle = (corner[0] + size[0] / 2 * math.cos(angle) - size[1] / 2 * math.sin(angle),
              corner[1] + size[0] / 2 * math.sin(angle) + size[1] / 2 * math.cos(angle))
    place = [1, 0, 0, 1, round(middle[0] - WIDTH / 2, 2), round(middle[1] - HEIGHT / 2, 2)]

    def step(number_, kind, power, speed, passes, air, inks):
        return {"id": number_, "kind": kind, "power": power, "speed": speed, "passes": passes, "air": air,
                "line_pitch_mm": 0.1, "inks": inks}

    return {
        "format": "chalkline-job", "version": 7, "last_id": 4,
        "motifs": [{"id": 1, "name": "plate.svg", "source": "sources/1-plate.svg", "place": place}],
        "steps": [step(2, "engrave", 70, 3200, 1, True, ["#000000:fill"]),
                  step(3, "score", 35, 2400, 1, False, ["#1565c0:line"]),
                  step(4, "cut", 100, 240, 2, True, ["#d81b60:line"])],
        "left_out": [],
        "stock": {"material": "Birch ply", "thickness_mm": 4, "corner_mm": corner, "size_mm": size, "angle_rad": angle},
    }


CUP, BAND = 80.0, 26.0  # mm: diameter of the seed cup, height of the band round it
TURN = math.pi * CUP


def band():
    """Once round the cup: two rings, and three times the name between leaves."""
    fills = []
    for i in range(3):
        fills += centred_text("WRENFOLD PLOTS", TURN * (i + 0.5) / 3 + 4, 16, 5.8, 1.4)
        fills += leaf(TURN * i / 3 + 5, 13, 7, 12)
    paths = "\n".join(f'    <path d="{d}"/>' for d in fills)
    return f"""<?xml version="1.0" encoding="UTF-8"?>
<!-- Wrenfold Plots: band once round a cup of 80 mm. Drawn by samples/make_samples.py -->
<svg xmlns="http://www.w3.org/2000/svg" width="{number(TURN)}mm" height="{number(BAND)}mm" viewBox="0 0 {number(TURN)} {number(BAND)}">
  <g fill="none" stroke="#1565c0" stroke-width="0.2">
    <path d="M0 1 H{number(TURN)}"/>
    <path d="M0 {number(BAND - 1)} H{number(TURN)}"/>
  </g>
  <g fill="#000000">
{paths}
  </g>
</svg>
"""


def key_tag():
    """One tag of the keys to the plots: letters to engrave, a border to score, an outline and a hole to cut."""
    fills = centred_text("PLOT", 28, 9.2, 4.2, 1.2) + line_of_text("27", 24.2, 18.2, 7, 0.9)[0]
    paths = "\n".join(f'    <path d="{d}"/>' for d in fills)
    return f"""<?xml version="1.0" encoding="UTF-8"?>
<!-- Wrenfold Plots: key tag, 48 x 22 mm. Drawn by samples/make_samples.py -->
<svg xmlns="http://www.w3.org/2000/svg" width="48mm" height="22mm" viewBox="0 0 48 22">
  <g fill="none" stroke="#d81b60" stroke-width="0.2">
    <rect x="0.5" y="0.5" width="47" height="21" rx="8"/>
    <circle cx="8" cy="11" r="2.6"/>
  </g>
  <rect x="13" y="2.5" width="31" height="17" rx="5" fill="none" stroke="#1565c0" stroke-width="0.2"/>
  <g fill="#000000">
{paths}
  </g>
</svg>
"""


def packet():
    """The front of a seed packet: white on dark, shadows and a soft sky, for material that shows shades."""
    name = "\n".join(f'    <path d="{d}"/>' for d in centred_text("WRENFOLD", 35, 91, 6.4, 1.2))
    kind = "\n".join(f'    <path d="{d}"/>' for d in centred_text("SORREL", 35, 17.5, 5.2, 1.4))
    leaves = "\n".join(f'    <path d="{d}"/>' for cx, cy, w, h in ((27, 62, 9, 16), (44, 66, 7, 12), (35, 50, 6, 10))
                       for d in leaf(cx, cy, w, h))
    return f"""<?xml version="1.0" encoding="UTF-8"?>
<!-- Wrenfold Plots: front of a seed packet, 70 x 100 mm. Drawn by samples/make_samples.py -->
<svg xmlns="http://www.w3.org/2000/svg" width="70mm" height="100mm" viewBox="0 0 70 100">
  <defs>
    <linearGradient id="sky" x1="0" y1="0" x2="0" y2="1">
      <stop offset="0" stop-color="#4a6fa5"/>
      <stop offset="1" stop-color="#4a6fa5" stop-opacity="0"/>
    </linearGradient>
  </defs>
  <rect x="1" y="1" width="68" height="98" rx="4" fill="#33291f"/>
  <rect x="5" y="5" width="60" height="74" rx="2" fill="#ffffff"/>
  <rect x="5" y="5" width="60" height="40" rx="2" fill="url(#sky)"/>
  <circle cx="51" cy="30" r="7" fill="#e8c15a"/>
  <path d="M5 58 C18 44 30 46 40 55 C48 50 58 48 65 52 V77 A2 2 0 0 1 63 79 H7 A2 2 0 0 1 5 77 Z" fill="#7d9a4e"/>
  <path d="M5 68 C20 60 34 62 46 70 C54 66 60 66 65 67 V77 A2 2 0 0 1 63 79 H7 A2 2 0 0 1 5 77 Z" fill="#4f6b32"/>
  <g opacity="0.35">
    <ellipse cx="29" cy="72" rx="10" ry="2.2"/>
    <ellipse cx="44" cy="73.5" rx="8" ry="1.8"/>
  </g>
  <g fill="#ffffff">
{leaves}
  </g>
  <g fill="#ffffff" opacity="0.6">
    <ellipse cx="20" cy="27" rx="9" ry="3.2"/>
    <ellipse cx="27" cy="29" rx="8" ry="2.8"/>
  </g>
  <g fill="#33291f">
{kind}
  </g>
  <g fill="#ffffff">
{name}
  </g>
  <rect x="0.5" y="0.5" width="69" height="99" rx="4.5" fill="none" stroke="#d81b60" stroke-width="0.2"/>
</svg>
"""


def cup_job(svg):
    """The seed cup in the rotary, its foot in the chuck: up is along the piece, right is round it."""
    def step(number_, kind, power, speed, inks):
        return {"id": number_, "kind": kind, "power": power, "speed": speed, "passes": 1, "air": False,
                "line_pitch_mm": 0.1, "inks": inks}

    return {
        "format": "chalkline-job", "version": 7, "last_id": 3,
        "motifs": [{"id": 1, "name": "cup-band.svg", "source": "sources/1-cup-band.svg",
                    "place": [0, -1, 1, 0, 45, round(TURN, 3)]}],
        "steps": [step(2, "engrave", 60, 3000, ["#000000:fill"]), step(3, "score", 30, 2000, ["#1565c0:line"])],
        "left_out": [],
        "stock": {"material": "Lime wood", "thickness_mm": 4, "corner_mm": [12, 0],
                  "size_mm": [82, round(TURN, 6)], "angle_rad": 0, "margin_mm": 0, "form": "round",
                  "round": {"diameter_mm": [CUP, CUP], "length_mm": 100, "taken_mm": [12, 6, 0]}},
    }


def pears():
    """Two pears on a sill for the slate row marker, lit from the upper left: from deep shade to highlight, and flat
    enough in between to need work. Rows of greys, 10 pixels a millimetre, 60 x 40 mm."""
    width, height = 600, 400
    sill = 300  # where the wall ends
    fruits = ((212, 236, 84), (398, 252, 70))  # middle of the belly, its radius

    def half_width(v, size):
        """Half the width of a pear at a height over its belly's middle, in sizes: a round belly and a slim neck."""
        up = -v / size
        if up < -1 or up > 2.05:
            return 0.0
        belly = math.sqrt(max(0.0, 1 - min(up, 1.0) ** 2)) if up < 0.35 else 0.0
        t = (up - 0.35) / 1.7
        return belly if up < 0.35 else (0.937 - 0.57 * t) * math.sqrt(max(0.0, 1 - max(0.0, (t - 0.55) / 0.45) ** 2))

    def pear(x, y, cx, cy, size):
        """Brightness of the skin, or None beside it."""
        wide = half_width(y - cy, size) * size
        if wide <= 0 or abs(x - cx) >= wide:
            return None
        across, up = (x - cx) / wide, -(y - cy) / size
        facing = math.sqrt(max(0.0, 1 - across * across))
        light = max(0.0, -0.62 * across + 0.45 * min(max(up, -1), 1) * 0.7 + 0.62 * facing)
        shine = math.exp(-(((across + 0.42) / 0.16) ** 2 + ((up - 0.32) / 0.2) ** 2))
        freckle = 10 * math.sin(x * 1.7 + 3 * math.sin(y * 0.9)) * math.sin(y * 1.3 + 2 * math.sin(x * 0.7))
        bounce = 26 * max(0.0, across - 0.55) * max(0.0, -up + 0.4)
        return 18 + 150 * light ** 1.25 + 85 * shine + freckle * light * 0.5 + bounce

    def ground(x, y):
        """Wall with a window's light on it, or the sill with its shadows."""
        if y < sill:
            window = 1 / (1 + math.exp((x + 0.55 * y - 470) / 55))
            bar = 0.82 if abs(x + 0.55 * y - 250) < 9 else 1.0
            return 62 + 118 * window * bar - 0.05 * x
        depth = (y - sill) / (height - sill)
        board = 118 - 46 * depth + 5 * math.sin(y * 0.9 + 2 * math.sin(x * 0.011)) - 0.04 * x
        for cx, cy, size in fruits:
            foot = cy + size - 8
            across, down = (x - cx - 0.75 * size) / (1.5 * size), (y - foot) / 30
            board *= 1 - 0.78 * math.exp(-(across * across * 2 + down * down))
        return board - (34 if y < sill + 3 else 0)

    def tone(x, y):
        value = ground(x, y)
        for cx, cy, size in fruits:
            stem = cx + 0.1 * (cy - 2 * size - y) + 3
            if abs(x - stem) < 4.5 and cy - 2.45 * size < y < cy - 1.95 * size:
                value = 26 if x > stem - 1 else 58
            skin = pear(x, y, cx, cy, size)
            value = value if skin is None else skin
        return int(min(max(value, 4), 252))

    return [bytes(tone(x + 0.5, y + 0.5) for x in range(width)) for y in range(height)]


def ink_of(lines):
    """How Chalkline names a grey picture: FNV-1a over its size and pixels."""
    value = 2166136261
    sides = struct.pack("<II", len(lines[0]), len(lines))
    for byte in sides + bytes(grey for line in lines for grey in line for _ in range(3)):
        value = (value ^ byte) * 16777619 & 0xFFFFFFFF
    return f"picture:{value:08x}"


def png(lines):
    """A grey PNG of 10 pixels a millimetre."""
    width, height = len(lines[0]), len(lines)
    rows = b"".join(b"\0" + line for line in lines)

    def chunk(kind, data):
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))

    return (b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", struct.pack(">IIBBBBB", width, height, 8, 0, 0, 0, 0))
            + chunk(b"pHYs", struct.pack(">IIB", 10000, 10000, 1)) + chunk(b"IDAT", zlib.compress(rows, 9))
            + chunk(b"IEND", b""))


def slate_job(ink):
    """The row marker of plot 27: the pears on slate, which burns light. Two ways of preparing them are kept: hard, which
    clogs the lights and leaves the shade bald, and as it is burned, with dots everywhere."""
    before = {"name": "hard", "prepare": {}, "tone": {"contrast": 42, "brightness": 6},
              "step": slate_step({"method": "floyd-steinberg", "burns_light": True})}
    tone = {"sharpen": 0.8, "sharpen_radius_mm": 0.4, "curve": [[0, 0.24], [0.3, 0.47], [0.7, 0.85], [1, 0.97]]}
    prepare = {"local_contrast": 0.25, "crop": [0.03, 0.04, 0.97, 0.97]}
    picture = {"method": "jarvis", "burns_light": True}
    step = slate_step(picture)
    after = {"name": "for slate", "prepare": prepare, "tone": tone, "step": step}
    return {
        "format": "chalkline-job", "version": 7, "last_id": 2,
        "motifs": [{"id": 1, "name": "pears.png", "source": "sources/1-pears.png",
                    "place": [1.5, 0, 0, 1.5, 155, 120], "prepare": prepare, "tone": tone,
                    "variants": [before, after]}],
        "steps": [{"id": 2, **step, "inks": [ink]}],
        "left_out": [],
        "stock": {"material": "Slate", "thickness_mm": 5, "corner_mm": [145, 110], "size_mm": [110, 80], "angle_rad": 0},
    }


def slate_step(picture):
    return {"kind": "picture", "power": 55, "speed": 3000, "passes": 1, "air": False, "line_pitch_mm": 0.15,
            "picture": picture}


def pack(name, job_, source, content):
    with zipfile.ZipFile(HERE / name, "w", zipfile.ZIP_DEFLATED) as chalk:
        for entry_name, text in (("job.json", json.dumps(job_, indent=2) + "\n"), (source, content)):
            entry = zipfile.ZipInfo(entry_name, (1980, 1, 1, 0, 0, 0))
            entry.compress_type = zipfile.ZIP_DEFLATED
            chalk.writestr(entry, text)


def main():
    lines = pears()
    picture = png(lines)
    (HERE / "pears.png").write_bytes(picture)
    svg = plate()
    (HERE / "plate.svg").write_text(svg, encoding="utf-8")
    (HERE / "seed-packet.svg").write_text(packet(), encoding="utf-8")
    (HERE / "key-tag.svg").write_text(key_tag(), encoding="utf-8")
    svg_of_band = band()
    (HERE / "cup-band.svg").write_text(svg_of_band, encoding="utf-8")
    pack("seed-cup.chalk", cup_job(svg_of_band), "sources/1-cup-band.svg", svg_of_band)
    pack("plot-27.chalk", job(svg), "sources/1-plate.svg", svg)
    pack("row-marker.chalk", slate_job(ink_of(lines)), "sources/1-pears.png", picture)


if __name__ == "__main__":
    main()
