// A sheet's entries go through a queue in the browser: each stays there until the server has it, and counts exactly once.
(function () {
  "use strict";
  const WAITING = "norvash.waiting", REFUSED = "norvash.refused", UNIT = "norvash.unit", LISTENS = "norvash.gauge", PRESSED = "norvash.pressed";
  const RETRY_MS = 3000, POLL_MS = 1000, PATIENCE_MS = 12000, MOST_TRIES = 5;
  const memory = {};
  const read = (key) => { try { return JSON.parse(localStorage.getItem(key) || "[]"); } catch { return memory[key] || []; } };
  const write = (key, list) => { try { localStorage.setItem(key, JSON.stringify(list)); } catch { memory[key] = list; } };
  const sheet = () => document.querySelector("[data-sheet]");
  const newId = () => Array.from(crypto.getRandomValues(new Uint8Array(12)), (b) => b.toString(16).padStart(2, "0")).join("");
  const who = () => document.querySelector("[data-who]").dataset.who;
  // A connection that died without a word is given up after a while; asking again counts once.
  const ask = (url, how) => fetch(url, { ...how, signal: AbortSignal.timeout(PATIENCE_MS) });
  const here = () => location.pathname + location.search;
  let sending = false, merging = false, left = false, retry = 0, held = "";
  const pressed = () => Number(sessionStorage.getItem(PRESSED) || 0), press = (seq) => sessionStorage.setItem(PRESSED, seq);

  // What waits, and what was refused, stands at the head of every page.
  function show() {
    const bar = document.getElementById("waiting"), waits = read(WAITING), refused = read(REFUSED);
    bar.replaceChildren();
    bar.hidden = waits.length + refused.length === 0;
    if (waits.length > 0) {
      const line = document.createElement("p");
      const many = waits.length === 1 ? "One entry waits" : waits.length + " entries wait";
      const why = held ? " " + held : "", until = held ? "" : " until the network is back";
      line.textContent = many + " in this browser" + until + ": " + waits.map((i) => i.says).join("; ") + "." + why;
      bar.append(line);
    }
    refused.forEach((item) => {
      const line = document.createElement("p"), to = document.createElement("a"), away = document.createElement("button");
      line.className = "trouble";
      line.append("Not kept: " + item.says + ". " + item.why + " ");
      to.href = item.page; to.textContent = "Go there"; away.textContent = "I have seen it"; away.className = "btn"; away.type = "button";
      away.addEventListener("click", () => { write(REFUSED, read(REFUSED).filter((i) => i.act !== item.act)); show(); });
      line.append(to, " ", away);
      bar.append(line);
    });
    document.querySelectorAll("[data-entry]").forEach((f) => f.classList.toggle("waits", waits.some((i) => i.form && i.form === f.id)));
  }

  // A fresh page takes the place of the old one; what is being typed elsewhere, the focus and what was unfolded stay.
  function merge(html, sentItem) {
    const fresh = new DOMParser().parseFromString(html, "text/html"), next = fresh.querySelector("[data-sheet]"), old = sheet();
    if (!next || !old) { location.reload(); return; }
    if (Number(next.dataset.version) < Number(old.dataset.version)) { return; }
    const active = document.activeElement, activeId = old.contains(active) ? active.id : "";
    const at = activeId && active.selectionStart !== undefined ? [active.selectionStart, active.selectionEnd] : null;
    const stops = (part) => [...part.querySelectorAll("a[href], button, input:not([type=hidden]), select, summary")];
    const order = stops(old).indexOf(active), typed = new Map();
    old.querySelectorAll("input[id], select[id], textarea[id]").forEach((f) => {
      if (f.type === "checkbox" || f.tagName === "SELECT") { return; }
      if (f.value !== f.defaultValue && !(sentItem && sentItem.field === f.id && sentItem.value === f.value)) { typed.set(f.id, f.value); }
    });
    const unfolded = [...old.querySelectorAll("details[id][open]")].map((d) => d.id);
    const told = document.getElementById("gauge-says");
    merging = true;
    old.replaceWith(next);
    merging = false;
    if (told) { say(told.textContent); }
    unfolded.forEach((id) => { const d = document.getElementById(id); if (d) { d.open = true; } });
    typed.forEach((value, id) => { const f = document.getElementById(id); if (f) { f.value = value; } });
    // What was refused gets the cursor back, unless somebody has left it or is already typing the next thing: the next key belongs to where they are.
    const refused = sentItem && !sentItem.left && !typed.has(activeId) ? next.querySelector("[aria-invalid=true]") : null;
    const wanted = refused || (activeId && document.getElementById(activeId)) || (order >= 0 && (next.querySelector("[autofocus]") || stops(next)[order]));
    if (wanted) {
      wanted.focus({ preventScroll: true });
      if (refused && !refused.matches("textarea")) {
        refused.select();
      } else if (at && wanted.setSelectionRange && wanted.type === "text") {
        try { wanted.setSelectionRange(at[0], at[1]); } catch { /* a field without a caret */ }
      }
    }
    showUnit();
    show();
  }

  async function refresh() {
    const before = here(), answer = await ask(before);
    if (answer.ok && here() === before && read(WAITING).length === 0) { merge(await answer.text(), null); }
  }

  async function flush() {
    if (sending) { return; }
    sending = true;
    clearTimeout(retry);
    try {
      for (let item = read(WAITING)[0]; item; item = read(WAITING)[0]) {
        if (item.who !== who()) {
          write(WAITING, read(WAITING).filter((i) => i.act !== item.act));
          refuse(item, "Somebody else works on this device now; enter it again in the right name.");
          continue;
        }
        const headers = { "Content-Type": "application/x-www-form-urlencoded", Prefer: "return=representation" };
        const answer = await ask(item.url, { method: "POST", body: item.body, headers });
        // A database that cannot be written just now says when to ask again; nothing is wrong with the entry.
        if (answer.status === 503) {
          held = troubleIn(await answer.text());
          retry = setTimeout(flush, 1000 * (Number(answer.headers.get("Retry-After")) || RETRY_MS / 1000));
          break;
        }
        held = "";
        if (answer.status >= 500) {
          const tries = (item.tries || 0) + 1;
          write(WAITING, read(WAITING).map((i) => (i.act === item.act ? { ...i, tries } : i)));
          if (tries < MOST_TRIES) { throw new Error("later"); }
        }
        const html = await answer.text();
        write(WAITING, read(WAITING).filter((i) => i.act !== item.act));
        if (sheet() && item.page === here() && read(WAITING).length === 0 && answer.status < 500) {
          merge(html, item);
        } else if (!answer.ok) {
          refuse(item, troubleIn(html));
        }
        if (sheet() && answer.ok && item.page !== here() && read(WAITING).length === 0) { await refresh(); }
      }
    } catch { held = ""; retry = setTimeout(flush, RETRY_MS); }
    sending = false;
    show();
  }

  function troubleIn(html) {
    const page = new DOMParser().parseFromString(html, "text/html"), trouble = page.querySelector(".trouble") || page.querySelector("main h1");
    return trouble ? trouble.textContent.trim() : "It was refused.";
  }

  function refuse(item, why) {
    write(REFUSED, [...read(REFUSED), { act: item.act, says: item.says, page: item.page, why }]);
  }

  document.addEventListener("submit", (event) => {
    const form = event.target, by = event.submitter;
    if (!form.matches("[data-entry]") || (by && by.hasAttribute("data-leave"))) { return; }
    event.preventDefault();
    const body = new URLSearchParams(new FormData(form, by)), field = form.querySelector("[data-now]");
    if (field && field.matches("[data-measure]") && field.value.trim() === "") { field.value = field.defaultValue; moveOn(field); return; }
    if (field && form.dataset.sent === field.value + (body.get("replaces") || "")) { moveOn(field); return; }
    if (field) { form.dataset.sent = field.value + (body.get("replaces") || ""); }
    body.set("act_id", newId());
    // What is entered again while the first still waits stands over it: an entry's id is the id of its act.
    const first = read(WAITING).filter((i) => i.form && i.form === form.id).pop();
    if (first) { body.set("replaces", first.act); }
    const value = field ? field.value : by ? by.textContent.trim() : "";
    const says = [form.dataset.says, value].filter(Boolean).join(" ").slice(0, 80);
    const item = {
      act: body.get("act_id"),
      url: form.getAttribute("action"),
      body: body.toString(),
      says,
      page: here(),
      who: who(),
      form: form.id,
      field: field ? field.id : "",
      value,
      left,
    };
    write(WAITING, [...read(WAITING), item]);
    if (field) { moveOn(field); }
    show();
    flush();
  });

  // Enter keeps a reading and goes on to the next brush, on to the first one still open after the last.
  function moveOn(field) {
    if (!field.matches("[data-measure]")) { return; }
    const all = [...document.querySelectorAll("[data-measure]")], after = all.slice(all.indexOf(field) + 1);
    const next = after.find((f) => f.value === "") || all.find((f) => f.value === "" && f !== field);
    if (next) { next.focus(); } else { const on = document.querySelector("[data-key=']']"); if (on) { on.focus(); } }
  }

  document.addEventListener("change", (event) => {
    if (!merging && event.target.matches("[data-entry] [data-now]") && event.target.value !== event.target.defaultValue && event.target.isConnected) {
      left = document.activeElement !== event.target;
      event.target.form.requestSubmit();
      left = false;
    }
  });

  // The unit of a bare number, for this browser.
  function showUnit() {
    const button = document.querySelector("[data-unit-cycle]");
    if (!button) { return; }
    const unit = sessionStorage.getItem(UNIT) || "";
    if (unit) { button.firstChild.textContent = unit; }
    document.querySelectorAll(".reading input[name=unit]").forEach((f) => { f.value = unit; });
  }

  document.addEventListener("click", (event) => {
    const cycle = event.target.closest("[data-unit-cycle]"), take = event.target.closest("[data-take]");
    if (cycle) {
      const units = [...new Set(cycle.dataset.units.split(" "))], now = sessionStorage.getItem(UNIT) || units[0];
      sessionStorage.setItem(UNIT, units[(units.indexOf(now) + 1) % units.length]);
      showUnit();
    }
    if (take) { takeValue(); }
  });

  // The gauge types into the field that is active, or into the first brush that is still open.
  function gaugeField() {
    const active = document.activeElement;
    if (active && active.matches("[data-gauge]")) { return active; }
    return [...document.querySelectorAll("[data-measure]")].find((f) => f.value === "" && !f.disabled) || document.querySelector("textarea[data-gauge]");
  }

  function say(text) { const line = document.getElementById("gauge-says"); if (line) { line.textContent = text; } }

  function typeIn(value) {
    const field = gaugeField();
    if (!field) { say("The gauge sent " + value.text + ", but no field is open for it."); return; }
    field.focus();
    field.value = field.matches("textarea") && field.value.trim() ? field.value.trimEnd() + "\n" + value.text : value.text;
    say("From the gauge: " + value.text + ".");
    field.form.requestSubmit();
  }

  function token() {
    if (!sessionStorage.getItem(LISTENS)) { sessionStorage.setItem(LISTENS, newId()); }
    return sessionStorage.getItem(LISTENS);
  }

  async function takeValue() {
    try {
      const answer = await (await ask("/sheets/" + sheet().dataset.sheet + "/gauge?by=" + token())).json();
      if (answer.text) { press(answer.seq); typeIn(answer); } else { say(answer.trouble || "The gauge sends nothing."); }
    } catch { say("The gauge cannot be asked without the network; type the value."); }
  }

  async function poll() {
    if (sheet() && !document.hidden && navigator.onLine && !sending && read(WAITING).length === 0) {
      try {
        const id = sheet().dataset.sheet, answer = await ask("/sheets/" + id + "/version?by=" + token());
        if (answer.ok) {
          const now = await answer.json();
          if (now.gauge && now.gauge.seq > pressed()) { press(now.gauge.seq); if (now.gauge.text) { typeIn(now.gauge); } else { say(now.gauge.trouble); } }
          if (sheet() && Number(sheet().dataset.version) < now.version && read(WAITING).length === 0) { await refresh(); }
        }
      } catch { /* the next poll tries again */ }
    }
    setTimeout(poll, POLL_MS);
  }

  window.addEventListener("online", flush);
  window.addEventListener("storage", show);
  showUnit();
  show();
  if (read(WAITING).length > 0) { flush(); }
  setTimeout(poll, POLL_MS);
})();
