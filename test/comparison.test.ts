import { execFileSync, spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Ajv2020 } from "ajv/dist/2020.js";
import * as fc from "fast-check";
import { afterAll, describe, expect, test } from "vitest";
import {
  type RunRecord,
  compareRecords,
  joinRecords,
  partSources,
  readPhrasebook,
  readPhrases,
  readSuites,
  recordRun,
} from "../src/index.ts";
import { jsonSchemas } from "../src/node/index.ts";
import { printComparison } from "../src/reports/index.ts";

interface Version {
  home?: string;
  suite?: string;
  said?: string;
}

const plainHome = `
rooms: { hall: {} }
voicepoints: { panel: { room: hall } }
devices:
  lamp: { kind: light, room: hall, aliases: [lantern] }
  fan: { kind: fan, room: hall }
intents:
  cosy: { patterns: "make it cosy", do: { set: { lamp: { brightness: 30 } } }, reply: Cosy. }
routines:
  airing: { triggers: [{ phrase: air the hall }], do: [{ set: { fan: { power: "on" } } }, { wait: 10m }, { set: { fan: { power: "off" } } }] }
`;
const plainSuite = `
suite: hall
cases:
  - { hear: turn on the lantern, expect: { set: { lamp: { power: "on" } } } }
  - { hear: make it cosy, expect: { set: { lamp: { brightness: 30 } }, also: anything } }
  - { hear: turn off the lamp, expect: { intent: power-off } }
  - { after: [{ hear: air the hall }, { wait: 1h }], expect: { set: { fan: { power: "off" } }, also: anything } }
`;

function record({ home = plainHome, suite = plainSuite, said }: Version = {}): RunRecord {
  const { phrasebook, suites } = partSources([
    { path: "home.yaml", text: home },
    { path: "hall.suite.yaml", text: suite },
  ]);
  const book = readPhrasebook(phrasebook);
  expect(book.problems).toEqual([]);
  const read = readSuites(book, suites);
  if (said === undefined) return recordRun(book, read);
  return recordRun(book, read, { phrases: readPhrases(book, { path: "said.txt", text: said }) });
}

/** What has changed, each case by its phrase. */
function changed(before: Version, after: Version) {
  const { homes } = compareRecords(record(before), record(after));
  return homes.flatMap(({ changes }) =>
    changes.map((change) => {
      const phrase = change.after?.phrase ?? change.before?.phrase ?? "";
      return [change.sort, phrase, change.differs.join(" ")];
    }),
  );
}

describe("what is told of a change", () => {
  test("nothing, where nothing has changed", () => {
    expect(changed({}, {})).toEqual([]);
  });

  test("a case that fails now", () => {
    const home = plainHome.replace("aliases: [lantern]", "aliases: [beacon]");
    expect(changed({}, { home })).toEqual([
      ["fails", "turn on the lantern", "fails deed way reply"],
    ]);
    expect(changed({ home }, {})).toEqual([
      ["passes", "turn on the lantern", "passes deed way reply"],
    ]);
  });

  test("a case that passes as before, by another pattern", () => {
    const home = plainHome.replace('"make it cosy"', '"make it (cosy | snug)"');
    expect(changed({}, { home })).toEqual([["way", "make it cosy", "way"]]);
  });

  test("a case that passes as before, and does something else", () => {
    const home = plainHome.replace("brightness: 30 }", 'brightness: 30 }, fan: { power: "on" }');
    expect(changed({}, { home })).toEqual([["deed", "make it cosy", "deed"]]);
  });

  test("another reply", () => {
    const home = plainHome.replace("Cosy.", "As you like.");
    expect(changed({}, { home })).toEqual([["reply", "make it cosy", "reply"]]);
  });

  test("the same at another time", () => {
    const home = plainHome.replace("wait: 10m", "wait: 20m");
    expect(changed({}, { home })).toEqual([["timing", "air the hall, wait 1h", "timing"]]);
  });

  test("a case that is left out now, and one that has to fail", () => {
    const skipped = plainSuite.replace("hear: make it cosy,", "hear: make it cosy, skip: later,");
    expect(changed({}, { suite: skipped })).toEqual([["verdict", "make it cosy", "verdict"]]);
    const failing = plainSuite.replace("intent: power-off }", "intent: power-on }, fails: later");
    expect(changed({}, { suite: failing })).toEqual([["verdict", "turn off the lamp", "verdict"]]);
  });

  test("cases that are new, and gone; where they stand tells nothing", () => {
    const more = `${plainSuite.replace("cases:", "cases:\n")}  - { hear: lamp on, expect: act }\n`;
    expect(changed({}, { suite: more })).toEqual([["new", "lamp on", "new"]]);
    expect(changed({ suite: more }, {})).toEqual([["gone", "lamp on", "gone"]]);
  });

  test("of cases that are told alike, each with its own", () => {
    const one = "  - { hear: lamp on, expect: act }\n";
    const twice = plainSuite + one + one;
    expect(changed({ suite: twice }, { suite: twice })).toEqual([]);
    expect(changed({ suite: plainSuite + one }, { suite: twice })).toEqual([
      ["new", "lamp on", "new"],
    ]);
  });
});

