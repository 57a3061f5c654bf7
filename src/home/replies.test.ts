import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { type Fault } from "./simulated/devices.ts";
import { printEvent } from "./log.ts";
import { simulate } from "./simulated/simulate.ts";
import { shippedPacks as packs } from "../language/shipped.ts";

const offline: Fault = { fault: "offline" };
const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `
languages: [en-GB, de-DE, fr-FR, es-ES, it-IT, nl-NL]
rooms: { shed: {} }
devices:
  desk-lamp: { kind: light, room: shed }
  wall-lamp: { kind: light, room: shed }
  floor-lamp: { kind: light, room: shed }
  roof-lamp: { kind: light, room: shed }
  door-lamp: { kind: light, room: shed }
  vent: { kind: fan, room: shed, properties: [speed] }
  door: { kind: lock, room: shed, voice: confirm }
  damp: { kind: sensor, room: shed, properties: [humidity, temperature] }
  blind: { kind: blind, room: shed }
intents:
  report: { patterns: how is the shed, reply: "{$damp.humidity} percent, vent {$vent.power}." }
  both:
    patterns: damp and warm
    do:
      - tell: { target: damp, property: humidity, form: value }
      - tell: { target: damp, property: temperature, form: value }
  air:
    patterns: "air the shed [for $length]"
    slots: { length: { type: duration, default: 90m } }
    do: [{ set: { vent: { power: on, speed: 60 } } }, { wait: $length }]
    reply: "Aired for {$length}, vent at {$vent.speed}."
  dim:
    patterns: dim it all
    do: [{ nudge: { shed: { brightness: -30 } } }, { set: { shed: { speed: 10 } } }]
    reply: ".input {$doneCount :number} .match $doneCount 1 {{One, at {$desk-lamp.brightness}.}} * {{{$doneCount}, at {$desk-lamp.brightness}; not {$failed}.}}"
  check-vent:
    patterns: vent check
    do:
      - set: { vent: { power: on } }
      - tell: { target: vent, state: "on", form: whether }
  blind-half: { patterns: half light, do: { set: { blind: { position: 50 } } }, reply: "Blind at {$blind.position}." }
routines:
  later: { triggers: [{ phrase: in case }], if: { vent: { power: on } }, do: { wait: 1m }, reply: Done so. }
`,
  },
]);

const said = (text: string, faults: Record<string, Fault> = {}, language = "en-GB") => {
  const home = simulate(book, { faults });
  return home.perform(book.hear(text, { language })).reply;
};

test("the home reads without a finding", () => {
  expect(book.problems).toEqual([]);
});

