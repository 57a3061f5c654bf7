import { isKnown } from "../model/known.ts";
import type { Name } from "../model/home.ts";
import type { Reply } from "../model/spoken.ts";
import type { Step } from "../model/step.ts";
import type { Trigger } from "../model/trigger.ts";
import type { Intent, Phrasebook, Routine } from "../phrasebook/model.ts";
import type { Slot } from "../slot-types/slot.ts";
import type { Position } from "../source/position.ts";
import { patternParts } from "./pattern-parts.ts";

/** What a part of a phrasebook is, those first that can do most harm untested. */
export const partSorts = [
  "guard",
  "trigger",
  "branch",
  "step",
  "pattern",
  "alternative",
  "optional",
  "repeat",
  "slot",
  "name",
  "reply",
] as const;

export type PartSort = (typeof partSorts)[number];

/** One thing that a case may touch, by the object that stands for it and the way that it is used. */
export interface Part {
  sort: PartSort;
  /** The id of the intent, routine or device that it belongs to. */
  of: string;
  /** What it is, in a few words. */
  what: string;
  at: Position;
  language?: string;
  key: object;
  way?: string;
}

/** What a part is, its sort told once. */
export function nameOfPart({ sort, what }: Pick<Part, "sort" | "what">): string {
  return sort === "name" || what.startsWith(sort) ? what : `${sort} ${what}`;
}

/** Everything of a phrasebook's own that cases can touch, each part once. */
export function partsOf(book: Phrasebook): Part[] {
  const parts = [
    ...guardParts(book),
    ...[...book.routines.values()].flatMap(routineParts),
    ...[...book.intents.values()].flatMap((intent) => intentParts(book, intent)),
    ...nameParts(book),
  ];
  const seen = new Map<object, Set<string>>();
  return parts.filter(({ key, way = "" }) => {
    const ways = seen.get(key) ?? new Set<string>();
    seen.set(key, ways);
    return !ways.has(way) && ways.add(way);
  });
}

function guardParts({ devices }: Phrasebook): Part[] {
  return [...devices.values()].flatMap((device): Part[] => {
    const { id, voice, at, safe, safeActions } = device;
    if (voice === "free") return [];
    const guard = { sort: "guard", of: id, at, key: device } as const;
    const isSafer = Object.values(safe).some(({ length }) => length > 0) || safeActions.length > 0;
    const asked = voice === "barred" ? "voice is barred from it" : `voice asks: ${voice}`;
    return [
      { ...guard, what: asked, way: voice },
      ...(isSafer && voice !== "barred"
        ? [{ ...guard, what: "free where it makes the home safer", way: "safe" }]
        : []),
    ];
  });
}

function routineParts(routine: Routine): Part[] {
  const { id, triggers, condition, steps, at, moment, reply, failed, enabled } = routine;
  if (!enabled) return [];
  const conditions: Part[] =
    condition.size === 0
      ? []
      : [
          { sort: "branch", of: id, what: "its condition holds", at, key: routine, way: "starts" },
          {
            sort: "branch",
            of: id,
            what: "its condition stands in the way",
            at,
            key: routine,
            way: "condition",
          },
        ];
  return [
    ...triggers.map((trigger): Part => {
      return { sort: "trigger", of: id, what: nameOf(trigger), at: trigger.at, key: trigger };
    }),
    ...conditions,
    ...steps.flatMap((step) => stepParts(id, step)),
    ...[moment, reply, failed].flatMap((each) => replyParts(id, each)),
  ];
}

function nameOf(trigger: Trigger): string {
  switch (trigger.trigger) {
    case "time":
      return "its time";
    case "sun":
      return trigger.event;
    case "state":
      return [...trigger.states.keys()].join(", ");
    case "presence":
      return `${trigger.who} ${trigger.is}`;
    case "press":
      return `${trigger.device} pressed`;
  }
}

