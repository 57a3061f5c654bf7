import { type Book, asBook, watched } from "../book/book.ts";
import { effectsOf } from "../commands/outcome.ts";
import type { Device } from "../model/home.ts";
import { devicesNamed } from "../model/members.ts";
import type { Witness } from "../model/witness.ts";
import type { Step } from "../model/step.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import { given } from "../source/given.ts";
import { type Position, printPosition } from "../source/position.ts";
import { partsTold } from "../suites/judge.ts";
import type { Suites } from "../suites/read.ts";
import type { CaseFailed, CaseResult, Suspect, SuiteResults } from "../suites/results.ts";
import type { CaseRun } from "../suites/run-case.ts";
import { type RunOptions, runObserved } from "../suites/run.ts";
import type { Case, UnreadCase } from "../suites/suite.ts";
import { mendOf } from "./mends.ts";
import { type Part, nameOfPart, partsOf } from "./parts.ts";

/** Failures for which a change is looked for that would mend them. */
const mostMended = 100;

/** Places that are told of one failure. */
const mostTold = 5;

/**
 * Runs suites, and tells for each case that fails where in the phrasebook it may come from: what took
 * part in cases that fail and in few that pass, what was to do what did not happen, and what is
 * nearest to words that nothing understood.
 *
 * @throws WrongUse as `runSuites` does.
 */
export function traceSuites(of: Book, suites: Suites, options: RunOptions = {}): SuiteResults {
  return traceWith(asBook(of), suites, options);
}

/** The same, where somebody else is told as well what comes to be used. */
export function traceWith(
  book: Book,
  suites: Suites,
  options: RunOptions,
  also?: Witness,
): SuiteResults {
  const tracer = createTracer(book);
  const heard = watched(book, also ? both(tracer.witness, also) : tracer.witness);
  const failed = new Map<CaseRun["result"], Failed>();
  const results = runObserved({ book, heard, onRun: observe }, suites, options);
  function observe(each: Case | UnreadCase, { result }: CaseRun): void {
    const touched = tracer.take(result.passed);
    if (!result.passed) failed.set(result, { each, touched });
  }
  let mended = 0;
  return {
    ...results,
    suites: results.suites.map((suite) => ({
      ...suite,
      cases: suite.cases.map((result) => {
        const known = failed.get(result);
        if (result.passed || !known) return result;
        const { each, touched } = known;
        const isMended = "problem" in each || mended >= mostMended;
        if (!isMended) mended++;
        return {
          ...result,
          suspects: suspectsOf(book, result, touched, tracer),
          ...given({ mend: isMended ? undefined : mendOf(book, each, result, touched) }),
        };
      }),
    })),
  };
}

/** A case that failed, and what took part in it. */
interface Failed {
  each: Case | UnreadCase;
  touched: ReadonlySet<Part>;
}

function both(one: Witness, other: Witness): Witness {
  return {
    used(part, way) {
      one.used(part, way);
      other.used(part, way);
    },
    said(pattern, leaves) {
      one.said(pattern, leaves);
      other.said(pattern, leaves);
    },
  };
}

/** Tells which parts took part in each case, and how often in cases that pass and that fail. */
function createTracer(book: Phrasebook) {
  const parts = new Map<object, Map<string, Part>>();
  const all = partsOf(book);
  for (const part of all) {
    const ways = parts.get(part.key) ?? new Map<string, Part>();
    parts.set(part.key, ways.set(part.way ?? "", part));
  }
  const counts = { passed: new Map<Part, number>(), failed: new Map<Part, number>() };
  let current = new Set<Part>();
  let failures = 0;
  const used = (key: object, way = ""): void => {
    const part = parts.get(key)?.get(way);
    if (part) current.add(part);
  };
  return {
    all,
    witness: {
      used,
      said: (pattern) => {
        used(pattern);
      },
    } satisfies Witness,
    /** What took part since it was asked last. */
    take(passed: boolean): ReadonlySet<Part> {
      const touched = current;
      current = new Set();
      if (!passed) failures++;
      const into = passed ? counts.passed : counts.failed;
      for (const part of touched) into.set(part, (into.get(part) ?? 0) + 1);
      return touched;
    },
    /**
     * How much a part goes with failing, from 0 to 1: the measure of Ochiai for the places of faults in
     * programs (Abreu, Zoeteweij and van Gemund, 2007).
     */
    suspicion(part: Part): number {
      const [bad, good] = [counts.failed.get(part) ?? 0, counts.passed.get(part) ?? 0];
      return bad === 0 ? 0 : bad / Math.sqrt(failures * (bad + good));
    },
  };
}

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

