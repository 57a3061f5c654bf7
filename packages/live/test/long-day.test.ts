import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setFlagsFromString } from "node:v8";
import { runInNewContext } from "node:vm";
import { openPhrasebook } from "calm-phrase/node";
import { expect, test } from "vitest";
import { startBroker, startHouse, startLive } from "../src/index.ts";
import { DrivenTime } from "./driven-time.js";
import { until } from "./scene.ts";

/** Reports in the 24 hours: 10,000 by `npm run long-day`. */
const reports = Number(process.env["REPORTS"] ?? 144);

setFlagsFromString("--expose_gc");
const collect = runInNewContext("gc") as () => void;

/** Megabytes in use once nothing is left that nobody needs. */
async function used(): Promise<number> {
  for (let turn = 0; turn < 3; turn++) {
    await new Promise((resolve) => setTimeout(resolve, 20));
    collect();
  }
  return process.memoryUsage().heapUsed / 1e6;
}

test("a day of what devices report, from midnight to midnight, leaves nothing behind", async () => {
  const opened = await openPhrasebook(join(import.meta.dirname, "../../../demo/oxbow-pottery"));
  const { book } = opened;
  const folder = mkdtempSync(join(tmpdir(), "calm-"));
  const time = new DrivenTime();
  time.beginAt(Date.parse("2026-03-02T00:00Z") / 1000);
  const broker = await startBroker();
  const brokers = { "bench-broker": broker.url };
  const house = await startHouse(book, { brokers, time });
  const [kept, log] = [join(folder, "kept"), join(folder, "home.log")];
  const urls = { ...brokers, ...house.urls };
  const live = await startLive(book, { store: kept, log, time, urls });
  const settled = async (): Promise<void> => {
    await live.reach.quiet();
    await new Promise((resolve) => setImmediate(resolve));
  };
  const known = (device: string, property: string): unknown =>
    live.home.states()[device]?.[property];
  /** What is measured, and a hand at a switch: all over the broker. */
  const happen = async (turn: number): Promise<void> => {
    const humidity = 40 + ((turn * 7) % 50);
    house.set("glaze-sensor", { humidity, temperature: 15 + (turn % 10) / 2 });
    if (turn % 5 === 0) house.set("wheel-lamp", { power: turn % 2 === 0 ? "on" : "off" });
    if (turn % 40 === 0) house.presence("joss", turn % 80 === 0 ? "away" : "home");
    await until(() => known("glaze-sensor", "humidity") === humidity);
  };
  const each = (24 * 3600) / reports;
  let before = 0;
  for (let turn = 1; turn <= reports; turn++) {
    await happen(turn);
    await time.pass(each, settled);
    // What is loaded when it is first needed is there after a sixth of the day.
    if (turn === Math.floor(reports / 6)) before = await used();
  }
  const after = await used();
  expect(live.home.clock().slice(0, 16)).toBe("2026-03-03T00:00");
  expect(live.home.states()).toMatchObject({
    "glaze-sensor": { humidity: 40 + ((reports * 7) % 50) },
    "wheel-lamp": house.states()["wheel-lamp"],
  });
  // What the clock set off went out as well.
  expect(house.orders()).toContain("mara notify The pottery is closed.");
  expect(live.home.log().length).toBeLessThanOrEqual(1000);
  expect(after - before).toBeLessThan(4);
  console.log(
    `${reports} reports: ${(after - before).toFixed(2)} MB more than after a sixth of them`,
  );
  await live.close();
  await house.close();
  await broker.close();
}, 1_200_000);