function stepParts(of: string, step: Step): Part[] {
  const { at } = step;
  const self: Part = { sort: "step", of, what: step.step, at, key: step };
  const branch = (way: string): Part => {
    return { sort: "branch", of, what: `${step.step}: ${way}`, at, key: step, way };
  };
  const inside = (steps: readonly Step[]): Part[] => steps.flatMap((each) => stepParts(of, each));
  switch (step.step) {
    case "if":
      return [
        self,
        branch("then"),
        branch("else"),
        ...inside(step.then),
        ...inside(step.otherwise),
      ];
    case "try":
      return [
        self,
        branch("works"),
        branch("failed"),
        ...inside(step.steps),
        ...inside(step.failed),
      ];
    case "ask":
      return [
        self,
        ...step.answers.map((_, index) => branch(`answer ${index + 1}`)),
        branch("silence"),
        ...step.answers.flatMap(({ steps }) => inside(steps)),
        ...inside(step.silence),
        ...replyParts(of, step.text),
      ];
    case "say":
    case "notify":
      return [self, ...replyParts(of, step.text)];
    default:
      return [self];
  }
}

function intentParts(book: Phrasebook, intent: Intent): Part[] {
  const { id, patterns, slots, steps, reply, failed } = intent;
  const own = patterns.filter(({ origin }) => origin === "phrasebook");
  const said = own.flatMap((pattern) => patternParts(book, intent, pattern));
  // What ships has its own proof.
  if (own.length === 0 || own.length < patterns.length) return said;
  const filled = [...slots.values()].flatMap((slot) => slotParts(id, slot));
  // A routine's steps are told of under it.
  if (intent.routine) return [...said, ...filled];
  return [
    ...said,
    ...filled,
    ...steps.flatMap((step) => stepParts(id, step)),
    ...[reply, failed].flatMap((each) => replyParts(id, each)),
  ];
}

function slotParts(of: string, slot: Slot): Part[] {
  const { name, at } = slot;
  const part = (what: string, way: string): Part => {
    return { sort: "slot", of, what: `$${name}: ${what}`, at, key: slot, way };
  };
  const asked = replyParts(of, slot.ask ?? new Map());
  if (slot.fills !== "value") return asked;
  const { limits, values = [] } = slot;
  return [
    ...(limits?.minimum === undefined ? [] : [part(`at least ${limits.minimum}`, "minimum")]),
    ...(limits?.maximum === undefined ? [] : [part(`at most ${limits.maximum}`, "maximum")]),
    ...(slot.default === undefined ? [] : [part("left out", "default")]),
    ...values.map((value): Part => {
      const place = value.patterns[0]?.at ?? at;
      return { sort: "slot", of, what: `$${name}: ${value.value}`, at: place, key: value };
    }),
    ...asked,
  ];
}

function replyParts(of: string, replies: ReadonlyMap<string, Reply>): Part[] {
  return [...replies].flatMap(([language, reply]): Part[] =>
    reply.origin === "phrasebook"
      ? [{ sort: "reply", of, what: shortened(reply.text), at: reply.at, language, key: reply }]
      : [],
  );
}

const longestTold = 48;

function shortened(text: string): string {
  return text.length > longestTold ? `${text.slice(0, longestTold - 1)}…` : text;
}

function nameParts({ devices, groups, rooms, zones, routines, intents }: Phrasebook): Part[] {
  const said: { id: string; names: readonly Name[] }[] = [
    ...[...devices.values()].filter(isKnown),
    ...groups.values(),
    ...rooms.values(),
    ...zones.values(),
    ...(intents.has("run-routine") ? [...routines.values()].filter(({ enabled }) => enabled) : []),
  ];
  return said.flatMap(({ id, names }) =>
    names.map((name): Part => {
      const what = name.alias ? `alias "${name.text}"` : `name "${name.text}"`;
      return { sort: "name", of: id, what, at: name.at, language: name.language, key: name };
    }),
  );
}
