#!/usr/bin/env python3
"""Every check that the core finds is named by a test.

    tests/structure/checks_tested.py [ROOT]

Says each code of CheckCode that src raises and no test names; exits 1 where there is any.
"""
import pathlib
import re
import sys

root = pathlib.Path(sys.argv[1] if len(sys.argv) > 1 else ".").resolve()


def code_of(folder, leave_out=()):
    return "\n".join(
        file.read_text(encoding="utf-8")
        for file in sorted((root / folder).rglob("*.[ch]pp"))
        if file.relative_to(root).as_posix() not in leave_out
    )


listed = re.search(r"enum class CheckCode \{(.*?)\};", (root / "src/core/plan/check.hpp").read_text(encoding="utf-8"), re.S)
codes = re.findall(r"\b[a-z][a-z_0-9]*\b", re.sub(r"//.*", "", listed.group(1)))
raised = code_of("src/core", leave_out={"src/core/plan/plan.cpp"})
tested = code_of("tests")
wrong = [
    f"CheckCode::{code} is raised and no test names it"
    for code in codes
    if re.search(rf"\bCheckCode::{code}\b", raised) and not re.search(rf"\bCheckCode::{code}\b", tested)
]
print("\n".join(wrong))
sys.exit(1 if wrong else 0)
