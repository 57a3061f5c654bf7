import { spawnSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Ajv2020 } from "ajv/dist/2020.js";
import { load } from "js-yaml";
import { afterAll, describe, expect, test } from "vitest";

import { type JsonSchemaName, jsonSchemas } from "../src/node/index.ts";

const root = join(import.meta.dirname, "..");
const folder = mkdtempSync(join(tmpdir(), "calm-phrase-"));
afterAll(() => {
  rmSync(folder, { recursive: true });
});

function run(args: string[], input?: string, env: Readonly<Record<string, string>> = {}) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [join(root, "dist/cli.js"), ...args],
    {
      cwd: root,
      encoding: "utf8",
      env: { ...process.env, ...env },
      ...(input === undefined ? {} : { input }),
    },
  );
  return { code: status, out: stdout, error: stderr };
}

const demo = ["--in", "demo/oxbow-pottery"];

test("the version is that of the package", () => {
  const { version } = JSON.parse(readFileSync(join(root, "package.json"), "utf8")) as {
    version: string;
  };
  expect(run(["--version"])).toEqual({ code: 0, out: `${version}\n`, error: "" });
});

test.each([
  [{ FORCE_COLOR: "1" }, true],
  [{ FORCE_COLOR: "0" }, false],
  [{ FORCE_COLOR: "1", NO_COLOR: "1" }, false],
  [{ FORCE_COLOR: "" }, false],
])("with %j a pipe has colour: %s", (env, isColoured) => {
  const { out } = run(["hear", "turn on the wheel lamp", ...demo], undefined, {
    NO_COLOR: "",
    ...env,
  });
  expect(out.includes("\u001B[32m")).toBe(isColoured);
});

describe("calm-phrase hear", () => {
  test("names the device, the value, the pattern with its place, and each word's role", () => {
    const { code, out } = run(["hear", "extractor to sixty percent", ...demo]);
    expect(code).toBe(0);
    expect(out).toMatch(/act: kiln-vent \{ speed: 60 \}/);
    expect(out).toMatch(
      /extractor +\$target +device kiln-vent \(alias\) {2}demo\/oxbow-pottery\/home\.yaml:\d+:\d+/,
    );
    expect(out).toMatch(/to +pattern/);
    expect(out).toMatch(/sixty percent +\$speed +60 %/);
    expect(out).toMatch(/fan-speed {2}demo\/oxbow-pottery\/intents\.yaml:\d+:\d+/);
  });

  test("says which word stopped an unknown phrase, the nearest name, and what to paste", () => {
    const { code, out } = run(["hear", "extractr to sixty", ...demo]);
    expect(code).toBe(1);
    expect(out).toContain("unknown");
    expect(out).toContain('nothing is called "extractr"; the nearest name is "extractor"');
    expect(out).toContain("devices:\n          kiln-vent:\n            aliases: [extractr]");
  });

  test.each([
    ["nothing", ""],
    ["100 kB", "turn on ".repeat(12_000)],
    ["emoji", "🔥👩‍👩‍👧"],
    ["control characters", "turn\u0007on\u001b[31m the dancer"],
    ["right-to-left text", "\u202Eהדלק את האור"],
  ])("answers %s without a stack trace, in lines of 100 columns", (_, phrase) => {
    const { code, out, error } = run(["hear", phrase, ...demo]);
    expect(code).toBe(1);
    expect(out).toContain("unknown");
    expect(error).toBe("");
    for (const line of out.split("\n")) expect(line.length).toBeLessThanOrEqual(100);
    // eslint-disable-next-line no-control-regex -- what was said must not reach the terminal raw
    expect(out).not.toMatch(/[\u0007\u001b]/);
  });

  test("a megabyte from a pipe", () => {
    const { code, out, error } = run(["hear", ...demo], `${"turn on ".repeat(131_072)}\n`);
    expect(code).toBe(1);
    expect(out).toContain("unknown");
    expect(error).toBe("");
  });

  test("prints JSON", () => {
    const { out } = run(["hear", "fire watch", ...demo, "--json"]);
    expect(JSON.parse(out)).toMatchObject({
      version: 2,
      outcome: "act",
      commands: [{ effects: [{ device: "kiln-vent" }, { device: "kiln-light" }] }],
      why: { readings: [{ intent: "fire-watch", kept: true }] },
    });
  });

  test("tells what is asked of many once, and what lost when it is asked to", () => {
    const phrase = ["hear", "turn everything off", ...demo];
    const { out } = run(phrase);
    expect(out.split("\n")[1]).toBe("  act: power off: dishwasher, drying-cabinet and 13 more");
    expect(out).not.toContain("dropped");
    const lost = /(\d+) other readings? lost/u.exec(out)?.[1];
    const told = run([...phrase, "--why"]).out;
    const more = /and (\d+) more, in --json/u.exec(told)?.[1] ?? 0;
    const dropped = told.match(/^ {2}dropped /gmu) ?? [];
    expect(dropped.length + Number(more)).toBe(Number(lost));
  });

  test.each([
    ["what is asked back and answered", "open the gate\nyes\n", 0],
    ["what is called off", "open the gate\nno\n", 0],
    ["what is not understood", "open the gate\nsing\n", 1],
  ])("a conversation with %s", (_, lines, expected) => {
    expect(run(["hear", ...demo], lines).code).toBe(expected);
  });

  test("without a phrase listens line by line, in one home", () => {
    const { code, out } = run(
      ["hear", ...demo, "--at", "stove-side"],
      "turn on the ceiling light\n\nturn on the ceiling light\n",
    );
    expect(code).toBe(0);
    expect(out.match(/galley-ceiling-light power: off → on/g)).toHaveLength(1);
  });

  test("shows each line as it was said, but what says the code", () => {
    const lines = "hold the drying cabinet\nforty\ndisarm the shop alarm\n1234\nmy code is 4711\n";
    const { out } = run(["hear", ...demo, "--at", "till"], lines);
    expect(out.match(/^“.*”$/gmu)).toEqual([
      "“hold the drying cabinet”",
      "“forty”",
      "“disarm the shop alarm”",
      "“…”",
      "“my code is …”",
    ]);
  });

  test("answers questions from what was done before", () => {
    const { out } = run(["hear", ...demo], "are any spots on\nspots on\nare any spots on\n");
    expect(out.match(/says “.*”/g)).toEqual([
      "says “No, plinth spots: off.”",
      "says “spots on.”",
      "says “Yes, plinth spots: on.”",
    ]);
  });
});

