// Forms outside a sheet: sent once, filled in by a suggestion, fields that appear with others, rows that are kept one by one,
// and answers that follow what is typed.
import { ask, askParts } from "./asking.js";
import { merge } from "./merging.js";

// A second submit of the same form while the first is under way is not sent.
document.addEventListener("submit", (event) => {
  const form = event.target;
  if (form.method !== "post" || form.hasAttribute("data-entry") || form.hasAttribute("data-row") || event.defaultPrevented) {
    return;
  }
  if (form.dataset.sent) {
    event.preventDefault();
    return;
  }
  form.dataset.sent = "1";
  window.addEventListener("pageshow", () => delete form.dataset.sent, { once: true });
});

document.addEventListener("click", (event) => {
  const button = event.target.closest("[data-fill]");
  if (!button) {
    return;
  }
  const field = document.getElementById(button.dataset.fill);
  field.value = button.value;
  field.form.requestSubmit();
});

// What is known is laid into fields, one press for all of them; nothing is sent by that.
document.addEventListener("click", (event) => {
  const button = event.target.closest("[data-lay]");
  if (button) {
    for (const [id, value] of Object.entries(JSON.parse(button.dataset.lay))) {
      document.getElementById(id).value = value;
    }
  }
});

// A day is read as it is typed, and said with its month by name: nobody has to guess which of two numbers is the month.
const taking = new WeakMap();

async function sayDay(field) {
  const typed = field.value.trim();
  let said = "";
  if (typed) {
    try {
      said = await (await ask("/day?" + new URLSearchParams({ typed }))).text();
    } catch {
      said = "";
    }
  }
  if (!field.isConnected || field.value.trim() !== typed) {
    return;
  }
  let taken = field.nextElementSibling;
  if (!taken || !taken.matches("output.taken")) {
    taken = document.createElement("output");
    taken.className = "taken";
    field.after(taken);
  }
  taken.textContent = said;
}

document.addEventListener("input", (event) => {
  if (event.target.matches("input[data-day]")) {
    clearTimeout(taking.get(event.target));
    taking.set(event.target, setTimeout(() => sayDay(event.target), 200));
  }
});

// Fields that belong to an answer of another field: `is("unit_of_use", "hours", "starts")`, `ticked("set_is_new")`.
export const dependent = () => ({
  said: {},

  init() {
    this.look();
  },

  look() {
    const said = {};
    this.$root.querySelectorAll("select[name], input[type=checkbox][name]").forEach((f) => {
      said[f.name] = f.type === "checkbox" ? f.checked : f.value;
    });
    this.said = said;
  },

  is(name, ...values) {
    return this.said[name] === undefined || values.includes(this.said[name]);
  },

  ticked(name) {
    return this.said[name] === true;
  },
});

// An answer that follows what is typed: the form is asked again, and only its answer is drawn anew.
export const live = () => ({
  asked: 0,

  async follow() {
    const form = this.$root;
    const url = form.getAttribute("action") + "?" + new URLSearchParams(new FormData(form));
    this.asked += 1;
    const nth = this.asked;
    try {
      const answer = await askParts(url);
      const html = await answer.text();
      if (nth === this.asked && form.isConnected) {
        merge(html);
        history.replaceState(null, "", url);
      }
    } catch {
      // Without the network the button still asks.
    }
  },
});

// One row of a book: kept by Enter, which moves on, or when it is left; the server sends the row back.
export const row = () => ({
  moving: false,
  away: false,
  out: false,

  async keep() {
    const form = this.$root;
    if (form.dataset.sent === form.elements.value.value) {
      return;
    }
    form.dataset.sent = form.elements.value.value;
    this.away = this.out = false;
    const headers = { "Content-Type": "application/x-www-form-urlencoded", "Norvash-Has": "" };
    try {
      const answer = await ask(form.getAttribute("action"), { method: "POST", headers, body: new URLSearchParams(new FormData(form)) });
      const sent = { field: form.elements.value.id, value: form.dataset.sent, left: true };
      delete form.dataset.sent;
      // Whoever is signed out meanwhile keeps what is typed, in this row and in the others.
      this.out = answer.status === 401;
      if (!this.out && !merge(await answer.text(), sent)) {
        location.reload();
      }
    } catch {
      delete form.dataset.sent;
      this.away = true;
    }
  },

  onward() {
    const fields = [...document.querySelectorAll("[data-row] input[name=value]")];
    const next = fields[fields.indexOf(this.$root.elements.value) + 1];
    this.moving = true;
    if (this.$root.elements.value.value.trim()) {
      this.keep();
    }
    if (next) {
      next.focus();
      next.select();
    }
    this.moving = false;
  },

  changed() {
    if (!this.moving && this.$root.elements.value.value.trim() && this.$root.isConnected) {
      this.keep();
    }
  },
});

// A file that is larger than what is taken is told before it is sent.
export const file = () => ({
  large: false,

  chosen() {
    const field = this.$refs.file;
    this.large = field.files.length > 0 && field.files[0].size > Number(field.dataset.most);
  },
});
