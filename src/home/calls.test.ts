import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import type { Effect } from "../commands/outcome.ts";
import { openHome } from "./live.ts";
import { printEvent } from "./log.ts";

const home = `
code: "4711"
rooms: { shop: {}, yard: {} }
devices:
  lamp: { kind: light, room: shop }
  yard-lamp: { kind: light, room: yard }
  fan: { kind: fan, room: shop }
  door: { kind: lock, room: shop }
  safe-plug: { kind: plug, room: shop, voice: barred }
intents:
  shop-light:
    patterns: "shop light to $level [on $which]"
    slots: { level: { type: percent, maximum: 80, default: 40 }, which: { type: target, kind: light, room: shop, optional: true } }
    do: { set: { lamp: { brightness: $level } } }
    reply: "{$level} it is."
  pick:
    patterns: "pick $which"
    slots: { which: { type: target } }
    do: { set: { $which: { power: "on" } } }
  pick-lock: { patterns: "free $which", slots: { which: { type: target, kind: lock } }, do: { set: { $which: { locked: false } } } }
routines:
  shut: { do: [{ set: { door: { locked: true } } }, { set: { safe-plug: { power: "off" } } }], reply: Shut. }
addresses:
  shut: { runs: shut }
  unlock: { runs: pick-lock, with: { which: door }, guard: code }
  light: { runs: shop-light, slots: [level, which] }
  meant: { runs: shut, guard: confirm }
  pick: { runs: pick, slots: [which] }
  pick-sure: { runs: pick-lock, slots: [which], guard: confirm }
`;

function opened(text = home) {
  const book = readPhrasebook([{ path: "home.yaml", text }]);
  const orders: Effect[] = [];
  const time = { now: () => 1_772_474_400, after: () => () => undefined };
  const live = openHome(book, { driver: { order: (effect) => void orders.push(effect) }, time });
  return { book, live, orders, did: () => orders.map((each) => JSON.stringify(each)) };
}

test("the home of these tests is in order", () => {
  expect(opened().book.problems).toEqual([]);
});

describe("an address", () => {
  test("does all that its steps say, whatever speech may", async () => {
    const { live, orders } = opened();
    const called = await live.call("shut");
    expect(called).toMatchObject({ called: true, performed: { failed: [] } });
    expect(orders.map(({ device }) => device)).toEqual(["door", "safe-plug"]);
    const log = live.log().map(({ event }) => printEvent(event));
    expect(log).toContain("shut starts: address shut");
    expect(log).toContain("said “Shut.” (caller)");
  });

  test("takes its slots, held to what they can be, and no others", async () => {
    const { live, did } = opened();
    expect(await live.call("light", { slots: { level: 70 } })).toMatchObject({ called: true });
    expect(await live.call("light")).toMatchObject({ called: true });
    expect(did()).toEqual(
      [70, 40].map((level) => `{"device":"lamp","set":{"brightness":${level}}}`),
    );
    for (const slots of [
      { level: 90 },
      { level: "much" },
      { level: null },
      { other: 1 },
      { which: "fan" },
      { which: "yard-lamp" },
      { which: "nothing" },
      { which: [] },
    ]) {
      expect(await live.call("light", { slots })).toMatchObject({ called: false, why: "slots" });
    }
    expect(did()).toHaveLength(2);
  });

  test("is asked to be sure of, where it says so", async () => {
    const { live, orders } = opened();
    expect(await live.call("meant")).toMatchObject({ called: false, why: "confirm" });
    expect(await live.call("meant", { confirm: "yes" as never })).toMatchObject({ called: false });
    expect(orders).toEqual([]);
    expect(await live.call("meant", { confirm: true })).toMatchObject({ called: true });
  });

  test("takes the code, and none after three wrong ones, which speech knows of as well", async () => {
    const { live, did } = opened();
    expect(await live.call("unlock")).toMatchObject({ called: false, why: "code" });
    expect(await live.call("unlock", { code: "1234" })).toMatchObject({ called: false });
    expect(await live.call("unlock", { code: "4712" })).toMatchObject({ why: "locked" });
    expect(await live.call("unlock", { code: "4711" })).toMatchObject({ why: "locked" });
    expect(did()).toEqual([]);
    expect(JSON.stringify(live.log())).not.toMatch(/4711|1234/);
    expect(JSON.stringify(live.snapshot())).not.toMatch(/4711|1234/);
    const other = opened();
    expect(await other.live.call("unlock", { code: "4711" })).toMatchObject({ called: true });
    expect(other.did()).toEqual(['{"device":"door","set":{"locked":false}}']);
  });

  test("holds what its caller chooses to the guards of devices", async () => {
    const { live, did } = opened();
    await live.call("pick", { slots: { which: ["lamp", "safe-plug"] } });
    await live.call("pick-sure", { slots: { which: "door" } });
    await live.call("pick-sure", { slots: { which: "door" }, confirm: true });
    expect(did()).toEqual([
      '{"device":"lamp","set":{"power":"on"}}',
      '{"device":"door","set":{"locked":false}}',
    ]);
  });

  test("is the only one that is reachable", async () => {
    const { live, orders } = opened();
    for (const id of ["pick-lock", "power-on", "", "__proto__", "toString"]) {
      expect(await live.call(id)).toMatchObject({ called: false, why: "unknown" });
    }
    expect(orders).toEqual([]);
  });
});

describe("an address that cannot be read whole", () => {
  const wrong = [
    ["guard: confirm }", "guard: cofirm }"],
    ["guard: confirm }", "gaurd: confirm }"],
    ["guard: code }", "guard: [code] }"],
    ["addresses:", "adresses:"],
    ["with: { which: door }", "with: { wich: door }"],
    ["  unlock:", "  meant:"],
  ] as const;
  test.each(wrong)("is none: %s → %s", (from, to) => {
    const { book } = opened(home.replaceAll(from, to));
    expect(book.problems).not.toEqual([]);
    const open = [...book.addresses.values()].filter(
      ({ id, guard }) => guard === "free" && ["unlock", "meant", "pick-sure"].includes(id),
    );
    expect(open).toEqual([]);
  });

  test("nor is any where a file cannot be read", () => {
    const { book } = opened(`${home}\n  x: [`);
    expect(book.addresses.size).toBe(0);
  });
});
