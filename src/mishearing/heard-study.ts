import { type Book, asBook } from "../book/book.ts";
import { describeOutcome } from "../commands/describe.ts";
import type { SourceText } from "../document/document.ts";
import { given } from "../source/given.ts";
import { madeOf } from "../source/wrong-use.ts";
import { distanceBetween, phonesOf } from "../sounds/distance.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import type { NearMiss } from "../hearing/near/near.ts";
import { createEars } from "./ear.ts";
import type { HeardEntry, HeardLog } from "./heard-log.ts";
import { type PasteTried, createPastes } from "./pastes.ts";

/** What a log of what was heard comes to now. */
export interface HeardStudy {
  understood: number;
  /** What is done otherwise now than it was done then. */
  changed: readonly { entry: HeardEntry; now: string }[];
  /** What is not understood, in groups of what it nearly was, the largest first. */
  unknown: readonly HeardCluster[];
}

export interface HeardCluster {
  /** Each of them once, with how often it was heard, the most often first. */
  texts: readonly { text: string; count: number; entry: HeardEntry }[];
  count: number;
  language: string;
  /** What would have been understood, where anything is near. */
  nearly?: string;
  /** What to add for it to be understood, as it turned out when it was tried. */
  add?: PasteTried;
}

export interface HeardStudyOptions {
  /** The suites and the phrasebook as texts, to see what an addition changes. */
  suiteSources?: readonly SourceText[];
  bookSources?: readonly SourceText[];
  /** A pronouncing dictionary of English. */
  dictionary?: Dictionary;
}

/** Hears a log again, and tells what of it is understood, is otherwise than it was, or is not understood. */
export function studyHeard(of: Book, log: HeardLog, options: HeardStudyOptions = {}): HeardStudy {
  const book = asBook(of);
  return madeOf("log", () => study(book, log, options));
}

function study(book: Book, log: HeardLog, options: HeardStudyOptions): HeardStudy {
  let understood = 0;
  const changed: { entry: HeardEntry; now: string }[] = [];
  const unknown: Unknown[] = [];
  for (const entry of log.entries) {
    const { text, language, at, time, did } = entry;
    const heard = book.hear(text, { language, ...given({ at, time }) });
    const now = describeOutcome(heard);
    if (did !== undefined && did !== now) changed.push({ entry, now });
    if (heard.outcome !== "unknown") understood++;
    else unknown.push({ entry, near: book.why(heard).nearest[0] });
  }
  const tryPaste = createPastes(book, options);
  const clusters = clustersOf(book, unknown, options.dictionary).map((group): HeardCluster => {
    const texts = counted(group);
    const [first] = group;
    const near = group.find((each) => each.near?.paste)?.near ?? first?.near;
    const add =
      near?.paste &&
      tryPaste(
        near.paste,
        group.map(({ entry }) => entry),
      );
    const nearly =
      near && (near.expected.length > 0 ? near.expected.slice(0, 3).join(", ") : near.message);
    return {
      texts,
      count: group.length,
      language: first?.entry.language ?? "",
      ...given({ nearly, add }),
    };
  });
  return { understood, changed, unknown: clusters.sort((one, other) => other.count - one.count) };
}

interface Unknown {
  entry: HeardEntry;
  near: NearMiss | undefined;
}

function counted(group: readonly Unknown[]): HeardCluster["texts"] {
  const found = new Map<string, { text: string; count: number; entry: HeardEntry }>();
  for (const { entry } of group) {
    const key = entry.text.toLowerCase();
    const same = found.get(key);
    if (same) same.count++;
    else found.set(key, { text: entry.text, count: 1, entry });
  }
  return [...found.values()].sort((one, other) => other.count - one.count);
}

/** The furthest that two phrases sound apart for them to be one, for each of their sounds. */
const alikeBySound = 0.25;

/** What is not understood by what it nearly was, and the rest by how it sounds. */
function clustersOf(
  book: Book,
  unknown: readonly Unknown[],
  dictionary: Dictionary | undefined,
): Unknown[][] {
  const earOf = createEars(book, dictionary);
  const clusters: Unknown[][] = [];
  const byMiss = new Map<string, Unknown[]>();
  for (const each of unknown) {
    const { near, entry } = each;
    // What the same addition mends is one, however it was said.
    const of = near && (near.paste?.yaml ?? [near.miss, near.expected, near.intent, near.words]);
    const key = of && JSON.stringify([entry.language, of]);
    const same = key === undefined ? undefined : byMiss.get(key);
    if (same) {
      same.push(each);
      continue;
    }
    const alike = clusters.find((cluster) => soundsAlike(cluster[0], each));
    if (alike) alike.push(each);
    else clusters.push([each]);
    if (key !== undefined) byMiss.set(key, alike ?? clusters.at(-1) ?? []);
  }
  return clusters;

  function soundsAlike(one: Unknown | undefined, other: Unknown): boolean {
    if (one?.entry.language !== other.entry.language) return false;
    const { sounds, wordsOf } = earOf(other.entry.language);
    const phones = [one, other].map(({ entry }) => phonesOf(wordsOf(entry.text), sounds));
    const [first = [], second = []] = phones;
    const most = Math.max(first.length, second.length) * alikeBySound * 100;
    return distanceBetween(first, second, sounds.costs, most) !== undefined;
  }
}
