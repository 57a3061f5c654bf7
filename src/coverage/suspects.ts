import { effectsOf } from "../commands/outcome.ts";
import { devicesNamed } from "../model/members.ts";
import type { Step } from "../model/step.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import { type Position, printPosition } from "../source/position.ts";
import { partsTold } from "../suites/judge.ts";
import type { CaseFailed, CaseResult, Suspect } from "../suites/results.ts";
import { type Gathering, gatheringIn } from "./gathering.ts";
import { type Part, nameOfPart } from "./parts.ts";
import type { Tracer } from "./tracer.ts";

/** Places that are told of one failure. */
const mostTold = 5;

interface Weighed extends Suspect {
  weight: number;
}

/** How much it weighs, beside how much it goes with failing, that something may be the place. */
const weights = {
  /** A step does what the failure tells of. */
  told: 0.5,
  /** A name gathers devices, of which there are more or fewer than expected. */
  gathers: 0.35,
  /** It is named where what was expected and what happened differ. */
  differs: 0.74,
  /** It is nearest to words that nothing understood. */
  near: 0.72,
  /** It is called like what was said. */
  called: 0.7,
  /** A device came to be guarded otherwise. */
  guard: 0.66,
  /** A routine ran, and set others going. */
  first: 0.73,
  ran: 0.64,
  /** The words that the home is addressed with. */
  address: 0.65,
  /** It gathers all that is told of, or some of it. */
  place: 0.62,
  part: 0.6,
  /** It is named where both are the same. */
  named: 0.5,
  /** A step that did not come to be done would do what the failure tells of. */
  able: 0.4,
} as const;

/** What of a home is looked at for each failure, worked out once. */
interface Looked {
  book: Phrasebook;
  /** The names of each device, as they are compared with what is said. */
  spoken: readonly { id: string; names: readonly string[] }[];
  /** Groups, zones and rooms, each with the ids of all that it gathers. */
  gathering: readonly Gathering[];
}

/** Finds for a failure where in the phrasebook it may come from, the likeliest place first. */
export function createSuspecting(
  book: Phrasebook,
  { all, suspicion }: Pick<Tracer, "all" | "suspicion">,
): (result: CaseResult & CaseFailed, touched: ReadonlySet<Part>) => readonly Suspect[] {
  let known: Looked | undefined;
  return (result, touched) => {
    const looked = (known ??= look(book));
    const naming = namedIn(result);
    const told = naming.apart.join(", ");
    const found: Weighed[] = [
      ...[...touched].map((part) => {
        const weight = suspicion(part) + (isTold(book, part, told) ? weights.told : 0);
        const more = isGathering(book, part) ? weights.gathers : 0;
        return { ...placeOf(part), weight: weight + more };
      }),
      // What would have done what is told of, had it been come to.
      ...all.flatMap((part) => {
        const owner = book.routines.get(part.of) ?? book.intents.get(part.of);
        const isIdle = !touched.has(part) && isTold(book, part, told);
        return owner && isIdle ? place(owner, weights.able) : [];
      }),
      ...named(looked, naming),
      ...called(book, result),
      ...addressed(book, result),
      ...ran(book, result),
      ...nearest(book, result),
      ...guarding(book, result),
    ];
    return likeliest(found);
  };
}

function look(book: Phrasebook): Looked {
  const spoken = [...book.devices.values()].map(({ id, names }) => ({
    id,
    names: names.map(({ text }) => text.toLowerCase()).filter((text) => text.length > 3),
  }));
  return { book, spoken, gathering: gatheringIn(book) };
}

function likeliest(found: readonly Weighed[]): Suspect[] {
  const best = new Map<string, Weighed>();
  for (const one of found) {
    // What ships is nobody's mistake here.
    if (one.at.file.startsWith("vocabulary#")) continue;
    const key = printPosition(one.at);
    const other = best.get(key);
    if (!other || other.weight < one.weight) best.set(key, one);
  }
  return [...best.values()]
    .sort((one, other) => other.weight - one.weight)
    .slice(0, mostTold)
    .map(({ at, of, what }) => ({ at, of, what }));
}

