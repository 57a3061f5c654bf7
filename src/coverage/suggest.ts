import { dump } from "js-yaml";
import { type Book, asBook, watched } from "../book/book.ts";
import { createSimulated } from "../home/simulated/simulate.ts";
import { textOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { type Happening, happen } from "../suites/happenings.ts";
import { type Suites, readSuites } from "../suites/read.ts";
import { runSuites, runObserved } from "../suites/run.ts";
import { printDuration } from "../time/duration.ts";
import { doneIn } from "./done.ts";
import { type Owners, collectUses, ownersIn } from "./collect.ts";
import type { Draft, DraftHappening } from "./draft.ts";
import { draftsFor } from "./drafts.ts";
import { type Part, partsOf } from "./parts.ts";

/** Cases that touch what no case does, as the text of a suite. */
export interface Suggested {
  /** A suite that passes; empty where nothing is left that could be found. */
  text: string;
  /** How many cases are in it. */
  cases: number;
  /** The same cases one by one, as they are written. */
  each: readonly Readonly<Record<string, unknown>>[];
}

/**
 * Finds few cases that touch what the cases of some suites do not, each with what comes of it now as
 * what is expected, for somebody to check.
 *
 * @param name What the suite is to be called.
 * @throws WrongUse for suites that were not read with this phrasebook.
 */
export function suggestSuite(of: Book, suites: Suites, name = "suggested"): Suggested {
  const book = asBook(of);
  const parts = partsOf(book);
  const owners = ownersIn(book);
  const before = collectUses(book, owners);
  runObserved({ book, heard: watched(book, before.witness) }, suites, {});
  const open = new Set(parts.filter(({ key, way }) => before.count(key, way) === 0));
  const tried = [...draftsFor(book)].flatMap((draft) => {
    const touched = tryOut(draft, open, { book, owners });
    return touched ? [touched] : [];
  });
  const chosen = fewest(tried, open).filter(({ written }) => passes(book, [written]));
  if (chosen.length === 0) return { text: "", cases: 0, each: [] };
  return {
    text: suiteText(
      textOf(name) ?? "suggested",
      chosen.map(({ written }) => written),
    ),
    cases: chosen.length,
    each: chosen.map(({ written }) => written),
  };
}

type Written = Readonly<Record<string, unknown>>;

interface Tried {
  written: Written;
  touches: readonly Part[];
}

/** A case with what comes of it, if it touches anything that is open. */
function tryOut(
  draft: Draft,
  open: ReadonlySet<Part>,
  { book, owners }: { book: Book; owners: Owners },
): Tried | undefined {
  const uses = collectUses(book, owners);
  const { language, at, time, given: states = {}, faults = {}, hear, after = [] } = draft;
  const home = createSimulated(watched(book, uses.witness), {
    time,
    states,
    faults: Object.fromEntries(Object.keys(faults).map((id) => [id, { fault: "offline" }])),
  });
  const expect: Record<string, unknown> = {};
  if (hear !== undefined) {
    const { heard, outcome, reply } = home.converse({ language, ...given({ at }) }).say(hear);
    // What is to be done at another time proves nothing now.
    if (heard.commands.some(({ when }) => when) || outcome === "unsure") return undefined;
    home.settle();
    if (outcome === "act") Object.assign(expect, doneIn(home));
    expect["outcome"] = outcome;
    if (reply !== "" && !reply.includes("*")) expect["reply"] = reply;
  }
  for (const happening of after) {
    home.wait(0);
    happen(home, asHappening(book, happening), { language, ...given({ at }) });
  }
  if (after.length > 0) {
    Object.assign(expect, doneIn(home));
    const [routine] = home
      .log()
      .flatMap(({ event }) => (event.event === "started" ? event.routine : []));
    if (routine !== undefined) expect["routine"] = routine;
    const said = home.log().findLast(({ event }) => event.event === "said")?.event;
    if (said?.event === "said" && !said.text.includes("*")) expect["reply"] = said.text;
  }
  const touches = [...open].filter(({ key, way }) => uses.count(key, way) > 0);
  if (touches.length === 0) return undefined;
  return { touches, written: { note: "check this", ...caseOf(draft), expect } };
}

function asHappening(book: Book, { presence, set = {}, ...each }: DraftHappening): Happening {
  const [who = "", is] = presence?.split(" ") ?? [];
  const people = who === "everyone" ? [...book.people.keys()] : [who];
  return {
    ...each,
    set: new Map(Object.entries(set)),
    faults: {},
    text: "",
    ...(presence !== undefined && { presence: { people, is: is === "away" ? "away" : "home" } }),
  };
}

function caseOf({ hear, after, language, at, time, given: states, faults }: Draft): Written {
  const happenings = after?.map(({ wait, ...each }) => ({
    ...given(each),
    ...(wait > 0 && { wait: printDuration(wait) }),
  }));
  const happening = happenings?.length === 1 ? happenings[0] : happenings;
  return {
    ...given({ hear, after: happening, at, language, time }),
    ...(states && Object.keys(states).length > 0 && { given: states }),
    ...(faults && { faults }),
  };
}

/** The fewest that touch all that any of them does, or near it: the one that adds most, again and again. */
function fewest(tried: readonly Tried[], open: ReadonlySet<Part>): Tried[] {
  const left = new Set(open);
  const chosen: Tried[] = [];
  for (;;) {
    let best: Tried | undefined;
    let most = 0;
    for (const each of tried) {
      const gain = each.touches.reduce((sum, part) => sum + (left.has(part) ? 1 : 0), 0);
      if (gain > most) [best, most] = [each, gain];
    }
    if (!best) return chosen;
    chosen.push(best);
    for (const part of best.touches) left.delete(part);
  }
}

function passes(book: Book, cases: readonly Written[]): boolean {
  const text = suiteText("tried", cases);
  const read = readSuites(book, [{ path: "tried.suite.yaml", text }]);
  return read.problems.length === 0 && runSuites(book, read).failed === 0;
}

function suiteText(name: string, cases: readonly Written[]): string {
  const head = "# Made from what happens now: check each case, then take its note out.\n";
  return head + dump({ suite: name, cases }, { lineWidth: 100, flowLevel: 3, noRefs: true });
}
