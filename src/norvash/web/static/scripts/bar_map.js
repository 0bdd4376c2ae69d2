// Painting on the bar map: mouse, touch and keys change the words of the map, and those are kept like every other entry.
// The server draws the map; until its drawing is back the same marks are put on here.
import { ask } from "./asking.js";
import { read, write } from "./bar_words.js";

const SETTLE_MS = 450;
const TWO_DIGITS_MS = 900;
const NARROW = window.matchMedia("(max-width: 760px)");
const BOX = ["x", "y", "width", "height"];
const STEPS = { ArrowRight: 1, ArrowLeft: -1 };

// One bar's box in each drawing of the map that is on the page.
function boxes(root, bar) {
  return [...root.querySelectorAll("svg.bar-map")].map((svg) => [svg, svg.querySelector("use[data-bar='" + bar + "']")]).filter(([, box]) => box);
}

function framed(name, box, attributes) {
  const element = document.createElementNS("http://www.w3.org/2000/svg", name);
  BOX.forEach((a) => element.setAttribute(a, box.getAttribute(a)));
  Object.entries(attributes).forEach(([key, value]) => element.setAttribute(key, value));
  return element;
}

function barOf(target) {
  const hit = target && target.closest && target.closest("[data-bar], [data-on]");
  return hit ? Number(hit.dataset.bar || hit.dataset.on) : 0;
}

// The bars of a stroke that went from one bar to another: a quick hand is over a bar for less than one event. In
// another row it has not passed those between.
function passed(field, from, to) {
  const inOneRow = boxes(field, from).every(([svg, box]) => box.getAttribute("y") === svg.querySelector("use[data-bar='" + to + "']").getAttribute("y"));
  const steps = inOneRow ? Math.abs(to - from) : 1;
  return Array.from({ length: steps }, (_, i) => to + Math.sign(from - to) * (steps - 1 - i));
}

// The bar that stands over or under a bar in the row before or after.
function barInRow(field, bar, down) {
  const svg = [...field.querySelectorAll("svg.bar-map")].find((s) => s.getBoundingClientRect().width > 0);
  const here = svg.querySelector("use[data-bar='" + bar + "']").getBoundingClientRect();
  const others = [...svg.querySelectorAll("use[data-bar]")].map((u) => [u.getBoundingClientRect(), Number(u.dataset.bar)]);
  const rows = others.filter(([r]) => (down ? r.top > here.bottom : r.bottom < here.top));
  if (!rows.length) {
    return bar;
  }
  const tops = rows.map(([r]) => r.top);
  const nearest = down ? Math.min(...tops) : Math.max(...tops);
  const row = rows.filter(([r]) => Math.abs(r.top - nearest) < 1);
  return row.reduce((best, x) => (Math.abs(x[0].left - here.left) < Math.abs(best[0].left - here.left) ? x : best))[1];
}

