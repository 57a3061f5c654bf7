import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { definePhrasebook } from "./define.ts";
import { readPhrasebook } from "../book/read.ts";

const problems = (text: string) => readPhrasebook([{ path: "home.yaml", text }]).problems;

/** Findings as `line:column rule`. */
const places = (text: string): string[] =>
  problems(text).map(({ at, rule }) => `${at.line}:${at.column} ${rule}`);

test("ten different mistakes are ten findings, each at its place, in one run", () => {
  const found = problems(`phrasebok: Mill
languages: [en-GB, xx]
rooms:
  Kiln Room: {}
  loft: { alias: attic }
devices:
  vent: { kind: fann, room: loft }
  lamp: { kind: light, room: lofft }
  strip:
    kind: light
    properties: { brightness: { minimum: ten } }
intents:
  on:
    patterns: ["turn on ($target"]
    slots: { target: { type: target } }
    do:
      - set: { lamp: { power: maybe }, $target: { power: on } }
    reply: "{$targte} on."
`);
  expect(found.map(({ at, rule, fix }) => [`${at.line}:${at.column}`, rule, fix])).toEqual([
    ["1:1", "unknown-key", "write phrasebook"],
    ["2:20", "unknown-language", "write one of en, de, fr, es, it, nl"],
    ["4:3", "wrong-id", "ids are lower-case letters, digits and hyphens, such as kiln-vent"],
    ["5:11", "unknown-key", "write aliases"],
    ["7:17", "unknown-reference", "write fan"],
    ["8:30", "unknown-reference", "write loft"],
    ["11:42", "wrong-value", "write a number"],
    ["14:25", "pattern-syntax", 'write the missing ")"'],
    ["15:14", "unused-slot", expect.stringContaining("$target")],
    ["17:31", "wrong-value", "write one of on, off"],
    ["18:14", "unknown-reference", "write {$target}"],
  ]);
});

