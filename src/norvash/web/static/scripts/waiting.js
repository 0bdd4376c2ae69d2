// The bar at the head of every page: what waits in this browser and whose it is, what was refused, and a newer build.
import { isNewer, person } from "./asking.js";
import * as queue from "./queue.js";
import { flush, heldBy } from "./sending.js";

const LATE_MS = 2000;
let timer = 0;
let said = new Set();

// What is on its way is not called waiting: at every entry the bar would push the page from under the hand.
function isLate(item) {
  const since = Date.now() - item.at;
  return item.unkept || item.who !== person() || !navigator.onLine || heldBy() !== "" || since < 0 || since >= LATE_MS;
}

function counted(n) {
  return n === 1 ? "One entry" : n + " entries";
}

function wordsOf(items) {
  const own = items[0].who === person();
  const waits = items.length === 1 ? "waits" : "wait";
  const list = items.map((i) => i.says).join("; ");
  // What is not stored yet would be gone with the browser: nobody is told that it lies there.
  if (!items.every((i) => i.unkept || queue.isStored(i))) {
    return counted(items.length) + (items.length === 1 ? " is" : " are") + " being stored in this browser: " + list + ".";
  }
  if (!own) {
    return counted(items.length) + " of " + (items[0].name || "somebody else") + " " + waits + " in this browser until they work on it again: " + list + ".";
  }
  const until = heldBy() ? "" : " until the network is back";
  return counted(items.length) + " " + waits + " in this browser" + until + ": " + list + "." + (heldBy() ? " " + heldBy() : "");
}

export default () => ({
  groups: [],
  refused: [],
  loose: false,
  stays: false,
  newer: isNewer(),

  init() {
    queue.onChange(() => this.show());
    ["online", "offline"].forEach((kind) => window.addEventListener(kind, () => this.show()));
    window.addEventListener("norvash:newer", () => this.show());
    document.addEventListener("click", (event) => this.stay(event));
    queue.opened.then(flush);
    this.show();
  },

  show() {
    const by = new Map();
    const waiting = queue.all("waiting");
    clearTimeout(timer);
    timer = waiting.length ? setTimeout(() => this.show(), LATE_MS) : 0;
    // Whose entries were once said to wait, theirs are until they are kept.
    said = new Set(waiting.filter((i) => said.has(i.who) || isLate(i)).map((i) => i.who));
    const late = waiting.filter((i) => said.has(i.who));
    late.forEach((i) => by.set(i.who, [...(by.get(i.who) || []), i]));
    this.groups = [...by].map(([who, items]) => ({ who, words: wordsOf(items) }));
    this.refused = queue.all("refused").map((i) => ({
      act: i.act,
      page: i.page,
      words: "Not kept" + (i.who && i.who !== person() ? ", of " + (i.name || "somebody else") : "") + ": " + i.says + ". " + i.why,
    }));
    this.loose = queue.isLoose();
    this.stays = this.stays && !navigator.onLine;
    this.newer = isNewer();
    const forms = late.map((i) => i.form);
    document.querySelectorAll("[data-entry]").forEach((f) => f.classList.toggle("waits", forms.includes(f.id || f.parentElement.id)));
  },

  // A page that is left without the network does not come back: it stays, and says so where what waits is listed.
  stay(event) {
    const link = event.target.closest("a[href]");
    if (link && !navigator.onLine && link.pathname + link.search !== location.pathname + location.search) {
      event.preventDefault();
      this.stays = true;
    }
  },

  get any() {
    return this.groups.length + this.refused.length > 0 || this.newer || this.stays;
  },

  seen(act) {
    queue.drop("refused", act);
  },

  anew() {
    location.reload();
  },
});
