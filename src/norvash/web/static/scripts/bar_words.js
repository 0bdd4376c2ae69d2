// The words of a bar map, "burnt 5, 27; dark 40-44", and the map from bar to conditions that they stand for.
export function read(text) {
  const map = new Map();
  text.split(";").forEach((part) => {
    const match = part.trim().match(/^([a-z-]+)\s+(.+)$/);
    if (match) {
      match[2].split(",").forEach((piece) => add(map, match[1], piece));
    }
  });
  return map;
}

function add(map, condition, piece) {
  const ends = piece.split(/[-–]/).map(Number);
  for (let bar = ends[0]; bar >= 1 && bar <= ends[ends.length - 1]; bar += 1) {
    map.set(bar, (map.get(bar) || new Set()).add(condition));
  }
}

export function write(map) {
  const by = new Map();
  [...map.keys()].sort((a, b) => a - b).forEach((bar) => {
    map.get(bar).forEach((condition) => by.set(condition, [...(by.get(condition) || []), bar]));
  });
  return [...by].map(([condition, bars]) => condition + " " + bars.join(", ")).join("; ");
}
