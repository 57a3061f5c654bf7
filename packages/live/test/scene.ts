import { mkdtempSync, readFileSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { type Book, readPhrasebook } from "calm-phrase";
import {
  type House,
  type Live,
  type LiveStart,
  type OpenDoor,
  hashOf,
  openDoors,
  startBroker,
  startHouse,
  startLive,
} from "../src/index.ts";

/** Tokens of these tests. */
export const tokens = { all: "all-of-it", follow: "to-follow", hear: "to-hear", key: "a-key" };

export const text = `
phrasebook: A small shop
code: "4711"
rooms: { shop: {}, yard: {} }
voicepoints: { till: { room: shop } }
devices:
  lamp: { kind: light, room: shop, properties: [colour, warmth] }
  fan: { kind: fan, room: shop }
  stove: { kind: thermostat, room: shop }
  blind: { kind: blind, room: shop }
  door: { kind: lock, room: shop }
  gate: { kind: gate, room: yard }
  bell: { kind: button, room: shop }
  gauge: { kind: sensor, room: shop, properties: [temperature, humidity] }
  spare: { kind: plug, room: shop }
routines:
  tidy:
    triggers: [{ phrase: tidy up }, { press: bell }]
    do:
      - try: [{ set: { fan: { power: "off" } } }]
        failed: [{ say: The fan stays on. }]
      - set: { lamp: { power: "off" } }
      - send: { to: "mqtt:shop/tidied", text: done }
    reply: Tidied.
    failed: "Not all of it: {$failed}."
  damp: { triggers: [{ state: { gauge: { humidity: above 70 } } }], do: { set: { fan: { power: "on" } } } }
intents:
  warm: { patterns: "warm to $level", slots: { level: { type: temperature, minimum: 15, maximum: 25 } }, do: { set: { stove: { target: $level } } }, reply: "Warm to {$level}." }
sources:
  weather:
    tells: { sky: { type: string, default: dry }, high: { type: number, unit: celsius, default: 12 } }
    reply: "{$weather.sky}, up to {$weather.high} degrees."
    over: web
    report: { from: weather/today, at: /$property }
    within: 1s
connections:
  broker: { url: "mqtt://127.0.0.1:1" }
  web: { url: "http://127.0.0.1:1", login: WEB }
bindings:
  plain:
    devices: [lamp, fan, gauge, door]
    over: broker
    alive: shop/$device/alive
    order: shop/$device/$property/set
    report: shop/$device/$property
    within: 1s
    tries: 1
    properties:
      power: { values: { "on": "ON", "off": "OFF" } }
      brightness: { scale: 2.55, step: 1 }
      colour: { colour: members }
      warmth: { unit: mired }
      temperature: { scale: 10 }
  web-things:
    devices: [stove, blind]
    over: web
    order: { to: things/$device/$property, json: { value: $value } }
    report: { from: things/$device, at: /state/$property }
    within: 1s
    tries: 1
    properties: { position: { moves: true } }
  gate: { devices: gate, over: broker, order: gate/set, report: gate/is, actions: gate/$action, within: 1s, properties: { position: { moves: true } } }
  bell: { devices: bell, over: broker, pressed: shop/bell/pressed }
addresses:
  tidy: { runs: tidy, keys: { old-phone: "${hashOf(tokens.key)}" } }
  warm: { runs: warm, slots: [level], guard: confirm }
doors:
  port: 18999
  hosts: [shop.example]
  origins: ["https://panel.example"]
  tokens:
    all: "${hashOf(tokens.all)}"
    follower: { hash: "${hashOf(tokens.follow)}", may: [follow] }
    hearer: { hash: "${hashOf(tokens.hear)}", may: [hear] }
  voice: { over: broker, hear: voice/$voicepoint/heard, say: voice/$voicepoint/said }
`;

/** A home, its house and its doors, all on this machine. */
export interface Scene {
  book: Book;
  live: Live;
  house: House;
  door: OpenDoor;
  broker: string;
  log: string;
  /** What the log file holds, line by line. */
  logged: () => Record<string, unknown>[];
  ask: (path: string, options?: Ask) => Promise<{ status: number; body: Record<string, unknown> }>;
  close: () => Promise<void>;
}

export interface Ask {
  token?: string;
  body?: unknown;
  method?: string;
  headers?: Record<string, string>;
}

export interface SceneOptions extends Omit<LiveStart, "urls"> {
  /** Another text than that of these tests. */
  change?: (text: string) => string;
  /** A broker that runs already, and the login of it. */
  broker?: string;
  /** More brokers, by connection. */
  others?: Record<string, string>;
  login?: string;
}

export async function scene({
  change,
  broker: other,
  others,
  login,
  ...options
}: SceneOptions = {}): Promise<Scene> {
  const book = readPhrasebook([{ path: "home.yaml", text: change ? change(text) : text }]);
  const own = other === undefined ? await startBroker() : undefined;
  const broker = other ?? own?.url ?? "";
  const brokers = { broker, ...others };
  const { time } = options;
  const house = await startHouse(book, {
    brokers,
    ...(login !== undefined && { login }),
    ...(time && { time }),
  });
  const log = join(mkdtempSync(join(tmpdir(), "calm-")), "home.log");
  const live = await startLive(book, { log, ...options, urls: { ...brokers, ...house.urls } });
  const { doors } = book;
  if (!doors) throw new Error("the home of these tests has no doors");
  const door = await openDoors(live, { ...doors, port: 0 });
  return {
    book,
    live,
    house,
    door,
    broker,
    log,
    logged: () =>
      readFileSync(log, "utf8")
        .split("\n")
        .filter((line) => line !== "")
        .map((line) => JSON.parse(line) as Record<string, unknown>),
    async ask(path, { token = tokens.all, body, method, headers = {} } = {}) {
      const answer = await fetch(door.url + path, {
        method: method ?? (body === undefined ? "GET" : "POST"),
        headers: {
          ...(token === "" ? {} : { authorization: `Bearer ${token}` }),
          ...(body === undefined ? {} : { "content-type": "application/json" }),
          ...headers,
        },
        ...(body !== undefined && { body: typeof body === "string" ? body : JSON.stringify(body) }),
      });
      const told = await answer.text();
      const read: unknown = told.startsWith("{") ? JSON.parse(told) : { text: told };
      return { status: answer.status, body: { ...(read as object) } };
    },
    async close() {
      await door.close();
      await live.close();
      await house.close();
      await own?.close();
    },
  };
}

/** Waits until something holds, which it does soon or not at all. */
export async function until(holds: () => boolean, seconds = 5): Promise<void> {
  const end = Date.now() + seconds * 1000;
  while (!holds()) {
    if (Date.now() > end) throw new Error(`it never came to that: ${String(holds)}`);
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
}

/** A port that nobody listens at. */
export async function freePort(): Promise<number> {
  const server = createServer();
  await new Promise<void>((resolve) => {
    server.listen(0, "127.0.0.1", resolve);
  });
  const address = server.address();
  await new Promise((resolve) => server.close(resolve));
  return typeof address === "object" && address ? address.port : 0;
}