describe("calm-phrase hear as a conversation", () => {
  const say = (...lines: string[]) => run(["hear", ...demo, "--at", "till"], lines.join("\n"));

  test("asks for what was not said, and lets time pass", () => {
    const { out } = say("hold the drying cabinet", "forty", "remind me to stir", "+10m", "done");
    expect(out).toContain("says “To how many degrees?”");
    expect(out).toMatch(
      /“forty”\n {2}act: drying-cabinet \{ target: 40 \}\n {2}says “Cabinet held/,
    );
    expect(out).toMatch(
      /it is 2026-01-05 09:10\n\n.*\n {2}09:10:00 {4}said “Is the glaze stirred\?”/,
    );
    expect(say("+soon").out).toContain("write +10m");
  });

  test("explains the last phrase when asked", () => {
    const { out } = say("turn on the till lamp", "turn it off", "?");
    expect(out).toMatch(/it +\$target +till-lamp/);
  });

  test("prints no code", () => {
    const { out } = say("disarm the shop alarm", "1234", "4711");
    expect(out).toContain("That is not the code.");
    expect(out).toContain("act: shop-alarm { armed: off }");
    expect(out).not.toMatch(/1234|4711/);
  });
});

describe("calm-phrase run", () => {
  test("tells what happens when, and the states in the end", () => {
    const { code, out } = run([
      "run",
      "start-drying",
      ...demo,
      "--set",
      "glaze-sensor.humidity=80",
    ]);
    expect(code).toBe(0);
    expect(out).toContain("said “It is damp, 80 percent, so the vent runs too.”");
    expect(out).toMatch(/In the end\n.*kiln-vent +power on, speed 60/s);
    for (const line of out.split("\n")) expect(line.length).toBeLessThanOrEqual(100);
  });

  test("takes values for the slots of the routine", () => {
    const { out } = run(["run", "evening-firing", ...demo, "--slot", "length=30m"]);
    expect(out).toMatch(/09:30:00 {4}kiln-vent speed: 40 → 70/);
  });

  test("fails when a device does", () => {
    const { code, out } = run(["run", "close-up", ...demo, "--fault", "till-lamp=offline"]);
    expect(code).toBe(1);
    expect(out).toContain("till-lamp did not answer: offline");
  });

  test("dry tells what it would do and ask, and does nothing", () => {
    const { code, out } = run(["run", "close-up", ...demo, "--dry"]);
    expect(code).toBe(0);
    expect(out).toContain("on 20m after sunset");
    expect(out).toContain("said aloud, it asks nothing");
    expect(out).toContain("\n  wait 5s\n  showroom-lock locked: true\n");
    const json = JSON.parse(run(["run", "open-shop", ...demo, "--dry", "--json"]).out) as object;
    expect(json).toMatchObject({ version: 1, routine: "open-shop", asks: "nothing" });
  });
});

describe("calm-phrase day", () => {
  test("plays a day from its script", () => {
    const { out } = run(["day", ...demo, "--script", "a damp Friday"]);
    expect(out).toContain("Oxbow Pottery, 2026-03-06");
    expect(out).toMatch(/13:40:00 {2}damp-alarm starts: glaze-sensor/);
    expect(out).toContain("close-up ends, not all of it done");
    for (const line of out.split("\n")) expect(line.length).toBeLessThanOrEqual(100);
  });

  test("or from its triggers alone", () => {
    const { code, out } = run(["day", "2026-03-03", ...demo]);
    expect(code).toBe(0);
    expect(out).toMatch(/18:30:00 {2}close-up does not start: all was done \d+m/);
  });
});

