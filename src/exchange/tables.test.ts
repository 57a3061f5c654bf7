import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { printGrammar } from "../pattern/grammar.ts";
import { definePhrasebook } from "../phrasebook/define.ts";
import { devicesFromCsv, devicesToCsv } from "./csv.ts";
import { definitionOf } from "./definition.ts";
import { grammarOf } from "../grammar/home-grammar.ts";
import { mergeSections } from "./merge.ts";
import { printSrgsXml } from "./srgs.ts";
import { devicesFromThings, thingFromDevice } from "./things.ts";

const lamp = { lamp: { kind: "light", room: "hall" } };

describe("a table that a spreadsheet saved", () => {
  test.each([
    ["with empty cells beyond the last column", "id,kind,room,,\nlamp,light,hall,,\n"],
    ["with more empty cells in a row", "id,kind,room\nlamp,light,hall,,,\n"],
    ["with empty rows", "id;kind;room\n;;\nlamp;light;hall\n;;\n"],
    ["that tells its sign", "sep=;\r\nid;kind;room\r\nlamp;light;hall\r\n"],
    ["that tells its sign in quotes", '"sep=;"\nid;kind;room\nlamp;light;hall\n'],
    ["with tabs", "id\tkind\troom\nlamp\tlight\thall\n"],
    ["with heads and words in capitals", "ID;Kind;ROOM\nlamp;LIGHT;hall\n"],
    ["with a byte order mark", "\uFEFFid,kind,room\nlamp,light,hall\n"],
  ])("%s is read right", (_, text) => {
    expect(devicesFromCsv(text, "a.csv")).toEqual({ devices: lamp, skipped: [] });
  });

  test("with a comma in a head that semicolons part, and a column twice, is told", () => {
    const text = "id;kind;room;notes, old;kind\nlamp;light;hall;bought;fan\n";
    const { devices, skipped } = devicesFromCsv(text, "a.csv");
    expect(devices).toEqual(lamp);
    expect(skipped.map(({ reason }) => reason)).toEqual([
      'the column "kind" is there twice',
      'the column "notes, old" says nothing of a device',
    ]);
  });

  test("with cells that belong to no column is told", () => {
    const { devices, skipped } = devicesFromCsv("id,kind\nlamp,light,hall\n", "a.csv");
    expect(devices).toEqual({});
    expect(skipped).toEqual([{ where: "a.csv:2", reason: "it has 3 cells for 2 columns" }]);
  });

  test("with names in a language twice keeps the first one first", () => {
    const { devices } = devicesFromCsv("id,kind,name,name (en)\na,light,lamp,light\n", "a.csv");
    expect(devices["a"]?.name).toEqual({ en: ["lamp", "light"] });
  });

  test("with truth values in capitals is read right", () => {
    const { devices, skipped } = devicesFromCsv("id,kind,bulk\na,camera,TRUE\n", "a.csv");
    expect([devices["a"]?.bulk, skipped]).toEqual([true, []]);
  });
});

describe("a Thing Description", () => {
  const thing = (parts: object) => ({ title: "lamp", "@type": "Light", ...parts });
  const take = (parts: object) => devicesFromThings([{ file: "a.json", thing: thing(parts) }]);

  test.each([
    ["oneOf", { properties: { mood: { type: "string", oneOf: [{ const: "calm" }] } } }],
    ["exclusiveMinimum", { properties: { mood: { type: "number", exclusiveMinimum: 3 } } }],
    ["maxLength", { properties: { mood: { type: "string", maxLength: 3 } } }],
    ["pattern", { properties: { mood: { type: "string", pattern: "^a" } } }],
    ["writeOnly", { properties: { mood: { type: "string", writeOnly: true } } }],
    ["uriVariables", { properties: { mood: { type: "string", uriVariables: {} } } }],
    ["input", { actions: { flash: { input: { type: "integer" } } } }],
    ["output", { actions: { flash: { output: { type: "integer" } } } }],
  ])("tells that %s is not taken", (term, parts) => {
    const { devices, skipped } = take(parts);
    expect(devices["lamp"]?.kind).toBe("light");
    expect(skipped.map(({ where }) => where.split(".").at(-1))).toEqual([term]);
  });

  test("whose power is a truth value is understood as on and off", () => {
    const { devices, skipped } = take({ properties: { power: { type: "boolean" } } });
    expect([devices["lamp"]?.properties, skipped]).toEqual([
      { power: { enum: ["on", "off"] } },
      [],
    ]);
  });

  test("goes out with something that its forms are relative to", () => {
    const { base, properties } = thingFromDevice("lamp", { kind: "light" }) as {
      base: string;
      properties: Record<string, { forms: { href: string }[] }>;
    };
    const [form] = properties["power"]?.forms ?? [];
    expect(new URL(form?.href ?? "", base).href).toBe("https://home.invalid/lamp/properties/power");
  });
});

