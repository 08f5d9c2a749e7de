#!/usr/bin/python3
"""Every call that reads or writes, made to fail once: what is there afterwards is the old or the new, whole, and the user is told.

    tests/disk/faults_of_disk.py CLI SAVE [--all]

strace counts what each program does in its folder and then runs it again with one of those calls failing: the disk is full,
or cannot be read. Without --all a few of them, spread over all.
"""
import json
import re
import shutil
import subprocess
import sys
import tempfile
from pathlib import Path

cli, save = sys.argv[1:3]
at_most = 10_000 if "--all" in sys.argv else 14
calls = "openat,read,pread64,write,pwrite64,fsync,fdatasync,rename,renameat,renameat2,link,linkat,close,ftruncate,mkdir"
full = {"write", "pwrite64", "fsync", "fdatasync", "openat", "ftruncate", "mkdir"}
job = Path(__file__).parent / "small.yesq"


def run(command, *more):
    return subprocess.run([*more, *map(str, command)], capture_output=True, text=True, timeout=120)


def contents(folder):
    return {str(path.relative_to(folder)): path.read_bytes() for path in sorted(folder.rglob("*")) if path.is_file()}


def calls_in(folder, command):
    """Which calls of a clean run are to the folder: (name, how many of that name it is)."""
    log = folder.parent / "calls"
    run(command, "strace", "-y", "-o", log, "-e", f"trace={calls}")
    counted, found = {}, []
    for line in log.read_text(errors="replace").splitlines():
        if named := re.match(r"(\w+)\(", line):
            name = named[1]
            counted[name] = counted.get(name, 0) + 1
            if str(folder) in line:
                found.append((name, counted[name]))
    return found


class Operation:
    """Something that writes. `prepare(folder)` lays down the old; `command(folder)` is what is run; `whole(before, after,
    new)` is whether what is there then will do."""

    def __init__(self, name, prepare, command, whole):
        self.name, self.prepare, self.command, self.whole = name, prepare, command, whole

    def fresh(self):
        folder = Path(tempfile.mkdtemp()) / "work"
        folder.mkdir()
        self.prepare(folder)
        return folder

    def try_all(self):
        folder = self.fresh()
        done = run(self.command(folder))
        assert done.returncode == 0, (self.name, done.stderr)
        new = contents(folder)
        shutil.rmtree(folder.parent)
        folder = self.fresh()
        found = calls_in(folder, self.command(folder))
        assert found, f"{self.name}: no call into its folder was seen"
        shutil.rmtree(folder.parent)
        step = max(1, len(found) // at_most)
        tried = told = 0
        for name, number in found[::step][:at_most]:
            folder = self.fresh()
            before = contents(folder)
            error = "ENOSPC" if name in full else "EIO"
            failed = run(self.command(folder), "strace", "-o", "/dev/null", "-e", f"trace={name}", "-e",
                         f"inject={name}:error={error}:when={number}")
            after = contents(folder)
            where = f"{self.name}: {name} number {number} fails with {error}"
            assert failed.returncode >= 0, f"{where}: it crashed: {failed.stderr[-300:]}"
            assert self.whole(before, after, new), f"{where}: what is there is neither the old nor the new: {sorted(after)}"
            said = (failed.stderr + failed.stdout).strip()
            if failed.returncode != 0:
                assert said, f"{where}: nothing was said"
                told += 1
            else:
                assert self.is_new(after, new), f"{where}: it was said to be done, and is not"
            tried += 1
            shutil.rmtree(folder.parent)
        print(f"{self.name}: {tried} of {len(found)} calls failed, {told} told, none left anything in halves")

    def is_new(self, after, new):
        return all(after.get(name) == bytes_ for name, bytes_ in new.items() if self.counts(name))

    @staticmethod
    def counts(name):
        """Not what a second run makes anew, or may leave."""
        return not name.endswith(("~", ".lock", ".part", ".zip", ".sqlite", "-journal", "-wal", "-shm", ".autosave")) and " versions/" not in name


def each_old_or_new(before, after, new):
    for name, bytes_ in after.items():
        if Operation.counts(name) and bytes_ not in (before.get(name), new.get(name)):
            return False
    return all(name in after for name in before)


def with_job(folder):
    shutil.copy(job, folder / "job.yesq")


def with_units(folder):
    with_job(folder)
    (folder / "units.csv").write_text("code,kind,w,h,d\nW60,wall,600,720,320\n")


def with_export(folder):
    with_job(folder)
    (folder / "out").mkdir()
    (folder / "out/plan.json").write_text("old")


def with_copies(folder):
    document = json.loads(job.read_text())
    for name in ("shared", "mine", "theirs"):
        document["client"] = "ours" if name == "mine" else document["client"]
        document["place"] = "theirs" if name == "theirs" else document["place"]
        (folder / f"{name}.yesq").write_text(json.dumps(document))


def with_bundle(folder):
    with_job(folder)
    assert run([cli, "bundle", folder / "job.yesq", "--to", folder / "job.yesq.zip"]).returncode == 0
    (folder / "job.yesq").unlink()


def opens(folder_contents, name, old):
    """A zip or an index that is there opens, or is the old one."""
    bytes_ = folder_contents.get(name)
    if bytes_ is None or bytes_ == old:
        return True
    with tempfile.TemporaryDirectory() as at:
        path = Path(at) / name
        for beside in folder_contents:  # an index has its journal beside it
            if beside.startswith(name):
                (Path(at) / beside).write_bytes(folder_contents[beside])
        command = ["unbundle", path, "--to", Path(at) / "out"] if name.endswith(".zip") else ["book", path, "room"]
        return run([cli, *command]).returncode in (0, 1) and not (name.endswith(".zip") and not (Path(at) / "out").exists())


def with_book(folder):
    with_job(folder)
    assert run([cli, "book", folder / "jobs.sqlite", "--folder", folder]).returncode in (0, 1)
    shutil.copy(job, folder / "another.yesq")


if run(["true"], "strace").returncode != 0:
    print("strace cannot follow a program here: nothing can be made to fail")
    sys.exit(77)
for operation in [
        Operation("import", with_units, lambda at: [cli, "import", at / "job.yesq", "--units", at / "units.csv"],
                  each_old_or_new),
        Operation("merge", with_copies,
                  lambda at: [cli, "merge", at / "shared.yesq", at / "mine.yesq", at / "theirs.yesq"], each_old_or_new),
        Operation("export", with_export,
                  lambda at: [cli, "export", at / "job.yesq", "--to", at / "out", "--format", "json", "--format", "csv",
                              "--format", "dxf"], each_old_or_new),
        Operation("bundle", with_job, lambda at: [cli, "bundle", at / "job.yesq", "--to", at / "job.yesq.zip"],
                  lambda before, after, new: each_old_or_new(before, after, new) and opens(after, "job.yesq.zip", None)),
        Operation("unbundle", with_bundle, lambda at: [cli, "unbundle", at / "job.yesq.zip", "--to", at / "out"],
                  lambda before, after, new: each_old_or_new(before, after, new)),
        Operation("job book", with_book, lambda at: [cli, "book", at / "jobs.sqlite", "--folder", at],
                  lambda before, after, new: each_old_or_new(before, after, new) and opens(after, "jobs.sqlite", None)),
        Operation("the window's save", with_job, lambda at: [save, job, at / "job.yesq", "once"], each_old_or_new),
]:
    operation.try_all()
