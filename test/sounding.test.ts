import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, test } from "vitest";
import { membersOf } from "../src/source/border.ts";

const folder = mkdtempSync(join(tmpdir(), "sounding-"));
const at = (name: string): string => join(folder, name);
writeFileSync(
  at("home.yaml"),
  `phrasebook: The Barn
languages: [en-GB]
rooms: { barn: {} }
devices:
  vent: { kind: fan, room: barn, name: kiln vent }
  fan: { kind: fan, room: barn, name: kiln fan }
routines: { close-up: { name: close up, do: [{ set: { fan: { power: off } } }] } }
`,
);
writeFileSync(
  at("a.suite.yaml"),
  `suite: barn
cases:
  - { hear: turn off the kiln vent, expect: { set: { vent: { power: off } } } }
  - { hear: turn on the kiln fan, expect: { set: { fan: { power: on } } }, apart-from: turn on the kiln van }
`,
);
writeFileSync(
  at("heard.csv"),
  ["text", "turn on the kiln fen", "turn off the kiln fen", ""].join("\n"),
);

function run(...words: string[]): { status: number | null; stdout: string; stderr: string } {
  return spawnSync(process.execPath, ["dist/cli.js", ...words, "--in", folder], {
    encoding: "utf8",
  });
}

describe("calm-phrase mishear", () => {
  test("tells the worst first, and what it is taken for", () => {
    const { status, stdout } = run("mishear", "--remedies", "1");
    expect(status).toBe(1);
    const [first = ""] = stdout.split("\n");
    expect(first).toMatch(/^unsafe\s+0\.\d+\s+“off” taken for “on”/u);
    expect(stdout).toMatch(/“turn on (?:the|a) kiln vent”/u);
  });

  test("fails where cases hold phrases apart that are not, with the place", () => {
    const { stderr } = run("mishear", "--remedies", "0");
    expect(stderr).toMatch(
      /a\.suite\.yaml:4:\d+ {2}“turn on the kiln fan” and “turn on the kiln van” are 0\.30 apart/u,
    );
  });

  test("fails where more is unsafe than may be", () => {
    const { status, stderr } = run("mishear", "--remedies", "0", "--at-most-unsafe", "0");
    expect(status).toBe(1);
    expect(stderr).toContain("are more than 0");
  });

  test("tells names that sound alike as data", () => {
    const { stdout } = run("mishear", "--names", "--json");
    const { alikes } = membersOf(JSON.parse(stdout));
    const pairs: readonly unknown[] = Array.isArray(alikes) ? alikes : [];
    const told = pairs.map((pair) => {
      const { spoken, taken } = membersOf(pair);
      return [membersOf(spoken)["text"], membersOf(taken)["text"]].sort();
    });
    expect(told).toContainEqual(["kiln fan", "kiln vent"]);
  });

  test("writes a page that stands alone", () => {
    const page = at("sounds.html");
    run("mishear", "--remedies", "0", "--html", page);
    const html = readFileSync(page, "utf8");
    expect(html).toContain("<h2>Names by sound");
    expect(html).not.toMatch(/(?:src|href)="(?!#)/u);
  });

  test("draws the same slips by the same seed", () => {
    const [one, same, other] = ["7", "7", "8"].map(
      (seed) => run("mishear", "--open", "--seed", seed, "--json").stdout,
    );
    expect(one).toBe(same);
    expect(one).not.toBe(other);
  });
});

test("calm-phrase heard tells what to add, and writes a group as cases", () => {
  const suite = at("heard.suite.yaml");
  const { status, stdout } = run("heard", at("heard.csv"), "--cases", "1", "--to", suite);
  expect(status).toBe(0);
  expect(stdout).toContain("aliases: [kiln fen]");
  expect(stdout).toContain("all suites pass as before");
  const written = readFileSync(suite, "utf8");
  expect(written).toContain("hear: turn on the kiln fen");
  expect(written).toContain("hear: turn off the kiln fen");
});

test("calm-phrase sayable writes a sheet in each form", () => {
  const csv = run("sayable", "--sheet", "csv").stdout.trim().split("\n");
  expect(csv[0]).toBe("room,thing,voice,phrase,language");
  expect(csv.slice(1).every((row) => row.split(",").length === 5)).toBe(true);
  expect(run("sayable", "--sheet", "markdown").stdout).toContain("- **kiln vent**: “");
  expect(run("sayable", "--sheet", "html").stdout).toContain("<h1>The Barn</h1>");
});

test("how names sound goes out as a lexicon and comes in again", () => {
  const lexicon = at("names.pls");
  expect(run("export", "--as", "pls", "--to", lexicon).status).toBe(0);
  const read = spawnSync(process.execPath, ["dist/cli.js", "import", lexicon, "--json"], {
    encoding: "utf8",
  });
  const { pronunciations, skipped } = membersOf(JSON.parse(read.stdout));
  expect(skipped).toEqual([]);
  expect(membersOf(pronunciations)["kiln"]).toEqual({ "en-GB": ["/ˈkɪln/"] });
});