describe("one mistake is one finding", () => {
  test.each<[string, string, string[]]>([
    ["a misspelled key that is missing", "devices: { a: { knd: light } }", ["1:17 unknown-key"]],
    [
      "a key that is missing",
      "devices: { a: { room: b } }\nrooms: { b: {} }",
      ["1:12 missing-key"],
    ],
    [
      "a slot of an unknown type",
      'intents: { a: { patterns: "go $x", slots: { x: { type: numbr } }, do: { set: { b: { power: $x } } } } }\ndevices: { b: { kind: plug } }',
      ["1:56 wrong-value"],
    ],
    ["an id defined twice in one map", "rooms:\n  a: {}\n  a: {}", ["3:3 defined-twice"]],
    [
      "an id of two things",
      "rooms: { a: {} }\nzones: { a: { rooms: [a] } }",
      ["2:10 defined-twice"],
    ],
    [
      "a circle of fragments",
      'fragments:\n  a: "x $b"\n  b: "y $c"\n  c: "z $a"',
      ["2:3 pattern-circle"],
    ],
    [
      "a circle of zones",
      "zones:\n  a: { zones: [b] }\n  b: { zones: [c] }\n  c: { zones: [a] }",
      ["2:3 zone-circle"],
    ],
    [
      "a circle of groups",
      "groups:\n  a: { members: [b] }\n  b: { members: [a] }",
      ["2:3 group-circle"],
    ],
    [
      "a property that a kind lacks",
      "devices: { a: { kind: plug, properties: [speed] } }",
      ["1:42 unknown-property"],
    ],
    [
      "a read-only property that is set",
      "devices: { a: { kind: heater } }\nintents: { b: { patterns: go, do: { set: { a: { temperature: 20 } } } } }",
      ["2:49 read-only"],
    ],
    [
      "people who are reached by nothing, or not at all",
      [
        "people: { mara: {} }",
        'connections: { web: { url: "http://127.0.0.1:1" }, broker: { url: "mqtt://127.0.0.1:2" } }',
        "contacts:",
        "  mara: { over: web, presence: mara, notify: news/$persn }",
        "  joss: { over: broker }",
      ].join("\n"),
      ["4:32 never-told", "4:46 wrong-value", "5:3 unknown-reference"],
    ],
    [
      "messages over nothing, and to one of two brokers",
      [
        'connections: { one: { url: "mqtt://127.0.0.1:1" }, two: { url: "mqtt://127.0.0.1:2" } }',
        "routines:",
        "  a: { do: [{ send: { over: three, to: x } }, { send: { to: x } }] }",
        "  b: { do: [{ send: { over: two, to: x } }, { send: { to: 'mqtt:x' } }] }",
      ].join("\n"),
      ["3:29 unknown-reference", "3:61 wrong-value", "4:59 which-broker"],
    ],
    [
      "a step that stands alone with a wrong value",
      "routines: { a: { do: { set: { tea: hot } } } }",
      ["1:36 wrong-value"],
    ],
    [
      "a step that is none, among others",
      "routines: { a: { do: [{ wait: 5s }, { wiat: 5s }] } }",
      ["1:39 unknown-key"],
    ],
    [
      "a routine with no duration, person, sun or button where there should be one",
      [
        "people: { mara: {} }",
        "devices: { lamp: { kind: light } }",
        "routines:",
        "  a: { rest: soon, do: [{ wait: later }] }",
        "  b: { triggers: [{ presence: joss away }, { sun: noonish }, { press: lamp }], do: [] }",
      ].join("\n"),
      [
        "4:14 wrong-value",
        "4:33 wrong-value",
        "5:31 unknown-reference",
        "5:51 wrong-value",
        "5:71 unknown-reference",
      ],
    ],
    ["a name without a word", 'devices: { a: { kind: plug, name: "…" } }', ["1:35 wrong-name"]],
    ["a broken line", "rooms:\n\ta: {}", ["2:1 yaml-syntax"]],
    ["a file that is a list", "- a\n- b", ["1:1 wrong-value"]],
  ])("%s", (_, text, expected) => {
    expect(places(text)).toEqual(expected);
  });
});

test("a thing defined in two files shows both places", () => {
  const { problems: found } = readPhrasebook([
    { path: "a.yaml", text: "rooms: { loft: {} }" },
    { path: "b.yaml", text: "\nrooms: { loft: {} }" },
  ]);
  expect(found).toMatchObject([
    { rule: "defined-twice", at: { file: "b.yaml", line: 2 }, also: [{ file: "a.yaml", line: 1 }] },
  ]);
});

test("a broken section is one finding, and the sections around it are read", () => {
  const text = `rooms: { loft: {} }
groups:
  all: { members: [lamp }
devices:
  lamp: { kind: lihgt, room: loft }
intents:
  on: { patterns: "lamp on", do: { set: { all: { power: on } } } }
`;
  expect(places(text)).toEqual(["3:25 yaml-syntax"]);
  expect([...readPhrasebook([{ path: "a.yaml", text }]).rooms.keys()]).toEqual(["loft"]);
});

test("what is right in a file with mistakes is used", () => {
  const book = readPhrasebook([
    {
      path: "a.yaml",
      text: "rooms: { loft: {}, B: {} }\ndevices: { a: { kind: light, rom: loft } }",
    },
  ]);
  expect([...book.rooms.keys()]).toEqual(["loft"]);
  expect(book.devices.get("a")).toMatchObject({ kind: "light" });
});

test("a definition in TypeScript has the shape of the files, and findings show its path", () => {
  const book = readPhrasebook([
    definePhrasebook({
      rooms: { loft: {} },
      devices: {
        lamp: { kind: "light", room: "loft", aliases: { en: ["reading lamp"] } },
        // @ts-expect-error there is no such room
        fan: { kind: "fan", room: "lofft" },
      },
    }),
  ]);
  expect(book.devices.get("lamp")?.names.map(({ text }) => text)).toEqual(["lamp", "reading lamp"]);
  expect(book.problems).toMatchObject([
    { rule: "unknown-reference", at: { file: "definePhrasebook#devices.fan.room" } },
  ]);
});

