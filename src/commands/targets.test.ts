import { type Skipped, effectsOf } from "./outcome.ts";
import { tellReason } from "../model/reason.ts";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { simulate } from "../home/simulated/simulate.ts";
import { describeOutcome } from "./describe.ts";

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `languages: [en-GB]
rooms: { hall: {}, shop: {}, loft: {} }
zones:
  workshop: { rooms: [hall, shop] }
  upstairs: { rooms: [loft] }
  premises: { zones: [workshop, upstairs] }
voicepoints: { peg: { room: hall }, till: { room: shop } }
devices:
  rack-light: { kind: light, room: shop }
  rack-light-two: { kind: light, room: shop }
  hall-lamp: { kind: light, room: hall }
  hall-fan: { kind: fan, room: hall }
  loft-lamp: { kind: light, room: loft }
  loft-blind: { kind: blind, room: loft }
  mains: { kind: plug, room: hall, voice: barred }
  pottery-kiln: { kind: plug, room: shop, voice: confirm }
  shop-lock: { kind: lock, room: shop, name: door }
  loft-lock: { kind: lock, room: loft, name: hatch }
  meter: { kind: sensor, room: shop, properties: [humidity] }
groups:
  racks: { members: [rack-light, rack-light-two] }
  doors: { members: [shop-lock, loft-lock] }
  lit: { members: [racks, hall-lamp] }
voice:
  - { kind: light, room: loft, voice: code }
`,
  },
]);

function devices(text: string, at = "peg"): string {
  const heard = book.hear(text, { at });
  const ids = effectsOf(heard)
    .map(({ device }) => device)
    .sort();
  if (ids.length === 0) return describeOutcome(heard);
  return heard.outcome === "act" ? ids.join(" ") : `${heard.outcome}: ${ids.join(" ")}`;
}

describe("a target comes to exactly its devices", () => {
  test.each<[string, string, string?]>([
    ["turn on rack light", "rack-light"],
    ["turn on rack light two", "rack-light-two"],
    ["turn on racks", "rack-light rack-light-two"],
    ["turn on lit", "hall-lamp rack-light rack-light-two"],
    ["rack light two", "unknown"],
    ["turn on the lights", "hall-lamp"],
    ["turn on the lights", "rack-light rack-light-two", "till"],
    ["turn on the light", "hall-lamp"],
    ["turn on the light", "unsure: rack light (shop) or rack light two (shop)", "till"],
    ["turn on the lights in the shop", "rack-light rack-light-two"],
    ["turn on the shop lights", "rack-light rack-light-two"],
    ["turn on all the workshop lights", "hall-lamp rack-light rack-light-two"],
    ["turn on the lights here", "hall-lamp"],
    ["turn on everything here", "hall-fan hall-lamp"],
    ["turn on everything in the workshop", "hall-fan hall-lamp rack-light rack-light-two"],
    ["turn on the workshop", "hall-lamp rack-light rack-light-two"],
    ["turn off the workshop", "hall-fan hall-lamp rack-light rack-light-two"],
    ["turn on the hall fan and racks", "hall-fan rack-light rack-light-two"],
    ["turn on the hall fan, the hall lamp and rack light two", "hall-fan hall-lamp rack-light-two"],
    ["turn on all the workshop lights except rack light two", "hall-lamp rack-light"],
    ["turn on the workshop lights but not the racks", "hall-lamp"],
    ["turn on the workshop lights except the workshop lights", "refuse: nothing is left of it"],
    ["close the upstairs blinds", "loft-blind"],
    ["turn the lights on in the shop", "rack-light rack-light-two"],
    ["turn rack light two on in the shop", "rack-light-two"],
    ["turn rack light two on in the hall", "refuse: there is nothing to do it"],
    ["turn the shop lights on in the hall", 'refuse: "hall" is no place for it'],
    ["turn everything on in the shop", "rack-light rack-light-two"],
    ["turn on the cellar lights", "unknown"],
    ["turn off the premises lights", "hall-lamp rack-light rack-light-two"],
    ["turn on the plug", "confirm: pottery-kiln"],
    ["dim the plugs", "refuse: pottery-kiln has no brightness"],
  ])("%s: %s", (text, expected, at) => {
    expect(devices(text, at)).toBe(expected);
  });

  test("names those that cannot", () => {
    const heard = book.hear("turn off the shop", { at: "till" });
    expect(heard).toMatchObject({
      outcome: "act",
      commands: [
        { skipped: expect.arrayContaining(["meter", "shop-lock"].map(noPower)) as unknown },
      ],
    });
  });
});

