/**
 * Plants single faults in a phrasebook, one at a time, and tells which of them its suites let
 * through: `node scripts/faults.js demo/oxbow-pottery --count 300 --seed 1`. A fault takes something
 * out, moves it, or changes it, as a slip of an editing hand would.
 */
import { readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { dump, load } from "js-yaml";
import {
  compareRecords,
  listSayable,
  partSources,
  readPhrasebook,
  readPhrases,
  readSuites,
  recordRun,
  traceSuites,
} from "../dist/index.js";
import { printResults } from "../dist/reports.js";

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    count: { type: "string", default: "300" },
    seed: { type: "string", default: "1" },
    json: { type: "boolean", default: false },
    places: { type: "boolean", default: false },
  },
});
const folder = positionals[0] ?? "demo/oxbow-pottery";

/** The files of the phrasebook, suites and days apart. */
const files = readdirSync(folder, { recursive: true })
  .map(String)
  .filter((name) => name.endsWith(".yaml"))
  .sort()
  .map((name) => ({ path: name, text: readFileSync(join(folder, name), "utf8") }));
const isTest = ({ path }) => /\.(?:suite|day)\.yaml$/.test(path);
const written = files
  .filter((file) => !isTest(file))
  .map(({ path, text }) => ({ path, value: load(text) }));
const { suites } = partSources(files);

/** Every place of a value in the phrasebook, with the keys that lead to it. */
function* places(value, path) {
  yield { value, path };
  if (typeof value !== "object" || value === null) return;
  for (const [key, each] of Object.entries(value)) yield* places(each, [...path, key]);
}

const all = written.flatMap(({ path, value }) =>
  [...places(value, [])].map((place) => ({ file: path, ...place })),
);

/** What can be wrong with a value, by where it stands: sorts of faults, each a list of changes. */
function faultsAt({ file, value, path }) {
  const keys = path.map(String);
  const last = keys.at(-1) ?? "";
  const has = (...names) => names.every((name) => keys.includes(name));
  const found = [];
  const change = (sort, to) => found.push({ sort, file, path, to });
  if (typeof value === "string") {
    const isPattern =
      has("patterns") || last === "phrase" || has("phrase") || has("fragments") || has("address");
    if (isPattern) {
      const words = [...value.matchAll(/(?<![$\p{L}])\p{L}+/gu)];
      for (const { 0: word, index } of words) {
        const without = value.slice(0, index) + value.slice(index + word.length);
        change(
          "word dropped",
          without
            .replace(/\(\s*\|/u, "(")
            .replace(/\|\s*\)/u, ")")
            .replace(/\|\s*\|/u, "|"),
        );
      }
    }
    if (
      has("reply") ||
      has("failed") ||
      last === "say" ||
      last === "text" ||
      has("moment") ||
      last === "ask"
    ) {
      change("reply changed", `${value} Perhaps.`);
    }
    if (last === "voice") change("guard lowered", "free");
    if (last === "room") change("room changed", undefined);
    if (last === "time") change("trigger changed", value === "18:30" ? "18:35" : "19:11");
    if (last === "sun") change("trigger changed", `40 minutes before ${value.split(" ").at(-1)}`);
    if (last === "wait" && /^\d/u.test(value)) change("value changed", "17s");
    if (has("do") && ["on", "off"].includes(value))
      change("value changed", value === "on" ? "off" : "on");
    if (last === "lasting" || last === "rest") change("value changed", "1m");
    if (/^(?:above|below) /u.test(value))
      change(
        "condition changed",
        value.replace(/\d+/u, (n) => String(Number(n) - 25)),
      );
  }
  if (typeof value === "number" && (has("do") || has("slots") || has("properties"))) {
    change(has("do") ? "value changed" : "range changed", last === "step" ? value * 2 : value + 7);
  }
  if (Array.isArray(value)) {
    for (const index of value.keys()) {
      const without = value.filter((_, other) => other !== index);
      if (
        last === "do" ||
        last === "then" ||
        last === "else" ||
        last === "try" ||
        last === "silence"
      )
        change("step removed", without);
      if (last === "members") change("member removed", without);
      if (last === "rooms") change("room removed", without);
      if (last === "triggers") change("trigger removed", without);
      if (has("aliases")) change("alias dropped", without);
      if (last === "properties") change("property dropped", without);
    }
    for (let index = 0; index + 1 < value.length; index++) {
      if (last !== "do") continue;
      const swapped = [...value];
      [swapped[index], swapped[index + 1]] = [value[index + 1], value[index]];
      change("steps swapped", swapped);
    }
  }
  if (last === "aliases") change("alias dropped", undefined);
  if (has("aliases") && typeof value === "string") change("alias moved", `${value} yonder`);
  if (keys[0] === "devices" && keys.length === 2 && value?.voice)
    change("guard lowered", { ...value, voice: "free" });
  if (last === "overlap") change("value changed", value === "skip" ? "together" : "skip");
  if (last === "trusted" || last === "if") change("condition changed", undefined);
  return found;
}

/** A copy of a value with another one at a path; without it for undefined. */
function withAt(value, [key, ...rest], to) {
  if (key === undefined) return to;
  const copy = Array.isArray(value) ? [...value] : { ...value };
  const next = withAt(value[key], rest, to);
  if (next === undefined) delete copy[key];
  else copy[key] = next;
  return copy;
}

