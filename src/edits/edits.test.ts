import { readFileSync, readdirSync } from "node:fs";
import fc from "fast-check";
import { beforeAll, describe, expect, test } from "vitest";
import { applyEdits } from "../document/mending.ts";
import { verdictOf } from "../suites/results.ts";
import { runSuites } from "../suites/run.ts";
import {
  type KeySchema,
  type Stretch,
  type Workspace,
  caseAdded,
  caseOf,
  completionsAt,
  definitionsAt,
  explainAt,
  fixesFor,
  marksIn,
  openWorkspace,
  renameAt,
  usesAt,
} from "./index.ts";
import { usesIn } from "./uses.ts";
import { withEdits, withTexts } from "./workspace.ts";

const folder = "demo/oxbow-pottery";
const asSchema = (value: unknown): KeySchema =>
  typeof value === "object" && value !== null ? value : {};
const schema = (name: string): KeySchema => {
  const text = readFileSync(`dist/schema/${name}.schema.json`, "utf8");
  return asSchema(JSON.parse(text));
};
const schemas = { phrasebook: schema("phrasebook"), suite: schema("suite"), day: schema("day") };

/** A small home; `|` in a text is the place that is meant. */
const home = `
rooms: { shop: {}, yard: {} }
zones: { ground: { rooms: [shop] } }
voicepoints: { till: { room: shop } }
people: { mara: { name: Mara } }
devices:
  till-lamp: { kind: light, room: shop, aliases: [glow] }
  kiln-vent:
    kind: fan
    room: yard
  bell: { kind: button, room: shop }
groups: { row: { members: [till-lamp] } }
fragments: { softly: "(softly | gently)" }
intents:
  dim-down:
    patterns: "$softly dim to $level"
    slots: { level: { type: percent } }
    do: { set: { till-lamp: { brightness: $level } } }
    reply: "{$level} now, vent at {$kiln-vent.speed}."
routines:
  close-up:
    triggers: [{ phrase: closing time }, { press: bell }]
    do:
      - set: { row: { power: "off" } }
      - notify: mara
        text: Closed.
`;
const suite = `
suite: all
at: till
cases:
  - { hear: closing time, expect: { routine: close-up } }
  - { hear: glow to forty percent, expect: { set: { till-lamp: { brightness: 40 } } } }
`;

interface Pointed {
  workspace: Workspace;
  file: string;
  line: number;
  column: number;
}

/** A workspace, and the place in it that a bar marks. */
function pointed(text: string, suiteText = suite): Pointed {
  const marked = [
    { path: "home.yaml", text },
    { path: "a.suite.yaml", text: suiteText },
  ];
  const file = marked.find((each) => each.text.includes("¦"));
  const before = file?.text.slice(0, file.text.indexOf("¦")).split("\n") ?? [];
  const files = marked.map((each) => ({ path: each.path, text: each.text.replace("¦", "") }));
  const workspace = openWorkspace(files, { schemas });
  const line = before.length;
  return { workspace, file: file?.path ?? "", line, column: (before.at(-1)?.length ?? 0) + 1 };
}

function offered(text: string, suiteText = suite): string[] {
  const { workspace, ...place } = pointed(text, suiteText);
  return completionsAt(workspace, place)?.items.map((item) => item.text) ?? [];
}

const told = ({ file, start }: Stretch): string => `${file}:${start.line}:${start.column}`;

test("the small home is as it should be", () => {
  const { workspace } = pointed(home);
  expect(workspace.problems).toEqual([]);
  expect(runSuites(workspace.book, workspace.suites).failed).toBe(0);
});

