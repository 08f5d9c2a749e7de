#!/usr/bin/env python3
"""Every folder includes only folders that stand above it in docs/architecture.md, and of those only what its README says.

    tests/structure/includes.py [ROOT]
    tests/structure/includes.py ROOT --write     writes what each folder includes today into its README

Reads the block of layers there, one folder a line, the line "May include: ..." of each folder's README, and every include of
src. Says each that breaks either, folders that have no place among the layers, and what a README allows without need; exits 1
where there is any.
"""
import pathlib
import re
import sys
import textwrap

root = pathlib.Path(sys.argv[1] if len(sys.argv) > 1 else ".").resolve()
write = "--write" in sys.argv
text = (root / "docs/architecture.md").read_text(encoding="utf-8")
block = re.search(r"```layers\n(.*?)```", text, re.S)
if not block:
    sys.exit("docs/architecture.md: there is no block ```layers with the folders in their order")
order = [line.split()[0] for line in block.group(1).splitlines() if line.strip()]
height = {folder: i for i, folder in enumerate(order)}

wrong = []
includes = {}  # by folder: other folders, with a place where each is included
for file in sorted((root / "src").rglob("*.[ch]pp")):
    folder = file.parent.relative_to(root / "src").as_posix()
    met = includes.setdefault(folder, {})
    if folder not in height:
        wrong.append(f"{file.relative_to(root)}: src/{folder} has no place among the layers of docs/architecture.md")
        continue
    for number, line in enumerate(file.read_text(encoding="utf-8").splitlines(), 1):
        include = re.match(r'#include "((?:[\w-]+/)+)[\w.]+"', line)
        if not include:
            continue
        other = include.group(1).rstrip("/")
        place = f"{file.relative_to(root)}:{number}"
        if other != folder:
            met.setdefault(other, place)
        if other != folder and height.get(other, len(order)) > height[folder]:
            wrong.append(f"{place}: src/{folder} stands above src/{other} and includes it")
wrong += [f"docs/architecture.md: there is no folder src/{folder}" for folder in order if folder not in includes]

line = re.compile(r"^May include: (.*?)\.\n?(?=\n|\Z)", re.S | re.M)
for folder, met in sorted(includes.items()):
    readme = root / "src" / folder / "README.md"
    words = readme.read_text(encoding="utf-8") if readme.exists() else ""
    if write:
        names = sorted(met, key=lambda name: height.get(name, 0))
        told = textwrap.fill(f"May include: {', '.join(names) if names else 'nothing of ours'}.", 130) + "\n"
        words = line.sub("", words).rstrip() + "\n\n" + told
        readme.write_text(words, encoding="utf-8")
        continue
    allowed = line.search(words)
    if not allowed:
        wrong.append(f"src/{folder}/README.md does not say what the folder may include: a line 'May include: ...'")
        continue
    names = set(re.split(r",\s+", re.sub(r"\s+", " ", allowed.group(1)).strip())) - {"nothing of ours"}
    wrong += [f"{place}: src/{folder}/README.md does not allow src/{name}" for name, place in met.items() if name not in names]
    wrong += [f"src/{folder}/README.md allows src/{name} without need" for name in sorted(names) if name not in met]
print("\n".join(wrong))
sys.exit(1 if wrong else 0)