/** Whether a part is the name of several things. */
function isGathering({ groups, zones, rooms }: Phrasebook, { sort, of }: Part): boolean {
  return sort === "name" && (groups.has(of) || zones.has(of) || rooms.has(of));
}

/** What failures tell of: the parts in which what was expected and what happened differ, and the words. */
interface Naming {
  apart: readonly string[];
  differing: ReadonlySet<string>;
  wanted: ReadonlySet<string>;
  words: ReadonlySet<string>;
}

function namedIn({ failures }: CaseFailed): Naming {
  const apart: string[] = [];
  const wantedWords: string[] = [];
  const cameWords: string[] = [];
  for (const { about, expected, actual } of failures) {
    const [wanted, came] = [expected, actual].map((text) => partsTold(text));
    if (!wanted || !came) continue;
    wantedWords.push(...wordsOf(expected));
    apart.push(...wanted.filter((part) => !came.includes(part)));
    // A line that is not in a log was followed by lines that may be just as they are to be.
    if (about === "log") continue;
    apart.push(...came.filter((part) => !wanted.includes(part)));
    cameWords.push(...wordsOf(actual));
  }
  return {
    apart,
    differing: new Set(apart.flatMap(wordsOf)),
    wanted: new Set(wantedWords),
    words: new Set([...wantedWords, ...cameWords]),
  };
}

/** The words of a text, ids among them as they are written. */
function wordsOf(text: string): string[] {
  return text.match(/[\p{L}\p{N}_-]+/gu) ?? [];
}

/** What a failure names, and what gathers that. */
function named(
  { book, spoken: names, gathering }: Looked,
  { apart: told, differing, wanted, words }: Naming,
): Weighed[] {
  const { devices, groups, routines, intents } = book;
  const text = told.join(" ").toLowerCase();
  const isSaid = (own: readonly string[]): boolean => own.some((name) => text.includes(name));
  const spoken = new Set(names.flatMap((each) => (isSaid(each.names) ? each.id : [])));
  const ids = [...devices.keys()].filter((id) => words.has(id) || spoken.has(id));
  const apart = new Set(ids.filter((id) => differing.has(id) || spoken.has(id)));
  const expected = ids.filter((id) => wanted.has(id));
  // Where several differ at once, what gathers them is likelier than each of them.
  const isMany = apart.size > 2;
  return [
    ...ids.flatMap((id): Weighed[] => {
      const device = devices.get(id);
      const isApart = apart.has(id) && !isMany;
      return device ? place(device, isApart ? weights.differs : weights.named) : [];
    }),
    ...gathering.flatMap(({ entity, members }): Weighed[] => {
      if (words.has(entity.id)) return place(entity, weights.differs);
      if (expected.length > 1 && expected.every((id) => members.has(id))) {
        return place(entity, isMany ? weights.differs : weights.place);
      }
      const isPart = groups.has(entity.id) && ids.some((id) => members.has(id));
      return isPart ? place(entity, apart.size > 0 ? weights.part : weights.named) : [];
    }),
    ...[...intents.values(), ...routines.values()].flatMap((each): Weighed[] => {
      if (differing.has(each.id)) return place(each, weights.differs);
      return words.has(each.id) ? place(each, weights.named) : [];
    }),
  ];
}

function place({ id, at }: { id: string; at: Position }, weight: number): Weighed[] {
  return [{ at, of: id, what: "", weight }];
}

/** How the home is addressed, where nothing understood words that begin as that does. */
function addressed({ address }: Phrasebook, result: CaseResult & CaseFailed): Weighed[] {
  const { outcome } = result.heard ?? {};
  if (outcome !== "unknown" && outcome !== "offer") return [];
  const [first = ""] = wordsOf(result.phrase.toLowerCase());
  return address.flatMap(({ text, at }) =>
    wordsOf(text.toLowerCase()).includes(first)
      ? [{ at, of: "address", what: "", weight: weights.address }]
      : [],
  );
}