describe("what may be written", () => {
  test.each([
    [
      "a room",
      home.replace("bell: { kind: button, room: shop }", "bell: { kind: button, room: ¦ }"),
      ["shop", "yard"],
    ],
    ["a kind that is begun", home.replace("kind: fan", "kind: fa¦"), ["fan", "light"]],
    ["a member", home.replace("[till-lamp]", "[till-lamp, ¦]"), ["kiln-vent", "bell"]],
    ["a button", home.replace("press: bell", "press: ¦"), ["bell"]],
    ["a person", home.replace("notify: mara", "notify: ¦"), ["mara"]],
    [
      "a key of a device",
      home.replace("    kind: fan\n", "    kind: fan\n    ¦\n"),
      ["voice", "aliases", "safe"],
    ],
    [
      "a key in braces",
      home.replace("{ kind: button, room: shop }", "{ kind: button, ¦ }"),
      ["room", "voice"],
    ],
    [
      "a listed value",
      home.replace("    kind: fan\n", "    kind: fan\n    voice: ¦\n"),
      ["free", "confirm", "code", "barred"],
    ],
    ["a section", `${home}¦`, ["address", "colours", "kinds"]],
    [
      "what a step is of",
      home.replace("set: { row:", "set: { ¦, row:"),
      ["kiln-vent", "shop", "ground"],
    ],
    [
      "a property in a step",
      home.replace("{ brightness: $level }", "{ ¦ }"),
      ["power", "brightness"],
    ],
    [
      "a value of a property",
      home.replace("{ brightness: $level }", "{ power: ¦ }"),
      ["on", "off"],
    ],
    ["a slot in a step", home.replace("brightness: $level", "brightness: $¦"), ["$level"]],
    [
      "slots and fragments in a pattern",
      home.replace("$softly dim", "$¦ dim"),
      ["$softly", "$level"],
    ],
    [
      "a bracket that is open still",
      home.replace("bell: { kind: button, room: shop }", "bell: { kind: ¦"),
      ["light", "fan"],
    ],
  ])("%s", (_what, text, wanted) => {
    expect(offered(text)).toEqual(expect.arrayContaining(wanted));
  });

  test("only what can stand there: no slot where a room is meant, and no key that is there already", () => {
    const rooms = offered(home.replace("room: yard", "room: ¦"));
    expect(rooms.sort()).toEqual(["shop", "yard"]);
    const keys = offered(home.replace("    kind: fan\n", "    kind: fan\n    ¦\n"));
    expect(keys).not.toContain("kind");
    expect(keys).not.toContain("patterns");
  });

  test.each([
    ["a voicepoint", suite.replace("at: till", "at: ¦"), ["till"]],
    ["a routine", suite.replace("routine: close-up", "routine: ¦"), ["close-up"]],
    ["an outcome", suite.replace("{ routine: close-up }", "¦"), ["act", "unknown"]],
    ["a device", suite.replace("set: { till-lamp", "set: { ¦"), ["till-lamp", "row"]],
    ["a name in a phrase", suite.replace("glow to forty percent", "dim the ti¦"), ["till lamp"]],
    ["a phrase", suite.replace("glow to forty percent", "turn on ¦"), ["turn on till lamp"]],
  ])("in a suite %s", (_what, text, wanted) => {
    expect(offered(home, text)).toEqual(expect.arrayContaining(wanted));
  });

  test("tells what it offers", () => {
    const { workspace, ...place } = pointed(home.replace("[till-lamp]", "[¦]"));
    const item = completionsAt(workspace, place)?.items.find(({ text }) => text === "kiln-vent");
    expect(item).toEqual({ text: "kiln-vent", sort: "device", detail: "fan in yard" });
  });
});

describe("what stands at a place", () => {
  const explained = (text: string, suiteText = suite) => {
    const { workspace, ...place } = pointed(text, suiteText);
    return explainAt(workspace, place);
  };
  test("a device", () => {
    const found = explained(home.replace("[till-lamp]", "[til¦l-lamp]"));
    expect(found?.title).toBe("till-lamp: light in shop");
    expect(found?.lines[0]).toBe("said “till lamp”, “glow”");
  });
  test("a pattern: what it can say", () => {
    const found = explained(home.replace('"(softly', '"(so¦ftly'));
    expect(found?.title).toBe("says 2 phrases");
    expect(found?.lines).toEqual(["softly", "gently"]);
    expect(found?.pattern?.type).toBe("choice");
  });
  test("a name: what it comes to", () => {
    expect(explained(home.replace("[glow]", "[gl¦ow]"))?.lines).toEqual([
      "till-lamp: light in shop",
    ]);
  });
  test("a phrase of a suite: what it comes to", () => {
    const found = explained(home, suite.replace("glow to", "gl¦ow to"));
    expect(found?.title).toBe("“glow to forty percent” comes to act");
    expect(found?.lines[0]).toBe("till-lamp { brightness: 40 }");
  });
  test("a key: what it is for", () => {
    expect(explained(home.replace("members:", "mem¦bers:"))?.title).toBe("members");
  });
  test("a property: what it can be", () => {
    const found = explained(home.replace("brightness:", "bright¦ness:"));
    expect(found?.lines[0]).toContain("from 0 to 100");
  });
  test("nothing where nothing stands", () => {
    expect(explained(home.replace("rooms:", "¦\nrooms:"))).toBeUndefined();
  });
});