describe("calm-phrase test", () => {
  test("passes on the demo", () => {
    const { code, out } = run(["test", "--in", "demo/oxbow-pottery"]);
    expect(out).toMatch(/\d+ passed, 0 failed/);
    expect(code).toBe(0);
  });

  test("fails with both places, in text and in JSON", () => {
    const path = join(folder, "fails");
    run(["new", path]);
    writeFileSync(
      join(path, "wrong.suite.yaml"),
      "suite: wrong\ncases:\n  - { hear: cooker hood to 60, expect: { set: { extractor: { speed: 61 } } } }\n",
    );
    const text = run(["test", "--in", path]);
    expect(text.code).toBe(1);
    expect(text.out).toContain("wrong.suite.yaml:3:13");
    expect(text.out).toMatch(/device extractor \(alias\)\s+\S+home\.yaml:\d+:\d+/);
    const json = run(["test", "--in", path, "--only", "wrong", "--json"]);
    expect(json.code).toBe(1);
    expect(JSON.parse(json.out)).toMatchObject({
      version: 3,
      failed: 1,
      suites: [{ suite: "wrong", cases: [{ passed: false, failures: [{ about: "effect" }] }] }],
    });
  });
});

describe("calm-phrase new", () => {
  test("begins a phrasebook that passes its own check and suite", () => {
    const path = join(folder, "begun");
    const begun = run(["new", path]);
    expect(begun).toMatchObject({ code: 0 });
    expect(run(["check", "--in", path])).toMatchObject({ code: 0 });
    // What it says to try next is what is tried here.
    const [, next = ""] = /^Try it: +calm-phrase (.*)$/m.exec(begun.out) ?? [];
    expect(run(next.split(" ")).out).toMatch(/8 passed, 0 failed/);
  });

  test("names the schemas to editors, which stand beside it and hold", () => {
    const path = join(folder, "for-editors");
    run(["new", path]);
    for (const name of ["home.yaml", "first-words.suite.yaml"]) {
      const text = readFileSync(join(path, name), "utf8");
      const [, schema = ""] = /^# yaml-language-server: \$schema=(\S+)\n/u.exec(text) ?? [];
      const read: unknown = JSON.parse(readFileSync(join(path, schema), "utf8"));
      expect(new Ajv2020({ strict: false }).compile(Object(read))(load(text))).toBe(true);
    }
  });

  test("never writes over a folder with something in it", () => {
    expect(run(["new", "demo"])).toMatchObject({ code: 2, error: /not empty/ });
  });
});

describe("calm-phrase check", () => {
  test("finds nothing in the demo", () => {
    expect(run(["check", "--in", "demo/oxbow-pottery"])).toMatchObject({ code: 0, error: "" });
  });

  test("mends files where it is asked to, of this folder and no other, and tells what", () => {
    const path = join(folder, "mended");
    const shared = join(folder, "shared");
    mkdirSync(path);
    mkdirSync(shared);
    const devices = "devices:\n  lamp: { kind: light, rom: hall } # by the door\n";
    const uses = 'phrasebook: Mill\nlanguages: [en]\nuses: ["../shared"]\nrooms: { hall: {} }\n';
    writeFileSync(join(path, "home.yaml"), uses + devices);
    const slip = "intents: { hi: { pattern: hello, do: { say: Hi. } } }\n";
    writeFileSync(join(shared, "intents.yaml"), slip);
    const args = ["check", "--in", path, "--allow", shared, "--fix", "--json"];
    const { code, out } = run(args);
    const { problems, mended } = JSON.parse(out) as { problems: unknown[]; mended: unknown[] };
    expect(code).toBe(1);
    expect(mended).toMatchObject([{ rule: "unknown-key", edit: { text: "room" } }]);
    expect(problems).toMatchObject([{ rule: "unknown-key", edit: { text: "patterns" } }]);
    expect(readFileSync(join(path, "home.yaml"), "utf8")).toBe(
      uses + devices.replace("rom", "room"),
    );
    expect(readFileSync(join(shared, "intents.yaml"), "utf8")).toBe(slip);
    const piped = run(["check", "--in", "-", "--fix"], devices);
    expect(piped).toMatchObject({ code: 2, out: "" });
    expect(piped.error).toContain("standard input cannot be mended");
  });

  test("tells findings together by their rules", () => {
    const path = join(folder, "grouped");
    mkdirSync(path);
    const lamps = ["a", "b"].map((id) => `lamp-${id}: { kind: light, rom: hall }`);
    const text = `phrasebook: Mill\nlanguages: [en]\nrooms: { hall: {} }\ndevices: { ${lamps.join(", ")} }\n`;
    writeFileSync(join(path, "home.yaml"), text);
    const heads = run(["check", "--in", path, "--by", "rule"]).out.match(/^\S+ \(\d+\)$/gmu);
    expect(heads).toEqual(["no-room (2)", "unknown-key (2)"]);
  });

  test("reports mistakes in phrasebooks and suites, in text and in JSON", () => {
    const path = join(folder, "mistakes");
    run(["new", path]);
    writeFileSync(join(path, "more.yaml"), "devices:\n  lamp: { kind: lihgt }\n");
    writeFileSync(
      join(path, "bad.suite.yaml"),
      "suite: bad\ncases:\n  - { hear: x, expect: yes }\n",
    );
    const { code, out } = run(["check", "--in", path]);
    expect(code).toBe(1);
    expect(out).toMatch(/bad\.suite\.yaml:3:24 {2}error/);
    expect(out).toMatch(/more\.yaml:2:17 {2}error[^→]+→ write light/);
    expect(JSON.parse(run(["check", "--in", path, "--json"]).out)).toMatchObject({
      version: 1,
      problems: [{ rule: "wrong-value" }, { rule: "unknown-reference", at: { line: 2 } }],
    });
  });
});

