import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { type LiveHome, openHome } from "./live.ts";
import { type LogEntry, printEvent } from "./log.ts";
import type { DeviceResult } from "./ports.ts";
import type { Received, Rest } from "./snapshot.ts";

const routine = (id: string, interrupted: string): string => `
  ${id}:
    triggers: [{ phrase: "${id} it" }]
    ${interrupted}
    do:
      - set: { lamp: { power: "on" } }
      - wait: 30s
      - call: { bell: press }
      - try: [{ send: { to: "mqtt:shop/${id}", text: go } }]
        failed: [{ say: It may not have gone. }]
      - set: { fan: { power: "on" } }
    reply: All done.
    failed: Not all done.`;

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `
rooms: { shop: {} }
voicepoints: { till: { room: shop } }
devices:
  lamp: { kind: light, room: shop }
  fan: { kind: fan, room: shop }
  bell: { kind: button, room: shop }
routines:${routine("resume", "")}${routine("tell", "interrupted: tell")}${routine("repeat", "interrupted: repeat")}
`,
  },
]);

test("the home of these tests is in order", () => {
  expect(book.problems).toEqual([]);
});

/** What reaches the world, and what was written down, over all homes that were stopped and went on. */
class World {
  now = Date.parse("2026-03-02T18:00Z") / 1000;
  waiting: { at: number; act: () => void }[] = [];
  /** What went out, in order. */
  readonly out: string[] = [];
  readonly told: string[] = [];
  kept: { rest: Rest; since: Received[] } | undefined;
  home: LiveHome | undefined;
  /** How much is still written down before the home is stopped. */
  left = Infinity;

  open(): LiveHome {
    const told: LogEntry[] = [];
    const stops = (): void => {
      if (this.left <= 0) throw new Stopped();
      this.left--;
    };
    this.home = openHome(book, {
      time: {
        now: () => this.now,
        after: (seconds, act) => {
          const timer = { at: this.now + seconds, act };
          this.waiting.push(timer);
          return () => (this.waiting = this.waiting.filter((each) => each !== timer));
        },
      },
      driver: {
        order: (effect) => this.does("call" in effect ? effect.call : effect.device),
        send: ({ to }) => this.does(to),
      },
      keeper: {
        rest: (rest) => {
          this.kept = structuredClone({ rest, since: [] });
        },
        add: (received) => {
          stops();
          this.kept?.since.push(structuredClone(received));
        },
      },
      onLog: (entry) => told.push(entry),
      ...(this.kept && { from: structuredClone({ version: 1, ...this.kept }) }),
    });
    this.told.splice(0, Infinity, ...told.map(({ event }) => printEvent(event)));
    this.home.on(({ event }) => this.told.push(printEvent(event)));
    return this.home;
  }

  does(what: string): DeviceResult {
    this.out.push(what);
    return { ok: true };
  }

  pass(seconds: number): void {
    const until = this.now + seconds;
    for (;;) {
      const [next] = this.waiting.filter(({ at }) => at <= until).sort((a, b) => a.at - b.at);
      if (!next) break;
      this.waiting = this.waiting.filter((each) => each !== next);
      this.now = Math.max(this.now, next.at);
      next.act();
    }
    this.now = until;
  }

  /** Does something, and is stopped in the middle of it where no more can be written down. */
  until(act: () => void): boolean {
    try {
      act();
      return false;
    } catch (error) {
      if (!(error instanceof Stopped)) throw error;
      this.waiting = [];
      this.left = Infinity;
      return true;
    }
  }
}

class Stopped extends Error {}

/** Runs a routine in a home that is stopped after so much was written down, and goes on a second later. */
function stopped(id: string, after: number): World & { wasStopped: boolean } {
  const world = new World();
  const home = world.open();
  world.left = after;
  const wasStopped = world.until(() => {
    void home.run(id).catch(() => undefined);
    if (world.left <= 0) throw new Stopped();
    world.pass(60);
  });
  if (wasStopped) {
    world.now += 1;
    world.open();
    world.pass(60);
  }
  return Object.assign(world, { wasStopped });
}

const moments = Array.from({ length: 40 }, (_, after) => after);
const count = (all: readonly string[], part: string): number =>
  all.filter((each) => each.includes(part)).length;

describe("a home that is stopped at any moment", () => {
  test.each(moments)("goes on, and does nothing twice in silence: %i", (after) => {
    const { out, told, wasStopped } = stopped("resume", after);
    // The phrase was not written down before the first moment, and never came in.
    if (wasStopped && after === 0) return;
    for (const device of ["lamp", "fan"]) {
      expect(count(out, device)).toBe(1 + count(told, `asked again after a stop: ${device}`));
    }
    for (const once of ["press", "mqtt:shop/resume"]) {
      expect(count(out, once)).toBeLessThanOrEqual(1);
      const isKnown = count(out, once) === 1 || count(told, "may have been done") > 0;
      expect(isKnown).toBe(true);
    }
    expect(count(told, "resume ends")).toBe(1);
  });

  test.each(moments)("ends what is to be told, and says so: %i", (after) => {
    const { out, told, wasStopped } = stopped("tell", after);
    if (!wasStopped || after === 0) return;
    const wasUnderWay = told.includes("tell was interrupted, and ends");
    if (wasUnderWay) {
      expect(told).toContain("said “Not all done.” (everywhere)");
      expect(told).toContain("tell ends, not all of it done");
    } else expect(told).toContain("tell ends");
    for (const each of ["lamp", "press", "mqtt", "fan"]) {
      expect(count(out, each)).toBeLessThanOrEqual(1);
    }
  });

  test.each(moments)("does again what is to be repeated, and says so: %i", (after) => {
    const { out, told, wasStopped } = stopped("repeat", after);
    if (!wasStopped || after === 0) return;
    const wasUnderWay = told.includes("repeat was interrupted, and starts again");
    expect(told.filter((each) => each.startsWith("repeat ends"))).toEqual(["repeat ends"]);
    expect(count(out, "fan")).toBeGreaterThanOrEqual(1);
    expect(count(out, "lamp")).toBeLessThanOrEqual(wasUnderWay ? 2 : 1);
  });
});
