import { effectsOf, grant } from "../../commands/outcome.ts";
import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { english } from "../../language/english.ts";
import { WrongUse } from "../../source/wrong-use.ts";
import { readPhrasebook } from "../../book/read.ts";
import { simulate } from "../simulated/simulate.ts";

const text = `
languages: [en-GB, de-DE]
code: "4711"
rooms: { yard: {}, loft: {} }
voicepoints: { porch: { room: yard }, sofa: { room: loft } }
devices:
  siren: { kind: alarm, room: yard, name: { en: siren, de: Sirene } }
  gate: { kind: gate, room: yard }
  blind: { kind: blind, room: loft }
  lamp: { kind: light, room: yard, aliases: { de: Lampe } }
  lock-up: { kind: plug, room: yard, voice: barred }
intents:
  memo: { patterns: "note $words", slots: { words: { type: text } }, reply: "Noted {$words}." }
routines:
  shut:
    triggers: [{ phrase: shut it all }]
    do: { ask: Really?, answers: [{ hear: "yes", do: { set: { lamp: { power: on } } } }] }
  second:
    do: { ask: Truly?, answers: [{ hear: "yes", do: { set: { blind: { position: 100 } } } }] }
`;
const book = readPhrasebook([{ path: "home.yaml", text }]);
const begin = () => simulate(book, { states: { siren: { armed: "night" } } });
const logOf = (home: ReturnType<typeof begin>) => JSON.stringify(home.log());

test("the home reads without a finding", () => {
  expect(book.problems).toEqual([]);
});

describe("the code", () => {
  test("is locked for the whole home, and asked about at every answer", () => {
    const home = begin();
    const [porch, sofa] = [home.converse({ at: "porch" }), home.converse({ at: "sofa" })];
    expect(sofa.say("disarm the siren").outcome).toBe("code");
    porch.say("disarm the siren");
    for (const wrong of ["1", "2", "3"]) porch.say(wrong);
    // The question at the sofa was open before; even the right code is not taken now.
    expect(sofa.say("4711").outcome).toBe("locked");
    expect(
      home.converse({ at: "sofa", language: "de" }).say("mach die Sirene unscharf").outcome,
    ).toBe("locked");
    expect(home.states()["siren"]).toEqual({ armed: "night" });
  });

  test.each(["4711", "the code is 4711", "four seven one one", "wait I said 47-11"])(
    "is in nothing that a turn tells where nobody asked for it: %s",
    (said) => {
      const home = begin();
      home.converse({ at: "porch" }).say("disarm the siren");
      for (const wrong of ["1", "2", "3"]) home.converse({ at: "porch" }).say(wrong);
      const turn = home.converse({ at: "porch" }).say(said);
      expect(turn.outcome).toBe("unknown");
      expect(JSON.stringify(turn)).not.toMatch(/4711|47-11|seven/);
      expect(JSON.stringify(book.why(turn.heard))).not.toMatch(/4711|47-11|seven/);
    },
  );

  test.each([
    "4711",
    "the code is 4711",
    "note 4711 for later",
    "note four seven one one for later",
    "note forty seven eleven",
    "note four thousand seven hundred and eleven",
    "note 47-11",
    "note 4 7 1 1 please",
    "note x4711x",
    "notiere vier sieben eins eins",
    "note siebenundvierzig elf",
  ])("is in no log: %s", (said) => {
    const home = begin();
    const talk = home.converse({ at: "porch" });
    talk.say("disarm the siren");
    talk.say(said);
    const plain = begin();
    plain.converse({ at: "porch" }).say(said);
    for (const each of [home, plain]) {
      expect(logOf(each)).not.toMatch(
        /4\W*7\W*1\W*1|four seven|forty seven|vier sieben|siebenund|four thousand/,
      );
    }
  });

  test("is in no log, however its digits are said", () => {
    const said = fc.constantFrom("one by one", "in pairs", "as one number");
    fc.assert(
      fc.property(fc.integer({ min: 1000, max: 9999 }), said, fc.string(), (code, how, around) => {
        const other = readPhrasebook([
          { path: "a.yaml", text: text.replace("4711", String(code)) },
        ]);
        const digits = String(code);
        const { cardinal } = english.numbers;
        const words = {
          "one by one": Array.from(digits, (digit) => cardinal(Number(digit))).join(" "),
          "in pairs": `${digits.slice(0, 2)} ${digits.slice(2)}`,
          "as one number": digits,
        }[how];
        const home = simulate(other);
        home.converse({ at: "porch" }).say(`note ${around} ${words}`);
        expect(JSON.stringify(home.log())).not.toContain(words);
      }),
      { numRuns: 30 },
    );
  });

  test("and its lock are nowhere on a home", () => {
    const home = begin();
    const names = Object.keys(home);
    expect(names).not.toContain("code");
    expect(names).not.toContain("codes");
    expect(names.sort()).toEqual([
      "converse",
      "fault",
      "log",
      "on",
      "perform",
      "presence",
      "press",
      "run",
      "set",
      "states",
      "time",
      "wait",
    ]);
  });
});