describe("where something is written", () => {
  test("a device, from a reply", () => {
    const { workspace, ...place } = pointed(home.replace("{$kiln-vent", "{$kiln-¦vent"));
    expect(definitionsAt(workspace, place).map(told)).toEqual(["home.yaml:8:3"]);
    expect(usesAt(workspace, place).map(told)).toEqual(["home.yaml:8:3", "home.yaml:19:37"]);
  });
  test("a slot, in its pattern, step and reply, and in no other intent's", () => {
    const { workspace, ...place } = pointed(home.replace("dim to $level", "dim to $le¦vel"));
    expect(usesAt(workspace, place)).toHaveLength(4);
  });
  test("what ships with Calm Phrase is written nowhere here", () => {
    const { workspace, ...place } = pointed(home.replace("kind: fan", "kind: f¦an"));
    expect(definitionsAt(workspace, place)).toEqual([]);
  });
});

describe("another id", () => {
  const renamed = (text: string, to: string) => {
    const { workspace, ...place } = pointed(text);
    const made = renameAt(workspace, place, to);
    if (!made.ok) return made.reason;
    return withEdits(workspace, made.edits);
  };
  test("is written everywhere, and what people say stays", () => {
    const after = renamed(home.replace("  kiln-vent:", "  kiln¦-vent:"), "extractor");
    if (typeof after === "string") throw new Error(after);
    expect(after.problems).toEqual([]);
    expect(after.book.devices.get("extractor")?.names[0]?.text).toBe("kiln vent");
    expect(after.book.hear("turn on the kiln vent").outcome).toBe("act");
    expect(after.files[0]?.text).not.toContain("kiln-vent");
  });
  test.each([
    ["one that is taken", "till-lamp"],
    ["one that is no id", "Kiln Vent"],
  ])("is refused for %s", (_what, to) => {
    expect(renamed(home.replace("  kiln-vent:", "  kiln¦-vent:"), to)).toEqual(expect.any(String));
  });
  test("is refused where a rule on voice means the device by its id", () => {
    const rule = `${home}voice: [{ name: "*-*", voice: barred }]\n`;
    const refused = renamed(rule.replace("  kiln-vent:", "  kiln¦-vent:"), "extractor");
    expect(refused).toContain("voice");
  });
  test("is refused where people would have to say something else", () => {
    const kind = "kinds: { loom: { properties: { pace: { type: number } } } }\n";
    const own = `${home.replace("kind: fan", "kind: loom").replace(", vent at {$kiln-vent.speed}", "")}${kind}`;
    expect(renamed(own.replace("{ loom:", "{ lo¦om:"), "weaver")).toContain("people say");
    const said = own
      .replace("{ loom: {", "{ loom: { said: { one: loom },")
      .replace("{ loom:", "{ lo¦om:");
    expect(renamed(said, "weaver")).not.toEqual(expect.any(String));
  });
  test("is refused for what ships", () => {
    expect(renamed(home.replace("kind: fan", "kind: f¦an"), "wind")).toContain("own");
  });
});

test("the pieces of patterns are told apart", () => {
  const { workspace } = pointed(home);
  const line = marksIn(workspace, { path: "home.yaml" }).filter(({ at }) => at.start.line === 16);
  expect(line.map(({ mark }) => mark)).toEqual(["fragment", "word", "word", "slot"]);
});

test("what was said becomes a case that passes", () => {
  const { workspace } = pointed(home);
  const written = caseOf(workspace, { hear: "turn on the kiln vent", at: "till" });
  const edit = caseAdded(workspace, "a.suite.yaml", written);
  if (!edit) throw new Error("no edit");
  const after = withEdits(workspace, [edit]);
  const { passed, failed } = runSuites(after.book, after.suites);
  expect([passed, failed, after.problems.length]).toEqual([3, 0, 0]);
});

test("an answer becomes a case with what it answers", () => {
  const gate = home.replace("devices:", "devices:\n  gate: { kind: gate, room: yard }");
  const { workspace } = pointed(gate);
  const written = caseOf(workspace, { hear: "yes", before: ["open the gate"], at: "till" });
  expect(written["talk"]).toMatchObject([
    { hear: "open the gate", expect: "confirm" },
    { hear: "yes", expect: { outcome: "act", set: { gate: { position: 100 } } } },
  ]);
  const edit = caseAdded(workspace, "a.suite.yaml", written);
  const after = withEdits(workspace, edit ? [edit] : []);
  expect(runSuites(after.book, after.suites)).toMatchObject({ passed: 3, failed: 0 });
});

