// What runs in browsers needs no module of Node.js, whatever the bundle shares between its doors.
import { readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";

const languages = readdirSync("dist/languages").filter((name) => name.endsWith(".js"));
const doors = [
  ...["index", "exchange", "mishearing", "reports", "edits"].map((name) => `${name}.js`),
  ...languages.map((name) => `languages/${name}`),
];
const found = new Set();

/** Follows the imports of a file, those that are loaded later too. */
function follow(file, from, seen) {
  if (seen.has(file)) return;
  seen.add(file);
  const text = readFileSync(join("dist", file), "utf8");
  for (const [, name] of text.matchAll(/\b(?:from|import)\s*\(?\s*"([^"\n]+)"/gu)) {
    if (name.startsWith("node:")) found.add(`${from} needs ${name}, in ${file}`);
    if (name.startsWith(".")) follow(join(file, "..", name), from, seen);
  }
}

for (const door of doors) follow(door, door, new Set());
if (found.size > 0) {
  console.error([...found].join("\n"));
  process.exit(1);
}
console.log(`${doors.length} doors need nothing of Node.js`);
