import type { State } from "../model/property.ts";
import { effectsOf } from "./outcome.ts";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { printEvent } from "../home/log.ts";
import { simulate } from "../home/simulated/simulate.ts";

const book = readPhrasebook([
  {
    path: "a.yaml",
    text: `languages: [en-GB]
code: "4711"
people: { mara: {} }
rooms: { hall: {}, shed: {} }
zones: { house: { rooms: [hall, shed] } }
kinds:
  kiln: { properties: { power: { enum: [on, off] } }, actions: [start, stop, open], voice: code }
devices:
  lamp: { kind: light, room: hall }
  night-light: { kind: light, room: hall, bulk: false }
  camera: { kind: camera, room: hall }
  pump: { kind: pump, room: hall }
  washer: { kind: appliance, room: hall }
  door: { kind: lock, room: hall, voice: free }
  oven: { kind: appliance, room: shed, voice: code }
  big-gate: { kind: gate, room: shed, voice: code }
  side-gate: { kind: gate, room: shed }
  pot-kiln: { kind: kiln, room: shed }
groups: { evening: { members: [lamp, night-light, camera] } }
intents:
  rest: { patterns: rest now, do: { set: { "hall except camera and evening": { power: off } } } }
  begin: { patterns: begin $what, slots: { what: { type: target } }, do: { call: { $what: start } } }
  end: { patterns: end $what, slots: { what: { type: target } }, do: { call: { $what: stop } } }
  lift: { patterns: lift $what, slots: { what: { type: target } }, do: { call: { $what: open } } }
routines:
  inner:
    triggers: [{ phrase: go in }]
    moment: Inner.
    do: { set: { lamp: { power: on } } }
    reply: Inner done.
  outer:
    triggers: [{ phrase: go out }]
    if: { camera: { power: on } }
    moment: Outer.
    do: { run: inner }
    reply: Outer done.
`,
  },
]);
const reached = (phrase: string, states: Record<string, Record<string, string>> = {}) => {
  const heard = book.hear(phrase, {
    states: (id) => ({ activity: "idle", power: "off", ...states[id] }),
  });
  const ids = effectsOf(heard)
    .map(({ device }) => device)
    .sort();
  return [heard.outcome, ...ids].join(" ");
};

test("the home reads without an error", () => {
  expect(book.problems.filter(({ severity }) => severity === "error")).toEqual([]);
});

describe("what goes along with a command to many", () => {
  test.each([
    ["turn off everything in the hall", "act lamp washer"],
    ["turn off everything", "act lamp washer"],
    ["turn off the hall", "act lamp washer"],
    ["turn off the lights", "act lamp"],
    // By its own name, by that of a group, and by what it is where that is all there is.
    ["turn off the camera", "act camera"],
    ["turn off the night light", "act night-light"],
    ["turn off evening", "act camera lamp night-light"],
    ["turn off the pumps", "act pump"],
    // What only becomes safer goes along.
    ["lock everything", "act door"],
    ["unlock everything", "refuse"],
    ["rest now", "act pump washer"],
  ])("%s: %s", (phrase, expected) => {
    expect(reached(phrase)).toBe(expected);
  });

  test("an appliance that runs stays behind, and is named in the why", () => {
    const running = { washer: { activity: "running" } };
    expect(reached("turn off everything in the hall", running)).toBe("act lamp");
    expect(reached("turn off the washer", running)).toBe("act washer");
    const states = (id: string): State | undefined =>
      id === "washer" ? running.washer : undefined;
    const heard = book.hear("turn off everything in the hall", { states });
    expect(book.why(heard, states).readings[0]?.skipped).toContainEqual({
      device: "washer",
      why: { reason: "alone", id: "washer" },
    });
  });
});

describe("actions are guarded as properties are", () => {
  test.each([
    ["end the oven", "code oven"],
    ["begin the oven", "code oven"],
    ["stop the big gate", "code big-gate"],
    ["stop the side gate", "act side-gate"],
    ["begin the pot kiln", "code pot-kiln"],
    ["end the pot kiln", "code pot-kiln"],
    ["lift the pot kiln", "code pot-kiln"],
    ["begin the washer", "act washer"],
  ])("%s: %s", (phrase, expected) => {
    expect(reached(phrase)).toBe(expected);
  });
});

describe("a routine whose only step runs another", () => {
  const say = (phrase: string, power: string) => {
    const home = simulate(book, { states: { camera: { power } } });
    const { reply } = home.converse().say(phrase);
    const said = home
      .log()
      .flatMap(({ event }) => (event.event === "said" ? printEvent(event) : []));
    return { reply, said, power: home.states()["lamp"]?.["power"] };
  };

  test("keeps its own condition", () => {
    expect(say("go out", "off")).toMatchObject({ reply: "Not as things are now.", power: "off" });
    expect(say("go in", "off")).toMatchObject({ reply: "Inner done.", power: "on" });
  });

  test("and its own first and last words", () => {
    const { said } = say("go out", "on");
    expect(said.map((line) => line.replace(/ \(.*/u, ""))).toEqual([
      "said “Outer.”",
      "said “Inner.”",
      "said “Outer done.”",
    ]);
  });
});

test("without states, what is told is what the home begins with", () => {
  const asking = readPhrasebook([
    {
      path: "a.yaml",
      text: "devices: { probe: { kind: sensor, properties: [humidity] } }\nintents: { a: { patterns: how damp, reply: 'At {$probe.humidity}.' } }",
    },
  ]);
  expect(asking.reply(asking.hear("how damp"))).toBe("At 50.");
});
