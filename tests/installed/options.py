"""What a program's --help names is in its manual page, and what either names shells complete; manual pages are held to
man's own warnings, completions are tried in a shell."""
import os
import pathlib
import re
import subprocess
import sys

root = pathlib.Path(sys.argv[1])
share = root / "usr/share"
option = re.compile(r"(?<![\w-])--[a-z][a-z-]*")
devices = ["yes-square-laser", "yes-square-scanner", "yes-square-thumbnailer"]
wrong = []


def said(*command):
    quiet = {**os.environ, "QT_QPA_PLATFORM": "offscreen", "LC_ALL": "C.UTF-8"}
    done = subprocess.run(command, capture_output=True, text=True, env=quiet)
    return done.stdout, done.stderr


def subcommands():
    """As --help lists them, so that none is forgotten here."""
    told = said(root / "usr/bin/yes-square-cli", "--help")[0].split("Subcommands:")[1]
    return re.findall(r"^  (\w+)", told, re.M)


def helped(program, *command):
    return set(option.findall(said(root / "usr/bin" / program, *command, "--help")[0]))


def manual(program):
    page = share / f"man/man1/{program}.1"
    warnings = said("man", "--warnings", "-E", "UTF-8", "-l", "-Tutf8", "-Z", page)[1]
    if warnings:
        wrong.append(f"{page.name}: {warnings}")
    return set(option.findall(page.read_text(encoding="utf-8").replace("\\-", "-")))


def completed(program, *words):
    """What bash offers after these words."""
    script = f"""source /usr/share/bash-completion/bash_completion
source {share}/bash-completion/completions/{program}
COMP_WORDS=({program} {' '.join(f"'{word}'" for word in words)}) COMP_CWORD={len(words)}
COMP_LINE="${{COMP_WORDS[*]}}" COMP_POINT=${{#COMP_LINE}}
{complete[program]}
printf '%s\\n' "${{COMPREPLY[@]}}\""""
    return set(said("bash", "-c", script)[0].split())


complete = {"yes-square": "_yes_square", "yes-square-cli": "_yes_square_cli"}


def same(what, wanted, found):
    if wanted != found:
        wrong.append(f"{what}: not there {sorted(wanted - found)}, nobody knows {sorted(found - wanted)}")


window = helped("yes-square")
same("manual of yes-square", window, manual("yes-square"))
same("bash, yes-square", window, completed("yes-square", "--"))
commands = subcommands()
line = helped("yes-square-cli")
for command in commands:
    of_it = helped("yes-square-cli", command)
    same(f"bash, yes-square-cli {command}", of_it, completed("yes-square-cli", command, "--"))
    line |= of_it
same("manual of yes-square-cli", line, manual("yes-square-cli"))
same("bash, yes-square-cli", {*commands, "--help", "--version", "--lang"}, completed("yes-square-cli", ""))
formats = set(re.findall(r"(?:^|, |\.\.\. +)([a-z][a-z-]*) \(", said(root / "usr/bin/yes-square-cli", "export", "--help")[0]))
same("bash, formats of an export", formats, completed("yes-square-cli", "export", "--format", ""))
for program in devices:
    same(f"manual of {program}", helped(program), manual(program))
for program, options in (("yes-square", window), ("yes-square-cli", line)):
    file = next(share.glob(f"zsh/*/_{program}"))
    same(f"zsh, {program}", options, set(option.findall(file.read_text(encoding="utf-8"))))
    if problem := said("zsh", "-n", file)[1]:
        wrong.append(problem)

print("\n".join(wrong))
sys.exit(bool(wrong))
