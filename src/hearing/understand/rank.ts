import type { Devices } from "../../commands/resolved.ts";
import { isYielding } from "../../language/vocabulary.ts";
import type { Device } from "../../model/home.ts";
import { tellReason } from "../../model/reason.ts";
import type { Reading } from "./evaluate.ts";
import { namesPlaces } from "./fillings.ts";
import type { Effect, Question } from "../../commands/outcome.ts";
import type { Speaker } from "../../commands/targets.ts";

interface RankRule {
  /** Why a reading with a lower score is dropped. */
  lost: string;
  score: (reading: Reading, room?: string) => number;
}

/** The rules of rank, in the order in which they decide; see docs/ranking.md. */
const rules: readonly RankRule[] = [
  { lost: "a name said loosely, where another is said as it is", score: ({ loose }) => -loose },
  {
    lost: "what it names cannot do it",
    score: ({ meaning }) => (meaning.result === "absent" ? 0 : meaning.result === "unfit" ? 1 : 2),
  },
  {
    lost: "of the vocabulary, where the phrasebook has its own",
    score: ({ pattern }) => (pattern.origin === "phrasebook" ? 1 : 0),
  },
  { lost: "more words of free text", score: ({ path }) => -path.freeWords },
  { lost: "fewer words of the pattern", score: ({ path }) => path.literalWords },
  { lost: "shorter names", score: ({ nameWords }) => nameWords },
  { lost: "an alias, where another has it as a name", score: ({ aliases }) => -aliases },
  { lost: "not in the speaker's room", score: (reading, room) => inRoom(reading, room) },
  { lost: "what is set there, where another is measured", score: measured },
  { lost: "how much it is, where another asks whether it is so", score: whether },
  {
    lost: "its value cannot be or was not said, where another's is",
    score: ({ meaning }) =>
      meaning.result === "refuse" ? 0 : meaning.result === "missing" ? 1 : 2,
  },
  {
    lost: "in words of another, which can be meant",
    score: ({ intent }) => (isYielding(intent.id) ? 0 : 1),
  },
  { lost: "no temperature, where a place is made as warm as rooms are", score: comfortable },
  { lost: "of fewer things, where everything is named", score: reaching },
  { lost: "switched, where another starts it", score: starting },
];

/** "Set the dishwasher off" starts it. */
function starting({ meaning }: Reading): number {
  if (meaning.result !== "do" || meaning.effects.length === 0) return 0;
  return meaning.effects.every((effect) => "call" in effect && effect.call === "start") ? 1 : 0;
}

/** How warm rooms are made, by the unit. */
const comfort: Readonly<Record<string, readonly [least: number, most: number]>> = {
  celsius: [14, 28],
  fahrenheit: [57, 83],
};

/** "The bathroom to twenty three": of a place, such a number without a unit is degrees and no share. */
function comfortable({ meaning, pattern, fillings, targets }: Reading): number {
  if (meaning.result !== "do" || pattern.origin !== "vocabulary") return 0;
  if (meaning.effects.length === 0 || !namesPlaces(fillings)) return 0;
  const devices = devicesIn(targets);
  const isWarmth = meaning.effects.every(
    (effect) =>
      "set" in effect &&
      Object.entries(effect.set).every(([name, value]) => {
        const device = devices.find(({ id }) => id === effect.device);
        const [least, most] = comfort[device?.properties.get(name)?.unit ?? ""] ?? [];
        if (least === undefined || most === undefined || typeof value !== "number") return false;
        return value >= least && value <= most;
      }),
  );
  return isWarmth ? 1 : 0;
}

const switched: ReadonlySet<unknown> = new Set(["on", "off", true, false]);

/** "Everything off" is of all that goes off, and not of the one thing that has something else to turn off. */
function reaching({ meaning, fillings }: Reading): number {
  if (meaning.result !== "do") return 0;
  const isAll = fillings.some(
    ({ reading }) =>
      reading.read === "target" &&
      (reading.target.target === "everything" ||
        (reading.target.target === "except" && reading.target.from.target === "everything")),
  );
  const isSwitched = meaning.effects.every(
    (effect) => "set" in effect && Object.values(effect.set).every((value) => switched.has(value)),
  );
  return isAll && isSwitched ? meaning.effects.length : 0;
}

function devicesIn(targets: ReadonlyMap<string, Devices>): Device[] {
  return [...targets.values()].flatMap((target) => target.devices);
}

/** Only a target that lies wholly in the speaker's room is nearer than one that does not. */
function inRoom({ meaning }: Reading, room: string | undefined): number {
  if (room === undefined || !("targets" in meaning) || meaning.targets.size === 0) return 0;
  const devices = devicesIn(meaning.targets);
  return devices.every((device) => device.room === room) ? 1 : 0;
}

/** "How bright is it outside" asks what measures it, where something does. */
function measured({ meaning, targets }: Reading): number {
  if (meaning.result !== "tell") return 0;
  const devices = devicesIn(targets);
  return meaning.questions.every(
    (question) =>
      question.form === "value" &&
      devices.every((device) => device.properties.get(question.property)?.readOnly === true),
  )
    ? 1
    : 0;
}

/**
 * "È aperto il garage?" asks whether it is open, and not how far; "is everything off" asks of all that goes on and
 * off, and not of what has a mode alone.
 */
