// Sends what waits in the queue, in its order, each until the server has it. One page at a time sends; an entry that is
// sent twice counts once, so that two senders would do no harm.
import { ask, has, here, newId, person, troubleIn } from "./asking.js";
import * as queue from "./queue.js";

const RETRY_MS = 3000;
const LEASE_MS = 20000;
const WAITED_MS = 60000;
const MOST_TRIES = 5;
export const page = newId();
let deliver = async () => false;
let sending = false;
let again = false;
let timer = 0;
let held = "";
let settling = false;

export const heldBy = () => held;
export const mine = () => queue.all("waiting").filter((item) => item.who === person());

// From the key until the answer stands on it a page shows what was: it says so.
function mark() {
  document.documentElement.toggleAttribute("data-sending", settling || mine().length > 0);
}

queue.onChange(mark);

// The page that an entry came from is given its answer: it returns whether it has shown it.
export function deliverTo(receiver) {
  deliver = receiver;
}

function later(ms) {
  clearTimeout(timer);
  timer = setTimeout(flush, ms);
}

export async function flush() {
  again = true;
  if (sending) {
    return;
  }
  sending = true;
  clearTimeout(timer);
  await queue.opened;
  if (navigator.locks) {
    await navigator.locks.request("norvash.sender", sendAll);
  } else if (await queue.lease(page, Date.now() + LEASE_MS)) {
    await sendAll();
    await queue.lease(page, 0);
  } else {
    later(RETRY_MS);
  }
  sending = false;
  await queue.look();
  if (again) {
    flush();
  }
}

async function sendAll() {
  while (again) {
    again = false;
    await queue.look();
    for (let item = mine()[0]; item; item = mine()[0]) {
      if (!(await sendOne(item))) {
        return;
      }
      if (!navigator.locks) {
        await queue.lease(page, Date.now() + LEASE_MS);
      }
    }
  }
}

async function sendOne(item) {
  let answer;
  try {
    const headers = {
      "Content-Type": "application/x-www-form-urlencoded",
      Prefer: "return=representation",
      "Norvash-Person": item.who,
      "Norvash-Has": item.page === here() ? has() : "",
    };
    // What lay here for a while tells of what was done then: it is kept as that, also where power waits for a stop.
    const body = item.at && Date.now() - item.at > WAITED_MS ? `${item.body}&waited=yes` : item.body;
    answer = await ask(item.url, { method: "POST", body, headers });
    const html = await answer.text();
    return await settle(item, answer, html);
  } catch {
    held = "";
    later(RETRY_MS);
    return false;
  }
}

async function settle(item, answer, html) {
  if (answer.headers.get("Norvash-Waits")) {
    held = troubleIn(html);
    return false;
  }
  // A database that cannot be written just now says when to ask again; nothing is wrong with the entry.
  if (answer.status === 503) {
    held = troubleIn(html);
    later(1000 * (Number(answer.headers.get("Retry-After")) || RETRY_MS / 1000));
    return false;
  }
  held = "";
  if (answer.status >= 500 && (await queue.count(item.act)) < MOST_TRIES) {
    later(RETRY_MS);
    return false;
  }
  settling = true;
  await queue.drop("waiting", item.act);
  const said = { item, status: answer.status, html };
  const shown = await deliver(said).finally(() => (settling = false));
  mark();
  if (!answer.ok && !shown) {
    await queue.add("refused", { act: item.act, says: item.says, page: item.page, who: item.who, name: item.name, why: troubleIn(html) });
  }
  if (item.tab !== page) {
    queue.tellOthers({ kind: "answered", ...said });
  }
  return true;
}

queue.onOthers(async (said) => {
  if (said.kind === "answered" && said.item.tab === page && (await deliver(said))) {
    await queue.drop("refused", said.item.act);
  }
});
window.addEventListener("online", flush);
