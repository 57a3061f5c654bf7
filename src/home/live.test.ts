import { beforeEach, describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import type { Effect } from "../commands/outcome.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { type LiveHome, type LiveOptions, openHome } from "./live.ts";
import type { Driver } from "./outgoing.ts";
import { printEvent } from "./log.ts";
import type { DeviceResult } from "./ports.ts";
import { simulate } from "./simulated/simulate.ts";

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `
rooms: { shop: {}, yard: {} }
voicepoints: { till: { room: shop } }
devices:
  lamp: { kind: light, room: shop }
  fan: { kind: fan, room: shop }
  bell: { kind: button, room: shop }
  shop-door: { kind: lock, room: yard }
  blind: { kind: blind, room: shop }
routines:
  tidy:
    triggers: [{ phrase: tidy up }]
    do: [{ set: { lamp: { power: "off" } } }, { set: { fan: { power: "on" } } }]
    reply: Tidied.
    failed: "Not all: {$failed}."
  let-in:
    triggers: [{ state: { lamp: { power: "on" } } }]
    do: { set: { shop-door: { locked: false } } }
  evening:
    triggers: [{ time: "18:30" }]
    do: { set: { lamp: { power: "on" } } }
  ask-first:
    triggers: [{ phrase: air the shop }]
    do:
      ask: Shall I?
      answers: [{ hear: ["yes"], do: { set: { fan: { power: "on" } } } }]
`,
  },
]);

test("the home of these tests is in order", () => {
  expect(book.problems).toEqual([]);
});

/** Time that goes on when it is told to, and devices that do as they are told to. */
function world() {
  let now = Date.parse("2026-03-02T18:00Z") / 1000;
  const waiting: { at: number; act: () => void }[] = [];
  const orders: { effect: Effect; answer: (result?: DeviceResult) => void; fail: () => void }[] =
    [];
  const time: LiveOptions["time"] = {
    now: () => now,
    after(seconds, act) {
      const timer = { at: now + seconds, act };
      waiting.push(timer);
      return () => waiting.splice(waiting.indexOf(timer), waiting.includes(timer) ? 1 : 0);
    },
  };
  const driver: Driver = {
    order: (effect) =>
      new Promise((resolve, reject) => {
        const fail = (): void => {
          reject(new Error("out of reach"));
        };
        orders.push({ effect, answer: resolve, fail });
      }),
  };
  const pass = async (seconds: number): Promise<void> => {
    const until = now + seconds;
    for (;;) {
      await settled();
      const next = waiting.filter(({ at }) => at <= until).sort((a, b) => a.at - b.at)[0];
      if (!next) break;
      waiting.splice(waiting.indexOf(next), 1);
      now = Math.max(now, next.at);
      next.act();
    }
    now = until;
  };
  return { time, driver, orders, pass };
}

/** Lets promises that are kept be told of. */
async function settled(): Promise<void> {
  for (let turn = 0; turn < 20; turn++) await Promise.resolve();
}

const ordered = ({ effect }: { effect: Effect }): unknown =>
  "set" in effect ? [effect.device, effect.set] : effect;

let given = world();
let home: LiveHome;
beforeEach(() => {
  given = world();
  home = openHome(book, given);
});

const told = (): string[] => home.log().map(({ event }) => printEvent(event));

