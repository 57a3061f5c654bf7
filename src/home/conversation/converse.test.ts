import { effectsOf } from "../../commands/outcome.ts";
import { describe, expect, test } from "vitest";
import { type SimulatedHome, simulate } from "../simulated/simulate.ts";
import { readPhrasebook } from "../../book/read.ts";
import { printEvent } from "../log.ts";

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `
languages: [en-GB, de-DE, fr-FR, es-ES, it-IT, nl-NL]
code: "4711"
rooms: { yard: {}, loft: {} }
voicepoints: { porch: { room: yard }, bed: { room: loft } }
people: { mara: {} }
devices:
  lamp: { kind: light, room: yard }
  fan: { kind: fan, room: loft, properties: [speed] }
  loft-lamp: { kind: light, room: loft, aliases: { de: Bodenlampe } }
  gate: { kind: gate, room: yard }
  siren: { kind: alarm, room: yard, voice: code }
  meter: { kind: sensor, room: loft, properties: [humidity] }
  heater: { kind: heater, room: loft }
intents:
  bank:
    patterns: { en: "bank the heater [to $target]", de: "Heizer auf Grad" }
    slots: { target: { type: temperature, ask: { en: To how many degrees?, de: Auf wie viel? } } }
    do: { set: { heater: { target: $target } } }
    reply: { en: "Heater at {$target}.", de: "Heizer auf {$target}." }
  show:
    patterns: "show a lamp [$thing]"
    slots:
      thing: { type: device, kind: light, ask: Which lamp? }
      level: { type: percent, ask: How bright? }
    do: { set: { $thing: { brightness: $level } } }
    reply: "{$thing} at {$level}."
  jot:
    patterns: "take a note [$words]"
    slots: { words: { type: text, ask: What is it? } }
    do: { notify: mara, text: "{$words}" }
  one: { patterns: "do the thing", do: { set: { lamp: { power: on } } } }
  two: { patterns: "do [the] thing", do: { set: { fan: { power: on } } } }
`,
  },
]);

const converse = (at = "porch", language = "en-GB") => {
  const home = simulate(book, { time: "2026-03-02T18:05" });
  return { home, ...home.converse({ at, language }) };
};
const changes = (turn: ReturnType<ReturnType<typeof converse>["say"]>): string[] =>
  turn.performed.changes.map(({ device, property, to }) => `${device} ${property} ${String(to)}`);
const lines = (home: SimulatedHome): string[] => home.log().map(({ event }) => printEvent(event));

test("the home reads without a finding", () => {
  expect(book.problems).toEqual([]);
});

describe("it is what was spoken of last", () => {
  test.each<[string, string, string[]]>([
    ["after a command", "turn on the lamp", ["lamp power off"]],
    ["after a question", "is the lamp on", []],
    ["after what cannot be", "set the lamp to 300 percent", []],
    ["after a place", "turn on the lights in the loft", ["loft-lamp power off"]],
  ])("%s", (_, first, expected) => {
    const { say } = converse();
    const { heard } = say(first);
    const turn = say("turn it off");
    expect(turn.outcome).toBe("act");
    expect(turn.heard.about).toEqual(heard.about);
    expect(changes(turn)).toEqual(expected);
  });

  test("several things are them, and there is where they are", () => {
    const { say } = converse();
    say("turn on the lamp and the loft lamp");
    expect(say("turn them off").heard).toMatchObject({ about: ["lamp", "loft-lamp"] });
    say("turn on the fan");
    expect(say("what is the humidity there").reply).toBe("meter: humidity 50 %.");
    expect(say("turn on the lights in that room").heard.about).toEqual(["loft-lamp"]);
  });

  test("a command can lean on the one before it in the same breath", () => {
    const { say } = converse();
    const turn = say("turn on the fan and set it to sixty percent then turn it off");
    expect(changes(turn)).toEqual(["fan power on", "fan speed 60", "fan power off"]);
    expect(turn.reply).toBe("fan on. fan at 60 percent. fan off.");
  });

  test("nobody knows what it is before anything was spoken of", () => {
    expect(converse().say("turn it off")).toMatchObject({
      outcome: "refuse",
      reply: "I can't do that: I do not know what you mean.",
    });
    expect(effectsOf(book.hear("turn it off", { it: ["lamp"] }))).toEqual([
      { device: "lamp", set: { power: "off" } },
    ]);
  });

  test("each voicepoint has a memory of its own", () => {
    const { home, say } = converse();
    say("turn on the lamp");
    expect(home.converse({ at: "bed", language: "en-GB" }).say("turn it off").outcome).toBe(
      "refuse",
    );
    expect(home.converse({ at: "porch", language: "en-GB" }).say("turn it off").outcome).toBe(
      "act",
    );
  });

  test.each([
    ["de-DE", "mach die Bodenlampe an", "mach sie aus"],
    ["fr-FR", "allume loft lamp", "éteins la"],
    ["es-ES", "enciende loft lamp", "apaga eso"],
    ["it-IT", "accendi loft lamp", "spegni quella"],
    ["nl-NL", "zet loft lamp aan", "zet hem uit"],
  ])("in %s", (language, first, second) => {
    const { say } = converse("bed", language);
    say(first);
    expect(changes(say(second))).toEqual(["loft-lamp power off"]);
  });
});