const noPower = (id: string): Skipped => {
  return {
    device: id,
    why: { reason: "unable", id, lack: { lack: "property", properties: ["power"] } },
  };
};

describe("a guard holds by every way that leads to a device", () => {
  test.each([
    ["turn on the mains", "unknown"],
    ["is the mains on", "unknown"],
    ["turn on pottery kiln", "confirm: pottery-kiln"],
    ["unlock the door", "confirm: shop-lock"],
    ["lock the door", "shop-lock"],
    ["turn on loft lamp", "code: loft-lamp"],
    ["turn on the upstairs lights", "code: loft-lamp"],
    ["unlock doors", "confirm: loft-lock shop-lock"],
    ["lock doors", "loft-lock shop-lock"],
    ["unlock everything", "refuse: shop-lock has to be named itself"],
    ["turn on the hall lamp and the loft lamp", "code: hall-lamp loft-lamp"],
    ["turn everything off", "hall-fan hall-lamp rack-light rack-light-two"],
  ])("%s: %s", (text, expected) => {
    expect(devices(text)).toBe(expected);
  });

  test("and the why lists each device that a bulk command left alone", () => {
    const heard = book.hear("turn everything off");
    const reasons = new Map(
      book.why(heard).readings[0]?.skipped.map(({ device, why }) => [device, tellReason(why)]),
    );
    expect(reasons.get("mains")).toBe("voice is barred from mains");
    expect(reasons.get("pottery-kiln")).toBe("pottery-kiln needs a confirmation of its own");
    expect(reasons.get("loft-lamp")).toBe("loft-lamp needs the code of its own");
    expect(reasons.get("meter")).toBe("meter has no power");
    expect(book.reply(heard)).not.toMatch(/mains/);
  });

  test("while a barred device is told of in the why alone", () => {
    const heard = book.hear("turn on the mains");
    expect(book.reply(heard)).not.toMatch(/mains/);
    expect(book.why(heard).barred).toMatchObject([
      { device: "mains", why: { reason: "barred", device: "mains" } },
    ]);
  });
});

describe("a rule on voice is for every device that it describes", () => {
  const voices = (rules: string): string[] => {
    const text = `rooms: { hall: {}, loft: {} }
zones: { below: { rooms: [hall] } }
devices:
  hall-plug: { kind: plug, room: hall }
  hall-pump: { kind: pump, room: hall }
  loft-plug: { kind: plug, room: loft }
  own: { kind: plug, room: hall, voice: free }
  door: { kind: lock, room: loft }
groups: { outer: { members: [inner] }, inner: { members: [loft-plug] } }
voice: [${rules}]
`;
    const read = readPhrasebook([{ path: "home.yaml", text }]);
    expect(read.problems).toEqual([]);
    return [...read.devices.values()].map(({ voice }) => voice);
  };

  test.each<[string, string[]]>([
    ["{ kind: plug, voice: code }", ["code", "free", "code", "free", "confirm"]],
    ["{ room: hall, voice: code }", ["code", "code", "free", "free", "confirm"]],
    ["{ zone: below, kind: pump, voice: barred }", ["free", "barred", "free", "free", "confirm"]],
    ["{ group: outer, voice: confirm }", ["free", "free", "confirm", "free", "confirm"]],
    ['{ name: "*-plug", voice: code }', ["code", "free", "code", "free", "confirm"]],
    ["{ kind: lock, voice: code }", ["free", "free", "free", "free", "code"]],
    [
      "{ kind: plug, voice: barred }, { room: loft, voice: confirm }",
      ["barred", "free", "confirm", "free", "confirm"],
    ],
  ])("%s", (rules, expected) => {
    expect(voices(rules)).toEqual(expected);
  });

  test("and can say which values stay free", () => {
    const text = `devices: { lamp: { kind: light } }
voice: [{ kind: light, voice: confirm, safe: { power: off } }]
`;
    const read = readPhrasebook([{ path: "home.yaml", text }]);
    expect(read.hear("lamp off").outcome).toBe("act");
    expect(read.hear("lamp on").outcome).toBe("confirm");
  });

  test("a rule about nothing that exists is a finding", () => {
    const text = "rooms: { hall: {} }\nvoice: [{ room: hal, voice: code }]\n";
    const { problems } = readPhrasebook([{ path: "home.yaml", text }]);
    expect(problems).toMatchObject([
      { rule: "unknown-reference", fix: "write hall", at: { line: 2, column: 17 } },
    ]);
  });
});

