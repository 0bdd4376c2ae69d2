// Words are shown once their fonts are there, and without them where they come late: nothing that is shown moves for a
// font. It runs before anything is drawn; where scripts are off the style sheet shows the page after a while by itself.
(() => {
  // Longer than a browser waits for a font that may be left out: after that none is put in any more.
  const MOST_MS = 300;
  const FACES = ['400 1em "Bench Text"', '600 1em "Bench Text"', '600 1em "Bench Figures"'];
  const there = Promise.all(FACES.map((face) => document.fonts.load(face))).catch(() => undefined);
  const late = new Promise((done) => setTimeout(done, MOST_MS));
  window.norvashShown = Promise.race([there, late]).then(() => {
    document.documentElement.dataset.shown = "";
  });
})();
