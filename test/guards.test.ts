import { describe, expect, test } from "vitest";
import type { TargetExpression } from "../src/slot-types/expression.ts";
import { readPhrasebook } from "../src/book/read.ts";
import { type SimulatedHome, simulate } from "../src/home/simulated/simulate.ts";
import { definePhrasebook } from "../src/phrasebook/define.ts";
import type { VoiceAccess } from "../src/model/kinds.ts";
import type { Order, Step } from "../src/model/step.ts";
import type { Trigger } from "../src/model/trigger.ts";

/*
 * Every way that leads to a device, down, under every guard, across. A way or a guard that is new
 * to the model fails the types until it has its row or column here.
 */

const guards = {
  free: "voice: free",
  confirm: "voice: confirm",
  code: "voice: code",
  barred: "voice: barred",
  safe: "voice: code, safe: { power: on }",
  mistaken: "voice: fre",
} satisfies Record<VoiceAccess | "safe" | "mistaken", string>;

type Guard = keyof typeof guards;

/**
 * What comes of it: it is done; it asks first, for a yes or the code; it leaves the device out, and
 * does the rest; it does not understand.
 */
type Cell = "does" | "asks" | "code" | "leaves" | "unknown";

interface Way {
  /** What is said before, and what has to be answered for it to be done. */
  before?: (home: Speaking, guard: Guard) => void;
  /** What leads to the device; a text is said at the lodge. */
  way: string | ((home: Speaking) => void);
  /** Seconds that pass before it is looked at what came of it. */
  wait?: number;
  /** In the order of the guards. */
  cells: readonly [Cell, Cell, Cell, Cell, Cell, Cell];
}

const asking = ["does", "asks", "code", "unknown", "does", "unknown"] as const;
const leaving = ["does", "leaves", "leaves", "leaves", "does", "leaves"] as const;
/** To be off is not what is safe. */
const leavingOn = ["does", "leaves", "leaves", "leaves", "leaves", "leaves"] as const;
const answering = ["does", "asks", "code", "leaves", "does", "leaves"] as const;
const unsettled = ["does", "asks", "code", "unknown", "code", "unknown"] as const;
const always = ["does", "does", "does", "does", "does", "does"] as const;

function turnedOn({ set }: Speaking): void {
  set("vault", { power: "on" });
}

/** Says yes or the code, whatever is asked. */
function grant({ say }: Speaking, guard: Guard): void {
  if (guard === "confirm") say("yes");
  if (guard === "code") say("four seven one one");
}

const ways: Record<string, Way> = {
  "its name": { way: "turn on the vault", cells: asking },
  "an alias": { way: "turn on the strongroom", cells: asking },
  "a group with others": { way: "turn on the pair", cells: leaving },
  "a group of its own": { way: "turn on the hoard", cells: asking },
  // A place that is turned on is its lights.
  "a room": { before: turnedOn, way: "turn off the cellar", cells: leavingOn },
  "a zone": { before: turnedOn, way: "turn off downstairs", cells: leavingOn },
  "its kind": {
    way: "turn on all the plugs",
    cells: asking,
  },
  "its kind in a place": { way: "turn on the plugs in the cellar", cells: asking },
  everything: { way: "turn on everything", cells: leaving },
  "everything in a place": { way: "turn on everything in the cellar", cells: leaving },
  "everything here": {
    way: (home) => {
      home.say("turn on everything here", "steps");
    },
    cells: leaving,
  },
  "what is at hand": {
    way: (home) => {
      home.say("turn the power on", "steps");
    },
    cells: leaving,
  },
  "everything except something": { way: "turn on everything except the lamp", cells: leaving },
  "a list": { way: "turn on the lamp and the vault", cells: asking },
  "a name in a place": { way: "turn the vault on in the cellar", cells: asking },
  it: {
    before: ({ say }) => {
      say("is the vault on");
    },
    way: "turn it on",
    cells: answering,
  },
  "the one in a place": {
    before: ({ say }) => {
      say("is the vault on");
    },
    way: "turn on the one in the cellar",
    cells: answering,
  },
  there: {
    before: ({ say }) => {
      say("is the wine light on");
    },
    way: "turn on everything there",
    cells: leaving,
  },
  "several commands": { way: "turn on the lamp and then turn on the vault", cells: asking },
  "a command for later": {
    way: "turn on the vault in ten minutes",
    wait: 601,
    cells: asking,
  },
  "a command for a while": {
    way: "turn on the vault for ten minutes",
    cells: unsettled,
  },
  again: {
    before: (home, guard) => {
      home.say("turn on the vault");
      grant(home, guard);
      home.set("vault", { power: "off" });
    },
    way: "again",
    cells: answering,
  },
  undo: {
    before: (home, guard) => {
      home.set("vault", { power: "on" });
      home.say("turn off the vault");
      if (guard === "safe") home.say("four seven one one");
      grant(home, guard);
    },
    way: "undo that",
    cells: answering,
  },
  "the answer to which one": {
    before: ({ say }) => {
      say("turn on the twin");
    },
    way: "the cellar one",
    cells: answering,
  },
  "the answer to a missing slot": {
    before: ({ say }) => {
      say("switch something on");
    },
    way: "the vault",
    cells: answering,
  },
  "an intent": { way: "open sesame", cells: asking },
  "an intent over a group": {
    way: "fill up",
    cells: answering,
  },
  "an intent that waits": {
    way: "slow sesame",
    wait: 10,
    cells: asking,
  },
  "an intent that toggles": {
    way: "flip it over",
    cells: unsettled,
  },
  "an intent that a function computes": { way: "work it out", cells: asking },
  "the phrase of a routine": { way: "go deep", cells: asking },
  "the name of a routine": { way: "run the deep dive", cells: asking },
  "a routine within a routine": { way: "go around", cells: asking },
  "a routine in a slot": { way: "fetch the deep dive", cells: asking },
  "steps of which some may not be done": { way: "try it out", cells: asking },
  "a branch": { way: "look first", cells: asking },
  "a phrase within steps": { way: "be sly", cells: leaving },
  "a state that speech changes": { way: "turn on the lamp", cells: leaving },
  "a state that lasts": {
    way: "turn on the wine light",
    wait: 700,
    cells: leaving,
  },
  "a state that a routine changes": { way: "light the lamp", cells: leaving },
  "a button that speech presses": { way: "ring the bell", cells: leaving },
  "a yes to what steps ask": {
    before: ({ home }) => void home.run("polite"),
    way: ({ home }) => void home.converse().say("yes"),
    cells: ["does", "does", "leaves", "leaves", "does", "leaves"],
  },
  "a trusted routine": { way: "trust me", cells: always },
  "a trusted routine by way of a state": { way: "turn on the lantern", cells: always },
  "a clock": {
    way: (home) => {
      home.wait(3700);
    },
    cells: always,
  },
  "the sun": {
    way: (home) => {
      home.wait(12 * 3600);
    },
    cells: always,
  },
  "a sensor": {
    way: ({ home }) => {
      home.set("probe", { humidity: 90 });
    },
    cells: always,
  },
  "a hand on a button": {
    way: ({ home }) => {
      home.press("bell");
    },
    cells: always,
  },
  "somebody's coming": {
    way: ({ home }) => {
      home.presence("mara", "home");
    },
    cells: always,
  },
  "a hand": { way: ({ home }) => void home.run("deep-dive"), cells: always },
};

