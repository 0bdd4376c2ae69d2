// Questions to the server: patient for a while, for the parts of this page only, and watchful of a newer build.
const PATIENCE_MS = 12000;
const built = document.documentElement.dataset.build;
let newer = false;

export const isNewer = () => newer;
export const here = () => location.pathname + location.search;
export const person = () => document.documentElement.dataset.who;
export const newId = () => Array.from(crypto.getRandomValues(new Uint8Array(12)), (b) => b.toString(16).padStart(2, "0")).join("");

// The marks of the parts that this page shows: the server sends those that are different now.
export function has() {
  return [...document.querySelectorAll("[data-part]")].map((e) => e.id + "=" + e.dataset.part).join(",");
}

// A connection that died without a word is given up after a while; asking again counts once.
export async function ask(url, how = {}) {
  const answer = await fetch(url, { ...how, signal: AbortSignal.timeout(PATIENCE_MS) });
  const build = answer.headers.get("Norvash-Build");
  if (build && build !== built && !newer) {
    newer = true;
    window.dispatchEvent(new CustomEvent("norvash:newer"));
  }
  return answer;
}

export function askParts(url, how = {}) {
  return ask(url, { ...how, headers: { ...how.headers, "Norvash-Has": has() } });
}

export function troubleIn(html) {
  const page = new DOMParser().parseFromString(html, "text/html");
  const trouble = page.querySelector("[role=alert]") || page.querySelector("main h1");
  return trouble ? trouble.textContent.trim().replace(/\s+/g, " ") : "It was refused.";
}