describe("calm-phrase sayable", () => {
  test("lists devices by room with phrases and guards, in lines of 100 columns", () => {
    const { code, out } = run(["sayable", "--in", "demo/oxbow-pottery"]);
    expect(code).toBe(0);
    expect(out).toMatch(
      /kiln room\n {2}kiln vent {2}also: extractor, vent, kiln fan\n {4}“turn on kiln vent”/,
    );
    expect(out).toMatch(/kiln power\n {4}not by voice/);
    expect(out).toMatch(/showroom lock.*\n {4}asks back first; always free: locked true/);
    for (const line of out.split("\n")) expect(line.length).toBeLessThanOrEqual(100);
  });

  test("lists what can be asked, each of which is answered", () => {
    const { out } = run(["sayable", "--in", "test/languages", "--json"]);
    const { devices } = JSON.parse(out) as { devices: { id: string; questions: string[] }[] };
    const asked = new Map(devices.map(({ id, questions }) => [id, questions]));
    expect(asked.get("desk-lamp")).toContain("is desk lamp on");
    expect(asked.get("gauge")).toHaveLength(3);
    expect(asked.get("bell")).toEqual([]);
    const questions = [...asked.values()].flat();
    expect(questions.length).toBeGreaterThan(30);
    for (const question of questions.slice(0, 12)) {
      const heard = run(["hear", "--in", "test/languages", "--json", question]);
      expect(JSON.parse(heard.out)).toMatchObject({ outcome: "answer" });
    }
  });

  test("in another language and as JSON", () => {
    const { out } = run(["sayable", "--in", "demo/oxbow-pottery", "--language", "de", "--json"]);
    const { language, devices } = JSON.parse(out) as { language: string; devices: object[] };
    expect(language).toBe("de-DE");
    expect(devices).toContainEqual(
      expect.objectContaining({ id: "kiln-vent", name: "Ofenlüfter" }),
    );
  });
});

describe("calm-phrase export and import", () => {
  test.each(["csv", "td"])("take a home out as %s and back in", (format) => {
    const out = join(folder, format === "csv" ? "devices.csv" : "things");
    const back = join(folder, `back-${format}`, "devices.yaml");
    run(["new", join(folder, `back-${format}`)]);
    expect(run(["export", "--in", "demo/oxbow-pottery", "--as", format, "--to", out]).code).toBe(0);
    const taken = run(["import", out, "--to", back]);
    expect(taken).toMatchObject({ code: 0, error: "28 devices taken, 0 parts left out\n" });
    const again = run(["import", out, "--json"]);
    expect(Object.keys((JSON.parse(again.out) as { devices: object }).devices)).toHaveLength(28);
  });

  test("tell what was left out, and take the rest", () => {
    const path = join(folder, "wrong.csv");
    writeFileSync(path, "id,kind,name\nlamp,light,\n,fan,\n");
    const { code, out, error } = run(["import", path]);
    expect(code).toBe(1);
    expect(out).toBe("devices:\n  lamp:\n    kind: light\n");
    expect(error).toContain("wrong.csv:3  it has neither an id nor a name");
  });
});