describe("what was not said is asked for", () => {
  test("and taken from the answer", () => {
    const { say } = converse();
    expect(say("bank the heater")).toMatchObject({ outcome: "ask", reply: "To how many degrees?" });
    expect(say("thirty five please")).toMatchObject({ outcome: "act", reply: "Heater at 35." });
    expect(say("again").reply).toBe("Heater at 35.");
  });

  test("one after another", () => {
    const { say } = converse();
    expect(say("show a lamp").reply).toBe("Which lamp?");
    expect(say("the loft lamp").reply).toBe("How bright?");
    expect(say("forty percent")).toMatchObject({ outcome: "act", reply: "loft lamp at 40." });
    expect(say("turn it off").heard.about).toEqual(["loft-lamp"]);
  });

  test("as free words, which are not taken for an answer to anything else", () => {
    const { home, say } = converse();
    say("take a note");
    say("buy two bags of clay");
    expect(lines(home)).toContain("told mara “buy two bags of clay”");
  });

  test("again when the answer cannot be", () => {
    const { say } = converse();
    say("bank the heater");
    expect(say("four hundred").outcome).toBe("refuse");
    expect(changes(say("forty"))).toEqual(["heater target 40"]);
  });

  test.each([
    ["never mind", "cancelled"],
    ["turn on the lamp", "act"],
    ["purple", "unknown"],
  ])("and no longer after “%s”", (text, outcome) => {
    const { say } = converse();
    say("bank the heater");
    expect(say(text).outcome).toBe(outcome);
    expect(say("thirty").outcome).toBe("unknown");
  });
});

describe("a question", () => {
  test("which of two commands was meant is answered by its words or its place", () => {
    const { say } = converse();
    expect(say("do the thing")).toMatchObject({
      outcome: "unsure",
      reply: "Which one: one or two?",
    });
    expect(changes(say("the second one"))).toEqual(["fan power on"]);
  });

  test("is not open for ever", () => {
    const { home, say } = converse();
    say("open the gate");
    home.wait("29s");
    expect(say("yes").outcome).toBe("act");
    say("disarm the siren");
    home.wait("31s");
    expect(say("4711").outcome).toBe("unknown");
  });

  test("is answered where it was asked", () => {
    const { home, say } = converse();
    say("open the gate");
    expect(home.converse({ at: "bed", language: "en-GB" }).say("yes").outcome).toBe("unknown");
    expect(say("yes").outcome).toBe("act");
  });

  test("that was turned down comes back when it is said again", () => {
    const { say } = converse();
    say("open the gate");
    say("no");
    expect(say("again").outcome).toBe("confirm");
  });
});

test("again means what it meant, whatever was spoken of since", () => {
  const { say } = converse();
  say("turn on the lamp");
  say("turn it off");
  say("is the fan on");
  expect(say("again").heard.about).toEqual(["lamp"]);
});

test("the code is in no log, whenever it is said", () => {
  const { home, say } = converse();
  for (const text of ["4711", "bank the heater", "4711", "disarm the siren", "4711"]) say(text);
  expect(lines(home).join("\n")).not.toContain("4711");
});

test("again repeats what was done before it was taken back", () => {
  const { say } = converse();
  say("turn on the lamp");
  expect(changes(say("undo that"))).toEqual(["lamp power off"]);
  expect(changes(say("again"))).toEqual(["lamp power on"]);
});
