import { type Book, asBook, watched } from "../book/book.ts";
import { describeOutcome } from "../commands/describe.ts";
import { type Owners, ownersIn } from "../coverage/collect.ts";
import { type LogEvent, printEvent } from "../home/log.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import { membersOf, textOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { type Suites, asSuites } from "../suites/read.ts";
import { verdictOf } from "../suites/results.ts";
import { type CaseRun, runCase } from "../suites/run-case.ts";
import { type Selection, chooseCases, readSelection } from "../suites/select.ts";
import type { Case, UnreadCase } from "../suites/suite.ts";
import { type Phrases, asPhrases } from "./phrases.ts";
import { type CaseRecord, type RecordedDeed, type RunRecord, recordVersion } from "./record.ts";

export interface RecordOptions extends Selection {
  /** What the home is called among others. */
  home?: string;
  /** Phrases of which nothing is expected, to be heard as well. */
  phrases?: Phrases;
}

/**
 * Runs suites, and hears phrases, and keeps what each came to: how it was understood, what was done
 * when, and what was answered.
 *
 * @throws WrongUse for suites that `readSuites` did not read with this phrasebook, for phrases that
 * `readPhrases` did not read, and for a selection that cannot be meant.
 */
export function recordRun(of: Book, read: Suites, options: RecordOptions = {}): RunRecord {
  const book = asBook(of);
  const { suites } = asSuites(book, read);
  const chosen = chooseCases(suites, readSelection(options));
  const recorder = createRecorder(book);
  const cases = chosen.suites.flatMap(({ suite, cases: own }) =>
    own.map((each) => recorder(suite.name, each)),
  );
  const { home: name, phrases: heard } = membersOf(options);
  const { list, cases: phrases } = heard === undefined ? noPhrases : asPhrases(heard);
  const open = phrases.map((each): CaseRecord => ({ ...recorder(list, each), verdict: "open" }));
  const home = textOf(name) ?? ".";
  return { version: recordVersion, homes: [{ home, cases: [...cases, ...open] }] };
}

const noPhrases = { list: "", cases: [] };

function createRecorder(book: Book): (suite: string, each: Case | UnreadCase) => CaseRecord {
  const owners = ownersIn(book);
  let ways: string[] = [];
  const listening = watched(book, {
    used: () => undefined,
    said: (pattern) => ways.push(wayOf(pattern, owners)),
  });
  return (suite, each) => {
    ways = [];
    const run = runCase(listening, each);
    const { name, phrase, language, at, position } = run.result;
    return {
      suite,
      ...given({ name, at }),
      phrase,
      language,
      position,
      verdict: verdictOf(run.result),
      ways,
      ...cameTo(run),
    };
  };
}

function wayOf(pattern: SpokenPattern, owners: Owners): string {
  return `${owners.get(pattern)?.id ?? "?"}: ${pattern.text}`;
}

/** What a case came to: what was understood, then all that happened, and what was said about it. */
function cameTo({ turns, home }: CaseRun): Pick<CaseRecord, "replies" | "deeds"> {
  if (!home) return { replies: [], deeds: [] };
  const begun = home.log()[0]?.time ?? home.time();
  const understood = turns.map(({ heard }) => ({ time: begun, what: describeOutcome(heard) }));
  const replies = turns.map(({ reply }) => reply).filter((reply) => reply !== "");
  const deeds: RecordedDeed[] = [...understood];
  // What a step says is the reply of its turn as well.
  const told = [...replies];
  for (const { time, event } of home.log()) {
    if (event.event === "said") {
      const at = told.indexOf(event.text);
      if (at >= 0) told.splice(at, 1);
      else if (event.by !== undefined) replies.push(printEvent(event));
    } else if (!isToldOtherwise(event)) deeds.push({ time, what: printEvent(event) });
  }
  return { replies, deeds };
}

/** What was heard is told with its turn, and a wait by the times of what comes after it. */
function isToldOtherwise({ event }: LogEvent): boolean {
  return event === "heard" || event === "understood" || event === "waiting";
}
