#!/usr/bin/env python3
"""Includes that run up: a layer may include itself and those below it, a place of the windows no other place, a room of the core only what
its line below names. Prints each arrow that should not be and ends with 1 where there is one. Run by ./run lint."""
import pathlib
import re
import sys

ROOT = pathlib.Path(__file__).resolve().parent.parent / "src"
# From below to above. What stands in one line may include each other.
LAYERS = [["core"], ["media", "store"], ["desk"], ["ui/text", "ui/paint"], ["ui/jobs", "ui/shell"], ["ui/pictures"], ["ui/pacing", "ui/weeks"],
          ["ui/arrivals", "ui/ground", "ui/review", "ui/letter", "ui/people", "ui/practice", "ui/classes", "ui/forms", "ui/seeing"], ["cli", "app"]]
APART = {"media", "store"} | set(LAYERS[7]) | {"cli", "app"}  # beside each other, and not seeing each other
# Rooms of the core, from below to above.
CORE = [["."], ["signal", "body", "catalogue"], ["movement"], ["ground"], ["fit"], ["measure"], ["align"], ["judge"], ["sim", "learn", "review"], ["form"], ["practice"], ["seeing"]]
KNOWN = set()  # arrows that are there and should go: "FROM -> TO", by room


def room(path, rooms):
    best = None
    for name in rooms:
        if (path == name or path.startswith(name + "/")) and (best is None or len(name) > len(best)):
            best = name
    return best


def main():
    level = {name: i for i, layer in enumerate(LAYERS) for name in layer}
    core_level = {("core" if name == "." else "core/" + name): i for i, layer in enumerate(CORE) for name in layer}
    bad = {}
    for f in sorted(ROOT.rglob("*")):
        if f.suffix not in (".h", ".cpp"):
            continue
        own = f.relative_to(ROOT).as_posix()
        here = room(own, level)
        for target in re.findall(r'^#include "([^"]+)"', f.read_text(), re.M):
            if not (ROOT / target).exists():
                continue
            there = room(target, level)
            up = level[there] > level[here] or (there != here and level[there] == level[here] and here in APART)
            a, b = here, there
            if here == there == "core":
                a, b = room(own, core_level), room(target, core_level)
                up = core_level[b] > core_level[a]
            if up:
                bad.setdefault(f"{a} -> {b}", []).append(f"{own}: {target}")
    for arrow, lines in sorted(bad.items()):
        if arrow in KNOWN:
            continue
        print(arrow)
        for line in lines:
            print("   ", line)
    return 1 if set(bad) - KNOWN else 0


sys.exit(main())