/** Numbers by a seed, the same on every machine (mulberry32). */
function random(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Draws faults, sorts in turn, so that no sort crowds out the others. */
function draw(faults, count, next) {
  const bySort = Map.groupBy ? Map.groupBy(faults, ({ sort }) => sort) : new Map();
  if (bySort.size === 0) {
    for (const fault of faults) bySort.set(fault.sort, [...(bySort.get(fault.sort) ?? []), fault]);
  }
  const drawn = [];
  while (drawn.length < count && [...bySort.values()].some((left) => left.length > 0)) {
    for (const left of bySort.values()) {
      if (left.length === 0 || drawn.length >= count) continue;
      const [fault] = left.splice(Math.floor(next() * left.length), 1);
      drawn.push(fault);
    }
  }
  return drawn;
}

const faults = draw(all.flatMap(faultsAt), Number(values.count), random(Number(values.seed)));
const sourcesWith = (fault) =>
  written.map(({ path, value }) => ({
    path,
    text: dump(fault?.file === path ? withAt(value, fault.path, fault.to) : value, {
      noRefs: true,
    }),
  }));

const runAgainst = (book) => traceSuites(book, readSuites(book, suites));
const sound = runAgainst(readPhrasebook(sourcesWith(undefined)));
if (sound.failed > 0) {
  console.error(`The suites fail without a fault: ${sound.failed} cases.`);
  process.exit(2);
}
/** Line of what stands at a path in a file as it is written, and the lines that it takes. */
function linesOf(value, path) {
  const mark = "THE-PLACE";
  const at = (to) => dump(withAt(value, path, to), { noRefs: true }).split("\n");
  const first = at(mark).findIndex((line) => line.includes(mark));
  return { first: first + 1, last: first + 1 + at(undefined).length };
}

/** Whether the first lines that are told of the first failure name the place of a fault, or what it is in. */
function isNamed(results, { file, path, to }) {
  const [suite] = results.suites.flatMap(({ cases, ...rest }) => {
    const each = cases.find(({ passed }) => !passed);
    return each ? [{ ...rest, cases: [each] }] : [];
  });
  const told = printResults({ ...results, suites: [suite], problems: [] })
    .split("\n")
    .slice(2, 12)
    .join("\n");
  const { value } = written.find((each) => each.path === file);
  const own = linesOf(value, to === undefined ? path.slice(0, -1) : path).first;
  const whole = linesOf(value, path.slice(0, 2)).first;
  const size = dump(value[path[0]][path[1]] ?? "", { noRefs: true }).split("\n").length;
  const lines = [...told.matchAll(new RegExp(`${file.replace(".", "\\.")}:(\\d+)`, "gu"))].map(
    ([, line]) => Number(line),
  );
  const isIn = lines.some((line) => line >= whole && line < whole + Math.max(2, size));
  return { exact: lines.includes(own), isIn, told };
}

/** Everything that can be said to a home, under each name and alias, in each of its languages. */
function sayableIn(book) {
  const lines = book.languages.flatMap((language) =>
    listSayable(book, language).flatMap(({ name, aliases, phrases, questions }) =>
      [...phrases, ...questions].flatMap((phrase) =>
        [name, ...aliases].map((each) => `${phrase.replace(name, each)}\t\t${language}`),
      ),
    ),
  );
  return new Set(lines);
}

const usual = readPhrasebook(sourcesWith(undefined));
const usualPhrases = sayableIn(usual);

/** Whether nothing that could be said before, and no case, comes to anything else with a fault. */
function changesNothing(book) {
  const text = [...usualPhrases].join("\n");
  const [before, after] = [usual, book].map((of) =>
    recordRun(of, readSuites(of, suites), {
      phrases: readPhrases(of, { path: "said.txt", text }),
    }),
  );
  const { homes } = compareRecords(before, after);
  return homes.every(({ changes }) => changes.every(({ sort }) => sort === "way"));
}

let equivalent = 0;
const named = { caught: 0, exact: 0, isIn: 0, missed: [] };
const survivors = [];
const counts = new Map();
for (const fault of faults) {
  const book = readPhrasebook(sourcesWith(fault));
  const isFound = book.problems.some(({ severity }) => severity === "error");
  const results = isFound ? undefined : runAgainst(book);
  const isCaught = isFound || results.failed > 0;
  const { caught = 0, total = 0 } = counts.get(fault.sort) ?? {};
  counts.set(fault.sort, { caught: caught + (isCaught ? 1 : 0), total: total + 1 });
  if (!isCaught) {
    const isSame = changesNothing(book);
    if (isSame) equivalent++;
    survivors.push({ ...fault, isSame });
  }
  if (values.places && results?.failed > 0) {
    const { exact, isIn, told } = isNamed(results, fault);
    named.caught++;
    if (exact) named.exact++;
    if (isIn) named.isIn++;
    else named.missed.push({ fault, told });
  }
}
const caught = faults.length - survivors.length;
const show = ({ sort, file, path, to, isSame }) =>
  `${isSame ? "changes nothing: " : ""}${sort}: ${file} ${path.join(".")} → ${to === undefined ? "(taken out)" : JSON.stringify(to).slice(0, 90)}`;
if (values.json) console.log(JSON.stringify({ caught, total: faults.length, survivors }, null, 2));
else {
  for (const fault of survivors) console.log(show(fault));
  for (const [sort, { caught: of, total }] of [...counts].sort())
    console.log(`${sort}: ${of} of ${total}`);
  console.log(`${caught} of ${faults.length} caught`);
  console.log(`${caught} of ${faults.length - equivalent} without those that change nothing`);
  if (values.places) {
    for (const { fault, told } of named.missed) console.log(`\n${show(fault)}\n${told}`);
    const { caught: told, exact, isIn } = named;
    console.log(
      `of ${told} failures the first ten lines name the line in ${exact}, and what it is in in ${isIn}`,
    );
  }
}