describe("a reply of the vocabulary is true of what was done", () => {
  test.each<[string, string, string[], string]>([
    ["all of it", "turn on the lights", [], "lights on."],
    [
      "all but one, whose name it tells",
      "turn on the lights",
      ["wall-lamp"],
      "four lights on. wall lamp did not answer.",
    ],
    [
      "most of it not",
      "turn on the lights",
      ["wall-lamp", "floor-lamp", "roof-lamp", "door-lamp"],
      "desk lamp on. four lights did not answer.",
    ],
    ["nothing", "turn on the vent", ["vent"], "vent did not answer."],
    [
      "devices of several kinds",
      "turn on everything",
      ["wall-lamp"],
      "five devices on. wall lamp did not answer.",
    ],
    [
      "one of two commands",
      "turn on the vent and turn on the desk lamp",
      ["vent"],
      "vent did not answer. desk lamp on.",
    ],
  ])("%s", (_, text, broken, expected) => {
    const faults = Object.fromEntries(broken.map((id) => [id, offline]));
    expect(said(text, faults)).toBe(expected);
  });

  test("and tells what was left out since it is guarded", () => {
    const home = readPhrasebook([
      {
        path: "home.yaml",
        text: "devices: { lamp: { kind: light }, kiln: { kind: plug, voice: confirm }, hob: { kind: plug, voice: barred } }",
      },
    ]);
    expect(home.reply(home.hear("turn everything on"))).toBe("everything on. But not kiln.");
  });

  test("and never names what voice is barred from", () => {
    const home = readPhrasebook([
      {
        path: "home.yaml",
        text: "rooms: { r: {} }\ndevices: { lamp: { kind: light, room: r }, hob: { kind: plug, room: r, voice: barred } }",
      },
    ]);
    const own = readPhrasebook([
      {
        path: "home.yaml",
        text: "devices: { hob: { kind: plug, voice: barred }, lamp: { kind: light } }\nintents: { a: { patterns: all on $t, slots: { t: { type: target } }, do: { set: { $t: { power: on } } }, reply: 'Done {$done}, not {$skipped}.' } }",
      },
    ]);
    expect(own.reply(own.hear("all on everything"))).toBe("Done lamp, not .");
    const talk = simulate(home).converse();
    expect(talk.say("turn on everything in the r").reply).toBe("everything in the r on.");
    expect(talk.say("turn it off")).toMatchObject({ outcome: "act", reply: "lamp off." });
    expect(talk.say("is it on").reply).toBe("No, lamp: off.");
  });

  test.each(packs.map(({ name, language }) => [name, language] as const))("in %s", (_, tag) => {
    const language = book.languages.find((each) => each.startsWith(tag)) ?? tag;
    const phrases: Record<string, string> = {
      en: "turn on the lights",
      de: "mach alle Lampen an",
      fr: "allume les lampes",
      es: "enciende las luces",
      it: "accendi le luci",
      nl: "doe de lampen aan",
    };
    const text = phrases[tag] ?? "";
    const [whole, partly] = [
      said(text, {}, language),
      said(text, { "wall-lamp": offline }, language),
    ];
    expect(whole).not.toContain("wall lamp");
    expect(partly).toContain("wall lamp");
    const pack = packs.find(({ language: each }) => each === tag);
    expect(partly).toContain(
      `${pack?.numbers.cardinal(4) ?? ""} ${pack?.kinds["light"]?.many[0] ?? ""}`,
    );
  });
});

describe("what cannot be is told in the language that it was said in", () => {
  test.each([
    [
      "en-GB",
      "set the vent to 300 percent",
      "I can't do that: the speed of vent goes from 0 to 100 percent, not 300 percent.",
    ],
    [
      "de-DE",
      "stelle vent auf 300 Prozent",
      "Das geht leider nicht: Geschwindigkeit von vent geht von 0 bis 100 Prozent, nicht 300 Prozent.",
    ],
    [
      "fr-FR",
      "mets vent à 300 pour cent",
      "Ce n'est pas possible : vitesse de vent va de 0 à 100 pour cent, pas 300 pour cent.",
    ],
    [
      "es-ES",
      "pon vent al 300 por ciento",
      "Eso no puede ser: velocidad de vent va de 0 a 100 por ciento, no 300 por ciento.",
    ],
    [
      "it-IT",
      "imposta vent al 300 per cento",
      "Non è possibile: velocità di vent va da 0 a 100 per cento, non 300 per cento.",
    ],
    [
      "nl-NL",
      "zet vent op 300 procent",
      "Dat gaat niet: snelheid van vent gaat van 0 tot 100 procent, niet 300 procent.",
    ],
    ["de-DE", "öffne damp", "Das geht leider nicht: damp kann das nicht."],
    ["nl-NL", "zet het aan", "Dat gaat niet: ik weet niet wat u bedoelt."],
  ])("%s: %s", (language, text, reply) => {
    const heard = book.hear(text, { language });
    expect([heard.outcome, book.reply(heard)]).toEqual(["refuse", reply]);
  });
});