describe("a hostile pattern is a finding or works", () => {
  test.each<[string, string, string[]]>([
    ["endless repeats in each other", "([a] <0->)<0-> go", []],
    ["sixty nested optionals", `${"[a ".repeat(59)}[a]${"]".repeat(59)} go`, []],
    ["sixty optionals in a row", `${"[a] ".repeat(60)} go`, []],
    ["repeats that multiply", "((a<100>)<100>)<100>", ["pattern-size"]],
    ["far too many brackets", "(".repeat(5000), ["pattern-syntax"]],
    ["a very long text", "a ".repeat(100_000), ["pattern-syntax"]],
  ])("%s", (_, pattern, expected) => {
    const text = JSON.stringify({ intents: { a: { patterns: [pattern] } } });
    expect(problems(text).map(({ rule }) => rule)).toEqual(expected);
  });

  test("fragments that double each other", () => {
    const fragments = Object.fromEntries(
      Array.from({ length: 25 }, (_, n) => [`f${n}`, n === 24 ? "$NULL" : `$f${n + 1} $f${n + 1}`]),
    );
    const text = JSON.stringify({ fragments, intents: { a: { patterns: ["go $f0"] } } });
    expect(new Set(problems(text).map(({ rule }) => rule))).toEqual(new Set(["pattern-size"]));
  });

  const chain = (count: number, last: string, inner: (next: string) => string): string =>
    Array.from({ length: count }, (_, n) => {
      return `  g${n}: { ${n === count - 1 ? last : inner(`g${n + 1}`)} }`;
    }).join("\n");

  test.each<[string, string, string]>([
    [
      "groups in groups",
      "devices: { d: { kind: plug } }\ngroups:\n",
      chain(5000, "members: [d]", (next) => `members: [${next}]`),
    ],
    [
      "zones in zones",
      "rooms: { r: {} }\nzones:\n",
      chain(5000, "rooms: [r]", (next) => `zones: [${next}]`),
    ],
  ])("%s without end", (what, before, text) => {
    const rules = new Set(problems(before + text).map(({ rule }) => rule));
    expect(rules).toEqual(new Set([`${what.split(" ")[0]?.slice(0, -1) ?? ""}-depth`]));
  });

  test("groups that double each other have each device once", () => {
    const text = chain(25, "members: [d]", (next) => `members: [${next}, ${next}]`);
    const book = readPhrasebook([
      { path: "home.yaml", text: `devices: { d: { kind: plug } }\ngroups:\n${text}` },
    ]);
    expect(book.groups.get("g0")?.devices).toEqual(["d"]);
  });

  test("YAML aliases that multiply", () => {
    const lines = ["a0: &a0 [x, x]"];
    for (let n = 1; n < 20; n++) lines.push(`a${n}: &a${n} [*a${n - 1}, *a${n - 1}]`);
    expect(places(lines.join("\n"))).toContain("1:1 yaml-syntax");
  });
});

test("no text makes reading throw", () => {
  const line = fc.constantFrom(
    "rooms:",
    "  loft: {}",
    "devices: [",
    "  lamp: { kind: light }",
    "intents:",
    '  on: { patterns: "turn on $x" }',
    "- x",
    "    name: 5",
    "__proto__: { kind: 1 }",
    "  constructor: { kind: plug }",
    "languages: en",
    "fragments: { a: $a }",
    "? [a]",
    "*x",
  );
  const file = fc.oneof(
    fc.array(line).map((lines) => lines.join("\n")),
    fc.string(),
  );
  fc.assert(
    fc.property(file, (text) => {
      expect(readPhrasebook([{ path: "x.yaml", text }])).toHaveProperty("problems");
    }),
    { numRuns: 1000 },
  );
});