describe("a phrasebook that uses another folder", () => {
  test("has what is in it, and a folder that is not there is a finding", () => {
    const style = join(folder, "house-style");
    const home = join(folder, "mill");
    mkdirSync(style);
    mkdirSync(home);
    writeFileSync(
      join(style, "style.yaml"),
      `intents:
  hush: { patterns: hush now, do: { set: { lamp: { power: off } } } }
  rest: { patterns: rest now, reply: house }
`,
    );
    writeFileSync(
      join(home, "home.yaml"),
      `uses: [../house-style, ../hous-style]
devices: { lamp: { kind: light } }
intents: { rest: { patterns: rest now, reply: mill, replaces: true } }
`,
    );
    const allow = ["--allow", style];
    // The folder that is not there may hold guards, and until that is mended it bars everything.
    expect(run(["hear", "hush now", "--in", home, ...allow]).error).toMatch(
      /home\.yaml:1:24: until that is mended, voice is barred from lamp/,
    );
    const { code, out } = run(["check", "--in", home, ...allow]);
    expect(code).toBe(1);
    expect(out).toMatch(/home\.yaml:1:24 {2}error {2}unknown-reference\n {2}there is no folder/);
    mkdirSync(join(folder, "hous-style"));
    const both = [...allow, "--allow", join(folder, "hous-style")];
    expect(run(["hear", "hush now", "--in", home, ...both]).out).toContain("lamp { power: off }");
    expect(run(["hear", "rest now", "--in", home, ...both]).out).toContain("says “mill”");
  });

  test("reads nothing outside of it that nobody allowed", () => {
    const { code, out } = run(["check", "--in", join(folder, "mill")]);
    expect(code).toBe(1);
    expect(out).toContain('"../house-style" lies outside of the phrasebook, and is not read');
  });

  test.each([
    '"uses": [shared]',
    "'uses': [shared]",
    '{ "uses": [shared] }',
    '"\\x75ses": [shared]',
  ])("however it is written: %s", (written) => {
    const home = mkdtempSync(join(folder, "uses-"));
    mkdirSync(join(home, "shared"));
    writeFileSync(join(home, "home.yaml"), `${written}\n`);
    writeFileSync(join(home, "lamp.YAML"), "devices: { lamp: { kind: light } }");
    writeFileSync(join(home, "shared", "rule.yml"), "voice: [{ kind: light, voice: barred }]");
    expect(run(["hear", "turn on the lamp", "--in", join(home)]).out).toContain("voice is barred");
  });
});

describe("files that are not plain ones", () => {
  const begin = (files: Record<string, string | Uint8Array>): string => {
    const home = mkdtempSync(join(folder, "files-"));
    for (const [name, text] of Object.entries(files)) writeFileSync(join(home, name), text);
    return home;
  };
  const lamp = { "home.yaml": "devices: { lamp: { kind: light } }\n" };

  test.each([
    ["a phrasebook", "rule.yaml"],
    ["a suite", "a.suite.yaml"],
    ["a day", "a.day.yaml"],
  ])("%s that is not UTF-8 is a finding, and bars voice from what it might guard", (_, name) => {
    const home = begin({ ...lamp, [name]: Buffer.from([0x76, 0xff, 0xfe, 0x0a]) });
    const { code, out } = run(["check", "--in", home]);
    expect(code).toBe(1);
    expect(out).toContain("the file is not UTF-8");
    expect(run(["hear", "turn on the lamp", "--in", home]).out).toContain("unknown");
  });

  test.each([
    ["a table", "a.csv"],
    ["a thing", "a.json"],
    ["a grammar", "a.abnf"],
  ])("%s that is not UTF-8 is told", (_, name) => {
    const home = begin({ [name]: Buffer.from([0x69, 0x64, 0x80, 0x81, 0xff]) });
    const { code, error, out } = run(["import", join(home, name)]);
    expect(code).not.toBe(0);
    expect(error + out).toContain("UTF-8");
    expect(error).not.toContain("    at ");
  });

  test("a link within is followed, one that leads out is a finding", () => {
    const outside = begin({ "rule.yaml": "voice: [{ kind: light, voice: barred }]" });
    const home = begin(lamp);
    mkdirSync(join(home, "more"));
    writeFileSync(join(home, "more", "rule.txt"), "voice: [{ kind: light, voice: barred }]");
    symlinkSync(join(home, "more", "rule.txt"), join(home, "rule.yaml"));
    expect(run(["hear", "turn on the lamp", "--in", home]).out).toContain(
      "voice is barred from lamp",
    );
    symlinkSync(join(outside, "rule.yaml"), join(home, "out.yaml"));
    symlinkSync(home, join(home, "again"));
    const { code, out } = run(["check", "--in", home]);
    expect(code).toBe(1);
    expect(out).toContain("this link leads out of the phrasebook");
  });

  test("what is no file is a finding, and holds nothing up", () => {
    const home = begin(lamp);
    mkdirSync(join(home, "folder.yaml"));
    symlinkSync("/dev/zero", join(home, "endless.yaml"));
    spawnSync("mkfifo", [join(home, "pipe.yaml")]);
    const { code, out } = run(["check", "--in", home]);
    expect(code).toBe(1);
    expect(out).toMatch(/endless\.yaml.*\n.*leads out of/);
    expect(out).toMatch(/pipe\.yaml.*\n.*no file that can be read/);
  });

  test("what comes from a file reaches no terminal raw", () => {
    const evil = "\u001b[31mred\u0007\u202e\u009b2J";
    const home = begin({
      "home.yaml": JSON.stringify({
        phrasebook: evil,
        languages: ["en"],
        devices: { lamp: { kind: "light", aliases: `lamp ${evil}` }, [`x${evil}`]: { kind: evil } },
        intents: { go: { patterns: ["go", evil], reply: evil } },
        routines: { up: { triggers: [{ phrase: "up" }], do: [{ say: evil }] } },
      }),
      "a.suite.yaml": JSON.stringify({
        suite: evil,
        cases: [{ hear: evil, expect: { reply: evil } }],
      }),
      "a.day.yaml": JSON.stringify({ day: evil, happenings: [{ hear: evil }] }),
    });
    const commands = [
      ["check", "--in", home],
      ["check", "--in", home, "--json"],
      ["test", "--in", home],
      ["test", "--in", home, "--json"],
      ["hear", "go", "--in", home],
      ["hear", "go", "--in", home, "--json"],
      ["sayable", "--in", home],
      ["run", "up", "--in", home],
      ["run", "up", "--in", home, "--dry"],
      ["day", "2026-03-02", "--in", home, "--script", evil],
    ];
    for (const command of commands) {
      const { out, error } = run(command);
      expect(out + error, command.join(" ")).not.toMatch(
        // eslint-disable-next-line no-control-regex -- that is what must not be there
        /[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u202a-\u202e]/,
      );
    }
  });
});

