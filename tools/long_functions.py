#!/usr/bin/env python3
"""Functions of more than so many lines (60), longest first: tools/long_functions.py [LINES]. Told by the format: a body begins with a line that
ends in " {" at a function's indent and ends with "}" at the same indent."""
import pathlib
import re
import sys

most = int(sys.argv[1]) if len(sys.argv) > 1 else 60
root = pathlib.Path(__file__).resolve().parent.parent
found = []
begins = re.compile(r"^( {0,4})(?!namespace|struct|class|enum|union|if|for|while|switch|do|else|return|case|default|extern)[\w:~<>,&*\s\[\]\"]+\(.*\{$")
for f in sorted((root / "src").rglob("*.cpp")) + sorted((root / "src").rglob("*.h")):
    lines = f.read_text().splitlines()
    k = 0
    while k < len(lines):
        line = lines[k]
        start = k
        head = line
        # A signature over several lines.
        while head.count("(") > head.count(")") and k + 1 < len(lines):
            k += 1
            head += " " + lines[k].strip()
        m = begins.match(head)
        if m and not head.strip().startswith(("if", "for", "while", "switch", "}")):
            indent = m.group(1)
            end = next((j for j in range(k + 1, len(lines)) if lines[j] in (indent + "}", indent + "};")), None)
            if end and end - start + 1 > most:
                name = re.search(r"([\w:~]+)\(", head)
                found.append((end - start + 1, f"{f.relative_to(root)}:{start + 1}", name.group(1) if name else ""))
            if end:
                k = end
        k += 1
for n, where, name in sorted(found, reverse=True):
    print(f"{n:4} {where} {name}")
print(len(found))
