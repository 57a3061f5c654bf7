import { type ChildProcess, spawn } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { afterEach, beforeEach, expect, test } from "vitest";
import { createTouched } from "../src/cli/touched.ts";
import { type CaseResult, caseKey } from "../src/index.ts";

/* What runs again while files are watched, and what is told of it. */

const cli = join(import.meta.dirname, "../dist/cli.js");
let folder: string;
let child: ChildProcess | undefined;
let seen = "";

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "calm-phrase-"));
  seen = "";
});
afterEach(() => {
  child?.kill();
  rmSync(folder, { recursive: true });
});

function write(name: string, text: string): void {
  const path = join(folder, name);
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, text);
}

const home = (alias: string): string => `phrasebook: Kiosk
rooms: { shop: {} }
devices:
  lamp:
    kind: light
    room: shop
    aliases: [${alias}]
  fan:
    kind: fan
    room: shop
`;

const suite = `suite: by name
cases:
  - { hear: turn on the till light, expect: { set: { lamp: { power: "on" } } } }
  - { hear: turn on the fan, expect: { set: { fan: { power: "on" } } } }
  - { hear: fan off, expect: { set: { fan: { power: "off" } } } }
`;

async function until(pattern: RegExp): Promise<string> {
  for (let waited = 0; !pattern.test(seen); waited += 20) {
    if (waited > 20_000) throw new Error(`${String(pattern)} never came; there is:\n${seen}`);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  return seen;
}

async function watch(...what: string[]): Promise<void> {
  if (!existsSync(cli)) throw new Error("build the command first: npm run build");
  child = spawn(process.execPath, [cli, "test", "--watch", ...what], { cwd: folder });
  const take = (data: Buffer): void => {
    seen += data.toString();
  };
  child.stdout?.on("data", take);
  child.stderr?.on("data", take);
  await until(/\d+ failed/);
  // The watcher needs a moment to look at every folder.
  await new Promise((resolve) => setTimeout(resolve, 700));
  seen = "";
}

test("an alias that is changed runs the cases that say it first, and the others after them", async () => {
  write("home.yaml", home("till light"));
  write("a.suite.yaml", suite);
  await watch();
  write("home.yaml", home("counter light"));
  await until(/and the other 2\n[^]*\d+ failed/);
  expect(seen.indexOf("first 1 cases that it is likely to touch")).toBeGreaterThan(0);
  expect(seen.match(/\d+ passed, \d+ failed/g)).toEqual([
    "0 passed, 1 failed",
    "2 passed, 0 failed",
  ]);
});

test("cases that a suite no longer has are no longer among the others", async () => {
  write("home.yaml", home("till light"));
  write("a.suite.yaml", suite);
  await watch();
  write("a.suite.yaml", `# moved down a line\n${suite.split("\n").slice(0, 4).join("\n")}\n`);
  await until(/2 passed, 0 failed/);
  seen = "";
  write("home.yaml", home("counter light"));
  await until(/and the other 1\n[^]*1 passed, 0 failed/);
  expect(seen).toMatch(/first 1 cases that it is likely to touch\n[^]*0 passed, 1 failed/);
});

test("what a whole phrasebook may hang on runs all cases", async () => {
  write("home.yaml", home("till light"));
  write("a.suite.yaml", suite);
  await watch();
  write("home.yaml", home("till light").replace("Kiosk", "Booth"));
  await until(/\d+ failed/);
  expect(seen).toMatch(/home\.yaml changed: all cases run\n[^]*3 passed, 0 failed/);
});

test("of several homes only those run that a file is part of", async () => {
  write("style/style.yaml", "fragments: { please: please }\n");
  for (const name of ["one", "two"]) {
    write(`homes/${name}/home.yaml`, `${home("till light")}uses: [../../style]\n`);
    write(`homes/${name}/a.suite.yaml`, suite);
  }
  await watch("homes", "--allow", "style");
  write("homes/two/home.yaml", `${home("counter light")}uses: [../../style]\n`);
  await until(/1 failed/);
  expect(seen).toMatch(/changed: all cases of homes\/two run/);
  seen = "";
  write("style/style.yaml", "fragments: { please: kindly }\n");
  await until(/2 homes: [^\n]*1 failed/);
  expect(seen).toMatch(/changed: all cases of homes\/one, homes\/two run/);
});

const position = (line: number) => ({ file: "home.yaml", line, column: 1 });
const passed = (phrase: string): CaseResult => {
  return { phrase, language: "en", position: position(1), passed: true };
};

test("cases are likely to be touched by the entry that they used, and by words that come or go", () => {
  const touched = createTouched();
  const before = home("till light");
  touched.keepSources(".", [{ path: "home.yaml", text: before }]);
  const used: [CaseResult, number[]][] = [
    [passed("till light on"), [4]],
    [passed("fan off"), [8]],
    [passed("turn on the neon"), []],
  ];
  const places = new Map(used.map(([each, lines]) => [caseKey(each), lines.map(position)]));
  const suites = [{ suite: "a", file: "a.suite.yaml", cases: used.map(([each]) => each) }];
  touched.keepCases(suites, places, "all");
  const said = (after: string): string[] =>
    [...(touched.likely("home.yaml", after) ?? [])].map((key) => key.split(" en ")[1] ?? "");
  // No line of it is used by a case but that at which the lamp begins.
  expect(said(before.replace("room: shop\n    aliases", "room: shed\n    aliases"))).toEqual([
    "till light on",
  ]);
  expect(said(before.replace("kind: fan", "kind: fan\n    aliases: [neon]"))).toEqual([
    "turn on the neon",
  ]);
  expect(said(before.replace("till light", "counter light"))).toEqual(["till light on"]);
  // What is no entry of a section may touch anything.
  expect(touched.likely("home.yaml", before.replace("Kiosk", "Booth"))).toBeUndefined();
  expect(touched.likely("other.yaml", "phrasebook: X\n")).toBeUndefined();
});
