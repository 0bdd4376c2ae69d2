// Keys, key sheet and small fillings-in; everything that computes is on the server.
(function () {
  "use strict";
  const NUMBER_MS = 700;
  let going = false, number = "", waits = 0;

  // A measuring field that is still empty takes the keys of its page: no reading begins with one of them.
  function typing(target, key) {
    if (target.matches("[data-quantity]") && target.value === "" && key && "[]uxz".includes(key)) { return false; }
    return target.matches("input:not([type=radio]):not([type=checkbox]), textarea, select") || target.isContentEditable;
  }

  function press(element) {
    if (element.matches("input")) { element.focus(); element.select(); } else { element.click(); }
  }

  function go(key) {
    const area = [...document.querySelectorAll("[data-go]")].find((a) => a.dataset.go === key);
    if (area) { area.click(); }
  }

  function showKeys() {
    const sheet = document.getElementById("keys"), list = sheet.querySelector("dl");
    list.replaceChildren();
    const rows = [...document.querySelectorAll("[data-key]")].map((e) => [e.dataset.key, e.dataset.keySays]);
    document.querySelectorAll("[data-go]").forEach((a) => rows.push(["g " + a.dataset.go, "go to " + a.firstChild.textContent.trim()]));
    rows.push(["?", "this list"]);
    rows.forEach(([key, says]) => {
      const row = document.createElement("div"), term = document.createElement("dt"), words = document.createElement("dd");
      term.textContent = key; words.textContent = says; row.append(term, words); list.append(row);
    });
    sheet.showModal();
  }

  document.addEventListener("keydown", (event) => {
    if (event.key === "Escape" && typing(event.target)) { event.target.blur(); return; }
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target, event.key) || document.querySelector("dialog[open]")) { return; }
    if (going) { going = false; go(event.key); event.preventDefault(); return; }
    if (event.key === "g") { going = true; setTimeout(() => { going = false; }, 1500); return; }
    if (event.key === "?") { showKeys(); event.preventDefault(); return; }
    if (event.key === "Enter" && event.target !== document.body) { return; }
    const found = keyed(event.key);
    if (found) { event.preventDefault(); press(found); }
  });

  // What a key stands for; a number of two figures is waited for where there is one that begins so.
  function keyed(key) {
    const all = [...document.querySelectorAll("[data-key]")], exactly = (typed) => all.find((e) => e.dataset.key === typed);
    clearTimeout(waits);
    if (!/^[0-9]$/.test(key)) { number = ""; return exactly(key); }
    const typed = number + key;
    number = "";
    if (!all.some((e) => e.dataset.key.length > typed.length && e.dataset.key.startsWith(typed))) { return exactly(typed) || exactly(key); }
    number = typed;
    waits = setTimeout(() => { const found = exactly(number); number = ""; if (found) { press(found); } }, NUMBER_MS);
    return undefined;
  }

  // In the hours book Enter keeps a row and moves on to the next; a row that was changed is kept when it is left.
  let entered = false;
  const rowFields = () => [...document.querySelectorAll("[data-row] input[name=value]")];
  document.addEventListener("keydown", (event) => {
    if (event.key !== "Enter" || !event.target.matches("[data-row] input[name=value]")) { return; }
    const fields = rowFields(), next = fields[fields.indexOf(event.target) + 1];
    event.preventDefault();
    entered = true;
    if (event.target.value.trim()) { event.target.form.requestSubmit(); }
    if (next) { next.focus(); next.select(); }
    entered = false;
  });
  document.addEventListener("change", (event) => {
    if (!entered && event.target.matches("[data-row] input[name=value]") && event.target.value.trim() && event.target.isConnected) {
      event.target.form.requestSubmit();
    }
    if (event.target.matches("[data-most]")) {
      const large = event.target.files.length > 0 && event.target.files[0].size > Number(event.target.dataset.most);
      document.getElementById("file-large").hidden = !large;
      event.target.form.querySelector("button").disabled = large;
    }
  });

  document.addEventListener("click", (event) => {
    const button = event.target.closest("[data-fill]");
    if (!button) { return; }
    const field = document.getElementById(button.dataset.fill);
    field.value = button.value;
    field.form.requestSubmit();
  });

  // A second submit of the same form while the first is under way is not sent.
  document.addEventListener("submit", (event) => {
    const form = event.target;
    if (form.method !== "post" || form.hasAttribute("x-target") || form.hasAttribute("data-entry")) { return; }
    if (form.dataset.sent) { event.preventDefault(); return; }
    form.dataset.sent = "1";
    window.addEventListener("pageshow", () => { delete form.dataset.sent; }, { once: true });
  });
})();
