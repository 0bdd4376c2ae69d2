// The section of a motor: its names are one stop of the keyboard, arrows go along the axis, a touch on a part opens it.
const names = () => [...document.querySelectorAll("[data-axis] .axis-name")].filter((e) => e.offsetParent !== null);
const ALONG = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

const take = (name) => {
  for (const each of names()) each.tabIndex = each === name ? 0 : -1;
  name.focus();
};

document.addEventListener("keydown", (event) => {
  const at = names().indexOf(document.activeElement);
  if (event.key === "Escape" && document.activeElement?.closest("#axis-open")) {
    const open = document.querySelector("[data-axis] [aria-current]");
    if (open) take(open);
    return;
  }
  if (at < 0 || event.ctrlKey || event.altKey || event.metaKey) return;
  const all = names();
  const to = event.key === "Home" ? 0 : event.key === "End" ? all.length - 1 : at + (ALONG[event.key] ?? 0);
  if (to === at || to < 0 || to >= all.length) return;
  event.preventDefault();
  take(all[to]);
});

document.addEventListener("click", (event) => {
  const touched = event.target.closest?.("[data-axis] [data-part]");
  if (touched) document.getElementById(`axis-${touched.dataset.part}`)?.click();
});

// Whoever opened a part goes on at its first look.
if (new URLSearchParams(location.search).has("position")) {
  document.querySelector("#axis-open :is(button, input, select, textarea):not([type=hidden]):not([disabled])")?.focus();
}