describe("calm-phrase import --to a file that is there", () => {
  const table = (): string => {
    const path = join(mkdtempSync(join(folder, "import-")), "a.csv");
    writeFileSync(path, "id,kind,room\nlamp,light,hall\nvent,fan,hall\n");
    return path;
  };
  const written =
    "# The hall.\nrooms: { hall: {} }\n\ndevices:\n    # The old lamp.\n    lamp: { kind: light, voice: confirm } # mind\n\n# The end.\ngroups: {}\n";

  test("asks what to do with it, and changes nothing", () => {
    const path = table();
    const to = join(path, "..", "home.yaml");
    writeFileSync(to, written);
    const { code, error } = run(["import", path, "--to", to]);
    expect(code).toBe(2);
    expect(error).toContain("write --merge to add to it, or --force to write over it");
    expect(readFileSync(to, "utf8")).toBe(written);
  });

  test("adds to it, and loses nothing", () => {
    const path = table();
    const to = join(path, "..", "home.yaml");
    writeFileSync(to, written);
    const { code, error } = run(["import", path, "--to", to, "--merge"]);
    expect(code).toBe(0);
    expect(error).toContain("devices.lamp  is in");
    expect(readFileSync(to, "utf8")).toBe(
      written.replace("# mind\n", "# mind\n    vent:\n      kind: fan\n      room: hall\n"),
    );
  });

  test("says so where it cannot add to it", () => {
    const path = table();
    const to = join(path, "..", "home.yaml");
    writeFileSync(to, "devices: { lamp: { kind: light } }\n");
    const { code, error } = run(["import", path, "--to", to, "--merge"]);
    expect(code).toBe(2);
    expect(error).toContain('"devices" is written on one line');
  });

  test("writes over it when that is asked for", () => {
    const path = table();
    const to = join(path, "..", "home.yaml");
    expect(run(["import", path, "--to", to]).code).toBe(0);
    expect(run(["import", path, "--to", to, "--force"]).code).toBe(0);
    expect(readFileSync(to, "utf8")).toContain("vent:");
  });
});

describe("a pipe that closes and a place that cannot be written", () => {
  test("are no stack traces", () => {
    const { stderr } = spawnSync(
      "sh",
      ["-c", `node dist/cli.js sayable --in demo/oxbow-pottery | head -1`],
      { cwd: root, encoding: "utf8" },
    );
    expect(stderr).toBe("");
    const { code, error } = run([
      "export",
      "demo/oxbow-pottery",
      "--as",
      "csv",
      "--to",
      "/proc/nowhere/a.csv",
    ]);
    expect(code).toBe(2);
    expect(error).toMatch(/^calm-phrase: .*\n$/);
  });
});