describe("phrases without expectations", () => {
  test("which come to something else now", () => {
    const said = "# as people say it\nlantern on\tpanel\n\nlamp off\n";
    const home = plainHome.replace("aliases: [lantern]", "aliases: [beacon]");
    const own = changed({ said }, { home, said }).filter(([, phrase]) => phrase === "lantern on");
    expect(own).toEqual([["deed", "lantern on", "deed way reply"]]);
  });

  test("a voicepoint or a language that there is not is told, at its line", () => {
    const book = readPhrasebook([{ path: "home.yaml", text: plainHome }]);
    const text = "lamp on\tattic\nlamp on\t\tnl\nlamp on\tpanel\ten\n";
    const { cases, problems } = readPhrases(book, { path: "said.txt", text });
    expect(problems.map(({ message, at }) => [message, at.line])).toEqual([
      ['there is no voicepoint "attic"', 1],
      ['there is no language "nl"', 2],
    ]);
    expect(cases.map(({ phrase, at }) => [phrase, at])).toEqual([["lamp on", "panel"]]);
  });
});

test("every case is as before, or changed, or new, or gone; and a record is as itself", () => {
  const base = record();
  const cases = base.homes.flatMap((home) => home.cases);
  const some = fc
    .subarray(cases)
    .chain((kept) => fc.shuffledSubarray(kept, { minLength: kept.length }));
  fc.assert(
    fc.property(some, some, (one, other) => {
      const [before, after] = [one, other].map((kept) => ({
        ...base,
        homes: [{ home: ".", cases: kept }],
      }));
      if (!before || !after) return;
      const [compared] = compareRecords(before, after).homes;
      const { same = 0, changes = [] } = compared ?? {};
      const count = (sort: string): number => changes.filter((each) => each.sort === sort).length;
      expect(same + count("gone")).toBe(one.length);
      expect(same + count("new")).toBe(other.length);
      expect(compareRecords(before, before).homes[0]?.changes).toEqual([]);
    }),
  );
});

test("what has changed alike is told once, with what was and what is", () => {
  const suite = ["kettle", "urn", "pot"].map(
    (name) => `  - { hear: mash the ${name}, expect: act }\n`,
  );
  const tea = (reply: string): string =>
    plainHome.replace(
      "intents:",
      `intents:\n  mash: { patterns: "mash the (kettle | urn | pot)", do: { say: ${reply} } }`,
    );
  const text = `suite: tea\ncases:\n${suite.join("")}`;
  const comparison = compareRecords(
    record({ home: tea("Mashing."), suite: text }),
    record({ home: tea("Brewing."), suite: text }),
  );
  expect(printComparison(comparison).split("\n")).toEqual([
    "Answered otherwise (3)",
    "  ~ “mash the kettle” (en)  hall.suite.yaml:3:13",
    "  ~ “mash the urn” (en)  hall.suite.yaml:4:13",
    "  ~ “mash the pot” (en)  hall.suite.yaml:5:13",
    "    was  Mashing.",
    "    now  Brewing.",
    "",
    "0 as before, answered otherwise: 3",
  ]);
});