describe("what a phrasebook says of the vocabulary", () => {
  const home = "devices: { lamp: { kind: light } }\n";
  const hear = (text: string, phrase: string): string =>
    describeOutcome(readPhrasebook([{ path: "a.yaml", text: home + text }]).hear(phrase));

  test("switches parts off", () => {
    const text = "vocabulary: { without: [power-on] }";
    expect(hear(text, "lamp on")).toBe("unknown");
    expect(hear(text, "lamp off")).toBe("lamp { power: off }");
    expect(hear("vocabulary: { without: [all] }", "lamp off")).toBe("unknown");
  });

  test("adds patterns to an intent", () => {
    const text = 'intents: { power-on: { adds: true, patterns: "wake $target" } }';
    expect(hear(text, "wake the lamp")).toBe("lamp { power: on }");
    expect(hear(text, "lamp on")).toBe("lamp { power: on }");
  });

  test("replaces an intent", () => {
    const text = `intents:
  power-on:
    replaces: true
    patterns: "wake $target"
    slots: { target: { type: target } }
    do: { set: { $target: { power: on, brightness: 30 } } }`;
    expect(hear(text, "wake the lamp")).toBe("lamp { brightness: 30, power: on }");
    expect(hear(text, "lamp on")).toBe("unknown");
  });

  test("goes before it", () => {
    const text =
      'intents: { own: { patterns: "[the] lamp on", do: { set: { lamp: { brightness: 7 } } } } }';
    expect(hear(text, "lamp on")).toBe("lamp { brightness: 7 }");
  });

  test("has to be said", () => {
    const text = home + 'intents: { power-on: { patterns: "wake lamp", reply: x } }';
    const { problems } = readPhrasebook([{ path: "a.yaml", text }]);
    expect(problems).toMatchObject([{ rule: "defined-twice", at: { line: 2, column: 12 } }]);
  });

  test("gives a kind of its own words and properties", () => {
    const text = `kinds:
  window: { properties: { contact: { enum: [open, closed], readOnly: true } }, said: { one: window, many: windows } }
`;
    const own =
      "devices: { north: { kind: window, name: north window }, south: { kind: window } }\n";
    const windows = readPhrasebook([{ path: "a.yaml", text: text + own }]);
    expect(windows.problems).toEqual([]);
    const home = simulate(windows, { states: { south: { contact: "closed" } } });
    expect(home.states()).toMatchObject({ north: { contact: "open" } });
    expect(windows.reply(windows.hear("are any windows open"))).toBe(
      "Yes, north window and south: open.",
    );
  });
});

describe("what it is like somewhere", () => {
  const heated = readPhrasebook([
    {
      path: "home.yaml",
      text: `languages: [en-GB]
rooms: { hall: {}, loft: {} }
voicepoints: { peg: { room: hall } }
devices:
  hall-heating: { kind: thermostat, room: hall }
  loft-heating: { kind: thermostat, room: loft }
  hall-lamp: { kind: light, room: hall }
`,
    },
  ]);
  test.each([
    ["it should be twenty degrees in here", "hall-heating { target: 20 }"],
    ["it has to be nineteen degrees in the loft", "loft-heating { target: 19 }"],
    ["I want it to be twenty degrees in here", "hall-heating { target: 20 }"],
    ["it should be warmer in the loft", "nudge loft-heating { target: 1 }"],
    ["it should be on in here", 'refuse: nobody knows what "it" is'],
  ])("%s", (said, told) => {
    expect(describeOutcome(heated.hear(said, { at: "peg" }))).toBe(told);
  });
});