describe("devices that answer late, partly or never", () => {
  test("a turn is answered once the device has", async () => {
    const turn = home.converse({ at: "till" }).say("turn on the fan");
    await settled();
    expect(given.orders.map(ordered)).toEqual([["fan", { power: "on" }]]);
    expect(home.states()["fan"]).toMatchObject({ power: "off" });
    given.orders[0]?.answer({ ok: true, values: { power: "on" } });
    expect(await turn).toMatchObject({ outcome: "act", reply: "fan on." });
    expect(home.states()["fan"]).toMatchObject({ power: "on" });
  });

  test("one that fails is told, and one that never answers fails after a while", async () => {
    const failing = home.converse().say("turn on the fan");
    await settled();
    given.orders[0]?.fail();
    expect((await failing).reply).toBe("fan did not answer.");
    const silent = home.converse().say("turn on the fan");
    await given.pass(11);
    expect((await silent).performed.failed).toEqual(["fan"]);
    // What comes after that changes nothing.
    given.orders[1]?.answer({ ok: true, values: { power: "on" } });
    await settled();
    expect(home.states()["fan"]).toMatchObject({ power: "off" });
  });

  test("of several, each for itself", async () => {
    const turn = home.converse().say("turn on the fan and turn on the lamp");
    await settled();
    expect(given.orders).toHaveLength(2);
    given.orders[1]?.answer({ ok: true, values: { power: "on" } });
    given.orders[0]?.fail();
    const { performed, reply } = await turn;
    expect(performed).toMatchObject({ failed: ["fan"], changes: [{ device: "lamp" }] });
    expect(reply).toBe("fan did not answer. lamp on.");
  });

  test("steps wait for each other, and a failure is known to the end of a routine", async () => {
    home
      .converse({ at: "till" })
      .say("tidy up")
      .catch(() => undefined);
    await settled();
    expect(given.orders.map(ordered)).toEqual([["lamp", { power: "off" }]]);
    given.orders[0]?.answer();
    await settled();
    expect(given.orders.map(ordered)[1]).toEqual(["fan", { power: "on" }]);
    given.orders[1]?.fail();
    await settled();
    expect(told().slice(-2)).toEqual([
      "said “Not all: fan.” (till)",
      "tidy ends, not all of it done",
    ]);
  });

  test("what moves is on its way until it tells that it has come", async () => {
    const turn = home.converse().say("open the blind");
    await settled();
    given.orders[0]?.answer();
    expect((await turn).performed.changes).toMatchObject([{ property: "position", to: 100 }]);
    expect(home.states()["blind"]).toMatchObject({ position: 0 });
    home.report("blind", { position: 100 });
    expect(home.states()["blind"]).toMatchObject({ position: 100 });
  });
});

describe("guards hold as they do in simulation", () => {
  test("what a device reports of what speech ordered is held to what speech was granted", async () => {
    const turn = home.converse({ at: "till" }).say("turn on the lamp");
    await settled();
    given.orders[0]?.answer();
    await turn;
    home.report("lamp", { power: "on" });
    await given.pass(1);
    expect(given.orders).toHaveLength(1);
    expect(told()).toContain("not done: shop-door needs a confirmation");
  });

  test.each([
    ["before it has answered", "turn on the lamp", { power: "on" }],
    ["of another property", "lamp to 40 percent", { power: "on", brightness: 40 }],
  ])("and so is what it reports %s", async (_, phrase, reported) => {
    const turn = home.converse({ at: "till" }).say(phrase);
    await settled();
    home.report("lamp", reported);
    given.orders[0]?.answer();
    await turn;
    await given.pass(1);
    expect(given.orders).toHaveLength(1);
    expect(told()).toContain("not done: shop-door needs a confirmation");
  });

  test("and what a hand did at the switch is no speech", async () => {
    home.report("lamp", { power: "on" });
    await given.pass(1);
    expect(given.orders.map(ordered)).toEqual([["shop-door", { locked: false }]]);
  });

  test("what waits for a yes is not ordered before it", async () => {
    const talk = home.converse({ at: "till" });
    expect(await talk.say("unlock the shop door")).toMatchObject({ outcome: "confirm" });
    expect(given.orders).toEqual([]);
    const yes = talk.say("yes");
    await settled();
    given.orders[0]?.answer({ ok: true, values: { locked: false } });
    expect(await yes).toMatchObject({ outcome: "act" });
  });
});

describe("the clock in use", () => {
  test("sets routines off", async () => {
    await given.pass(31 * 60);
    expect(given.orders.map(ordered)).toEqual([["lamp", { power: "on" }]]);
    expect(home.clock()).toBe("2026-03-02T18:31:00");
  });

  test("closes a question that nobody answers", async () => {
    const talk = home.converse({ at: "till" });
    await talk.say("unlock the shop door");
    await given.pass(40);
    expect(await talk.say("yes")).toMatchObject({ outcome: "unknown" });
  });

  test("and does nothing more once the home is closed", async () => {
    home.close();
    await given.pass(3600);
    expect((await home.converse().say("turn on the fan")).performed.failed).toEqual(["fan"]);
    expect(given.orders).toEqual([]);
  });
});