describe("a reply of one's own", () => {
  test("tells states as they are", () => {
    expect(said("how is the shed")).toBe("50 percent, vent off.");
    expect(book.hear("how is the shed")).toMatchObject({ outcome: "answer" });
  });

  test("answers from several properties at once", () => {
    expect(said("damp and warm")).toBe("damp: humidity 50 %. damp: temperature 20 °C.");
  });

  test("tells states as they are after the effects, of what moves where it goes", () => {
    expect(book.reply(book.hear("half light"))).toBe("Blind at 50.");
    expect(said("half light")).toBe("Blind at 50.");
    const rounding = { blind: { fault: "rounds", to: 40 } } as const;
    expect(said("half light", rounding)).toBe("Blind at 40.");
  });

  test("counts what was done and chooses by it", () => {
    expect(said("dim it all")).toBe("6, at 70; not .");
    expect(said("dim it all", { vent: offline })).toBe("5, at 70; not vent.");
  });

  test("tells a duration in words", () => {
    const home = simulate(book);
    home.perform(book.hear("air the shed for twenty minutes"));
    home.wait("20m");
    const last = home.log().findLast(({ event }) => event.event === "said");
    expect(last && printEvent(last.event)).toContain("Aired for 20 minutes, vent at 60.");
  });

  test("is left out where the steps have said something", () => {
    const home = simulate(book);
    const { reply } = home.perform(book.hear("vent check"));
    expect(reply).toBe("Yes, vent: on.");
    const words = home.log().filter(({ event }) => event.event === "said");
    expect(words).toHaveLength(1);
  });

  test("is wanted when a routine does not start", () => {
    const home = simulate(book);
    expect(home.perform(book.hear("in case")).reply).toBe("Not as things are now.");
    home.set("vent", { power: "on" });
    home.perform(book.hear("in case"));
    expect(home.perform(book.hear("in case")).reply).toBe("That is under way already.");
  });
});

describe("what a reply may not speak of is found", () => {
  test.each([
    ["{$dmp.humidity}", 'there is no device "dmp"', "write damp"],
    ["{$damp.humdity}", 'there is no property of damp "humdity"', "write humidity"],
    ["{$lenght}", "the reply speaks of $lenght, which there is not", "write {$length}"],
  ])("%s", (reply, message, fix) => {
    const { problems } = readPhrasebook([
      {
        path: "home.yaml",
        text: `devices: { damp: { kind: sensor, properties: [humidity] } }
intents: { a: { patterns: "x $length", slots: { length: { type: duration } }, do: { wait: $length }, reply: "${reply}" } }`,
      },
    ]);
    expect(problems.map((each) => [each.message, each.fix])).toEqual([[message, fix]]);
  });
});

describe("what is spoken has units as words, and no ids", () => {
  const book = readPhrasebook([
    {
      path: "home.yaml",
      text: `languages: [en, de]
devices: { cabinet: { kind: heater, properties: { target: { minimum: 20, maximum: 42 } } }, lamp: { kind: light } }
intents:
  soak: { patterns: { en: "soak [for] $soak-time", de: "weiche $soak-time" }, slots: { soak-time: { type: duration, maximum: 1h } }, reply: ok }
`,
    },
  ]);
  test.each([
    ["en", "set the cabinet to 50 degrees", /goes from 20 to 42 degrees, not 50 degrees/],
    ["en", "lamp to 130 percent", /goes from 0 to 100 percent, not 130 percent/],
    ["en", "soak for 90 minutes", /that goes up to 1 hour, not 1 hour 30 minutes/],
    ["de", "weiche 90 Minuten", /das geht bis 1 Stunde, nicht 1 Stunde 30 Minuten/],
  ])("%s: %s", (language, text, said) => {
    const heard = book.hear(text, { language });
    expect(heard.outcome).toBe("refuse");
    expect(book.reply(heard)).toMatch(said);
  });
});

test("a question about several things tells of each what it has", () => {
  const home = simulate(book);
  home.set("desk-lamp", { brightness: 40 });
  home.set("vent", { speed: 70 });
  home.set("blind", { position: 20 });
  expect(home.converse().say("what are the vent, the desk lamp and the blind set to").reply).toBe(
    "vent: speed 70 %. desk lamp: brightness 40 %. blind: position 20 %.",
  );
});
