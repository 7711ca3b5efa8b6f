#!/usr/bin/env python3
"""Share of the program's lines that the tests ran, room by room: coverage.py BUILD TEST... (after they ran with LLVM_PROFILE_FILE)."""
import json
import pathlib
import subprocess
import sys


def main():
    build, tests = pathlib.Path(sys.argv[1]), sys.argv[2:]
    raw = [str(p) for p in (build / "raw").glob("*.profraw")]
    merged = str(build / "all.profdata")
    subprocess.run(["llvm-profdata", "merge", "-sparse", *raw, "-o", merged], check=True)
    binaries = [str(build / "bin" / t) for t in tests]
    objects = [binaries[0]] + [x for b in binaries[1:] for x in ("-object", b)]
    out = subprocess.run(["llvm-cov", "export", "-summary-only", "-instr-profile", merged, *objects, "src"], check=True, capture_output=True)
    rooms = {}
    for f in json.loads(out.stdout)["data"][0]["files"]:
        path = pathlib.Path(f["filename"])
        parts = path.parts[path.parts.index("src") + 1 : -1]
        lines = f["summary"]["lines"]
        for room in ("/".join(parts[:2]), "all"):
            had = rooms.setdefault(room, [0, 0])
            had[0] += lines["covered"]
            had[1] += lines["count"]
    for room, (ran, count) in sorted(rooms.items()):
        print(f"{100 * ran / max(count, 1):5.1f} % of {count:6d}  {room}")


main()