describe("conversations by session", () => {
  test("two clients at one voicepoint never answer each other's question", async () => {
    const [one, other] = ["a", "b"].map((session) => home.converse({ at: "till", session }));
    await one?.say("unlock the shop door");
    expect(await other?.say("yes")).toMatchObject({ outcome: "unknown" });
    await one?.say("air the shop");
    expect(await other?.say("yes")).toMatchObject({ outcome: "unknown" });
    expect(given.orders).toEqual([]);
    expect(await one?.say("yes")).toMatchObject({ outcome: "act" });
    await settled();
    expect(given.orders.map(ordered)).toEqual([["fan", { power: "on" }]]);
  });
});

describe("what happens is told as it happens", () => {
  test("each entry once, to whoever listens", async () => {
    const heard: string[] = [];
    const stop = home.on(({ event }) => heard.push(printEvent(event)));
    home.report("fan", { power: "on" });
    stop();
    home.report("fan", { power: "off" });
    await settled();
    expect(heard).toEqual(["fan power: off → on"]);
  });

  test("and the log keeps as many as it is asked to", () => {
    const small = openHome(book, { ...given, keep: 5 });
    for (let speed = 1; speed <= 50; speed++) small.report("fan", { speed });
    expect(small.log().map(({ event }) => printEvent(event))).toEqual(
      [46, 47, 48, 49, 50].map((speed) => `fan speed: ${speed - 1} → ${speed}`),
    );
  });
});

test("what a device cannot be is told in the log, and changes nothing", () => {
  home.report("fan", { speed: 4000 });
  home.report("fountain", { power: "on" });
  expect(home.states()["fan"]).toMatchObject({ speed: 0 });
  expect(told()).toEqual([
    "not done: the speed of fan goes from 0 to 100 %, not 4000 %",
    'not done: there is no device "fountain"',
  ]);
});

describe("what people are told", () => {
  const told = async (notify: Driver["notify"]) => {
    const of = readPhrasebook([
      {
        path: "home.yaml",
        text: `
people: { ann: {}, bo: {} }
routines:
  tea:
    triggers: [{ phrase: tea time }]
    do: [{ notify: [ann, bo], text: Tea., tag: tea }, { wait: 1s }]
    reply: Both know.
    failed: "Not done: {$failed}."`,
      },
    ]);
    const live = openHome(of, { ...given, driver: { ...given.driver, ...(notify && { notify }) } });
    const turn = live.converse().say("tea time");
    await given.pass(12);
    const { reply } = await turn;
    const last = live.log().flatMap(({ event }) => (event.event === "said" ? event.text : []));
    return { reply, said: last.at(-1), log: live.log().map(({ event }) => printEvent(event)) };
  };

  test("goes by the driver, and is written down once it has gone", async () => {
    const notes: unknown[] = [];
    const { log, said } = await told((note) => {
      notes.push(note);
      return Promise.resolve(undefined);
    });
    expect(notes).toEqual([
      { person: "ann", text: "Tea.", tag: "tea" },
      { person: "bo", text: "Tea.", tag: "tea" },
    ]);
    expect(log).toContain("told bo “Tea.” [tea]");
    expect(said).toBe("Both know.");
  });

  test("has failed where one does not get it, and the reply blames no device", async () => {
    const { log, said } = await told(({ person }) =>
      person === "bo" ? { ok: false, what: "its phone is off" } : undefined,
    );
    expect(log).toContain("bo was not told: its phone is off");
    expect(log).toContain("told ann “Tea.” [tea]");
    expect(said).toBe("Not all of that could be done.");
  });

  test("stands in the log alone where the driver cannot", async () => {
    expect((await told(undefined)).log).toContain("told ann “Tea.” [tea]");
  });
});

test("without devices or time there is no home, which is told", () => {
  expect(() => openHome(book, {} as LiveOptions)).toThrow(WrongUse);
  expect(() => openHome(book, { driver: given.driver } as LiveOptions)).toThrow(/source of time/);
});

test("where devices answer at once, all comes as in simulation", async () => {
  const simulated = simulate(book, { time: "2026-03-02T18:00" });
  const driver: Driver = {
    order: (effect) => ("set" in effect ? { ok: true, values: effect.set } : undefined),
  };
  const live = openHome(book, { ...given, driver });
  for (const phrase of ["turn on the fan", "tidy up", "unlock the shop door", "yes", "undo that"]) {
    const turn = await live.converse({ at: "till" }).say(phrase);
    await given.pass(0);
    const same = simulated.converse({ at: "till" }).say(phrase);
    expect([turn.outcome, turn.reply]).toEqual([same.outcome, same.reply]);
    expect(live.states()).toEqual(simulated.states());
  }
});
