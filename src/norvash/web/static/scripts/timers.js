// What is waited for runs on by this device's clock from what the server said was left: a reload asks it again.
const STEP_MS = 1000;
const SECONDS = 60;
const ends = new Map();

function words(left) {
  const minutes = Math.floor(left / SECONDS);
  return minutes + ":" + String(left % SECONDS).padStart(2, "0");
}

function show() {
  document.querySelectorAll("[data-left]").forEach((timer) => {
    const told = timer.dataset.timer + " " + timer.dataset.left;
    if (!ends.has(told)) {
      ends.set(told, Date.now() + 1000 * Number(timer.dataset.left));
    }
    const left = Math.max(Math.ceil((ends.get(told) - Date.now()) / 1000), 0);
    timer.querySelector("b").textContent = words(left);
    timer.classList.toggle("over", left === 0);
  });
}

export function runTimers() {
  show();
  setInterval(show, STEP_MS);
  window.addEventListener("norvash:merged", show);
}