/** Each sort of step, order, trigger and target, with a way of the table that goes by it. */
const steps: Record<Step["step"], string> = {
  order: "an intent",
  tell: "it",
  say: "a yes to what steps ask",
  notify: "steps of which some may not be done",
  wait: "an intent that waits",
  if: "a branch",
  try: "steps of which some may not be done",
  ask: "a yes to what steps ask",
  run: "a routine within a routine",
  hear: "a phrase within steps",
  send: "steps of which some may not be done",
};
const orders: Record<Order["order"], string> = {
  set: "an intent",
  nudge: "a state that lasts",
  toggle: "an intent that toggles",
  call: "a button that speech presses",
};
const triggers: Record<Trigger["trigger"], string> = {
  time: "a clock",
  sun: "the sun",
  state: "a state that speech changes",
  presence: "somebody's coming",
  press: "a button that speech presses",
};
const targets: Record<TargetExpression["target"], string> = {
  named: "its name",
  kind: "its kind",
  everything: "everything",
  here: "everything here",
  there: "there",
  it: "it",
  within: "a name in a place",
  list: "a list",
  except: "everything except something",
  unsaid: "what is at hand",
  ones: "the one in a place",
};

const home = (guard: Guard) => `
languages: [en-GB]
code: "4711"
place: { latitude: 52.57, longitude: 1.72, timezone: Europe/London }
rooms: { lodge: {}, cellar: {}, attic: {} }
zones: { downstairs: { rooms: [cellar] } }
voicepoints: { porch: { room: lodge }, steps: { room: cellar } }
people: { mara: {} }
devices:
  vault: { kind: plug, room: cellar, aliases: [strongroom, twin], ${guards[guard]} }
  other-twin: { kind: fan, room: attic, aliases: [twin] }
  lamp: { kind: light, room: lodge }
  lantern: { kind: light, room: lodge, bulk: false }
  wine-light: { kind: light, room: cellar }
  bell: { kind: button, room: lodge }
  probe: { kind: sensor, room: lodge, properties: [humidity] }
groups:
  pair: { members: [vault, lamp] }
  hoard: { members: [vault] }
intents:
  sesame: { patterns: open sesame, do: { set: { vault: { power: on } } } }
  fill: { patterns: fill up, do: { set: { pair: { power: on } } } }
  slow: { patterns: slow sesame, do: [{ wait: 1s }, { set: { vault: { power: on } } }] }
  flip: { patterns: flip it over, do: { toggle: { vault: power } } }
  fetch: { patterns: fetch $which, slots: { which: { type: routine } }, do: { run: $which } }
  ring: { patterns: ring the bell, do: { call: { bell: press } } }
  something:
    patterns: switch [$what] something on
    slots: { what: { type: target, ask: What? } }
    do: { set: { $what: { power: on } } }
routines:
  deep-dive: { triggers: [{ phrase: go deep }], do: { set: { vault: { power: on } } } }
  around: { triggers: [{ phrase: go around }], do: { run: deep-dive } }
  attempt:
    triggers: [{ phrase: try it out }]
    do:
      - try: { set: { vault: { power: on } } }
        failed: [{ notify: mara, text: no }, { send: { to: "mqtt:a", text: b } }]
  branch:
    triggers: [{ phrase: look first }]
    do: { if: { lamp: { power: off } }, then: { set: { vault: { power: on } } } }
  sly: { triggers: [{ phrase: be sly }], do: { hear: turn on the vault } }
  lit: { triggers: [{ state: { lamp: { power: on } } }], do: { set: { vault: { power: on } } } }
  lasting:
    triggers: [{ state: { wine-light: { power: on } }, lasting: 10m }]
    do: [{ nudge: { lantern: { brightness: -10 } } }, { set: { vault: { power: on } } }]
  lighting: { triggers: [{ phrase: light the lamp }], do: { set: { lamp: { power: on } } } }
  rung: { triggers: [{ press: bell }], do: { set: { vault: { power: on } } } }
  polite:
    do:
      - say: Well.
      - ask: Shall I?
        answers: [{ hear: "yes", do: { set: { vault: { power: on } } } }]
  known: { triggers: [{ phrase: trust me }], trusted: true, do: { set: { vault: { power: on } } } }
  lantern-lit:
    triggers: [{ state: { lantern: { power: on } } }]
    trusted: true
    do: { set: { vault: { power: on } } }
  hourly: { triggers: [{ time: "18:00" }], do: { set: { vault: { power: on } } } }
  dusk: { triggers: [{ sun: sunset }], do: { set: { vault: { power: on } } } }
  damp: { triggers: [{ state: { probe: { humidity: above 80 } } }], do: { set: { vault: { power: on } } } }
  arrival: { triggers: [{ presence: mara home }], do: { set: { vault: { power: on } } } }
`;

