#!/usr/bin/python3
"""Writes the core's sources with all seeded faults in them, each asleep until its number is called.

    tests/faults/seed.py SEEDED CORE OUT     writes OUT/<file> for every source that has a fault, and OUT/faults.json
    tests/faults/seed.py --sources SEEDED    lists those sources, relative to the core

A list in SEEDED is named after the core's folder that its files are in, and is read so:

    @ allowable.cpp                               the file that the faults under it are in
    one bracket bears what its pair does          what goes wrong, in the words of the trade
    - *allowed / 2                                what stands there, once in the file; more lines may follow
    + *allowed                                    what stands there instead; nothing: it is left out

Whole statements become `if (fault(n)) { new } else { old }`. Of anything else the smallest expression that holds the
change becomes `(fault(n) ? (new) : (old))`.
"""
import json
import re
import sys
from pathlib import Path

TOKEN = re.compile(
    r'"(?:\\.|[^"\\\n])*"|\'(?:\\.|[^\'\\\n])\'|//[^\n]*|[A-Za-z_]\w*(?:::~?[A-Za-z_]\w*)*|\d[\w.\']*'
    r"|->|::|<<|>>|<=|>=|==|!=|&&|\|\||[-+*/%&|^]=|\+\+|--|\S")
OPENS, CLOSES = {"(": ")", "[": "]", "{": "}"}, {")": "(", "]": "[", "}": "{"}
# An expression reaches no further than these.
LEFT = {"(", "[", "{", ",", ";", "=", "+=", "-=", "|=", "&=", "return", "?", ":", "&&", "||", "else", "do", "case"}
RIGHT = {")", "]", "}", ",", ";", "?", ":", "&&", "||"}


def read(seeded):
    """The faults of all lists, in order."""
    faults = []
    for path in sorted(Path(seeded).glob("*.txt")):
        source = None
        for block in re.split(r"\n\s*\n", path.read_text()):
            lines = block.strip("\n").split("\n")
            if lines[0].startswith("@ "):
                source = re.sub(r"[^/]+/\.\./", "", f"{path.stem}/{lines.pop(0)[2:].strip()}")
            if not lines:
                continue
            parts, side = {"": [], "-": [], "+": []}, ""
            for line in lines:
                if line[:2] in ("- ", "+ ") or line == "+":
                    side, line = line[0], line[2:]
                parts[side].append(line)
            if not parts["-"] or not source or len(parts[""]) != 1:
                sys.exit(f"{path}: not read: {block}")
            faults.append({"file": source, "words": parts[""][0].strip(), "old": "\n".join(parts["-"]),
                           "new": "\n".join(parts["+"]).strip()})
    return faults


def tokens_of(text):
    return [(m[0], m.start(), m.end()) for m in TOKEN.finditer(text) if not m[0].startswith("//")]


def depth_of(tokens):
    return sum((t in OPENS) - (t in CLOSES) for t, _, _ in tokens)


class Source:
    def __init__(self, text):
        self.text = text
        self.tokens = tokens_of(text)
        self.starts = {start: i for i, (_, start, _) in enumerate(self.tokens)}
        self.ends = {end: i for i, (_, _, end) in enumerate(self.tokens)}
        self.partner = {}
        open_now = []
        for i, (token, _, _) in enumerate(self.tokens):
            if token in OPENS:
                open_now.append(i)
            elif token in CLOSES:
                if not open_now:
                    raise ValueError(f"a closing {token} too many at {text[self.tokens[i][1] - 60:self.tokens[i][2]]!r}")
                self.partner[i] = open_now.pop()
                self.partner[self.partner[i]] = i

    def word(self, i):
        return self.tokens[i][0] if 0 <= i < len(self.tokens) else ""

    def control(self, close):
        """Whether a ) closes the head of a statement."""
        return self.word(self.partner[close] - 1) in ("if", "for", "while", "switch")

    def block(self, close):
        """Whether a } closes a block, not a list of values."""
        before = self.word(self.partner[close] - 1)
        return before in (")", ";", "{", "}", "else", "do", "const", "override", ":")

    def left_of(self, i):
        """The first token of the expression that token i is in."""
        while i > 0:
            before = self.word(i - 1)
            if before in CLOSES:
                if (before == ")" and self.control(i - 1)) or (before == "}" and self.block(i - 1)):
                    return i
                i = self.partner[i - 1]
            elif before in LEFT:
                return i
            else:
                i -= 1
        return i

    def right_of(self, i):
        """Its last one."""
        while i + 1 < len(self.tokens):
            after = self.word(i + 1)
            if after in OPENS:
                i = self.partner[i + 1]
            elif after in RIGHT:
                return i
            else:
                i += 1
        return i

    def expression(self, first, last):
        """The first and last token of the smallest expression that holds those."""
        while True:
            depth, least = 0, 0
            for i in range(first, last + 1):
                depth += (self.word(i) in OPENS) - (self.word(i) in CLOSES)
                least = min(least, depth)
            if least < 0:
                first -= 1
            elif depth > 0:
                last += 1
            else:
                break
        between = ("&&", "||", "?", ":", ",", "=", "return")
        return (self.left_of(first - 1 if self.word(first) in between else first),
                self.right_of(last + 1 if self.word(last) in between else last))

    def commas(self, first, last):
        """Whether values stand side by side there."""
        depth = 0
        for i in range(first, last + 1):
            depth += (self.word(i) in OPENS) - (self.word(i) in CLOSES)
            if depth == 0 and self.word(i) == ",":
                return True
        return False

    def begins_statement(self, i):
        before = self.word(i - 1)
        return before in (";", "{", "else", ":") or (before == "}" and self.block(i - 1)) or (
            before == ")" and self.control(i - 1))