/** Intents and routines whose ids are words of what was said: "start the drying" is start-drying. */
function called(
  { intents, routines }: Phrasebook,
  { phrase, why }: CaseResult & CaseFailed,
): Weighed[] {
  if (!why || why.readings.some(({ kept }) => kept)) return [];
  const words = new Set(phrase.toLowerCase().match(/[\p{L}\p{N}]+/gu));
  return [...intents.values(), ...routines.values()].flatMap(({ id, at }) => {
    const parts = id.split("-");
    const isSaid = parts.length > 1 && parts.every((part) => words.has(part));
    return isSaid ? [{ at, of: id, what: "", weight: weights.called }] : [];
  });
}

/** Whether a failure tells of what a part does. */
function isTold(book: Phrasebook, { key, sort }: Part, told: string): boolean {
  if (sort === "reply")
    return "text" in key && typeof key.text === "string" && isSaid(key.text, told);
  if (!isStep(key)) return false;
  switch (key.step) {
    case "wait":
      return /\bwaits\b/u.test(told);
    case "order":
      return key.orders.some((order) => {
        const what = order.order === "call" ? order.action : order.property;
        const { target } = order;
        if (!told.includes(what)) return false;
        return (
          target.refer === "slot" ||
          devicesNamed(book, [target.id]).some(({ id }) => told.includes(id))
        );
      });
    case "send":
      return told.includes("sent to");
    case "run":
      return told.includes("starts");
    default:
      return false;
  }
}

/** Whether a text has words of a reply in it, placeholders apart. */
function isSaid(text: string, told: string): boolean {
  const parts = text.split(/\{[^}]*\}/u).map((part) => part.trim());
  return parts.some((part) => part.length > 2 && told.includes(part));
}

function isStep(key: object): key is Step {
  return "step" in key;
}

/** The routines that ran, of which the first may have set off the others. */
function ran({ routines }: Phrasebook, { log = [] }: CaseFailed): Weighed[] {
  const started = log.flatMap(({ event }) =>
    event.event === "started" ? (routines.get(event.routine) ?? []) : [],
  );
  return started.flatMap((routine, index) =>
    place(routine, index === 0 ? weights.first : weights.ran),
  );
}

function placeOf(part: Part): Suspect {
  const { at, of } = part;
  return { at, of, what: nameOfPart(part) };
}

/** What comes nearest to words that came to nothing, and the fragments in it. */
function nearest({ intents, fragments }: Phrasebook, { why }: CaseFailed): Weighed[] {
  return (why?.nearest ?? []).flatMap(({ at, intent: id, miss }, index): Weighed[] => {
    const weight = weights.near - index / 100;
    const patterns = intents.get(id ?? "")?.patterns ?? [];
    const own = patterns.filter(({ at: its }) => printPosition(its) === printPosition(at));
    const used = own.flatMap(({ text }) =>
      [...text.matchAll(/\$([\p{L}\p{N}_-]+)/gu)].flatMap(([, name = ""]) => {
        const [pattern] = fragments.get(name)?.patterns ?? [];
        return pattern ? [{ at: pattern.at, of: name, what: "", weight }] : [];
      }),
    );
    return [{ at, of: id ?? "", what: `near: ${miss}`, weight }, ...used];
  });
}

/** What guards the devices that a phrase came to. */
function guarding({ devices }: Phrasebook, { heard, failures }: CaseFailed): Weighed[] {
  if (!heard || !failures.some(({ about }) => about === "outcome")) return [];
  return effectsOf(heard).flatMap(({ device: id }) => {
    const device = devices.get(id);
    return device ? [{ at: device.at, of: id, what: "device", weight: weights.guard }] : [];
  });
}
