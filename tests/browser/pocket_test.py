"""A pocket sheet in a phone's browser: touched, kept, given back and taken in.

    pocket_test.py CLI JOB [PICTURE]

Chromium without a window, 390 by 844 as a phone is, by touch. Accessibility is held to WCAG 2.1 A and AA by axe-core
(axe.min.js, 4.10.2, from the npm registry; its licence stands beside it). PICTURE: writes what is seen first."""
import json
import pathlib
import subprocess
import sys
import tempfile

from selenium import webdriver
from selenium.webdriver.chrome.options import Options
from selenium.webdriver.chrome.service import Service
from selenium.webdriver.common.by import By

cli, job = sys.argv[1:3]
wide, high = 390, 844
wrong = []


def check(holds, words):
    if not holds:
        wrong.append(words)


def run(*words):
    return subprocess.run([cli, *words], capture_output=True, text=True)


class Phone:
    def __init__(self, page, folder):
        options = Options()
        options.binary_location = "/usr/bin/chromium"
        for flag in ("--headless=new", "--no-sandbox", "--disable-gpu", "--disable-dev-shm-usage", f"--user-data-dir={folder}/profile"):
            options.add_argument(flag)
        options.add_experimental_option("mobileEmulation", {"deviceMetrics": {"width": wide, "height": high, "pixelRatio": 2.0, "touch": True, "mobile": True}})
        options.add_experimental_option("prefs", {"download.default_directory": str(folder)})
        self.driver = webdriver.Chrome(service=Service("/usr/bin/chromedriver"), options=options)
        self.driver.set_script_timeout(300)  # the audit looks at every element, and may share the machine
        self.driver.get(page.as_uri())

    def all(self, query):
        return self.driver.find_elements(By.CSS_SELECTOR, query)

    def run(self, script, *values):
        return self.driver.execute_script(script, *values)

    def touch(self, element):
        """With a finger, in the middle of it."""
        x, y = self.run("""arguments[0].scrollIntoView({block: 'center', behavior: 'instant'});
            const box = arguments[0].getBoundingClientRect();
            return [box.left + Math.min(box.width, 300) / 2, box.top + box.height / 2];""", element)
        for kind, points in (("touchStart", [{"x": x, "y": y}]), ("touchEnd", [])):
            self.driver.execute_cdp_cmd("Input.dispatchTouchEvent", {"type": kind, "touchPoints": points})
        self.driver.execute_async_script("setTimeout(arguments[0], 60)")

    def audit(self, scheme):
        self.driver.execute_cdp_cmd("Emulation.setEmulatedMedia", {"features": [{"name": "prefers-color-scheme", "value": scheme}]})
        self.run(pathlib.Path(__file__).with_name("axe.min.js").read_text(encoding="utf-8"))
        found = self.driver.execute_async_script("""const done = arguments[0];
            axe.run(document, {runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']}).then(result => done(result.violations));""")
        for violation in found:
            nodes = "; ".join(node["html"][:120] for node in violation["nodes"][:3])
            wrong.append(f"{scheme}: {violation['id']}: {violation['help']}: {nodes}")


