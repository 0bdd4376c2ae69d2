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

// A browser that is busy can leave out what is to be focused: the hand goes on there all the same.
const first = document.querySelector("[autofocus]");
if (first && document.activeElement === document.body) {
  first.focus();
}
document.documentElement.dataset.ready = "";
