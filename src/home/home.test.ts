import { readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { printEvent } from "./log.ts";
import { type SimulatedHome, simulate } from "./simulated/simulate.ts";

const demo = readPhrasebook(
  ["home.yaml", "intents.yaml", "routines.yaml"].map((path) => {
    const folder = join(import.meta.dirname, "../../demo/oxbow-pottery");
    return { path, text: readFileSync(join(folder, path), "utf8") };
  }),
);

const home = (text: string) => readPhrasebook([{ path: "home.yaml", text }]);

const guarded = home(`
languages: [en-GB]
code: "4711"
place: { latitude: 52.57, longitude: 1.72, timezone: Europe/London }
rooms: { yard: {}, loft: {}, galley: {} }
voicepoints: { porch: { room: yard } }
devices:
  gate: { kind: gate, room: yard }
  siren: { kind: alarm, room: yard }
  door: { kind: lock, room: yard }
  lamp: { kind: light, room: yard }
  loft-light: { kind: light, room: loft, name: ceiling light }
  galley-light: { kind: light, room: galley, name: ceiling light }
groups: { ways: { members: [gate, door] } }
routines:
  welcome:
    triggers: [{ phrase: welcome home }]
    do: [{ set: { lamp: { power: on } } }, { wait: 5s }, { set: { gate: { position: 100 } } }]
  sly:
    triggers: [{ phrase: be sly }]
    do: [{ hear: open the gate }]
  nested:
    triggers: [{ phrase: go on }]
    do: [{ run: welcome }]
  known:
    triggers: [{ phrase: trust me }]
    trusted: true
    do: [{ set: { gate: { position: 100 } } }]
`);

const talk = () => {
  const simulated = simulate(guarded, { time: "2026-03-02T18:05" });
  return { simulated, ...simulated.converse({ at: "porch" }) };
};
const position = (simulated: SimulatedHome) => simulated.states()["gate"]?.["position"];

test("the phrasebooks read without a finding", () => {
  expect(guarded.problems).toEqual([]);
  expect(demo.problems).toEqual([]);
});

describe("a guard cannot be got round", () => {
  test.each([
    ["by name", "open the gate"],
    ["by group", "open the ways"],
    ["by place", "open the gate in the yard"],
    ["by a list", "open the gate and turn on the lamp"],
    ["by a routine", "welcome home"],
    ["by a routine within a routine", "go on"],
    ["by a while", "close the gate for ten minutes"],
    ["by and by", "open the gate in ten minutes"],
    ["by a routine's name", "run the welcome"],
  ])("%s", (_, text) => {
    const { simulated, say } = talk();
    expect(say(text).outcome).toBe("confirm");
    simulated.wait("2h");
    expect(position(simulated)).toBe(0);
  });

  test("by what was spoken of", () => {
    const { simulated, say } = talk();
    say("is the gate open");
    expect(say("open it").outcome).toBe("confirm");
    simulated.wait("1m");
    expect(position(simulated)).toBe(0);
  });

  test("by everything, which leaves it out", () => {
    const { simulated, say } = talk();
    say("open everything");
    simulated.wait("1m");
    expect(position(simulated)).toBe(0);
  });

  test("by a phrase within steps", () => {
    const { simulated, say } = talk();
    expect(say("be sly").reply).toBe("Not all of that could be done.");
    simulated.wait("1m");
    expect(position(simulated)).toBe(0);
  });

  test("by saying it again", () => {
    const { simulated, say } = talk();
    say("open the gate");
    expect(say("yes").outcome).toBe("act");
    simulated.wait("1m");
    say("close the gate");
    simulated.wait("1m");
    say("open the gate");
    say("no");
    expect(say("again").outcome).toBe("confirm");
    simulated.wait("1m");
    expect(position(simulated)).toBe(0);
  });

  test("by taking something back", () => {
    const { simulated, say } = talk();
    say("open the gate");
    say("yes");
    simulated.wait("1m");
    say("close the gate");
    simulated.wait("1m");
    expect(say("undo that").outcome).toBe("confirm");
    simulated.wait("1m");
    expect(position(simulated)).toBe(0);
  });

  test("unless the phrasebook trusts the routine", () => {
    expect(talk().say("trust me").outcome).toBe("act");
  });
});

describe("a routine by its name", () => {
  const named = home(`
languages: [en-GB, de-DE]
voicepoints: {}
devices: { lamp: { kind: light }, gate: { kind: gate } }
intents:
  set-off:
    patterns: { en: "run [[the] $which]", de: "starte $which" }
    slots: { which: { type: routine, ask: Which routine? } }
    do: [{ run: $which }]
routines:
  evening: { name: { en: evening lights, de: Abendlicht }, do: [{ set: { lamp: { power: on } } }] }
  arrival: { do: [{ set: { gate: { position: 100 } } }] }
  asleep: { enabled: false, do: [{ set: { lamp: { power: off } } }] }
`);

  test.each([
    ["run the evening lights", "en", "act"],
    ["starte Abendlicht", "de", "act"],
    ["run arrival", "en", "confirm"],
    ["run", "en", "ask"],
    ["run asleep", "en", "unknown"],
  ])("%s", (text, language, outcome) => {
    const simulated = simulate(named);
    expect(simulated.converse({ language }).say(text).outcome).toBe(outcome);
    expect(simulated.states()["lamp"]?.["power"]).toBe(outcome === "act" ? "on" : "off");
  });
});

describe("a code", () => {
  test("is said in digits or words, and is in no log", () => {
    const { simulated, say } = talk();
    expect(say("disarm the siren").reply).toBe("What is the code?");
    expect(say("four seven eleven").outcome).toBe("act");
    expect(JSON.stringify(simulated.log())).not.toMatch(/4711|eleven/);
  });

  test("that is wrong three times locks for five minutes", () => {
    const { simulated, say } = talk();
    say("disarm the siren");
    expect(say("1234").reply).toBe("That is not the code.");
    say("1234");
    expect(say("1234").outcome).toBe("locked");
    expect(say("disarm the siren").reply).toBe("Too many wrong codes. Wait 5 minutes.");
    simulated.wait("5m");
    say("disarm the siren");
    expect(say("4711").outcome).toBe("act");
  });

  test("is locked at every voicepoint, and in every conversation", () => {
    const { simulated, say } = talk();
    say("disarm the siren");
    say("1234");
    say("1234");
    const other = simulated.converse();
    other.say("disarm the siren");
    expect(other.say("1234").outcome).toBe("locked");
    expect(say("disarm the siren").outcome).toBe("locked");
  });

  test("is in no log where it was not asked for either", () => {
    const { simulated, say } = talk();
    say("4711");
    expect(JSON.stringify(simulated.log())).not.toContain("4711");
  });

  test("another command takes the place of the question", () => {
    const { simulated, say } = talk();
    say("disarm the siren");
    expect(say("turn on the lamp").outcome).toBe("act");
    expect(say("4711").outcome).toBe("unknown");
    expect(simulated.states()["lamp"]).toMatchObject({ power: "on" });
  });
});

test.each([
  ["the loft one", "loft-light"],
  ["galley", "galley-light"],
  ["the first", "loft-light"],
])("a question which one is answered: %s", (text, device) => {
  const { simulated, say } = talk();
  expect(say("turn on the ceiling light").outcome).toBe("unsure");
  expect(say(text).outcome).toBe("act");
  expect(simulated.states()[device]).toMatchObject({ power: "on" });
});

test("never mind, again and undo", () => {
  const { simulated, say } = talk();
  expect(say("again").reply).toBe("There is nothing to repeat.");
  expect(say("undo that").reply).toBe("There is nothing to undo.");
  say("open the gate");
  expect(say("never mind").reply).toBe("Never mind, then.");
  expect(say("yes").outcome).toBe("unknown");
  say("dim the lamp by ten percent");
  say("again");
  expect(simulated.states()["lamp"]).toMatchObject({ brightness: 80 });
  expect(say("undo that").reply).toBe("Undone.");
  expect(simulated.states()["lamp"]).toMatchObject({ brightness: 90 });
});

test("what steps say at their end is said once", () => {
  const simulated = simulate(demo, { time: "2026-03-03T09:00" });
  simulated.converse({ at: "till" }).say("closing time");
  simulated.wait("10s");
  const said = simulated.log().filter(({ event }) => event.event === "said");
  expect(said.map(({ event }) => printEvent(event))).toEqual(["said “Shop is closed.” (till)"]);
});

describe("routines run on a virtual clock", () => {
  const lines = (simulated: SimulatedHome) =>
    simulated.log().map(({ time, event }) => `${time.slice(11)} ${printEvent(event)}`);

  test("step by step, with waits, values worked out and messages", () => {
    const simulated = simulate(demo, { time: "2026-03-02T20:00" });
    simulated.perform(demo.hear("evening firing for twenty minutes"));
    simulated.wait("1h");
    expect(lines(simulated)).toEqual([
      "20:00:00 evening-firing starts: “evening firing for twenty minutes”",
      "20:00:00 said “One moment.” (everywhere)",
      "20:00:00 kiln-vent power: off → on",
      "20:00:00 kiln-vent speed: 0 → 40",
      "20:00:00 kiln-light power: off → on",
      "20:00:00 kiln-light brightness: 100 → 30",
      "20:00:00 waits 20m",
      "20:20:00 kiln-vent speed: 40 → 70",
      "20:20:00 waits 10m",
      "20:30:00 kiln-vent power: on → off",
      "20:30:00 kiln-vent speed: 70 → 0",
      "20:30:00 sent to mqtt:oxbow/firing “over”",
      "20:30:00 said “The firing is over.” (everywhere)",
      "20:30:00 evening-firing ends",
    ]);
  });

  test.each([
    [80, "It is damp, 80 percent, so the vent runs too.", "on"],
    [60, "The air is dry enough.", "off"],
  ])("and look at sensors: humidity %i", (humidity, said, power) => {
    const simulated = simulate(demo, { states: { "glaze-sensor": { humidity } } });
    simulated.perform(demo.hear("start the drying"));
    expect(lines(simulated).join("\n")).toContain(said);
    expect(simulated.states()["kiln-vent"]).toMatchObject({ power });
  });

  test("set off by a state that lasts, and not by one that does not", () => {
    const simulated = simulate(demo);
    simulated.set("glaze-sensor", { humidity: 90 });
    simulated.wait("5m");
    simulated.set("glaze-sensor", { humidity: 80 });
    simulated.wait("20m");
    expect(lines(simulated).join("\n")).not.toContain("damp-alarm starts");
    simulated.set("glaze-sensor", { humidity: 90 });
    simulated.wait("10m");
    expect(lines(simulated).join("\n")).toContain("damp-alarm starts");
    expect(simulated.states()["drying-cabinet"]).toMatchObject({ power: "on" });
  });

  test("set off by a button and by everyone leaving", () => {
    const simulated = simulate(demo);
    simulated.presence("mara", "away");
    simulated.presence("joss", "away");
    simulated.wait("1m");
    simulated.press("bench-button");
    simulated.wait("1m");
    const starts = lines(simulated).filter((line) => line.includes("close-up starts"));
    expect(starts.map((line) => line.split(": ")[1])).toEqual([
      "joss is away",
      "bench-button pressed",
    ]);
  });

  test("each trigger is there for the others, until one of them has done it all", () => {
    const time = "2026-03-03T18:29";
    const evening = (faults: NonNullable<Parameters<typeof simulate>[1]>["faults"] = {}) => {
      const simulated = simulate(demo, { time, faults });
      simulated.wait("2m");
      simulated.presence("mara", "away");
      simulated.presence("joss", "away");
      simulated.wait("1m");
      const told = lines(simulated).filter((line) => /close-up (starts|does not)/.test(line));
      return told.map((line) => line.slice("18:30:00 ".length));
    };
    expect(evening()).toEqual([
      "close-up starts: its time has come",
      "close-up does not start: all was done 55s ago",
    ]);
    expect(evening({ "till-lamp": { fault: "fails", times: "once" } })).toEqual([
      "close-up starts: its time has come",
      "close-up starts: joss is away",
    ]);
  });

  test("one that waits for its turn is in the log, and so is its start", () => {
    const simulated = simulate(
      home(`
devices: { lamp: { kind: light } }
routines: { slow: { overlap: queue, do: [{ wait: 10m }] } }
`),
    );
    simulated.run("slow");
    simulated.run("slow");
    simulated.wait("1h");
    expect(simulated.log().map(({ event }) => event.event)).toEqual([
      "started",
      "waiting",
      "queued",
      "ended",
      "started",
      "waiting",
      "ended",
    ]);
  });

  test("what sets itself off at once comes to an end", () => {
    const circles = home(`
devices: { bell: { kind: button } }
routines:
  ring: { overlap: together, triggers: [{ press: bell }], do: { call: { bell: press } } }
  echo: { overlap: together, triggers: [{ phrase: echo }], do: { hear: echo } }
  line: { overlap: queue, triggers: [{ phrase: line }], do: { hear: line } }
`);
    for (const id of circles.routines.keys()) {
      const simulated = simulate(circles);
      simulated.run(id);
      simulated.wait("1m");
      expect(simulated.log().length).toBeLessThan(10_000);
    }
  });

  test("a year of it comes out the same twice", () => {
    const year = (): string => {
      const simulated = simulate(demo, { time: "2026-01-01T00:00" });
      simulated.wait("365d");
      return JSON.stringify(simulated.log());
    };
    const first = year();
    expect(first.length).toBeGreaterThan(100_000);
    expect(year()).toBe(first);
  });
});

test("routines that set each other off without end come to an end", () => {
  const circle = home(`
devices: { lamp: { kind: light } }
routines:
  a: { triggers: [{ state: { lamp: { power: on } } }], do: [{ set: { lamp: { power: off } } }] }
  b: { triggers: [{ state: { lamp: { power: off } } }], do: [{ set: { lamp: { power: on } } }] }
  c: { triggers: [{ phrase: go round }], do: [{ run: c }] }
`);
  const simulated = simulate(circle);
  simulated.run("b");
  simulated.perform(circle.hear("go round"));
  simulated.wait("1m");
  expect(simulated.log().length).toBeLessThan(10_000);
});

describe("devices that misbehave", () => {
  test.each([
    [{ fault: "offline" } as const, "kiln vent did not answer.", "off"],
    [{ fault: "fails", times: "once" } as const, "kiln vent did not answer.", "off"],
    [{ fault: "slow", seconds: 5 } as const, "kiln vent on.", "off"],
  ])("%o: the reply is true", (fault, reply, power) => {
    const simulated = simulate(demo, { faults: { "kiln-vent": fault } });
    const performed = simulated.perform(demo.hear("turn on the kiln vent"));
    expect(performed.reply).toBe(reply);
    expect(simulated.states()["kiln-vent"]).toMatchObject({ power });
  });

  test("what is done in part is said in part", () => {
    const simulated = simulate(demo, { faults: { "window-strip": { fault: "offline" } } });
    const performed = simulated.perform(demo.hear("turn on the display lights"));
    expect(performed.reply).toBe("plinth spots on. window strip did not answer.");
    expect(performed.failed).toEqual(["window-strip"]);
  });

  test("a value is rounded by the device", () => {
    const simulated = simulate(demo, { faults: { "kiln-vent": { fault: "rounds", to: 25 } } });
    const { reply } = simulated.perform(demo.hear("kiln vent to forty percent"));
    expect(simulated.states()["kiln-vent"]).toMatchObject({ speed: 50 });
    expect(reply).toBe("kiln vent: speed 50 %.");
  });

  test("the failed branch runs, and the steps after it", () => {
    const simulated = simulate(demo, { faults: { "kiln-light": { fault: "offline" } } });
    simulated.run("evening-firing");
    simulated.wait("4h");
    const log = JSON.stringify(simulated.log());
    expect(log).toContain("The kiln light does not answer.");
    expect(log).toContain("The firing is over.");
  });

  test("a routine says so in its own words", () => {
    const simulated = simulate(demo, { faults: { "showroom-lock": { fault: "offline" } } });
    simulated.perform(demo.hear("closing time"));
    simulated.wait("1m");
    const said = simulated.log().flatMap(({ event }) => (event.event === "said" ? event.text : []));
    expect(said).toEqual(["Something did not close. Look at showroom lock."]);
  });
});

describe("a thermostat that is turned on", () => {
  const warm = readPhrasebook([
    { path: "home", definition: { devices: { stove: { kind: "thermostat" } } } },
  ]);
  const modes = (...phrases: string[]): unknown => {
    const home = simulate(warm);
    const talk = home.converse();
    for (const phrase of phrases) talk.say(phrase);
    return home.states()["stove"]?.["mode"];
  };

  test("goes back to the mode that it had last", () => {
    expect(modes("set the stove to cool", "turn off the stove", "turn on the stove")).toBe("cool");
  });

  test("is automatic where it had none, and stays as it is where it is on", () => {
    expect(modes("turn on the stove")).toBe("auto");
    expect(modes("set the stove to heat", "turn on the stove")).toBe("heat");
  });
});