describe("on the demo", () => {
  let workspace: Workspace;
  beforeAll(() => {
    const names = readdirSync(folder, { recursive: true, encoding: "utf8" });
    const files = names
      .filter((name) => name.endsWith(".yaml"))
      .map((path) => ({ path, text: readFileSync(`${folder}/${path}`, "utf8") }));
    workspace = openWorkspace(files, { schemas });
  });
  const sample = <T>(all: readonly T[], count: number): T[] => {
    const stride = Math.max(1, Math.floor(all.length / count));
    return all.filter((_each, index) => index % stride === 0);
  };
  const placeOf = ({ file, start }: ReturnType<typeof usesIn>[number]) => {
    return { file: file.path, ...file.lines.at(start) };
  };

  test("law: what is written is offered where it stands", () => {
    const missing = sample(usesIn(workspace), 40).filter((use) => {
      const offers = completionsAt(workspace, placeOf(use))?.items.map(({ text }) => text) ?? [];
      return !offers.includes(use.entity.id) && !offers.includes(`$${use.entity.id}`);
    });
    expect(missing.map((use) => [use.entity, placeOf(use)])).toEqual([]);
  });

  test("law: a slip in an id that is found is mended by the first fix", () => {
    let found = 0;
    const left = sample(usesIn(workspace), 25).filter((use) => {
      const { file, start, entity } = use;
      if (entity.sort === "slot" || entity.sort === "fragment") return false;
      const at = start + entity.id.length - 1;
      const slip = withTexts(workspace, ({ path, text }) =>
        path === file.path ? `${text.slice(0, at)}q${text.slice(at + 1)}` : text,
      );
      const finding = slip.problems.find((each) =>
        each.message.includes(`${entity.id.slice(0, -1)}q`),
      );
      if (!finding) return false;
      found++;
      const [fix] = fixesFor(slip, finding);
      const text = slip.files.find(({ path }) => path === file.path)?.text ?? "";
      return applyEdits(text, fix?.edits ?? []) !== file.text;
    });
    expect(left.map((use) => [use.entity, placeOf(use)])).toEqual([]);
    expect(found).toBeGreaterThan(10);
  });

  test("law: with another id for anything, each phrase comes to what it came to", () => {
    const own = usesIn(workspace).filter(
      (use) => definitionsAt(workspace, placeOf(use)).length > 0,
    );
    const distinct = [...new Map(own.map((use) => [JSON.stringify(use.entity), use])).values()];
    const ids = distinct.filter(({ entity }) => entity.sort !== "property");
    const refused: unknown[] = [];
    const wrong = sample(ids, 10).flatMap((use): unknown[] => {
      const made = renameAt(workspace, placeOf(use), "quite-another");
      if (!made.ok) {
        // An intent that ships, or an id in a cell of a table, has no other: that is said, and nothing is done.
        expect(made.reason).toMatch(/intent to add to|routine-names\.suite\.yaml/);
        refused.push(use.entity);
        return [];
      }
      const after = withEdits(workspace, made.edits);
      const failed = runSuites(after.book, after.suites).suites.flatMap(({ cases }) =>
        cases.filter((each) => verdictOf(each) === "failed"),
      );
      return failed.length > 0 ? [[use.entity, failed]] : [];
    });
    expect(wrong).toEqual([]);
    expect(refused.length).toBeLessThanOrEqual(2);
  });

  test("law: no place and no text makes any of them throw", () => {
    const text = fc.oneof(fc.string({ maxLength: 60 }), fc.constantFrom(...home.split("\n")));
    fc.assert(
      fc.property(
        fc.array(text, { maxLength: 8 }),
        fc.nat(9),
        fc.nat(40),
        (lines, line, column) => {
          const any = openWorkspace([{ path: "home.yaml", text: lines.join("\n") }], { schemas });
          const place = { file: "home.yaml", line: line + 1, column: column + 1 };
          completionsAt(any, place);
          explainAt(any, place);
          usesAt(any, place);
          renameAt(any, place, "other");
          marksIn(any, { path: "home.yaml" });
          any.problems.forEach((each) => fixesFor(any, each));
        },
      ),
      { numRuns: 150 },
    );
  });
});
