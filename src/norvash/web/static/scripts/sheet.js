// A sheet: its entries go through the queue, readings are typed brush by brush in the unit at hand or come from the gauge,
// and what somebody else enters meanwhile is shown.
import { ask, askParts, here, newId, person } from "./asking.js";
import { merge, merging } from "./merging.js";
import * as queue from "./queue.js";
import { setClock } from "./timers.js";
import { deliverTo, flush, mine, page } from "./sending.js";

const UNIT = "norvash.unit";
const LISTENS = "norvash.gauge";
const PRESSED = "norvash.pressed";
const POLL_MS = 1000;
const NOW = "[data-entry] [data-now], [data-measure]";
let left = false;
let corrected = null;
let pressedFor = "";

const sheet = () => document.querySelector("[data-sheet]");
const measures = () => [...document.querySelectorAll("[data-measure]")];

// A form that was sent before this script was there is answered at its own address: the page takes that of its stage.
function takeAddress() {
  const position = new URLSearchParams(location.search).get("position");
  if (location.pathname !== sheet().dataset.path) {
    history.replaceState(null, "", sheet().dataset.path + (position ? "?position=" + position : ""));
  }
}

takeAddress();

// A value that was refused before this script was there is typed over, as one that is refused after it.
const refused = document.activeElement;
if (refused.matches("input[aria-invalid=true]") && refused.value === refused.defaultValue) {
  refused.select();
}

function token() {
  if (!sessionStorage.getItem(LISTENS)) {
    sessionStorage.setItem(LISTENS, newId());
  }
  return sessionStorage.getItem(LISTENS);
}

const pressed = () => Number(sessionStorage.getItem(PRESSED) || 0);
const press = (seq) => sessionStorage.setItem(PRESSED, seq);

// Whoever is typing keeps the page; one that has to be loaded anew waits for them no longer than for the queue.
function anew(path) {
  if (path) {
    location.assign(path);
  } else {
    location.reload();
  }
}

function show(html, item) {
  const root = new DOMParser().parseFromString(html, "text/html").querySelector("template[data-fragment]");
  const now = sheet();
  if (!root || !root.dataset.version) {
    return false;
  }
  if (root.dataset.fragment !== now.dataset.path) {
    anew(root.dataset.fragment);
    return true;
  }
  if (Number(root.dataset.version) < Number(now.dataset.version)) {
    return true;
  }
  if (!merge(html, item)) {
    anew();
    return true;
  }
  now.dataset.version = root.dataset.version;
  window.dispatchEvent(new CustomEvent("norvash:merged"));
  return true;
}

async function refresh() {
  const before = here();
  const answer = await askParts(before);
  const html = await answer.text();
  if (answer.ok && here() === before && mine().length === 0) {
    show(html, null);
  }
}

// The answer to an entry comes when the person may be on another page, or typing the next one: later answers hold all of it.
deliverTo(async (said) => {
  if (!sheet() || said.status >= 500) {
    return false;
  }
  const ours = said.item.tab === page && said.item.page === here();
  if (ours && (mine().length === 0 || said.status >= 400)) {
    return show(said.html, { ...said.item, left: said.item.left && said.item.act !== pressedFor });
  }
  if (said.status < 400 && mine().length === 0) {
    await refresh();
  }
  return false;
});

// Enter keeps a reading and goes on to the next brush, on to the first one still open after the last.
function moveOn(field) {
  if (!field.matches("[data-measure]")) {
    return;
  }
  const all = measures();
  const after = all.slice(all.indexOf(field) + 1);
  const next = after.find((f) => f.value === "") || all.find((f) => f.value === "" && f !== field);
  const on = next || document.querySelector("[data-key=']']");
  if (on) {
    on.focus();
  }
}

// What an entry is of: the form says so, or what stands before its field.
function wordsOf(form) {
  const label = form.querySelector("label, .what");
  const words = form.dataset.says || (label ? (label.querySelector(".big") || label.firstChild).textContent : "");
  return words.trim().replace(/\s+/g, " ");
}

// The form of an entry, or the part of the page that holds it.
const idOf = (form) => form.id || form.parentElement.id;

// What adds to a list goes on with the next place at once: the one before need not have arrived.
function goOnAdding(form) {
  const list = form.querySelector("[name=field]").value;
  document.querySelectorAll("[data-adds]").forEach((same) => {
    const place = same.querySelector("[name=place]");
    if (same.querySelector("[name=field]").value !== list) {
      return;
    }
    place.value = Number(place.value) + 1;
  });
  form.querySelectorAll("input:not([type=hidden])").forEach((typed) => {
    if (typed.type === "checkbox") {
      typed.checked = false;
    } else {
      typed.value = typed.defaultValue = "";
    }
  });
}

