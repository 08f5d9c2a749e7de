#!/usr/bin/env python3
"""Every folder includes only folders that stand above it in docs/architecture.md: no rings, nothing that climbs.

    tests/structure/includes.py [ROOT]

Reads the block of layers there, one folder a line, and every include of src. Says each that breaks the order, and
folders that have no place in it; exits 1 where there is any.
"""
import pathlib
import re
import sys

root = pathlib.Path(sys.argv[1] if len(sys.argv) > 1 else ".").resolve()
text = (root / "docs/architecture.md").read_text(encoding="utf-8")
block = re.search(r"```layers\n(.*?)```", text, re.S)
if not block:
    sys.exit("docs/architecture.md: there is no block ```layers with the folders in their order")
order = [line.split()[0] for line in block.group(1).splitlines() if line.strip()]
height = {folder: i for i, folder in enumerate(order)}

wrong = []
seen = set()
for file in sorted((root / "src").rglob("*.[ch]pp")):
    folder = file.parent.relative_to(root / "src").as_posix()
    seen.add(folder)
    if folder not in height:
        wrong.append(f"{file.relative_to(root)}: src/{folder} has no place among the layers of docs/architecture.md")
        continue
    for number, line in enumerate(file.read_text(encoding="utf-8").splitlines(), 1):
        include = re.match(r'#include "((?:[\w-]+/)+)[\w.]+"', line)
        if not include:
            continue
        other = include.group(1).rstrip("/")
        if other != folder and height.get(other, len(order)) > height[folder]:
            wrong.append(f"{file.relative_to(root)}:{number}: src/{folder} stands above src/{other} and includes it")
wrong += [f"docs/architecture.md: there is no folder src/{folder}" for folder in order if folder not in seen]
print("\n".join(wrong))
sys.exit(1 if wrong else 0)
