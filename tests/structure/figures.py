#!/usr/bin/env python3
"""Figures have a home.

    tests/structure/figures.py [ROOT]

A rule of the house or of common practice is a member of HouseRules (core/job/house_rules.hpp), which users can change and a
job saves; what one unit is in another stands in core/measure/conversions.hpp. Says each constant elsewhere that calls itself
a rule, each length that stands in words (and so would stand there in a job in inches), each bare conversion, and each force, mass, moment or pressure kept as a bare number; exits 1 where there is any.
"""
import pathlib
import re
import sys

root = pathlib.Path(sys.argv[1] if len(sys.argv) > 1 else ".").resolve()
rule = re.compile(r"house rule|common practice", re.I)
constant = re.compile(r"\bconstexpr\b.*=\s*[^;=]*\d")
conversion = re.compile(r"(?<![\w.])(?:0\.0254|25\.4|0\.3048|304\.8|0\.4535\d*|9\.80\d*|4\.448\d*|6\.894\d*|6894\.?\d*)(?![\w.])")
bare = re.compile(r"\bdouble>?&? \w+_(?:n|kn|kg|nm|mpa|gpa|pa|psi|n_per_m|kg_per_m)\b(?!\()")
in_words = re.compile(r'"[^"]*\b\d+(?:\.\d+)? (?:mm|cm|in|kg)\b[^"]*"')
names = {"src/core/job/names.cpp", "src/core/job/names_of_things.cpp", "src/core/job/materials.cpp", "src/core/feeds/lead.cpp"}  # as goods are sold
homes = {"src/core/job/house_rules.hpp", "src/core/job/rule_fields.hpp", "src/core/job/work_rule_fields.hpp", "src/core/measure/conversions.hpp", "src/core/measure/provenance.hpp", "src/core/measure/provenance.cpp"}

wrong = []
for file in sorted((root / "src").rglob("*.[ch]pp")):
    name = file.relative_to(root).as_posix()
    if name in homes:
        continue
    lines = file.read_text(encoding="utf-8").splitlines()
    for number, line in enumerate(lines, 1):
        code, _, remark = line.partition("//")
        above = lines[number - 2] if number > 1 and lines[number - 2].lstrip().startswith("//") else ""
        if constant.search(code) and rule.search(remark + above):
            wrong.append(f"{name}:{number}: a rule of the house belongs into HouseRules: {code.strip()}")
        if conversion.search(re.sub(r'"[^"]*"', "", code)):
            wrong.append(f"{name}:{number}: a conversion belongs into core/measure/conversions.hpp: {code.strip()}")
        if name not in names and in_words.search(code) and not re.search(r"[Ss]ource|from_memory|ASTM|KCMA|\bEN \d|told\(|\bin all\b|\bin this\b|\bin the\b|\bin its\b|#include", code):
            wrong.append(f"{name}:{number}: a length in words comes from a value: {code.strip()}")
        if bare.search(code):
            wrong.append(f"{name}:{number}: a figure with a unit has a type in core/measure/physical.hpp: {code.strip()}")
print("\n".join(wrong))
sys.exit(1 if wrong else 0)
