#!/usr/bin/env python3
"""Where the time of a build went, from ninja's own log: build_times.py BUILD_DIR [ROWS]

Times are of single steps while others ran beside them; the sum over all steps is about the processor's time.
"""
import collections
import os
import sys


def read(log):
    """Last run of each output: seconds by path; a step with several outputs once."""
    steps = {}
    with open(log, encoding="utf-8") as lines:
        for line in lines:
            parts = line.rstrip("\n").split("\t")
            if len(parts) == 5:
                steps[parts[3]] = (int(parts[0]), int(parts[1]), parts[4])
    once = {}
    for path, (start, end, command) in steps.items():
        once.setdefault((start, end, command), path)
    return {path: (end - start) / 1000 for (start, end, _), path in once.items()}


def layer(path):
    if "/CMakeFiles/" in path:
        return path.split("/CMakeFiles/")[1].split(".dir/")[0]
    if path.startswith(("bin/", "tests/")) or path.endswith(".a"):
        return "(linking)"
    return "(made files)"


def main():
    folder = sys.argv[1] if len(sys.argv) > 1 else "build"
    rows = int(sys.argv[2]) if len(sys.argv) > 2 else 25
    log = os.path.join(folder, ".ninja_log")
    if not os.path.exists(log):
        sys.exit(f"{log}: nothing was built there yet")
    times = read(log)
    by_layer = collections.defaultdict(lambda: [0.0, 0])
    for path, seconds in times.items():
        by_layer[layer(path)][0] += seconds
        by_layer[layer(path)][1] += 1
    print(f"{sum(times.values()):8.0f} s in {len(times)} steps")
    for name, (seconds, count) in sorted(by_layer.items(), key=lambda x: -x[1][0]):
        print(f"{seconds:8.1f} s {count:5d}  {name}")
    print("\nSlowest steps")
    for path, seconds in sorted(times.items(), key=lambda x: -x[1])[:rows]:
        print(f"{seconds:8.1f} s  {path}")


if __name__ == "__main__":
    main()
