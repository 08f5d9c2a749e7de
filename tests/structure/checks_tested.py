#!/usr/bin/env python3
"""Every check that the core finds is named by a test.

    tests/structure/checks_tested.py [ROOT]

Says each CheckCode that is declared and not found, declared twice, or named by no test; exits 1 where there is any.
"""
import pathlib
import re
import sys

root = pathlib.Path(sys.argv[1] if len(sys.argv) > 1 else ".").resolve()


def code_of(folder):
    return "\n".join(file.read_text(encoding="utf-8") for file in sorted((root / folder).rglob("*.[ch]pp")))


codes = re.findall(r"^inline constexpr CheckCode (\w+)\{", code_of("src/core"), re.M)
raised = code_of("src/core")
tested = code_of("tests")
wrong = [f"checks::{code} is declared and nothing finds it" for code in codes if not re.search(rf"\bchecks::{code}\b", raised)]
wrong += [f"checks::{code} is declared twice" for code in set(codes) if codes.count(code) > 1]
wrong += [f"checks::{code} is found and no test names it" for code in codes if not re.search(rf"\bchecks::{code}\b", tested)]
print("\n".join(wrong))
sys.exit(1 if wrong else 0)
