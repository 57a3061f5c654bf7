import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createInterface } from "node:readline";
import { openPhrasebook } from "calm-phrase/node";
import { afterAll, beforeAll, expect, test } from "vitest";
import { type House, type StandInBroker, startBroker, startHouse } from "../src/index.ts";
import { until } from "./scene.ts";

/** How often a home is killed. */
const kills = Number(process.env["KILLS"] ?? 9);

const steps = `
    do:
      - set: { lamp: { power: "on" } }
      - wait: 1s
      - call: { pump: press }
      - set: { fan: { power: "on" } }
      - try: [{ send: { to: "mqtt:shop/word", text: go } }]
        failed: [{ say: The word may not have gone. }]
      - wait: 1s
      - set: { lamp: { power: "off" } }
    reply: Done.
    failed: Not done.`;

const rules = ["resume", "tell", "repeat"] as const;

const text = `
rooms: { shop: {} }
devices:
  lamp: { kind: light, room: shop }
  fan: { kind: fan, room: shop }
  pump: { kind: button, room: shop }
connections: { broker: { url: "mqtt://127.0.0.1:1" } }
bindings:
  all: { devices: shop, over: broker, order: shop/$device/$property/set, report: shop/$device/$property, actions: shop/$device/$action, within: 2s }
routines:${rules.map((rule) => `\n  ${rule}:\n    interrupted: ${rule}${steps}`).join("")}
`;

const folder = mkdtempSync(join(tmpdir(), "calm-"));
const log = join(folder, "home.log");
let broker: StandInBroker;
let house: House;
let words = 0;
beforeAll(async () => {
  writeFileSync(join(folder, "home.yaml"), text);
  const { book } = await openPhrasebook(folder);
  expect(book.problems).toEqual([]);
  broker = await startBroker();
  house = await startHouse(book, { brokers: { broker: broker.url } });
});
afterAll(async () => {
  await house.close();
  await broker.close();
});

interface Child {
  process: ChildProcess;
  lines: string[];
}

async function start(): Promise<Child> {
  const script = join(import.meta.dirname, "killed-home.js");
  const args = [script, folder, join(folder, "kept"), log, broker.url];
  const process_ = spawn(process.execPath, args, { stdio: ["pipe", "pipe", "inherit"] });
  const lines: string[] = [];
  createInterface(process_.stdout).on("line", (line) => lines.push(line));
  await until(() => lines.includes("ready"), 20);
  return { process: process_, lines };
}

async function kill({ process: child }: Child): Promise<void> {
  const gone = once(child, "exit");
  child.kill("SIGKILL");
  await gone;
}

const entries = (): Record<string, unknown>[] =>
  readFileSync(log, "utf8")
    .split("\n")
    .flatMap((line) => (line.endsWith("}") ? [JSON.parse(line) as Record<string, unknown>] : []))
    .filter(({ number }) => number !== undefined);

const moments = Array.from({ length: kills }, (_, at) => ({
  rule: rules[at % rules.length] ?? "resume",
  // Spread over the run in a fixed order that visits all of it.
  after: Math.round(((at * 0.618034) % 1) * 2400),
}));

test.each(moments)("killed $after ms into $rule, a home goes on", async ({ rule, after }) => {
  house.reset();
  words = broker.arrived().filter(({ topic }) => topic === "shop/word").length;
  const before = existsSync(log) ? entries().length : 0;
  const first = await start();
  first.process.stdin?.write(`${rule}\n`);
  await new Promise((resolve) => setTimeout(resolve, after));
  await kill(first);
  const second = await start();
  const wasThere = entries().length > before;
  if (wasThere) {
    const ways = ["started", "interrupted", "ended"];
    const last = () =>
      entries()
        .slice(before)
        .findLast(({ event }) => ways.includes(String(event)));
    await until(() => last()?.["event"] === "ended", 20);
    // That it has ended is written down as well before the next one begins.
    await new Promise((resolve) => setTimeout(resolve, 300));
  }
  await kill(second);

  const all = entries();
  expect(all.map(({ number }) => number)).toEqual(all.map((_, index) => index + 1));
  const mine = all.slice(before);
  const count = (event: string, what = ""): number =>
    mine.filter((each) => each["event"] === event && JSON.stringify(each).includes(what)).length;
  const orders = house.orders();
  const ordered = (order: string): number => orders.filter((each) => each === order).length;
  const sent = broker.arrived().filter(({ topic }) => topic === "shop/word").length - words;
  if (!wasThere) {
    expect(orders).toEqual([]);
    return;
  }
  const begun = 1 + count("interrupted", '"repeat"');
  const story = mine.map((each) => JSON.stringify(each)).join("\n");
  expect(count("started"), story).toBe(begun);
  expect(count("ended")).toBe(1);
  expect(ordered("lamp power on")).toBeLessThanOrEqual(begun + count("repeated", "lamp"));
  expect(ordered("fan power on")).toBeLessThanOrEqual(begun + count("repeated", "fan"));
  expect(ordered("pump press")).toBeLessThanOrEqual(begun);
  expect(sent).toBeLessThanOrEqual(begun);
  const wasCut = count("interrupted", '"tell"') > 0;
  const isUnsure = count("failed", "may have been done") + count("unsent") > 0;
  if (wasCut) expect(mine).toContainEqual(expect.objectContaining({ event: "ended", ok: false }));
  else {
    expect(ordered("fan power on")).toBeGreaterThanOrEqual(1);
    expect(ordered("lamp power off")).toBeGreaterThanOrEqual(1);
    if (!isUnsure) expect([ordered("pump press") >= 1, sent >= 1]).toEqual([true, true]);
  }
});
