import { effectsOf } from "../commands/outcome.ts";
import { tellReasons } from "../model/reason.ts";
import { describe, expect, test } from "vitest";
import { definePhrasebook } from "../phrasebook/define.ts";
import type { StepDefinition } from "../phrasebook/definition/steps.ts";
import type { StepInput } from "../model/step.ts";
import { readPhrasebook } from "../book/read.ts";
import { printEvent } from "./log.ts";
import { simulate } from "./simulated/simulate.ts";

const seen: StepInput[] = [];
const book = readPhrasebook([
  definePhrasebook({
    languages: ["en-GB"],
    rooms: { shed: {} },
    voicepoints: { bench: { room: "shed" } },
    devices: {
      vent: { kind: "fan", room: "shed", properties: ["speed"] },
      lamp: { kind: "light", room: "shed" },
      gate: { kind: "gate", room: "shed" },
      boiler: { kind: "plug", room: "shed", voice: "barred" },
    },
    intents: {
      air: {
        patterns: ["air the shed [to $level]"],
        slots: { level: { type: "percent", default: 40 } },
        do: (input) => {
          seen.push(input);
          return input.state("vent")["power"] === "on"
            ? []
            : { set: { vent: { power: "on", speed: input.slots.level } } };
        },
        reply: "Vent at {$vent.speed}.",
      },
      both: {
        patterns: ["even out $what"],
        slots: { what: { type: "target", kind: "light" } },
        do: ({ slots }) =>
          slots.what.map((id): StepDefinition => ({ set: { [id]: { brightness: 50 } } })),
      },
      slow: {
        patterns: ["let it in"],
        do: () => [{ wait: "5s" }, { set: { gate: { position: 100 } } }],
      },
      sly: { patterns: ["heat up"], do: () => ({ set: { boiler: { power: "on" } } }) },
      turns: {
        patterns: ["turn coat"],
        do: ({ state }) =>
          state("lamp")["power"] === "on"
            ? { run: "open-up" }
            : [{ wait: "1s" }, { run: "open-up" }],
      },
    },
    routines: {
      "open-up": {
        do: ({ state }) =>
          state("lamp")["power"] === "on" ? { set: { gate: { position: 100 } } } : [],
      },
      evening: {
        triggers: [{ time: "18:00" }],
        do: ({ time }) => [{ say: `It is ${time ?? ""}.` }, { set: { gate: { position: 10 } } }],
      },
    },
  }),
]);

const talk = () => {
  const home = simulate(book, { time: "2026-03-02T17:00" });
  return { home, ...home.converse({ at: "bench" }) };
};

test("the definition reads without a finding", () => {
  expect(book.problems).toEqual([]);
});

describe("a function computes steps", () => {
  test("from slots, states and context", () => {
    const { say } = talk();
    expect(say("air the shed to seventy percent").reply).toBe("Vent at 70.");
    expect(seen.at(-1)).toMatchObject({
      slots: { level: 70 },
      language: "en-GB",
      at: "bench",
      time: "2026-03-02T17:00:00",
    });
    expect(say("air the shed")).toMatchObject({ outcome: "answer", reply: "Vent at 70." });
    expect(effectsOf(book.hear("air the shed"))).toEqual([
      { device: "vent", set: { power: "on", speed: 40 } },
    ]);
  });

  test("from the devices that a target stands for", () => {
    expect(effectsOf(book.hear("even out the lamp"))).toEqual([
      { device: "lamp", set: { brightness: 50 } },
    ]);
  });

  test("for a routine that a clock sets off", () => {
    const { home } = talk();
    home.wait("61m");
    const lines = home.log().map(({ event }) => printEvent(event));
    expect(lines).toContain("said “It is 2026-03-02T18:00:00.” (everywhere)");
    expect(home.states()["gate"]).toEqual({ position: 10 });
  });
});

describe("guards hold for what is computed", () => {
  test("when it is known what that is", () => {
    const { home, say } = talk();
    expect(say("let it in").outcome).toBe("confirm");
    say("yes");
    home.wait("1m");
    expect(home.states()["gate"]).toEqual({ position: 100 });
    expect(say("heat up").outcome).toBe("unknown");
  });

  test("and when that changes after it was set off", () => {
    const { home, say } = talk();
    const turn = say("turn coat");
    expect(turn.outcome).toBe("act");
    home.set("lamp", { power: "on" });
    home.wait("1m");
    expect(home.states()["gate"]).toEqual({ position: 0 });
    expect(home.log().map(({ event }) => printEvent(event))).toContain(
      "not done: gate needs a confirmation",
    );
    expect(say("turn coat").outcome).toBe("confirm");
    say("yes");
    home.wait("1m");
    expect(home.states()["gate"]).toEqual({ position: 100 });
    const starts = home.log().filter(({ event }) => event.event === "started");
    expect(starts).toHaveLength(1);
  });
});

test.each<[string, () => unknown, string]>([
  [
    "throws",
    () => {
      throw new Error("no clay");
    },
    "do() failed: no clay",
  ],
  ["returns nothing", () => undefined, "do() returned no steps"],
  [
    "names what is not there",
    () => ({ set: { vnet: { power: "on" } } }),
    'there is no device or group "vnet"; write vent',
  ],
  [
    "sets what cannot be",
    () => ({ set: { vent: { speed: 300 } } }),
    "speed goes from 0 to 100 %, not 300 %",
  ],
  ["writes no step", () => [{ sett: 1 }], 'nothing here is called "sett"'],
])("a function that %s is told, and nothing is done", (_, compute, problem) => {
  const broken = readPhrasebook([
    definePhrasebook({
      devices: { vent: { kind: "fan", properties: ["speed"] } },
      intents: { a: { patterns: ["go"], do: compute as () => StepDefinition } },
    }),
  ]);
  expect(broken.problems).toEqual([]);
  const heard = broken.hear("go");
  expect(heard.outcome).toBe("refuse");
  expect(heard.outcome === "refuse" && tellReasons(heard.reasons)).toContain(problem);
});

test("a definition with a function and a mistake is told of the mistake", () => {
  const { problems, intents } = readPhrasebook([
    definePhrasebook({
      devices: { lamp: { kind: "light", colour: "red" } as never },
      intents: { a: { patterns: ["go"], do: () => [] } },
    }),
  ]);
  expect(problems.map(({ message }) => message)).toEqual(['nothing here is called "colour"']);
  expect(intents.has("a")).toBe(true);
});