test("homes belong together by their names, and one and one whatever they are called", () => {
  const named = (home: string, made = record()): RunRecord => ({
    ...made,
    homes: made.homes.map((each) => ({ ...each, home })),
  });
  expect(compareRecords(named("mill"), named("barn")).homes).toMatchObject([{ same: 4 }]);
  const two = joinRecords([named("mill"), named("barn")]);
  const other = joinRecords([named("barn"), named("loft")]);
  expect(
    compareRecords(two, other).homes.map(({ home, same, changes }) => [home, same, changes.length]),
  ).toEqual([
    ["barn", 4, 0],
    ["loft", 0, 4],
    ["mill", 0, 4],
  ]);
});

describe("calm-phrase compare", () => {
  const folder = mkdtempSync(join(tmpdir(), "calm-phrase-compare-"));
  afterAll(() => {
    rmSync(folder, { recursive: true });
  });
  const cli = join(import.meta.dirname, "../dist/cli.js");
  const run = (...args: string[]) => {
    const { status, stdout, stderr } = spawnSync(process.execPath, [cli, ...args], {
      cwd: folder,
      encoding: "utf8",
    });
    return { code: status, out: stdout, error: stderr };
  };
  const write = (home: string, text = plainHome): void => {
    mkdirSync(join(folder, home), { recursive: true });
    writeFileSync(join(folder, home, "home.yaml"), `phrasebook: ${home}\nlanguages: [en]\n${text}`);
    writeFileSync(join(folder, home, "hall.suite.yaml"), plainSuite);
  };
  const git = (...args: string[]): void => {
    execFileSync("git", ["-c", "user.name=Joss", "-c", "user.email=joss@example.org", ...args], {
      cwd: folder,
      stdio: "ignore",
    });
  };
  write("homes/mill");
  write("homes/barn");
  git("init");
  git("add", ".");
  git("commit", "-m", "Begin");

  test("a run that is kept is as its schema says, and compares with a later one", () => {
    expect(run("compare", "--to", "friday.json", "--in", "homes/mill").code).toBe(0);
    const kept: unknown = JSON.parse(readFileSync(join(folder, "friday.json"), "utf8"));
    const validate = new Ajv2020({ strict: true }).compile(jsonSchemas().record);
    validate(kept);
    expect(validate.errors).toBeNull();
    expect(run("compare", "friday.json", "--in", "homes/mill")).toEqual({
      code: 0,
      out: "4 as before\n",
      error: "",
    });
  });

  test("a folder of homes against a revision, each with its own", () => {
    write("homes/barn", plainHome.replace("[lantern]", "[beacon]"));
    const { code, out } = run("compare", "HEAD", "--in", "homes");
    expect(code).toBe(1);
    expect(out).toContain("✓ mill  4 as before");
    expect(out).toMatch(
      /^barn\nFails now \(1\)\n {2}✗ “turn on the lantern” \(en\) {2}homes\/barn/mu,
    );
    expect(out.trimEnd().split("\n").at(-1)).toBe(
      "2 homes, 1 of them changed: 7 as before, fails now: 1",
    );
    git("checkout", "homes/barn");
  });

  test("what harms nothing fails only where it is asked to", () => {
    write("other", plainHome.replace("Cosy.", "As you like."));
    expect(run("compare", "homes/mill", "--in", "other").code).toBe(0);
    expect(run("compare", "homes/mill", "--in", "other", "--strict").code).toBe(1);
  });

  test.each([
    [["compare", "--in", "homes/mill"], "name what to compare with"],
    [["compare", "no-such", "--in", "homes/mill"], 'no file, folder or revision "no-such"'],
    [["compare", "--", "--output=x"], 'no file, folder or revision "--output=x"'],
    [["compare", ".git/HEAD", "--in", "homes/mill"], "holds no run that calm-phrase compare --to"],
    [["compare", "HEAD", "--in", "homes/mill", "--phrases", "none.txt"], "none.txt"],
  ])("wrong use is told: %j", (args, message) => {
    const { code, out, error } = run(...args);
    expect([code, out]).toEqual([2, ""]);
    expect(error).toContain(message);
  });
});
