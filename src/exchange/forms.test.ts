import { readFileSync, readdirSync } from "node:fs";
import { expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { printYaml } from "./merge.ts";
import { thingsOf } from "./home-devices.ts";
import { devicesFromThings } from "./things.ts";

const folder = "demo/oxbow-pottery";
const demo = readdirSync(folder)
  .filter((name) => name.endsWith(".yaml"))
  .map((path) => ({ path, text: readFileSync(`${folder}/${path}`, "utf8") }));

const withoutPlaces = (value: unknown): unknown => {
  const text = JSON.stringify(value, (key, each: unknown) => {
    if (key === "at") return undefined;
    return each instanceof Map ? Object.fromEntries<unknown>(each) : each;
  });
  return JSON.parse(text) as unknown;
};

test("how devices are reached comes back from Thing Descriptions as it was", () => {
  const book = readPhrasebook(demo);
  const things = Object.entries(thingsOf(book)).map(([id, thing]) => {
    return { file: `${id}.json`, thing: JSON.parse(JSON.stringify(thing)) as unknown };
  });
  const { devices, connections, bindings, skipped } = devicesFromThings(things);
  expect(skipped).toEqual([]);
  const rooms = Object.fromEntries([...book.rooms.keys()].map((id) => [id, {}]));
  const text = printYaml({ languages: book.languages, rooms, devices, connections, bindings });
  const again = readPhrasebook([{ path: "taken.yaml", text }]);
  expect(again.problems).toEqual([]);
  // What tells and is no device has no Thing Description.
  const ofDevices = new Map([...book.bindings].filter(([id]) => id !== "weather"));
  expect(withoutPlaces(again.bindings)).toEqual(withoutPlaces(ofDevices));
  expect(withoutPlaces(again.connections)).toEqual(withoutPlaces(book.connections));
});

test("forms are those of the standard, for others to use", () => {
  const { properties, actions } = thingsOf(readPhrasebook(demo))["loft-blind"] ?? {};
  expect(properties).toMatchObject({
    position: {
      forms: [
        {
          op: "writeproperty",
          href: "http://127.0.0.1:18090/things/loft-blind/position",
          contentType: "application/json",
          "htv:methodName": "PUT",
        },
        { op: "readproperty", href: "http://127.0.0.1:18090/things/loft-blind" },
      ],
    },
  });
  expect(actions).toMatchObject({ stop: { forms: [{ op: "invokeaction" }] } });
  expect(thingsOf(readPhrasebook(demo))["till-lamp"]?.["properties"]).toMatchObject({
    power: {
      forms: [
        {
          op: "writeproperty",
          href: "mqtt://127.0.0.1:18830",
          "mqv:topic": "oxbow/till-lamp/power/set",
          "mqv:qos": 1,
          "mqv:retain": false,
        },
        { op: "observeproperty", "mqv:filter": "oxbow/till-lamp/power" },
      ],
    },
  });
});

test("forms that others wrote are taken: bases, methods, headers, topics, truth values, logins", () => {
  const web = {
    title: "Yard lamp",
    "@type": "Light",
    base: "https://house.example/api/",
    securityDefinitions: { login: { scheme: "basic" } },
    security: "login",
    properties: {
      power: {
        type: "boolean",
        forms: [
          {
            href: "lamp/power",
            "htv:methodName": "POST",
            "htv:headers": [{ "htv:fieldName": "x-house", "htv:fieldValue": "yard" }],
            op: ["writeproperty"],
          },
          { href: "lamp/power", op: "readproperty" },
        ],
      },
      brightness: { type: "integer", minimum: 0, maximum: 100, forms: [{ href: "lamp/level" }] },
    },
    actions: { flash: { forms: [{ href: "lamp/flash" }] } },
  };
  const bus = {
    title: "Bench pump",
    "@type": "Pump",
    properties: {
      power: {
        type: "string",
        enum: ["on", "off"],
        forms: [
          {
            href: "mqtt://broker.example:1883",
            op: "writeproperty",
            "mqv:topic": "pump/set",
            "mqv:qos": "2",
            contentType: "text/plain",
          },
          { href: "mqtt://broker.example:1883", op: "observeproperty", "mqv:filter": "pump/is" },
        ],
      },
    },
  };
  const { connections, bindings, skipped } = devicesFromThings([
    { file: "lamp.json", thing: web },
    { file: "pump.json", thing: bus },
  ]);
  expect(connections).toEqual({
    "house-example": { url: "https://house.example", login: "LOGIN_HOUSE_EXAMPLE" },
    "broker-example-1883": { url: "mqtt://broker.example:1883" },
  });
  expect(bindings).toEqual({
    "yard-lamp": {
      devices: "yard-lamp",
      over: "house-example",
      properties: {
        power: {
          order: {
            to: "/api/lamp/power",
            json: "$value",
            method: "POST",
            headers: { "x-house": "yard" },
          },
          report: { from: "/api/lamp/power", every: "30s" },
          values: { on: true, off: false },
        },
        brightness: {
          order: { to: "/api/lamp/level", json: "$value", method: "PUT" },
          report: { from: "/api/lamp/level", every: "30s" },
        },
      },
      actions: { flash: { to: "/api/lamp/flash", json: "$value", method: "POST" } },
    },
    "bench-pump": {
      devices: "bench-pump",
      over: "broker-example-1883",
      properties: {
        power: {
          order: { to: "pump/set", text: "$value", quality: 2 },
          report: { from: "pump/is" },
        },
      },
    },
  });
  expect(skipped.map(({ where }) => where)).toEqual(["lamp.json security"]);
});