export default () => {
  // What hands do between two drawings; the page shows none of it directly.
  const at = { bar: 1, shown: null, timer: 0, digits: "", digitsAt: 0, stroke: null, running: false, mark: "", root: null };

  return {
    condition: "burnt",
    says: "",

    init() {
      at.root = this.$root;
      this.says = this.$refs.says ? this.$refs.says.textContent.trim() : "";
      window.addEventListener("norvash:merged", () => this.fetchMap());
      NARROW.addEventListener("change", () => this.fetchMap(true));
      ["pointerup", "pointercancel"].forEach((kind) => document.addEventListener(kind, () => this.lift()));
      this.fetchMap();
    },

    get field() {
      return at.root.querySelector("[data-bars]");
    },

    get words() {
      return at.root.querySelector("input[data-map]");
    },

    get isStill() {
      return this.field === null || this.field.hasAttribute("data-still");
    },

    get bars() {
      return Number(this.field.dataset.bars);
    },

    get now() {
      at.shown = at.shown || read(this.words.value);
      return at.shown;
    },

    // The map is a fragment of its own: it is asked for when the page stands, and again when it has changed.
    async fetchMap(anew) {
      const place = at.root.querySelector("[data-loads]");
      if (!place || (!anew && at.mark === place.dataset.mark)) {
        return;
      }
      const mark = place.dataset.mark;
      at.mark = mark;
      try {
        const answer = await ask(place.dataset.loads + (NARROW.matches ? "?narrow=1" : ""));
        const html = await answer.text();
        if (answer.ok && at.mark === mark) {
          const drawn = new DOMParser().parseFromString(html, "text/html").getElementById("bar-map-drawn");
          place.replaceChildren(...drawn.childNodes);
          this.afterDrawing();
        }
      } catch {
        at.mark = "";
      }
    },

    afterDrawing() {
      if (this.isStill) {
        return;
      }
      if (at.timer || at.stroke !== null || (this.words.dataset.kept !== undefined && this.words.dataset.kept !== this.words.value)) {
        this.redrawAll();
      }
      this.showCursor();
    },

    swatch(id) {
      return at.root.querySelector("[data-condition='" + id + "']");
    },

    wordsOf(id) {
      return this.swatch(id).querySelector("span").textContent;
    },

    chosen(id) {
      return String(!this.isStill && this.condition === id);
    },

    pick(event) {
      const swatch = event.target.closest("[data-condition]");
      if (swatch && !this.isStill) {
        this.condition = swatch.dataset.condition;
        this.field.focus({ preventScroll: true });
      }
    },

    redraw(bar) {
      boxes(this.field, bar).forEach(([svg, box]) => {
        svg.querySelectorAll("use[data-on='" + bar + "']").forEach((u) => u.remove());
        box.setAttribute("href", "#bar-plain");
        (this.now.get(bar) || new Set()).forEach((c) => box.after(framed("use", box, { href: "#bar-+" + c, "data-on": bar })));
      });
    },

    redrawAll() {
      for (let bar = 1; bar <= this.bars; bar += 1) {
        this.redraw(bar);
      }
    },

    showCursor() {
      this.field.querySelectorAll(".bar-cursor").forEach((c) => c.remove());
      if (document.activeElement === this.field) {
        boxes(this.field, at.bar).forEach(([svg, box]) => svg.append(framed("rect", box, { class: "bar-cursor" })));
      }
    },

    tell() {
      const on = [...(this.now.get(at.bar) || [])].map((c) => this.wordsOf(c)).join(", ") || "nothing";
      this.says = "Bar " + at.bar + " of " + this.bars + ": " + on + ". Painting: " + this.wordsOf(this.condition) + ".";
    },

    paint(bar, on) {
      const films = [...at.root.querySelectorAll("[data-film]")].map((b) => b.dataset.condition);
      const has = new Set(this.now.get(bar) || []);
      if (on && films.includes(this.condition)) {
        films.forEach((f) => has.delete(f));
      }
      if (on) {
        has.add(this.condition);
      } else {
        has.delete(this.condition);
      }
      this.put(bar, has);
    },

    put(bar, has) {
      if (has.size) {
        this.now.set(bar, has);
      } else {
        this.now.delete(bar);
      }
      this.redraw(bar);
      clearTimeout(at.timer);
      at.timer = setTimeout(() => this.keep(), SETTLE_MS);
    },

    keep() {
      clearTimeout(at.timer);
      at.timer = 0;
      if (!this.words || at.stroke !== null) {
        return;
      }
      const text = write(this.now);
      at.shown = null;
      // What the page keeps may say that more is to come: "burnt 5; …".
      if (write(read(this.words.value)) === text) {
        return;
      }
      this.words.value = text;
      if (this.words.hasAttribute("data-fills")) {
        this.fill();
      } else {
        this.words.form.requestSubmit();
      }
    },

    // Alone under Sums the painted bars are written into the form, to be worked out when asked.
    fill() {
      const on = (...wanted) => [...this.now].filter(([, c]) => wanted.some((x) => c.has(x))).map(([b]) => b).sort((a, b) => a - b).join("; ");
      document.getElementById("marked_bars").value = on("dark", "burnt");
      document.getElementById("burnt_bars").value = on("burnt");
    },

    isPainted(bar) {
      return (this.now.get(bar) || new Set()).has(this.condition);
    },

    step(key, run) {
      if (run && !at.running) {
        at.running = true;
        this.paint(at.bar, true);
      }
      at.bar = ((at.bar - 1 + STEPS[key]) % this.bars + this.bars) % this.bars + 1;
      if (run) {
        this.paint(at.bar, true);
      }
    },

    digit(key) {
      const now = performance.now();
      at.digits = now - at.digitsAt < TWO_DIGITS_MS ? at.digits + key : key;
      at.digitsAt = now;
      const numbered = (n) => at.root.querySelector("[data-number='" + n + "']");
      const found = numbered(Number(at.digits)) || numbered(Number(key));
      if (found) {
        this.condition = found.dataset.condition;
      }
    },

    byKey(event) {
      if (this.isStill || event.ctrlKey || event.metaKey || event.altKey) {
        return;
      }
      if (this.acts(event.key, event.shiftKey)) {
        event.preventDefault();
        this.showCursor();
        this.tell();
      }
    },

    acts(key, run) {
      const doing = {
        ArrowRight: () => this.step(key, run),
        ArrowLeft: () => this.step(key, run),
        ArrowUp: () => (at.bar = barInRow(this.field, at.bar, false)),
        ArrowDown: () => (at.bar = barInRow(this.field, at.bar, true)),
        Home: () => (at.bar = 1),
        End: () => (at.bar = this.bars),
        " ": () => this.paint(at.bar, !this.isPainted(at.bar)),
        Delete: () => this.put(at.bar, new Set()),
        Backspace: () => this.put(at.bar, new Set()),
      } [key] || (/^[0-9]$/.test(key) ? () => this.digit(key) : null);
      if (doing) {
        doing();
      }
      return doing !== null;
    },

    keyUp(event) {
      at.running = at.running && event.key !== "Shift";
    },

    down(event) {
      const bar = barOf(event.target);
      if (!bar || this.isStill || event.button > 0) {
        return;
      }
      event.preventDefault();
      this.field.focus({ preventScroll: true });
      at.bar = bar;
      at.stroke = !this.isPainted(bar);
      this.paint(bar, at.stroke);
      this.showCursor();
      this.tell();
    },

    drag(event) {
      const bar = at.stroke === null ? 0 : barOf(document.elementFromPoint(event.clientX, event.clientY));
      if (bar && bar !== at.bar) {
        passed(this.field, at.bar, bar).forEach((b) => this.paint(b, at.stroke));
        at.bar = bar;
        this.showCursor();
        this.tell();
      }
    },

    lift() {
      if (at.stroke !== null) {
        at.stroke = null;
        this.keep();
      }
    },

    came() {
      if (this.isStill) {
        return;
      }
      at.bar = at.bar > this.bars ? 1 : at.bar;
      if (!at.timer && at.stroke === null) {
        at.shown = null;
      }
      this.afterDrawing();
      this.tell();
    },

    // Whoever leaves the map has it kept at once.
    went(event) {
      if (this.isStill) {
        return;
      }
      this.field.querySelectorAll(".bar-cursor").forEach((c) => c.remove());
      if (at.timer && event.relatedTarget) {
        this.keep();
      }
    },
  };
};
