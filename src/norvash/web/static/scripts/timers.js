// What is waited for runs on by this device's clock, held against the site's each time the server is asked for news.
const STEP_MS = 1000;
const SECONDS = 60;
let ahead = null;

function words(left) {
  const minutes = Math.floor(left / SECONDS);
  return minutes + ":" + String(left % SECONDS).padStart(2, "0");
}

function show() {
  if (ahead === null) {
    return;
  }
  document.querySelectorAll("[data-until]").forEach((timer) => {
    const left = Math.max(Math.ceil((Date.parse(timer.dataset.until) - Date.now() - ahead) / 1000), 0);
    timer.querySelector("b").textContent = words(left);
    timer.classList.toggle("over", left === 0);
  });
}

export function setClock(now) {
  ahead = Date.parse(now) - Date.now();
  show();
}

export function runTimers() {
  setInterval(show, STEP_MS);
  window.addEventListener("norvash:merged", show);
}
