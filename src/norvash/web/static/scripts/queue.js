// What waits in this browser to be kept, and what was refused. It lies in IndexedDB, so it outlives page and browser;
// where that is full or forbidden it lives as long as the page, and the page says so.
import { createStore, get, update } from "../vendor/idb-keyval.js";

const OLD = { waiting: "norvash.waiting", refused: "norvash.refused" };
const store = createStore("norvash", "queue");
const stored = { waiting: [], refused: [] };
const loose = { waiting: [], refused: [] };
const listeners = new Set();
const others = "BroadcastChannel" in window ? new BroadcastChannel("norvash.queue") : null;

export const all = (name) => [...stored[name], ...loose[name].filter((l) => !stored[name].some((s) => s.act === l.act))];
export const isStored = (item) => stored.waiting.some((i) => i.act === item.act);
export const isLoose = () => loose.waiting.some((item) => item.unkept);
export const onChange = (listener) => listeners.add(listener);
export const tellOthers = (said) => others && others.postMessage(said);
export const onOthers = (listener) => others && others.addEventListener("message", (event) => listener(event.data));

function tell() {
  listeners.forEach((listener) => listener());
}

async function change(name, edit) {
  let edited = [];
  await update(name, (list) => (edited = edit(list || [])), store);
  stored[name] = edited;
  tellOthers({ kind: "changed" });
}

// An item is shown at once; until it is stored it is loose, and it stays so where nothing can be stored.
export async function add(name, item) {
  loose[name].push(item);
  tell();
  try {
    await change(name, (list) => [...list.filter((i) => i.act !== item.act), item]);
    loose[name] = loose[name].filter((i) => i !== item);
  } catch {
    item.unkept = true;
  }
  tell();
}

export async function drop(name, act) {
  loose[name] = loose[name].filter((i) => i.act !== act);
  try {
    await change(name, (list) => list.filter((i) => i.act !== act));
  } catch {
    stored[name] = stored[name].filter((i) => i.act !== act);
  }
  tell();
}

export async function count(act) {
  const item = all("waiting").find((i) => i.act === act);
  const tries = ((item && item.tries) || 0) + 1;
  loose.waiting.forEach((i) => {
    if (i.act === act) {
      i.tries = tries;
    }
  });
  try {
    await change("waiting", (list) => list.map((i) => (i.act === act ? { ...i, tries } : i)));
  } catch {
    // It is counted where it lies.
  }
  return tries;
}

export async function look() {
  try {
    for (const name of ["waiting", "refused"]) {
      stored[name] = (await get(name, store)) || [];
    }
  } catch {
    // Nothing can be read: what is loose is all there is.
  }
  tell();
}

// What an earlier build left in the other store moves over, once.
async function moveOver() {
  for (const name of ["waiting", "refused"]) {
    try {
      const left = JSON.parse(localStorage.getItem(OLD[name]) || "[]");
      for (const item of left) {
        await add(name, { at: 0, ...item });
      }
      if (!loose[name].length) {
        localStorage.removeItem(OLD[name]);
      }
    } catch {
      // That store is forbidden, or holds nothing of ours.
    }
  }
}

// A right to send, lent for a while to one page: used where the browser has no locks of its own.
export async function lease(holder, until) {
  let mine = false;
  try {
    await update("sender", (now) => {
      mine = !now || now.holder === holder || now.until < Date.now();
      return mine ? { holder, until } : now;
    }, store);
  } catch {
    mine = true;
  }
  return mine;
}

export const opened = look().then(moveOver);
onOthers((said) => {
  if (said.kind === "changed") {
    look();
  }
});
window.addEventListener("beforeunload", (event) => {
  if (isLoose()) {
    event.preventDefault();
  }
});