describe("wrong use ends with code 2 and says what to write", () => {
  test.each<[string, string[], RegExp]>([
    ["no such folder", ["test", "--in", "nowhere"], /no folder or file "nowhere"/],
    ["no phrasebook there", ["hear", "x", "--in", "scripts"], /calm-phrase new/],
    ["no suite there", ["test", "--in", "demo/oxbow-pottery/home.yaml"], /\*\.suite\.yaml/],
    ["a folder in the wrong place", ["check", "demo"], /--in demo$/m],
    [
      "a suite for a phrasebook",
      ["hear", "x", "--in", "demo/oxbow-pottery/suites/access.suite.yaml"],
      /is a suite, which stands beside a phrasebook/,
    ],
    ["input of no form", ["import", "-"], /--form with one of csv, td/],
    ["a phrasebook and phrases from one input", ["hear", "-", "--in", "-"], /standard input holds/],
    ["no such shell", ["completion", "tcsh"], /bash, zsh, fish/],
    [
      "no such suite",
      ["test", "--in", "demo/oxbow-pottery", "--only", "x"],
      /no suite or case is called "x": there are ".+"/,
    ],
    ["no such voicepoint", ["hear", "x", ...demo, "--at", "x"], /one of kiln-shelf/],
    ["no such language", ["hear", "x", ...demo, "--language", "fi"], /one of en-GB, de-DE/],
    ["no such command", ["heer"], /hear/],
    [
      "no such format",
      ["export", "--in", "demo/oxbow-pottery", "--as", "xml"],
      /Allowed choices are csv, td, srgs/,
    ],
    ["no such table", ["import", "nowhere.csv"], /no file or folder/],
    ["no table at all", ["import", "package.json.txt"], /no file or folder/],
    ["no such option", ["hear", "--loud"], /--help/],
    ["no such routine", ["run", "close", ...demo], /one of open-shop, close-up/],
    [
      "no such property",
      ["run", "close-up", ...demo, "--set", "x.y=1"],
      /glaze-sensor\.humidity=80/,
    ],
    ["no such value", ["run", "close-up", ...demo, "--set", "kiln-vent.speed=x"], /cannot be "x"/],
    [
      "no such fault",
      ["run", "close-up", ...demo, "--fault", "kiln-vent=sad"],
      /"sad" is no fault/,
    ],
    ["no such slot", ["run", "close-up", ...demo, "--slot", "x=1"], /close-up has no slots/],
    ["no such length", ["run", "evening-firing", ...demo, "--slot", "length=x"], /no duration/],
    ["no such day", ["day", ...demo, "--script", "x"], /"a damp Friday"/],
    ["no such date", ["day", "2026-02-30", ...demo], /Write it as 2026-03-02/],
  ])("%s", (_, args, error) => {
    const result = run(args);
    expect(result.code).toBe(2);
    expect(result.error).toMatch(error);
    expect(result.error).not.toMatch(/ at .*:\d+:\d+/);
  });

  test.each(["new", "check", "hear", "test", "sayable", "run", "day", "import", "export"])(
    "%s --help shows an example",
    (command) => {
      const { code, out } = run([command, "--help"]);
      expect(code).toBe(0);
      expect(out).toContain(`\n  calm-phrase ${command}`);
    },
  );
});

describe("the phrasebook is found, and nothing else is taken for one", () => {
  const home = join(folder, "found");
  mkdirSync(join(home, "suites", "deep"), { recursive: true });
  mkdirSync(join(home, ".tools"));
  writeFileSync(
    join(home, "home.yaml"),
    "phrasebook: Found\nlanguages: [en]\ndevices: { lamp: { kind: light } }\n",
  );
  writeFileSync(
    join(home, "suites", "deep", "a.suite.yaml"),
    "suite: lamps\ncases: [{ hear: turn on the lamp, expect: { set: { lamp: { power: on } } } }]\n",
  );
  writeFileSync(join(home, ".tools", "ci.yaml"), "devices: { ghost: { kind: light } }\n");
  writeFileSync(join(home, "compose.yml"), "services: { db: { image: x } }\n");
  const inside = (args: string[]) => {
    const cwd = join(home, "suites", "deep");
    return spawnSync(process.execPath, [join(root, "dist/cli.js"), ...args], {
      cwd,
      encoding: "utf8",
    });
  };

  test("from a folder within it", () => {
    expect(inside(["test"]).stdout).toMatch(/1 passed, 0 failed/);
    expect(inside(["hear", "turn on the lamp"]).status).toBe(0);
  });

  test("with hidden folders left alone, and foreign files said to be", () => {
    const { problems } = JSON.parse(run(["check", "--in", home, "--json"]).out) as {
      problems: { rule: string; severity: string; at: { file: string } }[];
    };
    expect(problems).toMatchObject([{ rule: "foreign-file", severity: "note" }]);
    expect(problems[0]?.at.file).toMatch(/compose\.yml$/);
    expect(run(["hear", "turn on the ghost", "--in", home]).code).toBe(1);
  });
});

describe("standard input and output stand where - does", () => {
  const text = "phrasebook: Piped\nlanguages: [en]\ndevices: { lamp: { kind: light } }\n";

  test("for a phrasebook", () => {
    expect(run(["hear", "turn on the lamp", "--in", "-"], text)).toMatchObject({ code: 0 });
  });

  test("and what is no UTF-8 is told", () => {
    const { status, stderr } = spawnSync(
      process.execPath,
      [join(root, "dist/cli.js"), "check", "--in", "-"],
      { input: Buffer.from([0x61, 0xff, 0xfe]), encoding: "utf8" },
    );
    expect([status, stderr]).toEqual([2, "calm-phrase: standard input is not UTF-8\n"]);
  });

  test("for phrases, one a line", () => {
    const { out } = run(["hear", "-", ...demo, "--json"], "turn on the wheel lamp\nturn it off\n");
    const heard = out
      .trim()
      .split("\n")
      .map((line): unknown => JSON.parse(line));
    expect(heard).toMatchObject([
      { outcome: "act", changes: [{ device: "wheel-lamp", to: "on" }] },
      { outcome: "act", changes: [{ device: "wheel-lamp", to: "off" }] },
    ]);
  });

  test("for a table", () => {
    const table = "id,kind\nlamp,light\n";
    const { out } = run(["import", "-", "--form", "csv", "--to", "-"], table);
    expect(out).toBe("devices:\n  lamp:\n    kind: light\n");
  });
});

