"""The desktop entry, the AppStream entry, the type of job files, its thumbnailer and the icons, as validators of
freedesktop.org see them in an installed tree."""
import pathlib
import struct
import subprocess
import sys
import tempfile

root = pathlib.Path(sys.argv[1])
share = root / "usr/share"
wrong = []


def run(*command, **how):
    done = subprocess.run(command, capture_output=True, text=True, **how)
    if done.returncode != 0 or "warning" in (done.stdout + done.stderr).lower():
        wrong.append(f"{' '.join(map(str, command))}:\n{done.stdout}{done.stderr}")
    return done.stdout


def pixels(picture):
    head = picture.read_bytes()[:24]
    return struct.unpack(">II", head[16:24]) if head[:8] == b"\x89PNG\r\n\x1a\n" else None


def entry(file):
    pairs = (line.split("=", 1) for line in file.read_text(encoding="utf-8").splitlines() if "=" in line)
    return dict(pairs)


desktop = share / "applications/yes-square.desktop"
run("desktop-file-validate", desktop)
run("appstreamcli", "validate", "--no-net", "--pedantic", share / "metainfo/org.yes_square.yes_square.metainfo.xml")

# The type of a .yesq file as the shared database gives it.
with tempfile.TemporaryDirectory() as copy:
    packages = pathlib.Path(copy, "packages")
    packages.mkdir()
    (packages / "yes-square.xml").write_bytes((share / "mime/packages/yes-square.xml").read_bytes())
    run("update-mime-database", "-n", copy)
    kind = [line.split(":")[1] for line in pathlib.Path(copy, "globs2").read_text().splitlines() if "yesq" in line]
if kind != [entry(desktop)["MimeType"].rstrip(";")]:
    wrong.append(f"a .yesq file is {kind}, and the program opens {entry(desktop)['MimeType']}")

for size in (16, 24, 32, 48, 64, 128, 256, 512):
    for icon in ("apps/yes-square", f"mimetypes/{kind[0].replace('/', '-')}" if kind else "mimetypes/"):
        file = share / f"icons/hicolor/{size}x{size}/{icon}.png"
        if not file.exists() or pixels(file) != (size, size):
            wrong.append(f"{file} is no picture of {size} by {size}")

# The thumbnailer, called as its entry says.
thumbnailer = entry(share / "thumbnailers/yes-square.thumbnailer")
demo = share / "yes-square/demo/harbour-lane.yesq"
with tempfile.TemporaryDirectory() as out:
    picture = pathlib.Path(out, "thumbnail.png")
    words = [{"%s": "128", "%i": str(demo), "%o": str(picture)}.get(word, word) for word in thumbnailer["Exec"].split()]
    run(root / "usr/bin" / words[0], *words[1:])
    if not picture.exists() or max(pixels(picture)) != 128 or picture.stat().st_size < 700:
        wrong.append("the thumbnail of the demo is empty, or of another size")
    for refused, why in ((["--size", "0", str(demo), str(picture)], "--size 0"), ([out + "/none.yesq", str(picture)], "none.yesq")):
        done = subprocess.run([root / "usr/bin" / words[0], *refused], capture_output=True, text=True)
        if done.returncode != 2 or why not in done.stderr:
            wrong.append(f"refused otherwise than told: {refused}: {done.returncode} {done.stderr}")

print("\n".join(wrong))
sys.exit(bool(wrong))
