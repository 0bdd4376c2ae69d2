// Parts that the server sends take the place of those on the page; what a hand is doing there stays:
// the focus and its caret, what is typed or ticked and not sent yet, and what was unfolded.
import Alpine from "../vendor/alpine-csp.min.js";

const STOPS = "a[href], button, input:not([type=hidden]), select, summary, textarea";
const FIELDS = "input:not([type=hidden]), select, textarea";
export let merging = false;

const isTick = (field) => field.type === "checkbox" || field.type === "radio";

function isTouched(field) {
  if (isTick(field)) {
    return field.checked !== field.defaultChecked;
  }
  if (field.tagName === "SELECT") {
    return field.value !== asDrawn(field);
  }
  return field.value !== field.defaultValue;
}

function asDrawn(select) {
  const chosen = [...select.options].find((o) => o.defaultSelected) || select.options[0];
  return chosen ? chosen.value : "";
}

function putBack(field) {
  if (isTick(field)) {
    field.checked = field.defaultChecked;
  } else if (field.tagName === "SELECT") {
    field.value = asDrawn(field);
  } else if (field.value !== field.defaultValue) {
    field.value = field.defaultValue;
  }
}

function isSent(field, sent) {
  if (!sent) {
    return false;
  }
  if (sent.field) {
    return field.id === sent.field && field.value === sent.value;
  }
  return sent.form !== "" && field.closest("[id='" + sent.form + "']") !== null;
}

const HOOKS = {
  key: (element) => element.id,
  updating(from, to, childrenOnly, skip, skipChildren) {
    if (from.nodeName === "DETAILS" && from.id && from.open) {
      to.setAttribute("open", "");
    }
    if (from.nodeType === Node.ELEMENT_NODE && from.hasAttribute("data-loads")) {
      skipChildren();
    }
  },
};

function stopsOn(page) {
  return [...page.querySelectorAll(STOPS)];
}

// Returns whether the page could take them: one that has a part no more is to be loaded anew.
export function merge(html, sent = null) {
  const root = new DOMParser().parseFromString(html, "text/html").querySelector("template[data-fragment]");
  if (!root) {
    return false;
  }
  const parts = [...root.content.children];
  const places = parts.map((p) => document.getElementById(p.id));
  if (places.includes(null)) {
    return false;
  }
  const page = document.getElementById("main");
  const active = document.activeElement;
  const inside = page.contains(active);
  const caret = inside && active.selectionStart !== undefined && active.selectionStart !== null ? [active.selectionStart, active.selectionEnd] : null;
  const order = inside ? stopsOn(page).indexOf(active) : -1;
  const touched = new Set([...page.querySelectorAll(FIELDS)].filter((f) => isTouched(f) && !isSent(f, sent)));
  const typed = [...touched].filter((f) => !isTick(f)).map((f) => [f, f.value]);
  merging = true;
  parts.forEach((part, i) => {
    Alpine.morph(places[i], part.outerHTML, HOOKS);
    const now = document.getElementById(part.id);
    [...now.querySelectorAll(FIELDS)].filter((f) => !touched.has(f)).forEach(putBack);
  });
  typed.forEach(([field, value]) => {
    const now = field.isConnected ? field : field.id && document.getElementById(field.id);
    if (now && now.value !== value) {
      now.value = value;
    }
  });
  merging = false;
  if (inside) {
    focusAgain(page, { active, caret, order, touched, sent });
  }
  return true;
}

// The stop that stands now where the one was that is gone: what is folded away takes no focus.
function nearest(page, order) {
  const stops = stopsOn(page);
  const takes = (stop) => stop.checkVisibility() && !stop.disabled;
  return stops.slice(order).find(takes) || stops.slice(0, order).findLast(takes);
}

// What was refused gets the cursor, unless somebody has left it or is typing the next thing already.
function focusAgain(page, was) {
  const refused = was.sent && !was.sent.left && !was.touched.has(was.active) ? page.querySelector("[data-missing], [aria-invalid=true]") : null;
  const still = was.active.isConnected ? was.active : was.active.id && document.getElementById(was.active.id);
  const arrived = refused || still ? null : page.querySelector("[data-arrived]");
  const next = refused || still || arrived || page.querySelector("[autofocus]") || nearest(page, was.order);
  if (!next) {
    return;
  }
  if (document.activeElement !== next) {
    next.focus({ preventScroll: true });
    if (!refused && was.caret && next.setSelectionRange && next.type !== "number") {
      next.setSelectionRange(...was.caret);
    }
  }
  if (arrived) {
    window.scrollTo(0, 0);
    arrived.scrollIntoView({ block: "nearest" });
  }
  if (refused && refused.matches("[data-missing]")) {
    refused.scrollIntoView({ block: "center" });
  }
  if (refused && refused.select && refused.tagName !== "TEXTAREA") {
    refused.select();
  }
}
