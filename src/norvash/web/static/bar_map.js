// Painting on the bar map: mouse, touch and keys change the words of the map, and those are kept like every other entry.
(function () {
  "use strict";
  const SETTLE_MS = 450, TWO_DIGITS_MS = 900;
  let condition = "burnt", bar = 1, shown = null, timer = 0, digits = "", digitsAt = 0, stroke = null, running = false;

  const field = () => document.getElementById("bars-field");
  const input = () => document.querySelector("input[data-map]");
  const count = () => Number(field().dataset.bars);
  const still = () => field().hasAttribute("data-still");
  const swatch = (id) => document.querySelector("[data-condition='" + id + "']");
  const films = () => [...document.querySelectorAll("[data-film]")].map((b) => b.dataset.condition);

  function read(text) {
    const map = new Map();
    text.split(";").forEach((part) => {
      const match = part.trim().match(/^([a-z-]+)\s+(.+)$/);
      if (!match) { return; }
      match[2].split(",").forEach((piece) => {
        const ends = piece.split(/[-–]/).map(Number), last = ends[ends.length - 1];
        for (let b = ends[0]; b >= 1 && b <= last; b += 1) { if (!map.has(b)) { map.set(b, new Set()); } map.get(b).add(match[1]); }
      });
    });
    return map;
  }

  function write(map) {
    const by = new Map();
    [...map.keys()].sort((a, b) => a - b).forEach((b) => map.get(b).forEach((c) => { if (!by.has(c)) { by.set(c, []); } by.get(c).push(b); }));
    return [...by].map(([c, bars]) => c + " " + bars.join(", ")).join("; ");
  }

  function now() { if (!shown) { shown = read(input().value); } return shown; }

  // The server draws the map; until its drawing is back the same marks are put on here.
  function redraw(b) {
    document.querySelectorAll("#bars-field svg.bar-map").forEach((svg) => {
      svg.querySelectorAll("use[data-on='" + b + "']").forEach((u) => u.remove());
      const box = svg.querySelector("use[data-bar='" + b + "']");
      if (!box) { return; }
      box.setAttribute("href", "#bar-plain");
      (now().get(b) || new Set()).forEach((c) => {
        const mark = document.createElementNS("http://www.w3.org/2000/svg", "use");
        mark.setAttribute("href", "#bar-+" + c);
        ["x", "y", "width", "height"].forEach((a) => mark.setAttribute(a, box.getAttribute(a)));
        mark.setAttribute("data-on", b);
        box.after(mark);
      });
    });
  }

  // What was refused, because somebody else painted meanwhile, stays in its field and is what is shown and painted on.
  function showKept() {
    const words = input();
    if (words.dataset.kept !== undefined && words.dataset.kept !== words.value) { redrawAll(); }
  }

  function redrawAll() { for (let b = 1; b <= count(); b += 1) { redraw(b); } }

  function cursor() {
    document.querySelectorAll("#bars-field .bar-cursor").forEach((c) => c.remove());
    if (!field() || document.activeElement !== field()) { return; }
    document.querySelectorAll("#bars-field svg.bar-map").forEach((svg) => {
      const box = svg.querySelector("use[data-bar='" + bar + "']");
      if (!box) { return; }
      const ring = document.createElementNS("http://www.w3.org/2000/svg", "rect");
      ["x", "y", "width", "height"].forEach((a) => ring.setAttribute(a, box.getAttribute(a)));
      ring.setAttribute("class", "bar-cursor");
      svg.append(ring);
    });
  }

  function tell() {
    const says = document.getElementById("bar-says"), on = [...(now().get(bar) || [])].map((c) => swatch(c).querySelector("span").textContent);
    const painting = swatch(condition).querySelector("span").textContent;
    says.textContent = "Bar " + bar + " of " + count() + ": " + (on.join(", ") || "nothing")
      + ". Painting: " + painting + ".";
  }

  function choose(id) {
    condition = id;
    document.querySelectorAll("[data-condition]").forEach((b) => b.setAttribute("aria-pressed", String(b.dataset.condition === id)));
  }

  function paint(b, on) {
    const has = now().get(b) || new Set();
    if (on) {
      if (films().includes(condition)) { films().forEach((f) => has.delete(f)); }
      has.add(condition);
    } else { has.delete(condition); }
    if (has.size) { now().set(b, has); } else { now().delete(b); }
    redraw(b);
    clearTimeout(timer);
    timer = setTimeout(keep, SETTLE_MS);
  }

  function keep() {
    clearTimeout(timer);
    timer = 0;
    const words = input(), text = write(now());
    if (!words || stroke !== null) { return; }
    shown = null;
    if (words.value === text) { return; }
    words.value = text;
    if (words.hasAttribute("data-fills")) { fill(); return; }
    words.form.requestSubmit();
  }

  // Alone under Sums the painted bars are written into the form, to be worked out when asked.
  function fill() {
    const on = (...conditions) => [...now()].filter(([, c]) => conditions.some((x) => c.has(x))).map(([b]) => b).sort((a, b) => a - b).join("; ");
    document.getElementById("marked_bars").value = on("dark", "burnt");
    document.getElementById("burnt_bars").value = on("burnt");
  }

  function move(step) {
    bar = ((bar - 1 + step) % count() + count()) % count() + 1;
  }

  // Up and down go to the bar that stands over or under this one in the row before or after.
  function rowStep(down) {
    const svg = [...document.querySelectorAll("#bars-field svg.bar-map")].find((s) => s.getBoundingClientRect().width > 0);
    const here = svg.querySelector("use[data-bar='" + bar + "']").getBoundingClientRect();
    const others = [...svg.querySelectorAll("use[data-bar]")].map((r) => [r.getBoundingClientRect(), Number(r.dataset.bar)]);
    const rows = others.filter(([r]) => (down ? r.top > here.bottom : r.bottom < here.top));
    if (!rows.length) { return; }
    const nearest = rows.reduce((m, [r]) => (down ? Math.min(m, r.top) : Math.max(m, r.top)), down ? Infinity : -Infinity);
    const row = rows.filter(([r]) => Math.abs(r.top - nearest) < 1);
    bar = row.reduce((best, x) => (Math.abs(x[0].left - here.left) < Math.abs(best[0].left - here.left) ? x : best))[1];
  }

  function digit(key) {
    const at = performance.now();
    digits = at - digitsAt < TWO_DIGITS_MS ? digits + key : key;
    digitsAt = at;
    const found = document.querySelector("[data-number='" + Number(digits) + "']") || document.querySelector("[data-number='" + Number(key) + "']");
    if (found) { choose(found.dataset.condition); }
  }

  const STEPS = { ArrowRight: 1, ArrowLeft: -1 };
  document.addEventListener("keydown", (event) => {
    if (!field() || event.target !== field() || event.ctrlKey || event.metaKey || event.altKey || still()) { return; }
    if (event.key in STEPS) {
      if (event.shiftKey && !running) { running = true; paint(bar, true); }
      move(STEPS[event.key]);
      if (event.shiftKey) { paint(bar, true); }
    } else if (event.key === "ArrowUp" || event.key === "ArrowDown") { rowStep(event.key === "ArrowDown");
    } else if (event.key === "Home") { bar = 1;
    } else if (event.key === "End") { bar = count();
    } else if (event.key === " ") { paint(bar, !(now().get(bar) || new Set()).has(condition));
    } else if (event.key === "Delete" || event.key === "Backspace") { now().delete(bar); redraw(bar); clearTimeout(timer); timer = setTimeout(keep, SETTLE_MS);
    } else if (/^[0-9]$/.test(event.key)) { digit(event.key);
    } else { return; }
    event.preventDefault();
    cursor(); tell();
  });
  document.addEventListener("keyup", (event) => { if (event.key === "Shift") { running = false; } });

  const barOf = (target) => {
    const hit = target && target.closest && target.closest("#bars-field [data-bar], #bars-field [data-on]");
    return hit ? Number(hit.dataset.bar || hit.dataset.on) : 0;
  };
  document.addEventListener("pointerdown", (event) => {
    const b = barOf(event.target);
    if (!b || still() || event.button > 0) { return; }
    event.preventDefault();
    field().focus({ preventScroll: true });
    bar = b;
    stroke = !(now().get(b) || new Set()).has(condition);
    paint(b, stroke);
    cursor(); tell();
  });
  document.addEventListener("pointermove", (event) => {
    if (stroke === null) { return; }
    const b = barOf(document.elementFromPoint(event.clientX, event.clientY));
    if (b && b !== bar) { bar = b; paint(b, stroke); cursor(); tell(); }
  });
  ["pointerup", "pointercancel"].forEach((kind) => document.addEventListener(kind, () => { if (stroke !== null) { stroke = null; keep(); } }));

  document.addEventListener("click", (event) => {
    const chosen = event.target.closest("[data-condition]");
    if (chosen && !still()) { choose(chosen.dataset.condition); field().focus({ preventScroll: true }); }
  });
  document.addEventListener("focusin", (event) => {
    if (!field() || still()) { return; }
    choose(condition);
    if (event.target === field()) {
      if (bar > count()) { bar = 1; }
      if (timer || stroke !== null) { redrawAll(); } else { shown = null; showKept(); }
      cursor(); tell();
    }
  });
  // Whoever leaves the map has it kept at once. A fresh page that takes the place of the old one takes the cursor for a moment only:
  // what was painted meanwhile is then kept with the new page's form, over what it shows.
  document.addEventListener("focusout", (event) => {
    if (!field() || still() || event.target !== field()) { return; }
    document.querySelectorAll("#bars-field .bar-cursor").forEach((c) => c.remove());
    if (timer && event.relatedTarget) { keep(); } else if (timer) { setTimeout(() => { if (timer && document.activeElement !== field()) { keep(); } }, 0); }
  });
  if (field() && !still()) { choose(condition); }
})();
