// The components of every page; a page with more of its own registers them before this one starts.
import Alpine from "../vendor/alpine-csp.min.js";
import morph from "../vendor/alpine-morph.min.js";
import { dependent, file, live, row } from "./forms.js";
import keys from "./keys.js";
import waiting from "./waiting.js";

window.Alpine = Alpine;
Alpine.plugin(morph);
Object.entries({ dependent, file, keys, live, row, waiting }).forEach(([name, component]) => Alpine.data(name, component));
Alpine.start();

// Where the hand goes on: at what the page asks first, else where its work begins, else at its top below the head. A
// browser that is busy can leave out what is to be focused.
const HEADING = "#stage-title";
const atHeading = location.hash === HEADING;
// A browser goes to the heading of an address by itself, once all is loaded: from there the hand goes on.
if (atHeading && document.readyState !== "complete") {
  window.addEventListener("load", () => requestAnimationFrame(land));
} else {
  land();
}

function land() {
  const begin = stillOpen() || document.querySelector("[data-hand]") || document.getElementById("main");
  const first = document.querySelector("[autofocus]") || (location.hash && !atHeading ? null : begin);
  const nowhere = document.activeElement === document.body || (atHeading && document.activeElement.matches(HEADING));
  if (first && nowhere) {
    first.focus({ preventScroll: !atHeading && !first.matches("[data-missing]") });
  }
}

// The first field of a stage in which nothing stands, or step of a gate that nobody has said: whoever has keys goes on
// there at once. A button that says of something that it was looked at, or decides, is never gone to unasked; on a screen
// that is touched, or narrow, the heading and the drawing stay in view.
function stillOpen() {
  const begins = matchMedia("(pointer: fine) and (min-width: 48em)").matches && document.querySelector(`${HEADING}[data-hand]`);
  const stage = begins ? document.querySelector("#stage fieldset:not([disabled])") : null;
  const fields = stage ? [...stage.querySelectorAll("form[data-entry]:not(.foot *) input[name=value]:not([type=hidden]), .steps-list .ticked")] : [];
  return fields.find((field) => field.checkVisibility() && !isSaid(field));
}

function isSaid(field) {
  return field.matches("input") ? field.value !== "" || field.type === "checkbox" : field.matches("[aria-pressed=true]");
}

// What is wider than its place is moved by keys as well.
function scrollable() {
  document.querySelectorAll(".scroll").forEach((area) => {
    area.tabIndex = area.scrollWidth > area.clientWidth ? 0 : -1;
  });
}

// Whoever is here to look is not offered what would be refused: their own sign-in, keys and light are theirs.
const OWN = /^\/(who|keys|light)\b/;
const writes = (form) => form.getAttribute("method") === "post" && !OWN.test(form.getAttribute("action"));

function only() {
  if ("looks" in document.documentElement.dataset) {
    const fields = [...document.forms].filter(writes).flatMap((form) => [...form.elements]);
    fields.forEach((field) => (field.disabled = true));
  }
}

only();
window.addEventListener("norvash:merged", only);
scrollable();
window.addEventListener("resize", scrollable);
window.addEventListener("norvash:merged", scrollable);
document.documentElement.dataset.ready = "";
