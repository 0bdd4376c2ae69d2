// Keys of a page: what carries `data-key` is pressed by it, what carries `data-go` after a g. The list of them is one key too.
const NUMBER_MS = 700;
const GOING_MS = 1500;
let going = false;
let number = "";
let waits = 0;

// A measuring field that is still empty takes the keys of its page: no reading begins with one of them.
function isTyping(target, key) {
  if (target.matches("[data-quantity], [data-measure]") && target.value === "" && key && "[]uxz".includes(key)) {
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

// What a key stands for; a number of two figures is waited for where there is one that begins so.
function keyed(key) {
  const all = [...document.querySelectorAll("[data-key]")];
  const exactly = (typed) => all.find((e) => e.dataset.key === typed);
  clearTimeout(waits);
  if (!/^[0-9]$/.test(key)) {
    number = "";
    return exactly(key);
  }
  const typed = number + key;
  number = "";
  if (!all.some((e) => e.dataset.key.length > typed.length && e.dataset.key.startsWith(typed))) {
    return exactly(typed) || exactly(key);
  }
  number = typed;
  waits = setTimeout(() => {
    const found = exactly(number);
    number = "";
    if (found) {
      press(found);
    }
  }, NUMBER_MS);
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
  if (way() === "off" || event.ctrlKey || event.metaKey || document.querySelector("dialog[open]")) {
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
  if (key === "Enter" && event.target !== document.body) {
    return;
  }
  const found = keyed(key);
  if (found) {
    event.preventDefault();
    press(found);
  }
}

document.addEventListener("keydown", pressed);

export default () => ({
  rows: [],

  init() {
    window.addEventListener("norvash:keys", () => this.show());
  },

  show() {
    const held = way() === "alt" ? "Alt " : "";
    const own = [...document.querySelectorAll("[data-key]")].map((e) => ({ key: held + e.dataset.key, says: e.dataset.keySays }));
    const areas = [...document.querySelectorAll("[data-go]")].map((a) => ({
      key: held + "g " + a.dataset.go,
      says: "go to " + a.firstChild.textContent.trim(),
    }));
    this.rows = [...own, ...areas, { key: held + "?", says: "this list" }];
    this.$nextTick(() => this.$refs.list.showModal());
  },
});
