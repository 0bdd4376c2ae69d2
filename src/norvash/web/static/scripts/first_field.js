// A stage that was gone to by a key begins at its heading: Enter goes on to its first field, and what can only be a
// reading is typed there: a length at the first brush that has none. A button that says that something was looked at, or decides, is gone to by Tab alone.
const INPUTS = "#stage form[data-entry] :is(input[name=value]:not([type=hidden], [type=checkbox], [type=radio]), textarea), #stage [data-measure]";
const DIGIT = /^[0-9]$/;

function firstField() {
  return [...document.querySelectorAll(INPUTS)].find((field) => !field.disabled && field.checkVisibility() && !field.closest(".foot"));
}

// Where a digit is typed that can only begin a reading.
function firstUnread() {
  const first = firstField();
  if (!first?.matches("[data-measure]")) {
    return first?.matches("[data-quantity]") && first.value === "" ? first : null;
  }
  return [...document.querySelectorAll("#stage [data-measure]")].find((field) => field.value === "" && !field.disabled && field.checkVisibility()) ?? null;
}

function onHeading(event) {
  if (event.target.id !== "stage-title" || event.ctrlKey || event.altKey || event.metaKey || event.defaultPrevented) {
    return;
  }
  const typed = DIGIT.test(event.key);
  const keyed = typed && document.querySelector(`[data-key="${event.key}"]`);
  const field = event.key === "Enter" ? firstField() : typed && !keyed ? firstUnread() : null;
  if (!field) {
    return;
  }
  field.focus();
  event.stopPropagation();
  if (!typed) {
    event.preventDefault();
  }
}

// Before the keys of the page.
document.addEventListener("keydown", onHeading, { capture: true });
