import { describe, expect, test } from "vitest";
import { devicesFromCsv } from "./csv.ts";
import { mergeSections } from "./merge.ts";
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