function whether({ meaning }: Reading): number {
  if (meaning.result !== "tell") return 0;
  const breadth = meaning.questions.map((question) =>
    question.form === "whether" ? Math.min(question.tests.length, 2) : 0,
  );
  return Math.min(...breadth);
}

/** A reading beside others: whether it is among the best, and the rule that decided so. */
export interface Ranked {
  reading: Reading;
  kept: boolean;
  rule: string;
}

/** Ranks readings. Those that are kept are equal by every rule and differ in what they mean. */
export function rankReadings(readings: readonly Reading[], speaker: Speaker): Ranked[] {
  const { room, chosen, alongside } = speaker;
  let best = [...readings];
  const dropped: Ranked[] = [];
  for (const { lost, score } of rules) {
    if (best.length <= 1) break;
    const scores = best.map((reading) => score(reading, room));
    const most = Math.max(...scores);
    best.forEach((reading, index) => {
      if ((scores[index] ?? 0) < most) dropped.push({ reading, kept: false, rule: lost });
    });
    best = best.filter((_, index) => scores[index] === most);
  }
  const [only] = best;
  if (only && best.length === 1) {
    return [{ reading: only, kept: true, rule: "first by rank" }, ...dropped.reverse()];
  }
  const known = new Set(best.flatMap(({ meaning }) => propertiesOf(meaning, "set")));
  best = best.filter((reading) => {
    const moved = propertiesOf(reading.meaning, "nudge");
    if (moved.length === 0 || !moved.every((each) => known.has(each))) return true;
    dropped.push({ reading, kept: false, rule: "by how much, where another says how far" });
    return false;
  });
  const distinct = new Map<string, Reading>();
  // Readings that mean the same are told apart by id, so that the order of files has no say.
  const ordered = best.sort((a, b) => (a.intent.id < b.intent.id ? -1 : 1));
  for (const reading of ordered) {
    const key = meaningKey(reading);
    if (distinct.has(key)) dropped.push({ reading, kept: false, rule: "means the same" });
    else distinct.set(key, reading);
  }
  for (const [id, rule, lost] of [
    [chosen, "chosen", "another was chosen"],
    [alongside, "like the command before it", "another is like the command before it"],
  ] as const) {
    const [picked, another] = [...distinct.values()].filter(({ intent }) => intent.id === id);
    if (!picked || another || distinct.size === 1) continue;
    for (const reading of distinct.values()) {
      if (reading !== picked) dropped.push({ reading, kept: false, rule: lost });
    }
    return [{ reading: picked, kept: true, rule }, ...dropped.reverse()];
  }
  const rule = distinct.size > 1 ? "nothing decides between these" : "first by rank";
  const kept = [...distinct.values()].map((reading) => ({ reading, kept: true, rule }));
  return [...kept, ...dropped.reverse()];
}

/** What a reading sets, or changes by an amount, of which devices. */
function propertiesOf(meaning: Reading["meaning"], by: "set" | "nudge"): string[] {
  if (meaning.result !== "do") return [];
  return meaning.effects.flatMap((effect) => {
    const values = by === "set" ? "set" in effect && effect.set : "nudge" in effect && effect.nudge;
    return Object.keys(values || {}).map((property) => JSON.stringify([effect.device, property]));
  });
}

/** Equal for effects that are the same, in whatever order their properties were written. */
function effectKey(effect: Effect): string {
  if ("call" in effect) return JSON.stringify(effect);
  const [kind, values] =
    "set" in effect
      ? ["set", effect.set]
      : "nudge" in effect
        ? ["nudge", effect.nudge]
        : ["scale", effect.scale];
  return JSON.stringify([effect.device, kind, Object.entries(values).sort()]);
}

/**
 * Equal for questions that ask the same of the same devices, by whatever word: "off" is a state and a mode as well.
 * Whether any of one thing is so is whether it is.
 */
function questionKey(question: Question, { targets }: Pick<Reading, "targets">): string {
  if (question.form === "value") return JSON.stringify(question);
  const devices = devicesIn(targets);
  const asked = question.devices.map((id) => {
    const device = devices.find((each) => each.id === id);
    return [id, question.tests.find(({ property }) => device?.properties.has(property))];
  });
  const form = question.form === "any" && asked.length === 1 ? "whether" : question.form;
  return JSON.stringify([form, asked]);
}

/** Equal for readings that would do the same; without effects, for those of one intent. */
function meaningKey({ meaning, intent, targets }: Reading): string {
  switch (meaning.result) {
    case "do": {
      const effects = meaning.effects.map(effectKey).sort();
      if (meaning.runs !== undefined) return `run ${meaning.runs} ${JSON.stringify(meaning.slots)}`;
      return effects.length > 0 ? `do ${effects.join()}` : `answer ${intent.id}`;
    }
    case "tell":
      return `tell ${meaning.questions.map((each) => questionKey(each, { targets })).join()}`;
    case "choices":
      return `choices ${meaning.options.map(({ id }) => id).join()}`;
    case "missing":
      return `missing ${intent.id} ${meaning.slot}`;
    default:
      return `${meaning.result} ${tellReason(meaning.reason)}`;
  }
}