with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    written = run("export", "--format", "pocket", "--to", name, job)
    page = folder / "pocket.html"
    check(written.returncode == 0 and page.exists(), written.stderr)
    check(page.stat().st_size < 2_000_000, f"the page is of {page.stat().st_size} bytes")
    words = page.read_text(encoding="utf-8").replace("http://www.w3.org/2000/svg", "")
    check("http:" not in words and "https:" not in words, "the page names a network address")

    phone = Phone(page, folder)
    paint = phone.run("return performance.getEntriesByName('first-contentful-paint').map(entry => entry.startTime)")
    print(f"{page.stat().st_size / 1e6:.2f} MB, first view after {paint[0]:.0f} ms" if paint else "first view not told")
    if len(sys.argv) > 3:
        phone.driver.save_screenshot(sys.argv[3])
    seen = phone.run("return [document.documentElement.scrollWidth, innerWidth]")
    check(seen[0] <= seen[1], f"it is {seen[0]} wide on a phone of {seen[1]}")
    small = phone.run("""return [...document.querySelectorAll('main label:has(input[type=checkbox]), nav a, button')]
        .filter(one => one.offsetParent && one.getBoundingClientRect().height < 44).map(one => one.textContent.trim())""")
    check(not small, f"too small for a thumb: {small[:5]}")
    broken = phone.run("return [...document.images].filter(one => !one.naturalWidth || !one.alt).length")
    check(broken == 0, f"{broken} drawings do not show or have no words")

    # A walk of the first wall that is drilled: its marks, its gate, its holes.
    gate = phone.all("fieldset.gate")[0]
    section = gate.find_element(By.XPATH, "..")
    keys = []
    for label in section.find_elements(By.CSS_SELECTOR, ".marks label"):
        box = label.find_element(By.CSS_SELECTOR, "input")
        if box.get_attribute("disabled"):
            continue
        phone.touch(label)
        keys.append(box.get_attribute("data-key"))
        check(box.is_selected(), f"{keys[-1]} was touched and is not ticked")
    for label in gate.find_elements(By.CSS_SELECTOR, "label"):
        if label.find_element(By.CSS_SELECTOR, "input").is_enabled():
            phone.touch(label)
    if gate.find_element(By.CSS_SELECTOR, "input").is_enabled():
        keys.append(gate.get_attribute("data-gate"))
    note = section.find_element(By.CSS_SELECTOR, "textarea")
    phone.touch(note)
    note.send_keys("Plaster is loose by the door")
    form = phone.all("#reading")[0]
    form.find_element(By.NAME, "off").send_keys("3")
    phone.touch(form.find_element(By.CSS_SELECTOR, "button"))
    check(len(phone.all("#taken li")) == 1, "the reading is not kept")
    phone.audit("light")
    phone.audit("dark")

    # Closed and opened again: all of it is there.
    phone.driver.refresh()
    lost = [key for key in keys if not phone.run("return Object.keys(JSON.parse(localStorage.getItem('yes-square/' + document.body.dataset.job)).ticks).includes(arguments[0])", key)]
    check(not lost, f"lost when it was opened again: {lost}")
    check(phone.all("#taken li") and phone.all("textarea[data-note]")[0].get_attribute("value") is not None, "readings or notes are lost")
    phone.touch(phone.all("#give")[0])
    given = phone.all("#given")[0].get_attribute("value")
    back = folder / "back.json"
    back.write_text(given, encoding="utf-8")
    phone.driver.quit()

    document = json.loads(given)
    check({tick["key"] for tick in document["ticks"]} == set(keys), "what is given back is not what was ticked")
    check(len(keys) > 3, "hardly anything was ticked")
    for times in (1, 2):  # a second time changes nothing
        after = folder / f"after-{times}.yesq"
        taken = run("import", "--pocket", str(back), "--to", str(after), job if times == 1 else str(folder / "after-1.yesq"))
        check(taken.returncode == 0, taken.stderr)
    one, two = (json.loads((folder / f"after-{times}.yesq").read_text(encoding="utf-8")) for times in (1, 2))
    check(one == two, "taken in twice it is another job")
    ticked = {tick["key"] for tick in one.get("ticks", [])}
    check(set(keys) <= ticked, f"not ticked in the job: {sorted(set(keys) - ticked)[:3]}")
    made = [hole for wall in one["walls"] for hole in wall.get("made", [])]
    before = [hole for wall in json.load(open(job, encoding="utf-8"))["walls"] for hole in wall.get("made", [])]
    drilled = {key.split("/drill")[0] for key in keys if "/drill" in key}
    check(len(made) - len(before) == len(drilled), f"{len(drilled)} holes were drilled, {len(made) - len(before)} are in the wall")
    check(any(entry["words"] == "Plaster is loose by the door" for entry in one["log"]), "the note is not in the logbook")

print("\n".join(wrong))
sys.exit(bool(wrong))