test("run looks on until the routine is over", () => {
  const path = join(folder, "slow.yaml");
  writeFileSync(
    path,
    "devices: { lamp: { kind: light } }\nroutines: { soak: { do: [{ wait: 9h }, { set: { lamp: { power: on } } }] } }\n",
  );
  const { out } = run(["run", "soak", "--in", path, "--json"]);
  const { log } = JSON.parse(out) as { log: { event: { event: string } }[] };
  expect(log.map(({ event }) => event.event)).toEqual(["started", "waiting", "changed", "ended"]);
});

describe("completion", () => {
  test("in bash offers commands, options and the values of options", () => {
    const { out } = run(["completion", "bash"]);
    const complete = (words: string[]): string[] => {
      const script = `${out}\nCOMP_WORDS=(calm-phrase ${words.map((word) => `"${word}"`).join(" ")})
COMP_CWORD=${words.length}\n_calm_phrase\nprintf '%s\\n' "\${COMPREPLY[@]}"`;
      const { stdout } = spawnSync("bash", ["-c", script], { encoding: "utf8" });
      return stdout.split("\n").filter((word) => word !== "");
    };
    expect(complete(["ex"])).toEqual(["export"]);
    expect(complete(["hear", "x", "--la"])).toEqual(["--language"]);
    expect(complete(["export", "--as", "s"])).toEqual(["srgs", "srgs-xml"]);
    expect(complete(["completion", "f"])).toEqual(["fish"]);
  });

  test.each(["bash", "zsh", "fish"])("in %s tells every command", (shell) => {
    const { out, code } = run(["completion", shell]);
    expect(code).toBe(0);
    for (const command of ["check", "hear", "test", "sayable", "run", "day", "import", "export"]) {
      expect(out).toMatch(new RegExp(`\\b${command}\\b`, "u"));
    }
  });
});

describe("what --json prints is as its schema says", () => {
  const schemas = jsonSchemas();
  const table = join(folder, "table.csv");
  writeFileSync(table, "id,kind\nlamp,light\nodd,\n");
  const wrong = join(folder, "json");
  mkdirSync(wrong);
  writeFileSync(
    join(wrong, "home.yaml"),
    "phrasebook: Wrong\nlanguages: [en]\ndevices: { lamp: { kind: light, rom: x } }\n",
  );
  writeFileSync(
    join(wrong, "a.suite.yaml"),
    "suite: fails\ncases: [{ hear: turn on the lamp, expect: refuse }, { hear: x, expect: act }]\n",
  );
  test.each<[JsonSchemaName, string[]]>([
    ["heard", ["hear", "turn on the wheel lamp and open the gate in ten minutes", ...demo]],
    ["heard", ["hear", "lamp to 400 percent", "--in", wrong]],
    ["heard", ["hear", "extractr to sixty", ...demo]],
    ["findings", ["check", "--in", wrong]],
    ["results", ["test", "--in", wrong]],
    ["results", ["test", ...demo]],
    ["comparison", ["compare", "demo/oxbow-pottery", "--in", wrong]],
    ["sayable", ["sayable", ...demo]],
    ["timeline", ["run", "close-up", ...demo]],
    ["timeline", ["day", "2026-03-02", ...demo]],
    ["taken", ["import", table]],
    ["mishearings", ["mishear", "--remedies", "1", "--in", wrong]],
    ["alikes", ["mishear", "--names", ...demo]],
    ["slips", ["mishear", "--open", "--in", wrong]],
    ["study", ["heard", "demo/oxbow-pottery/heard.csv", ...demo]],
  ])("%s: %j", (name, args) => {
    const validate = new Ajv2020({ strict: true }).compile(schemas[name]);
    const { out } = run([...args, "--json"]);
    validate(JSON.parse(out));
    expect(validate.errors).toBeNull();
  });

  test("and the schemas ask for something", () => {
    for (const name of [
      "heard",
      "findings",
      "results",
      "record",
      "comparison",
      "sayable",
      "timeline",
      "taken",
      "mishearings",
      "alikes",
      "slips",
      "study",
    ] as const) {
      expect(new Ajv2020({ strict: true }).compile(schemas[name])({})).toBe(false);
    }
  });
});