def declares(text):
    return re.match(r"(const|auto|static|constexpr)\b", text) or re.match(r"[A-Za-z_][\w:]*(<[^;()]*>)?[&*]? \w+\s*[{=;(]", text) and \
        not re.match(r"(return|else|throw|delete)\b", text)


class Place:
    """A fault in a source: what of its text becomes what, and the stretch of tokens that is written twice for it."""

    def __init__(self, source, number, old, new):
        self.number = number
        at = source.text.find(old)
        if at < 0 or source.text.find(old, at + 1) >= 0:
            raise ValueError("it stands there %d times, not once" % source.text.count(old))
        self.start, self.stop, self.old, self.new = at, at + len(old), old, new
        old_tokens, new_tokens = tokens_of(old), tokens_of(new)
        first = source.starts.get(at + old_tokens[0][1])
        last = source.ends.get(at + old_tokens[-1][2])
        if first is None or last is None:
            raise ValueError("it begins or ends within a word")
        self.statement = (source.begins_statement(first) and old_tokens[-1][0] in (";", "}") and
                          depth_of(old_tokens) == 0 and old_tokens[0][0] not in (")", "]", "}", "case", "else") and
                          not declares(old) and (not new or new_tokens[-1][0] in (";", "}")))
        if self.statement:
            self.first, self.last = first, last
            return
        # What both begin and end with is left alone.
        most = min(len(old_tokens), len(new_tokens))
        same = 0
        while same < most and old_tokens[same][0] == new_tokens[same][0]:
            same += 1
        tail = 0
        while tail < most - same and old_tokens[-1 - tail][0] == new_tokens[-1 - tail][0]:
            tail += 1
        begin, end = first + same, last - tail
        if begin > end:  # something is put in between: it goes with what is before it, or after
            begin = end = begin - 1 if same > 0 and source.word(begin - 1) not in LEFT else begin
        self.first, self.last = source.expression(begin, end)


def written(source, places):
    """Faults that share a stretch, written side by side: (from, to, text)."""
    statement = any(place.statement for place in places)
    first, last = min(p.first for p in places), max(p.last for p in places)
    if not statement:
        first, last = source.expression(first, last)
    if not statement and source.commas(first, last):
        raise ValueError(f"fault {places[0].number} changes several values of a list; name the whole list, or one of them")
    start, stop = source.tokens[first][1], source.tokens[last][2]
    text = source.text
    put = "{ " + text[start:stop] + " }" if statement else f"({text[start:stop]})"
    for place in reversed(places):
        if place.start > stop or place.stop < start:
            raise ValueError(f"fault {place.number} does not lie in its own stretch")
        old_tokens, new_tokens = tokens_of(place.old), tokens_of(place.new)
        before = sum(place.start + from_ < start for _, from_, _ in old_tokens)
        after = sum(place.start + to > stop for _, _, to in old_tokens)
        for ours, theirs in ((old_tokens[:before], new_tokens[:before]),
                             (old_tokens[len(old_tokens) - after:], new_tokens[len(new_tokens) - after:])):
            if [token for token, _, _ in ours] != [token for token, _, _ in theirs]:
                raise ValueError(f"fault {place.number} changes what lies beside its stretch")
        inside = new_tokens[before:len(new_tokens) - after]
        new = place.new[inside[0][1]:inside[-1][2]] if inside else ""
        with_it = text[start:max(start, place.start)] + new + text[min(stop, place.stop):stop]
        put = (f"if (::seeded_fault({place.number})) {{ {with_it} }} else {put}" if statement else
               f"(::seeded_fault({place.number}) ? ({with_it}) : {put})")
    return start, stop, put


def with_faults(name, text, numbered):
    """The source with all its faults asleep in it, and what went wrong."""
    source, places, wrong = Source(text), [], []
    for number, fault in numbered:
        try:
            places.append(Place(source, number, fault["old"], fault["new"]))
        except ValueError as problem:
            wrong.append(f"{name}: {fault['words']}: {problem}")
    groups = []
    for place in sorted(places, key=lambda place: place.first):
        if groups and place.first <= max(p.last for p in groups[-1]):
            groups[-1].append(place)
        else:
            groups.append([place])
    for group in reversed(groups):
        try:
            start, stop, put = written(source, group)
        except ValueError as problem:
            wrong.append(f"{name}: {problem}")
            continue
        text = text[:start] + put + text[stop:]
    return "extern bool seeded_fault(int number);\n" + text, wrong


def main():
    if sys.argv[1] == "--sources":
        print(";".join(dict.fromkeys(fault["file"] for fault in read(sys.argv[2]))))
        return
    seeded, core, out = sys.argv[1:]
    faults = read(seeded)
    wrong = []
    for name in dict.fromkeys(fault["file"] for fault in faults):
        text, problems = with_faults(name, (Path(core) / name).read_text(),
                                     [each for each in enumerate(faults, 1) if each[1]["file"] == name])
        wrong += problems
        path = Path(out) / name
        path.parent.mkdir(parents=True, exist_ok=True)
        path.write_text(text)
    (Path(out) / "faults.json").write_text(json.dumps(faults, indent=1) + "\n")
    sys.exit("\n".join(wrong) or 0)


main()
