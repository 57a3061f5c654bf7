/**
 * What suites take: `node --expose-gc bench/suites.js`. A hundred thousand cases, each in a fresh home with its exact
 * effect judged, beside ten thousand tests of Vitest that do nothing; two jobs against one; a thousand
 * homes in one run; and how soon a change is told while watching.
 */
import { spawn, spawnSync } from "node:child_process";
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { readPhrasebook, readSuites, runSuites } from "../dist/index.js";

const folder = mkdtempSync(join(tmpdir(), "calm-phrase-bench-"));
const cli = join(import.meta.dirname, "../dist/cli.js");
const seconds = (since) => ((performance.now() - since) / 1000).toFixed(2);

/** A home of lamps, and cases for it that are written out one by one. */
function writeHome(into, cases, files = 1, lamps = 40) {
  mkdirSync(into, { recursive: true });
  const rooms = Array.from({ length: 10 }, (_, index) => `  room-${index}: {}`);
  const devices = Array.from(
    { length: lamps },
    (_, index) => `  lamp-${index}: { kind: light, room: room-${index % 10} }`,
  );
  const home = ["phrasebook: Bench", "languages: [en]", "rooms:", ...rooms, "devices:", ...devices];
  writeFileSync(join(into, "home.yaml"), `${home.join("\n")}\n`);
  for (let file = 0; file < files; file++) {
    const lines = [`suite: s${file}`, "cases:"];
    for (let each = file; each < cases; each += files) {
      const lamp = each % lamps;
      lines.push(
        `  - { hear: turn on lamp ${lamp}, expect: { set: { lamp-${lamp}: { power: "on" } } } }`,
      );
    }
    writeFileSync(join(into, `s${file}.suite.yaml`), `${lines.join("\n")}\n`);
  }
}

/** The same cases of 40 phrases, which are kept from before, and of so many that each has been forgotten again. */
function cases() {
  for (const lamps of [40, 10_000]) {
    const home = join(folder, `large-${lamps}`);
    writeHome(home, 100_000, 4, lamps);
    const read = (name) => ({ path: name, text: readFileSync(join(home, name), "utf8") });
    const book = readPhrasebook([read("home.yaml")]);
    book.hear("turn on lamp 1");
    let start = performance.now();
    const suites = readSuites(
      book,
      [0, 1, 2, 3].map((file) => read(`s${file}.suite.yaml`)),
    );
    console.log(`read 100,000 cases of ${lamps} phrases     ${seconds(start)} s`);
    start = performance.now();
    const { passed } = runSuites(book, suites);
    console.log(`run them (${passed} pass)              ${seconds(start)} s`);
  }
  for (const jobs of ["1", "2"]) {
    const start = performance.now();
    spawnSync(process.execPath, [cli, "test", "--in", join(folder, "large-40"), "--jobs", jobs]);
    console.log(`the whole command, --jobs ${jobs}            ${seconds(start)} s`);
  }
}

function trivial() {
  const tests = join(import.meta.dirname, "../node_modules/.cache/bench-vitest");
  mkdirSync(tests, { recursive: true });
  writeFileSync(join(tests, "vitest.config.js"), "export default {};\n");
  const body =
    'for (let i = 0; i < 10_000; i++) test("case " + i, () => { expect(i + 1).toBe(i + 1); });';
  writeFileSync(
    join(tests, "trivial.test.js"),
    `import { expect, test } from "vitest";\n${body}\n`,
  );
  const vitest = join(import.meta.dirname, "../node_modules/vitest/vitest.mjs");
  const start = performance.now();
  spawnSync(process.execPath, [vitest, "run", "--root", tests, "--dir", tests]);
  console.log(`10,000 trivial tests of Vitest        ${seconds(start)} s`);
  rmSync(tests, { recursive: true });
}

/** A thousand homes in one run, and the most memory that the process took for fewer and for all of them. */
function homes() {
  for (const count of [250, 1000]) {
    const into = join(folder, `homes-${count}`);
    for (let home = 0; home < count; home++) writeHome(join(into, `h${home}`), 50);
    const start = performance.now();
    const { stderr, stdout } = spawnSync(
      "/usr/bin/time",
      ["-f", "%M", process.execPath, cli, "test", into],
      { encoding: "utf8", maxBuffer: 1 << 28 },
    );
    const most = Math.round(Number(stderr.trim().split("\n").at(-1)) / 1000);
    const told = stdout.trim().split("\n").at(-1);
    console.log(`${told}: ${seconds(start)} s, at most ${most} MB`);
  }
}

/**
 * From a file that is saved to its result on the screen, while watching the demo: of the cases that the change is
 * likely to touch, and of all. An alias comes and goes.
 */
async function watching() {
  const home = join(folder, "watched");
  cpSync(join(import.meta.dirname, "../demo/oxbow-pottery"), home, { recursive: true });
  const child = spawn(process.execPath, [cli, "test", "--in", home, "--watch"]);
  let seen = "";
  child.stdout.on("data", (data) => (seen += data));
  child.stderr.on("data", (data) => (seen += data));
  const until = async (done) => {
    while (!done()) await new Promise((resolve) => setTimeout(resolve, 2));
  };
  const results = () => seen.match(/\d+ passed, \d+ failed/g)?.length ?? 0;
  await until(() => results() > 0);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  for (const name of ["suites/names.suite.yaml", "home.yaml"]) {
    const [first, all] = [[], []];
    const path = join(home, name);
    const written = readFileSync(path, "utf8");
    for (let round = 0; round < 9; round++) {
      seen = "";
      const other = written.replace("extractor,", "extractor, smoke puller,");
      const start = performance.now();
      writeFileSync(
        path,
        round % 2 === 0 ? (other === written ? `${written}# saved\n` : other) : written,
      );
      await until(() => results() > 0);
      first.push(performance.now() - start);
      if (name === "home.yaml") await until(() => results() > 1);
      all.push(performance.now() - start);
      await new Promise((resolve) => setTimeout(resolve, 800));
    }
    const median = (taken) => Math.round(taken.sort((one, other) => one - other)[4] ?? 0);
    console.log(
      `watching: ${name} saved, first result after ${median(first)} ms, all after ${median(all)} ms (medians of 9)`,
    );
  }
  child.kill();
}

cases();
trivial();
homes();
await watching();
rmSync(folder, { recursive: true });
