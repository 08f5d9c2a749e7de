"use strict";
(() => {
    const place = "yes-square/" + document.body.dataset.job;
    const empty = { who: null, ticks: {}, here: {}, notes: {}, readings: [] };
    const all = (query) => [...document.querySelectorAll(query)];
    const now = () => new Date().toISOString().slice(0, 19) + "Z";
    let kept = empty;
    try {
        kept = { ...empty, ...JSON.parse(localStorage.getItem(place) || "{}") };
        localStorage.setItem(place, JSON.stringify(kept));
    } catch {
        document.getElementById("unkept").hidden = false;
    }
    const keep = () => {
        try {
            localStorage.setItem(place, JSON.stringify(kept));
        } catch {
            document.getElementById("unkept").hidden = false;
        }
        show();
    };

    const boxes = all("input[data-key]");
    const gates = all("fieldset[data-gate]");
    const who = document.getElementById("who");
    const progress = document.getElementById("progress");
    const show = () => {
        for (const box of boxes) box.closest("label").classList.toggle("ticked", box.checked);
        const done = boxes.filter((box) => box.checked).length;
        progress.textContent = progress.dataset.words.replace("{0}", done).replace("{1}", boxes.length);
        const list = document.getElementById("taken");
        list.replaceChildren(...kept.readings.map((reading) => {
            const line = document.createElement("li");
            const item = document.querySelector(`option[value="${CSS.escape(reading.item)}"]`);
            line.textContent = `${item ? item.textContent : reading.item}: ${reading.off} / ${reading.over}`;
            return line;
        }));
    };

    for (const box of boxes) {
        if (!box.disabled) box.checked = box.dataset.key in kept.ticks;
        box.addEventListener("change", () => {
            // The same work may stand in the marks and in the steps.
            for (const same of boxes) if (same.dataset.key === box.dataset.key) same.checked = box.checked;
            if (box.checked) kept.ticks[box.dataset.key] = now();
            else delete kept.ticks[box.dataset.key];
            keep();
        });
    }
    for (const gate of gates) {
        const questions = [...gate.querySelectorAll("input")];
        if (gate.dataset.gate in kept.ticks) questions.forEach((box) => (box.checked = true));
        gate.addEventListener("change", () => {
            if (questions.every((box) => box.checked)) kept.ticks[gate.dataset.gate] = now();
            else delete kept.ticks[gate.dataset.gate];
            for (const same of boxes)
                if (same.dataset.key === gate.dataset.gate) same.checked = gate.dataset.gate in kept.ticks;
            keep();
        });
    }
    for (const box of all("input[data-here]")) {
        box.checked = box.dataset.here in kept.here;
        box.addEventListener("change", () => {
            if (box.checked) kept.here[box.dataset.here] = true;
            else delete kept.here[box.dataset.here];
            keep();
        });
    }
    for (const note of all("textarea[data-note]")) {
        note.value = (kept.notes[note.dataset.note] || {}).words || "";
        note.addEventListener("change", () => {
            if (note.value.trim()) kept.notes[note.dataset.note] = { words: note.value.trim(), at: now() };
            else delete kept.notes[note.dataset.note];
            keep();
        });
    }
    if (kept.who !== null) who.value = kept.who;
    who.addEventListener("change", () => {
        kept.who = who.value.trim();
        keep();
    });
    document.getElementById("reading").addEventListener("submit", (event) => {
        event.preventDefault();
        const reading = Object.fromEntries(new FormData(event.target));
        kept.readings.push({ ...reading, at: now() });
        event.target.elements.off.value = "";
        keep();
    });

    const given = () => ({
        format: "yes-square pocket",
        version: 1,
        job: document.title,
        by: who.value.trim(),
        ticks: Object.entries(kept.ticks).map(([key, at]) => ({ key, at })),
        notes: Object.entries(kept.notes).map(([wall, note]) => ({ wall, ...note })),
        readings: kept.readings,
    });
    document.getElementById("give").addEventListener("click", async () => {
        const words = JSON.stringify(given(), null, 1);
        document.getElementById("given").value = words;
        const name = document.title.replace(/[^\p{L}\p{N}]+/gu, "-") + "-ticks.json";
        const file = new File([words], name, { type: "application/json" });
        if (navigator.canShare && navigator.canShare({ files: [file] })) {
            try {
                await navigator.share({ files: [file] });
                return;
            } catch {
                // Not shared: it is kept as a file instead.
            }
        }
        const link = document.createElement("a");
        link.href = URL.createObjectURL(file);
        link.download = name;
        link.click();
        URL.revokeObjectURL(link.href);
    });
    show();
})();
