// Keys of a page: what carries `data-key` is pressed by it, what carries `data-go` after a g. The list of them is one key too.
const NUMBER_MS = 700;
const LETTER_MS = 1500;
const GOING_MS = 1500;
const LEAVING_MS = 1500;
let going = false;
let begun = "";
let waits = 0;
let leaving = 0;

// A measuring field that is still empty takes the keys of its page: no reading begins with one of them.
function isTyping(target, key) {
  if (target.matches("[data-quantity], [data-measure]") && target.value === "" && key && (begun !== "" || "[]buxz".includes(key))) {
    return false;
  }
  // Nor does any text begin with a bracket: those go from stage to stage.
  if (target.matches("input, textarea") && target.value === "" && key && "[]".includes(key)) {
    return false;
  }
  return target.matches("input:not([type=radio]):not([type=checkbox]), textarea, select") || target.isContentEditable;
}

function press(element) {
  if (element.matches("input")) {
    element.focus();
  }
  if (element.matches("input:not([type=radio])")) {
    element.select();
  } else {
    element.click();
  }
}

function go(key) {
  const area = [...document.querySelectorAll("[data-go]")].find((a) => a.dataset.go === key);
  if (area) {
    area.click();
  }
}

// What a key stands for; where a longer one begins so, like a number of two figures, the rest of it is waited for.
function keyed(key) {
  const all = [...document.querySelectorAll("[data-key]")].filter((e) => !/^[A-Z]/.test(e.dataset.key) || e.dataset.key === key);
  const exactly = (typed) => all.find((e) => e.dataset.key === typed);
  const typed = begun + key;
  clearTimeout(waits);
  begun = "";
  if (!all.some((e) => e.dataset.key.length > typed.length && e.dataset.key.startsWith(typed))) {
    return exactly(typed) || exactly(key);
  }
  begun = typed;
  waits = setTimeout(() => {
    const found = exactly(begun);
    begun = "";
    if (found) {
      press(found);
    }
  }, exactly(typed) ? NUMBER_MS : LETTER_MS);
  return undefined;
}

// Whoever works here may have switched the keys off, or holds Alt with them; then they act in a field with text too.
const way = () => document.documentElement.dataset.keys;

// With Alt a keyboard may type another letter: the key's own place says which one is meant.
function keyOf(event) {
  const letter = /^Key([A-Z])$/.exec(event.code);
  return way() === "alt" && letter ? letter[1].toLowerCase() : event.key;
}

function isForPage(event) {
  if (way() === "off" || Date.now() - leaving < LEAVING_MS || event.ctrlKey || event.metaKey || document.querySelector("dialog[open]")) {
    return false;
  }
  return way() === "alt" ? event.altKey || going : !event.altKey && !isTyping(event.target, event.key);
}

function pressed(event) {
  if (event.key === "Escape" && isTyping(event.target)) {
    event.target.blur();
    return;
  }
  if (!isForPage(event)) {
    return;
  }
  const key = keyOf(event);
  if (going) {
    going = false;
    go(key);
    event.preventDefault();
    return;
  }
  if (key === "g") {
    going = true;
    setTimeout(() => {
      going = false;
    }, GOING_MS);
    return;
  }
  if (key === "?") {
    window.dispatchEvent(new CustomEvent("norvash:keys"));
    event.preventDefault();
    return;
  }
  if (key === "Enter" && !event.target.matches("body, main")) {
    return;
  }
  const found = keyed(key);
  if (found || begun) {
    event.preventDefault();
  }
  if (found) {
    press(found);
  }
}

document.addEventListener("keydown", pressed);
// What is typed while the next page is on its way is meant for that one.
window.addEventListener("beforeunload", () => {
  leaving = Date.now();
});
window.addEventListener("pageshow", () => {
  leaving = 0;
});

export default () => ({
  rows: [],

  init() {
    window.addEventListener("norvash:keys", () => this.show());
  },

  show() {
    const held = way() === "alt" ? "Alt " : "";
    const own = [...document.querySelectorAll("[data-key-says]")].map((e) => ({ key: held + (e.dataset.keyShown || e.dataset.key), says: e.dataset.keySays }));
    const areas = [...document.querySelectorAll("[data-go]")].map((a) => ({
      key: held + "g " + a.dataset.go,
      says: "go to " + a.firstChild.textContent.trim(),
    }));
    this.rows = [...own, ...areas, { key: held + "?", says: "this list" }];
    this.$nextTick(() => this.$refs.list.showModal());
  },
});