describe("one question is open at a voicepoint, the one that was heard last", () => {
  test("a question of steps closes that of a command", () => {
    const home = begin();
    const talk = home.converse();
    expect(talk.say("open the gate").outcome).toBe("confirm");
    home.run("second");
    talk.say("yes");
    home.wait("1m");
    expect(home.states()["gate"]).toEqual({ position: 0 });
    expect(home.states()["blind"]).toEqual({ position: 100 });
  });

  test("a question of steps closes that of other steps", () => {
    const home = begin();
    home.run("shut");
    home.run("second");
    home.converse().say("yes");
    home.converse().say("yes");
    home.wait("1m");
    expect(home.states()["lamp"]?.["power"]).toBe("off");
    expect(home.states()["blind"]).toEqual({ position: 100 });
  });

  test("whatever is said next closes it", () => {
    for (const next of ["sing", "turn on the lamp", "shut it all", "what"]) {
      const home = begin();
      const talk = home.converse({ at: "porch" });
      talk.say("open the gate");
      talk.say(next);
      if (next === "shut it all") talk.say("sing");
      expect(talk.say("yes").outcome).toBe("unknown");
      expect(home.states()["gate"]).toEqual({ position: 0 });
    }
  });

  test("in whatever language it is answered", () => {
    const home = begin();
    home.converse({ at: "porch" }).say("open the gate");
    expect(home.converse({ at: "porch", language: "de" }).say("ja").outcome).toBe("act");
  });
});

describe("a home takes nothing that was not heard", () => {
  const act = book.hear("turn on the lamp");
  const other = readPhrasebook([{ path: "b.yaml", text: "devices: { lantern: { kind: light } }" }]);

  test("but what was, however it was copied, it does", () => {
    const copies = [
      { ...act },
      structuredClone(act),
      JSON.parse(JSON.stringify(act)) as typeof act,
    ];
    for (const copy of copies) {
      const home = begin();
      home.perform(copy);
      expect(home.states()["lamp"]?.["power"]).toBe("on");
    }
  });

  test("and does what is granted, once it was asked for", () => {
    const home = begin();
    const asked = book.hear("open the gate", { at: "porch" });
    expect(asked.outcome).toBe("confirm");
    home.perform(asked);
    expect(home.states()["gate"]).toEqual({ position: 0 });
    home.perform(structuredClone(grant(asked)));
    home.wait("1m");
    expect(home.states()["gate"]).toEqual({ position: 100 });
    expect(() => home.perform({ ...asked, granted: "code" } as typeof act)).toThrow(WrongUse);
  });

  test.each<[string, unknown]>([
    [
      "written by hand",
      {
        outcome: "act",
        commands: [
          {
            intent: "x",
            slots: {},
            effects: [{ device: "gate", set: { position: 100 } }],
            skipped: [],
          },
        ],
        language: "en-GB",
        text: "",
      },
    ],
    ["nothing", undefined],
    ["a text", "turn on the lamp"],
    ["heard by another", other.hear("turn on the lantern")],
  ])("%s", (_, heard) => {
    const home = begin();
    expect(() => home.perform(heard as typeof act)).toThrow(WrongUse);
    expect(home.log()).toEqual([]);
  });

  test("or was changed since", () => {
    const home = begin();
    const heard = book.hear("turn on the lamp");
    if (heard.outcome !== "act") throw new Error("it should act");
    const [command] = heard.commands;
    (command?.effects as unknown[]).push({ device: "gate", set: { position: 100 } });
    expect(() => home.perform(heard)).toThrow(WrongUse);
    expect(() => home.perform({ ...heard, granted: "code" })).toThrow(WrongUse);
    expect(home.log()).toEqual([]);
  });

  test("and no value that a device cannot have", () => {
    const home = begin();
    const heard = book.hear("lamp to 40 percent");
    const [effect] = effectsOf(heard);
    if (effect && "set" in effect) Object.assign(effect.set, { brightness: 4000 });
    expect(() => home.perform(heard)).toThrow(WrongUse);
    expect(home.states()["lamp"]?.["brightness"]).toBe(100);
  });
});

describe("wrong use is told", () => {
  test("a voicepoint that there is not", () => {
    expect(() => begin().converse({ at: "attic" })).toThrow(
      /no voicepoint "attic": write one of porch, sofa/,
    );
    expect(() => book.hear("x", { at: "attic" })).toThrow(WrongUse);
  });

  test.each([NaN, Infinity, -1, "soon", "9999999h", 1e12])("a time of %s to wait", (duration) => {
    expect(() => {
      begin().wait(duration);
    }).toThrow(WrongUse);
  });

  test("a routine that there is not", () => {
    expect(() => begin().run("shutt")).toThrow(/no routine "shutt": write shut/);
  });
});

test("a blind that is stopped stops where it is, and goes no further", () => {
  const home = begin();
  const talk = home.converse({ at: "sofa" });
  talk.say("open the blind");
  home.wait(5);
  expect(talk.say("stop the blind").outcome).toBe("act");
  expect(home.states()["blind"]).toEqual({ position: 25 });
  home.wait("1m");
  expect(home.states()["blind"]).toEqual({ position: 25 });
});

test("a second order takes the place of the one that is on its way", () => {
  const home = begin();
  const talk = home.converse({ at: "sofa" });
  talk.say("open the blind");
  home.wait(5);
  talk.say("close the blind");
  home.wait("1m");
  expect(home.states()["blind"]).toEqual({ position: 0 });
});

test("nothing that is said speaks of what voice is barred from", () => {
  for (const phrase of [
    "turn on the lock up",
    "set the lock up to 500",
    "turn everything off",
    "turn on everything except the lock up",
    "turn on the lamp and the lock up",
    "is the lock up on",
    "turn on the plugs",
    "which plugs are on",
    "turn on all the plugs in the yard",
  ]) {
    const nothing = readPhrasebook([
      { path: "home.yaml", text: text.replace(/ {2}lock-up.*\n/, "") },
    ]);
    const [known, unknown] = [book, nothing].map((each) => {
      const heard = each.hear(phrase, { at: "porch" });
      return { outcome: heard.outcome, reply: each.reply(heard) };
    });
    expect([known?.outcome, known?.reply]).toEqual([unknown?.outcome, unknown?.reply]);
  }
});
