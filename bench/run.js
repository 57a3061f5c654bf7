// Measures Calm Phrase against simple ways of doing parts of its job, as ratios within one run.
import Fuse from "fuse.js";
import { readPhrasebook, readSuites, runSuites } from "../dist/index.js";
import { makeHome } from "./homes.js";

/** Microseconds a call takes: the median of several rounds over all inputs. */
function time(inputs, call, rounds = 9) {
  // Warm until the engine has compiled what it will compile.
  const warm = performance.now() + 500;
  while (performance.now() < warm) for (const input of inputs) call(input);
  const taken = [];
  for (let round = 0; round < rounds; round++) {
    const start = performance.now();
    for (const input of inputs) call(input);
    taken.push(((performance.now() - start) * 1000) / inputs.length);
  }
  return taken.sort((a, b) => a - b)[Math.floor(rounds / 2)];
}

function heapMegabytes() {
  globalThis.gc?.();
  return process.memoryUsage().heapUsed / 1e6;
}

function measure(devices, patterns) {
  const { text, phrases, expressions, names } = makeHome({ devices, patterns });
  const before = heapMegabytes();
  const start = performance.now();
  const book = readPhrasebook([{ path: "home.yaml", text }]);
  const opened = performance.now() - start;
  book.hear(phrases[0]);
  const ready = performance.now() - start;
  const memory = heapMegabytes() - before;

  const understood = phrases.filter((phrase) => book.hear(phrase).outcome === "act").length;
  if (understood !== phrases.length)
    throw new Error(`${understood} of ${phrases.length} understood`);

  const table = new Map(phrases.map((phrase) => [phrase.toLowerCase().split(/\s+/).join(" "), 1]));
  const lookup = time(phrases, (phrase) => table.get(phrase.toLowerCase().split(/\s+/).join(" ")));
  // What was said of late is kept; longer texts are not, and spaces mean nothing.
  const fresh = phrases.map((phrase) => phrase.padEnd(121));
  const hear = time(fresh, (phrase) => book.hear(phrase).outcome);
  const again = time(phrases.slice(0, 100), (phrase) => book.hear(phrase).outcome);
  const tried = time(phrases, (phrase) => {
    const found = expressions.find((expression) => expression.exec(phrase));
    if (!found) throw new Error(`no expression takes "${phrase}"`);
  });
  const search = new Fuse(names);
  const some = phrases.filter((_, index) => index % 100 === 0).slice(0, 5);
  const fuzzy = time(some, (phrase) => search.search(phrase, { limit: 1 }), 3);
  return { devices, patterns, opened, ready, memory, lookup, hear, again, tried, fuzzy };
}

// The first measurement pays for compiling the code itself; it is not shown.
measure(100, 100);
const sizes = [
  [10, 10],
  [100, 100],
  [1_000, 1_000],
  [10_000, 10],
  [10_000, 1_000],
  [10_000, 10_000],
];
const columns = [
  ...[
    "devices",
    "patterns",
    "hear µs",
    "again µs",
    "÷ Map lookup",
    "× expressions",
    "× fuzzy search",
  ],
  ...["open ms", "first answer ms", "heap MB"],
];
console.log(`| ${columns.join(" | ")} |`);
console.log(`|${" ---: |".repeat(columns.length)}`);
for (const [devices, patterns] of sizes) {
  const row = measure(devices, patterns);
  const cells = [
    row.devices,
    row.patterns + 3,
    row.hear.toFixed(2),
    row.again.toFixed(2),
    (row.hear / row.lookup).toFixed(1),
    (row.tried / row.hear).toFixed(1),
    (row.fuzzy / row.hear).toFixed(0),
    row.opened.toFixed(0),
    row.ready.toFixed(0),
    row.memory.toFixed(1),
  ];
  console.log(`| ${cells.join(" | ")} |`);
}

/** A suite of 100,000 cases, made by patterns, over a small home. */
function measureSuite() {
  const { text } = makeHome({ devices: 10, patterns: 0 });
  const hear = "(turn | switch) on (north | south) lamp ka [lamp] [please] [thanks]";
  const each = `  - { hear: "${hear}", expect: act }\n`;
  const suite = `suite: many\ncases:\n${each.repeat(3125)}`;
  const book = readPhrasebook([{ path: "home.yaml", text }]);
  const start = performance.now();
  const suites = readSuites(book, [{ path: "many.suite.yaml", text: suite }]);
  const { passed, failed } = runSuites(book, suites);
  const seconds = (performance.now() - start) / 1000;
  if (passed !== 100_000) throw new Error(`${passed} passed, ${failed} failed`);
  console.log(`\nsuite of 100,000 cases: ${seconds.toFixed(1)} s`);
}
measureSuite();