const computed = definePhrasebook({
  intents: {
    computed: { patterns: "work it out", do: () => ({ set: { vault: { power: "on" } } }) },
  },
});

/** A home that is spoken to. */
interface Speaking {
  home: SimulatedHome;
  say: (text: string, at?: string) => void;
  wait: (seconds: number) => void;
  set: SimulatedHome["set"];
  outcome: () => string | undefined;
  vault: () => unknown;
}

function speakTo(guard: Guard): Speaking {
  const book = readPhrasebook([{ path: "home.yaml", text: home(guard) }, computed]);
  const simulated = simulate(book, { time: "2026-03-02T17:05", away: ["mara"] });
  let outcome: string | undefined;
  return {
    home: simulated,
    say: (text, at = "porch") => {
      ({ outcome } = simulated.converse({ at }).say(text));
    },
    wait: simulated.wait,
    set: simulated.set,
    outcome: () => outcome,
    vault: () => simulated.states()["vault"]?.["power"],
  };
}

test("the home reads with no other mistake than the one in the guard", () => {
  for (const guard of Object.keys(guards) as Guard[]) {
    const { problems } = readPhrasebook([{ path: "home.yaml", text: home(guard) }]);
    const errors = problems.filter(({ severity }) => severity === "error");
    expect(errors.length, guard).toBe(guard === "mistaken" ? 1 : 0);
  }
});

test("every sort of step, order, trigger and target has its way", () => {
  for (const row of [steps, orders, triggers, targets].flatMap((each) => Object.values(each))) {
    expect(Object.keys(ways)).toContain(row);
  }
});

describe.each(Object.entries(ways))("by %s", (_, { before, way, wait = 0, cells }) => {
  const columns = (Object.keys(guards) as Guard[]).map(
    (guard, index) => [guard, cells[index]] as const,
  );
  /** Goes the way, and says the answers after it. */
  const go = (guard: Guard, ...answers: readonly string[]) => {
    const speaking = speakTo(guard);
    before?.(speaking, guard);
    const start = speaking.vault();
    if (typeof way === "string") speaking.say(way);
    else way(speaking);
    const outcome = speaking.outcome();
    for (const answer of answers) speaking.say(answer);
    speaking.wait(wait);
    return { outcome, isDone: speaking.vault() !== start };
  };
  test.each(columns)("%s: %s", (guard, cell) => {
    const { outcome, isDone } = go(guard);
    expect(isDone).toBe(cell === "does");
    if (cell === "asks") expect(outcome).toBe("confirm");
    if (cell === "code") expect(outcome).toBe("code");
    if (cell === "unknown") expect(outcome).toBe("unknown");
    // A yes does what a yes is asked for, and the code what the code is; nothing else does.
    if (cell === "does") return;
    expect(go(guard, "yes").isDone).toBe(cell === "asks");
    expect(go(guard, "one two three four").isDone).toBe(false);
    expect(go(guard, "four seven one one").isDone).toBe(cell === "code");
  });
});
