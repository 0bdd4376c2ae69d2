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
Promise.resolve(window.norvashShown).then(() => {
  const first = document.querySelector("[autofocus]") || (location.hash ? null : document.querySelector("[data-hand]") || document.getElementById("main"));
  if (first && document.activeElement === document.body) {
    first.focus({ preventScroll: !first.matches("[data-missing]") });
  }
});

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