function enter(form, by) {
  const body = new URLSearchParams(new FormData(form, by));
  const field = form.querySelector(NOW);
  // Nothing typed adds nothing.
  if (form.matches("[data-adds]") && !(body.get("value") || "").trim()) {
    return;
  }
  if (field && field.matches("[data-measure]") && field.value.trim() === "") {
    field.value = field.defaultValue;
    moveOn(field);
    return;
  }
  const over = body.get("replaces") || new URL(form.action).searchParams.get("replaces") || "";
  const sent = field ? field.value + over : "";
  const corrects = field !== null && field.defaultValue !== "";
  if (field && form.dataset.sent === sent) {
    // Its own button, pressed while it is under way, asks for it once more: what is refused then gets the cursor.
    pressedFor = form.dataset.act;
    if (field !== corrected) {
      moveOn(field);
    }
    return;
  }
  if (field) {
    form.dataset.sent = sent;
  }
  // What is entered again while the first still waits stands over it: an entry's id is the id of its act.
  const adds = form.matches("[data-adds]");
  const first = adds ? null : mine().filter((i) => i.form === idOf(form)).pop();
  body.set("act_id", newId());
  form.dataset.act = body.get("act_id");
  if (first) {
    body.set("replaces", first.act);
  }
  if (field && field.matches("[data-measure]")) {
    body.set("unit", sessionStorage.getItem(UNIT) || "");
  }
  const value = field ? field.value : by ? by.textContent.trim().replace(/\s+/g, " ") : "";
  queue.add("waiting", {
    act: body.get("act_id"),
    at: Date.now(),
    url: form.getAttribute("action"),
    body: body.toString(),
    says: [wordsOf(form), value].filter(Boolean).join(" ").slice(0, 80),
    page: here(),
    tab: page,
    who: person(),
    name: document.documentElement.dataset.name,
    form: adds ? "" : idOf(form),
    field: field ? field.id : "",
    value,
    left,
  }).then(flush);
  if (adds) {
    goOnAdding(form);
  }
  // Whoever corrects looks at what comes of it in its row; once more Enter goes on. One key both changes and submits.
  if (corrects) {
    corrected = field;
    setTimeout(() => (corrected = null));
  } else if (field) {
    moveOn(field);
  }
}

document.addEventListener("submit", (event) => {
  const form = event.target;
  const by = event.submitter;
  if (!form.matches("[data-entry]") || (by && by.hasAttribute("data-leave"))) {
    return;
  }
  event.preventDefault();
  enter(form, by);
});

document.addEventListener("change", (event) => {
  const field = event.target;
  if (!merging && field.matches(NOW) && field.value !== field.defaultValue && field.isConnected) {
    left = document.activeElement !== field;
    field.form.requestSubmit();
    left = false;
  }
});

// The gauge types into the field that is active, or into the first brush that is still open.
function gaugeField() {
  const active = document.activeElement;
  if (active && active.matches("[data-gauge], [data-measure]")) {
    return active;
  }
  return measures().find((f) => f.value === "" && !f.disabled) || document.querySelector("textarea[data-gauge]");
}

function typeIn(value) {
  const field = gaugeField();
  if (!field) {
    return "The gauge sent " + value.text + ", but no field is open for it.";
  }
  field.focus();
  field.value = field.matches("textarea") && field.value.trim() ? field.value.trimEnd() + "\n" + value.text : value.text;
  field.form.requestSubmit();
  return "From the gauge: " + value.text + ".";
}

// The component of a sheet: the unit of a bare number, for this browser, and what the gauge says.
export default () => ({
  unit: "",
  units: [],
  says: "",

  init() {
    this.units = [...new Set(this.$root.dataset.units.split(" "))];
    this.unit = sessionStorage.getItem(UNIT) || "";
    setTimeout(() => this.poll(), POLL_MS);
  },

  get unitShown() {
    return this.unit || this.units[0];
  },

  cycleUnit() {
    this.unit = this.units[(this.units.indexOf(this.unitShown) + 1) % this.units.length];
    sessionStorage.setItem(UNIT, this.unit);
  },

  async take() {
    try {
      const answer = await (await ask("/sheets/" + this.$root.dataset.sheet + "/gauge?by=" + token())).json();
      if (answer.text) {
        press(answer.seq);
        this.says = typeIn(answer);
      } else {
        this.says = answer.trouble || "The gauge sends nothing.";
      }
    } catch {
      this.says = "The gauge cannot be asked without the network; type the value.";
    }
  },

  async takeMeter() {
    const field = document.getElementById("next-point");
    try {
      const answer = await (await ask("/sheets/" + this.$root.dataset.sheet + "/meter?by=" + token())).json();
      field.value = answer.text || field.value;
      this.says = answer.text ? "From the meter: " + answer.text + "." : answer.trouble;
    } catch {
      this.says = "The meter cannot be asked without the network; type the point.";
    }
    field.focus();
  },

  async poll() {
    if (!document.hidden && navigator.onLine && mine().length === 0) {
      try {
        const answer = await ask("/sheets/" + this.$root.dataset.sheet + "/version?by=" + token());
        if (answer.ok) {
          await this.news(await answer.json());
        }
      } catch {
        // The next poll tries again.
      }
    }
    setTimeout(() => this.poll(), POLL_MS);
  },

  async news(now) {
    setClock(now.now);
    if (now.gauge && now.gauge.seq > pressed()) {
      press(now.gauge.seq);
      this.says = now.gauge.text ? typeIn(now.gauge) : now.gauge.trouble;
    }
    if (Number(this.$root.dataset.version) < now.version && mine().length === 0) {
      await refresh();
    }
  },
});