function suspectsOf(
  book: Phrasebook,
  result: CaseResult & CaseFailed,
  touched: ReadonlySet<Part>,
  { all, suspicion }: Pick<ReturnType<typeof createTracer>, "all" | "suspicion">,
): readonly Suspect[] {
  const naming = namedIn(result);
  const told = naming.apart.join(", ");
  const found: Weighed[] = [
    ...[...touched].map((part) => {
      const weight = suspicion(part) + (isTold(book, part, told) ? weights.told : 0);
      return { ...placeOf(part), weight: weight + (isGathering(book, part) ? weights.gathers : 0) };
    }),
    // What would have done what is told of, had it been come to.
    ...all.flatMap((part) => {
      const owner = book.routines.get(part.of) ?? book.intents.get(part.of);
      const isIdle = !touched.has(part) && isTold(book, part, told);
      return owner && isIdle ? place(owner, weights.able) : [];
    }),
    ...named(book, naming),
    ...called(book, result),
    ...addressed(book, result),
    ...ran(book, result),
    ...nearest(book, result),
    ...guarding(book, result),
  ];
  const best = new Map<string, Weighed>();
  for (const one of found) {
    // What ships is nobody's mistake here.
    if (one.at.file.startsWith("vocabulary#")) continue;
    const place = printPosition(one.at);
    const other = best.get(place);
    if (!other || other.weight < one.weight) best.set(place, one);
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

/** What a failure names, what gathers that, and what orders something of it. */
function named(
  book: Phrasebook,
  { apart: apartTold, differing, wanted, words }: Naming,
): Weighed[] {
  const { devices, groups, zones, rooms, routines, intents } = book;
  const said = apartTold.join(" ").toLowerCase();
  const isSpoken = ({ names }: Device): boolean =>
    names.some(({ text }) => text.length > 3 && said.includes(text.toLowerCase()));
  const spoken = new Set([...devices.values()].filter(isSpoken).map(({ id }) => id));
  const ids = new Set([...devices.keys()].filter((id) => words.has(id) || spoken.has(id)));
  const apart = [...ids].filter((id) => differing.has(id) || spoken.has(id));
  const expected = [...ids].filter((id) => wanted.has(id));
  // Where several differ at once, what gathers them is likelier than each of them.
  const isMany = apart.length > 2;
  const gathering = [...groups.values(), ...zones.values(), ...rooms.values()].flatMap((each) => {
    const members = new Set(devicesNamed(book, [each.id]).map(({ id }) => id));
    const isWhole = expected.length > 1 && expected.every((id) => members.has(id));
    const isPart = groups.has(each.id) && [...ids].some((id) => members.has(id));
    if (words.has(each.id)) return place(each, weights.differs);
    if (isWhole) return place(each, isMany ? weights.differs : weights.place);
    return isPart ? place(each, apart.length > 0 ? weights.part : weights.named) : [];
  });
  return [
    ...[...devices.values()].flatMap((device): Weighed[] => {
      if (!ids.has(device.id)) return [];
      const isApart = apart.includes(device.id) && !isMany;
      return place(device, isApart ? weights.differs : weights.named);
    }),
    ...gathering,
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