describe("sections that are added to a file", () => {
  test("leave all that stands there as it is", () => {
    const text = '"devices":\n  a: { kind: fan } # old\n\n# rooms\nrooms: {}';
    expect(
      mergeSections(text, {
        devices: { a: { kind: "light" }, b: { kind: "fan" } },
        people: { mara: {} },
      }),
    ).toEqual({
      ok: true,
      text: '"devices":\n  a: { kind: fan } # old\n  b:\n    kind: fan\n\n# rooms\nrooms: {}\n\npeople:\n  mara: {}\n',
      kept: ["devices.a"],
    });
  });

  test.each(["devices: { a: { kind: fan } }\n", "- a\n", "devices: [", "a: 1\n---\nb: 2\n"])(
    "or are refused: %j",
    (text) => {
      expect(mergeSections(text, { devices: { b: { kind: "fan" } } }).ok).toBe(false);
    },
  );
});

describe("a grammar is written as SRGS 1.0 has it", () => {
  const book = readPhrasebook([
    {
      path: "a.yaml",
      text: `languages: [en-GB]
rooms: { hall: {} }
devices: { lamp: { kind: light, room: hall, aliases: ["potter's lamp", "No. 5"] } }
fragments: { "so-far": "so far" }
intents: { 5-past: { patterns: "$so-far it's 5 % & more", reply: ok } }
`,
    },
  ]);
  const text = printGrammar(grammarOf(book, "en-GB"));

  test("with rule names of letters, digits and underlines alone (section 3.1)", () => {
    const names = [...text.matchAll(/\$([^\s;=|()[\]<]+)/gu)].map(([, name]) => name ?? "");
    expect(names.length).toBeGreaterThan(10);
    for (const name of names) expect(name).toMatch(/^[\p{L}_][\p{L}\p{M}\p{N}_]*$/u);
    const xml = printSrgsXml(grammarOf(book, "en-GB"));
    for (const [, name = ""] of xml.matchAll(/(?:id|uri|root)="#?([^"]+)"/gu)) {
      expect(name).toMatch(/^[\p{L}_][\p{L}\p{M}\p{N}_]*$/u);
    }
  });

  test("with quotes around every token that is no name token (section 2.1)", () => {
    const bare = text
      .replace(/^#ABNF[^]*?root [^;]*;/u, "")
      .replace(/"[^"]*"/gu, "")
      .replace(/\/[\d.]+\/|<[\d-]+>|\bpublic\b/gu, "")
      .split(/[\s()[\]|;=]+|\$[\p{L}\p{M}\p{N}_]+/u);
    for (const token of bare) expect(token).toMatch(/^[\p{L}\p{M}\p{N}._:-]*$/u);
    expect(text).toContain('"it\'s"');
    expect(text).not.toMatch(/[%°]/u);
  });
});

test("the first name of a language is the first one after a table and back", () => {
  const text =
    "devices: { a: { kind: light, name: { de: [Licht, Lampe], en: [beam, lamp] }, aliases: { en: [torch, glow] } } }";
  const book = readPhrasebook([{ path: "a.yaml", text: `languages: [en-GB, de-DE]\n${text}` }]);
  const [device] = book.devices.values();
  if (!device) throw new Error("there is no device");
  const back = devicesFromCsv(
    devicesToCsv({ a: definitionOf(device, book.kinds.get("light")) }),
    "a.csv",
  );
  const again = readPhrasebook([
    { path: "a.yaml", text: "languages: [en-GB, de-DE]" },
    definePhrasebook({ devices: back.devices }),
  ]);
  const namesOf = (of: typeof book, language: string) =>
    of.devices.get("a")?.names.flatMap((name) => (name.language === language ? name.text : []));
  for (const language of book.languages)
    expect(namesOf(again, language)).toEqual(namesOf(book, language));
});
