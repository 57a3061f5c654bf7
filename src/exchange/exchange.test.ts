import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { kinds } from "../model/kinds.ts";
import type { DeviceDefinition } from "../phrasebook/definition/home.ts";
import { deviceSchema } from "../phrasebook/schema/home.ts";
import { devicesFromCsv, devicesToCsv } from "./csv.ts";
import { definitionOf } from "./definition.ts";
import { devicesFromThings, thingFromDevice } from "./things.ts";

const id = fc.stringMatching(/^[a-z]{1,6}(-[a-z0-9]{1,4})?$/);
const word = fc.stringMatching(/^[a-zäöü;", ]{0,6}[a-zäöü]$/).map((text) => text.trim());
const texts = fc.oneof(word, fc.array(word, { minLength: 2, maxLength: 3 }));
const said = fc.oneof(
  texts,
  fc.dictionary(fc.constantFrom("en-GB", "de"), texts, { minKeys: 1, maxKeys: 2 }),
);
const value = fc.oneof(fc.boolean(), fc.integer(), word);
const schema = fc.record(
  {
    type: fc.constantFrom("number" as const, "integer" as const),
    minimum: fc.integer({ min: -50, max: 0 }),
    maximum: fc.integer({ min: 1, max: 99 }),
    step: fc.constantFrom(0.5, 1, 5),
    unit: fc.constantFrom("celsius", "percent"),
    readOnly: fc.boolean(),
  },
  { requiredKeys: ["type"] },
);

/** Devices in every way that a phrasebook can write one. */
const device = fc.record(
  {
    kind: fc.constantFrom(...Object.keys(kinds)),
    room: id,
    name: said,
    aliases: said,
    voice: fc.constantFrom("free" as const, "confirm" as const, "code" as const, "barred" as const),
    safe: fc.dictionary(id, fc.oneof(value, fc.array(value, { maxLength: 2 })), { maxKeys: 2 }),
    properties: fc.dictionary(id, fc.option(schema), { maxKeys: 2 }),
    actions: fc.array(id, { maxLength: 2 }),
  },
  { requiredKeys: ["kind"] },
) as fc.Arbitrary<DeviceDefinition>;
const devices = fc.dictionary(id, device, { minKeys: 1, maxKeys: 5 });

test("the devices generated here are ones that a phrasebook can write", () => {
  fc.assert(
    fc.property(device, (each) => {
      expect(deviceSchema.safeParse(each).success).toBe(true);
    }),
  );
});

test("devices go into a table and come out equal", () => {
  fc.assert(
    fc.property(devices, (all) => {
      const taken = devicesFromCsv(devicesToCsv(all), "devices.csv");
      expect(taken.skipped).toEqual([]);
      expect(taken.devices).toEqual(all);
    }),
  );
});

test("devices go into Thing Descriptions and come out equal, and so do the descriptions", () => {
  fc.assert(
    fc.property(devices, (all) => {
      const things = Object.entries(all).map(([name, each]) => thingFromDevice(name, each));
      const written = things.map((thing) => JSON.parse(JSON.stringify(thing)) as unknown);
      const taken = devicesFromThings(written.map((thing) => ({ file: "things.json", thing })));
      expect(taken.skipped).toEqual([]);
      expect(taken.devices).toEqual(all);
      const again = Object.entries(taken.devices).map(([name, each]) =>
        thingFromDevice(name, each),
      );
      expect(again).toEqual(things);
    }),
  );
});

test("a device of an open phrasebook is written as it would be by hand", () => {
  const text = `languages: [en-GB, de]
rooms: { loft: {} }
devices:
  lamp: { kind: light, room: loft, properties: [colour], aliases: { en: [spot, beam] } }
  door: { kind: lock, room: loft, name: { en: back door, de: Hintertür }, voice: code }
  cabinet: { kind: heater, properties: { target: { minimum: 20, maximum: 60 } } }
`;
  const book = readPhrasebook([{ path: "home.yaml", text }]);
  const written = Object.fromEntries(
    [...book.devices].map(([name, each]) => [name, definitionOf(each, book.kinds.get(each.kind))]),
  );
  expect(written).toMatchObject({
    lamp: {
      kind: "light",
      room: "loft",
      properties: { colour: null },
      aliases: { "en-GB": ["spot", "beam"] },
    },
    door: { name: { "en-GB": "back door", de: "Hintertür" }, voice: "code" },
    cabinet: { properties: { target: { minimum: 20, maximum: 60, step: 0.5, unit: "celsius" } } },
  });
  expect(written["lamp"]).not.toHaveProperty("name");
  expect(written["lamp"]).not.toHaveProperty("voice");
});

test("a device of a kind of the phrasebook's own goes out with the properties of that kind", () => {
  const text = `kinds: { window: { properties: { contact: { enum: [open, closed], readOnly: true } } } }
devices: { north: { kind: window } }
`;
  const book = readPhrasebook([{ path: "home.yaml", text }]);
  const kind = book.kinds.get("window");
  const [device] = book.devices.values();
  if (!device) throw new Error("there is no device");
  const thing = thingFromDevice("north", definitionOf(device, kind), { kind });
  expect(thing).toMatchObject({
    "calm:kind": "window",
    properties: { contact: { type: "string", enum: ["open", "closed"], readOnly: true } },
  });
  const { devices: taken, skipped } = devicesFromThings([{ file: "north.json", thing }]);
  expect({ taken, skipped }).toEqual({ taken: { north: { kind: "window" } }, skipped: [] });
});

test.each([";", "\t"])("a table may part its cells with %j", (sign) => {
  const rows = [
    ["id", "kind", "aliases"],
    ["lamp", "light", '"spot; beam"'],
    ["pump", "pump", ""],
  ];
  const text = rows.map((row) => row.join(sign)).join("\r\n");
  expect(devicesFromCsv(text, "devices.csv")).toEqual({
    devices: { lamp: { kind: "light", aliases: ["spot", "beam"] }, pump: { kind: "pump" } },
    skipped: [],
  });
});

test("a table with wrong rows tells each and loses none of the good ones", () => {
  const { devices: taken, skipped } = devicesFromCsv(
    `Id,Kind,Room,Name,Aliases,Colour,Voice,Properties
lamp,light,loft,,spot; beam,,,
,fan,loft,Tall Fan,,,,
,fan,loft,,,,,
pump,pump,yard,,,,sometimes,
lamp,plug,loft,,,,,
sensor,sensor,loft,,,,,temperature; humidity
odd,heater,loft,,,,,"{ not json"
long,plug,loft,,,,,,extra
`,
    "devices.csv",
  );
  expect(taken).toEqual({
    lamp: { kind: "light", room: "loft", aliases: ["spot", "beam"] },
    "tall-fan": { kind: "fan", room: "loft", name: "Tall Fan" },
    sensor: { kind: "sensor", room: "loft", properties: ["temperature", "humidity"] },
  });
  expect(skipped.map(({ where, reason }) => `${where} ${reason}`)).toEqual([
    'devices.csv:1 the column "colour" says nothing of a device',
    "devices.csv:4 it has neither an id nor a name",
    "devices.csv:5 voice: write one of free, confirm, code, barred",
    'devices.csv:6 there is a row for "lamp" before this one',
    'devices.csv:8 "properties" is no JSON: { not json',
    "devices.csv:9 it has 9 cells for 8 columns",
  ]);
});

describe("a Thing Description from elsewhere", () => {
  const thing = {
    "@context": "https://www.w3.org/2022/wot/td/v1.1",
    "@type": ["Thing", "saref:Light"],
    title: "Desk Lamp",
    titles: { en: "Desk Lamp", de: "Schreibtischlampe" },
    properties: {
      power: { type: "string", enum: ["on", "off"], forms: [{ href: "p" }] },
      scene: { type: "object", forms: [{ href: "s" }] },
      height: { type: "number", maximum: 120, multipleOf: 0.5, forms: [{ href: "h" }] },
    },
    actions: { flash: { forms: [{ href: "f" }] } },
    links: [{ href: "manual.html" }],
    events: { overheated: {} },
  };

  test("gives what a phrasebook can say, and tells the rest", () => {
    const { devices: taken, skipped } = devicesFromThings([{ file: "lamp.json", thing }]);
    expect(taken).toEqual({
      "desk-lamp": {
        kind: "light",
        name: { en: "Desk Lamp", de: "Schreibtischlampe" },
        properties: {
          power: { type: "string", enum: ["on", "off"] },
          height: { type: "number", maximum: 120, step: 0.5 },
        },
        actions: ["flash"],
      },
    });
    expect(skipped.map(({ where }) => where)).toEqual([
      "lamp.json links",
      "lamp.json events",
      "lamp.json properties.scene",
    ]);
  });

  test.each<[string, unknown, RegExp]>([
    ["no object", [1], /no Thing Description/],
    ["no title", { "@type": "Light" }, /no title/],
    ["no kind", { title: "Odd one" }, /calm:kind/],
  ])("with %s is told, and the others are taken", (_, wrong, reason) => {
    const both = [wrong, thing].map((each) => ({ file: "things.json", thing: each }));
    const { devices: taken, skipped } = devicesFromThings(both);
    expect(Object.keys(taken)).toEqual(["desk-lamp"]);
    expect(skipped[0]?.reason).toMatch(reason);
  });
});

test("no text makes taking a table throw", () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      expect(devicesFromCsv(`id,kind,name\n${text}`, "x.csv")).toHaveProperty("skipped");
    }),
  );
});
