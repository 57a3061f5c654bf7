import { type LogEntry, printEvent } from "../home/log.ts";
import { printPosition } from "../source/position.ts";
import { type Failure, partsTold } from "../suites/judge.ts";
import type { CaseFailed, CaseResult, Mend, Suspect } from "../suites/results.ts";
import { printWhy } from "./heard.ts";
import { shorten, width, wrap } from "./layout.ts";
import type { Paint } from "./paint.ts";
import { paintedTitle } from "./title.ts";
import { printTimeline } from "./timeline.ts";

/** How much is told of each failure. */
export interface ResultsTelling {
  /** Readings that lost as well, each with the rule that dropped it. */
  dropped?: boolean;
  /** All that happened in a case. */
  log?: boolean;
}

/** A case that failed: what was expected beside what happened, then why, then where. */
export function printFailure(
  each: CaseResult & CaseFailed,
  paint: Paint,
  { dropped = false, log: isWhole = false }: ResultsTelling,
): string[] {
  const { note, position, failures, why, log = [], isTimed, suspects = [], mend } = each;
  const [first = [], ...others] = failures.map((failure) => printDifference(failure, paint));
  const lines = [
    `  ${paint.bad("✗")} ${paintedTitle(each, paint)}`,
    ...first,
    paint.quiet(`    case      ${printPosition(position)}`),
    ...printSuspects(suspects, paint),
    ...(mend ? [printMend(mend, paint)] : []),
    ...others.flat(),
  ];
  if (note !== undefined) lines.push(paint.quiet(`    note      ${wrap(note, 14).trimStart()}`));
  if (isWhole && log.length > 0) lines.push("", ...indented(printTimeline("log", log, paint)));
  else if (isTimed) lines.push("", ...printAround(log, failures, paint));
  const told = why && !isTimed ? printWhy(why, paint, dropped) : [];
  return [...lines, ...told.map((line) => (line === "" ? "" : `  ${line}`))];
}

function indented(text: string): string[] {
  return text.split("\n").map((line) => `    ${line}`);
}

/** Where in the phrasebook a failure may come from, the likeliest place first. */
function printSuspects(suspects: readonly Suspect[], paint: Paint): string[] {
  const column = Math.max(0, ...suspects.map(({ at }) => printPosition(at).length));
  return suspects.map(({ at, of, what }, index) => {
    const label = index === 0 ? "look at" : "";
    const part = shorten(what, Math.max(20, width - 17 - column - of.length));
    const told = part === "" ? paint.name(of) : `${paint.name(of)} ${part}`;
    return `    ${paint.quiet(label.padEnd(9))} ${printPosition(at).padEnd(column)}  ${told}`;
  });
}

function printMend({ at, change }: Mend, paint: Paint): string {
  return `    ${paint.quiet("to pass")}   ${paint.good(change)}  ${paint.quiet(printPosition(at))}`;
}

/** Parts of what was expected or happened that are told; of more, those that differ. */
const mostParts = 4;

/** What was expected and what happened, of which only the difference is bright. */
function printDifference({ about, expected, actual }: Failure, paint: Paint): string[] {
  const [wanted, came] = [partsTold(expected), partsTold(actual)];
  const isList = wanted.length > 1 || came.length > 1;
  const [one, other] = isList
    ? [partsApart(wanted, came), partsApart(came, wanted)]
    : [wordsApart(expected, actual), wordsApart(actual, expected)];
  return [
    `    ${paint.strong(about)}`,
    `    expected  ${paintWords(one, paint.good, paint)}`,
    `    but       ${paintWords(other, paint.bad, paint)}`,
  ];
}

/** A word, and whether it is part of the difference. */
interface Told {
  word: string;
  differs: boolean;
}

/** The words between what two texts begin and end with alike. */
function wordsApart(text: string, than: string): Told[] {
  const [words, others] = [text.split(" "), than.split(" ")];
  const shortest = Math.min(words.length, others.length);
  let from = 0;
  while (from < shortest && words[from] === others[from]) from++;
  let left = 0;
  while (left < shortest - from && words.at(-1 - left) === others.at(-1 - left)) left++;
  const end = words.length - left;
  return words.map((word, index) => ({ word, differs: index >= from && index < end }));
}

/** The words of a list, those of parts that the other has not marked; of a long one some are told. */
function partsApart(parts: readonly string[], others: readonly string[]): Told[] {
  const differing = parts.filter((part) => !others.includes(part));
  const isLong = parts.length > mostParts;
  const shown = (isLong && differing.length > 0 ? differing : parts).slice(0, mostParts);
  const more = parts.length - shown.length;
  const told = shown.flatMap((part, index) => {
    const text = index < shown.length - 1 ? `${part},` : part;
    return text.split(" ").map((word) => ({ word, differs: differing.includes(part) }));
  });
  return more === 0 ? told : [...told, ...wordsApart(`and ${more} more`, `and ${more} more`)];
}

function paintWords(
  told: readonly Told[],
  bright: (text: string) => string,
  { quiet }: Paint,
): string {
  const words = told.map(({ word }) => word);
  const painted = told.map(({ word, differs }) => (differs ? bright(word) : quiet(word)));
  return breakWords(words, painted, 14);
}

/** Words with paint on them, broken where they are too many for a line without it. */
function breakWords(words: readonly string[], painted: readonly string[], indent: number): string {
  const most = 100 - indent;
  let length = 0;
  let text = "";
  for (const [index, word] of words.entries()) {
    const isFirst = length === 0;
    if (!isFirst && length + 1 + word.length > most) {
      text += `\n${" ".repeat(indent)}`;
      length = 0;
    } else if (!isFirst) {
      text += " ";
      length++;
    }
    text += painted[index] ?? word;
    length += word.length;
  }
  return text;
}

/** Lines of a log that are told around the moment that a failure is about. */
const around = 6;

/** What happened near the moment that was expected to be otherwise; at the end, where none was told. */
function printAround(
  log: readonly LogEntry[],
  failures: readonly Failure[],
  paint: Paint,
): string[] {
  const clock = failures.flatMap(({ expected }) => /^\d{2}:\d{2}/.exec(expected) ?? [])[0];
  const after = clock === undefined ? -1 : log.findIndex(({ time }) => time.slice(11) >= clock);
  const middle = after < 0 ? log.length : after;
  const from = Math.max(0, Math.min(middle - around, log.length - 2 * around));
  const shown = log.slice(from, from + 2 * around);
  if (shown.length === 0) return [paint.quiet("    nothing happened")];
  const more = log.length - shown.length;
  return [
    ...shown.map(({ time, event }) => `    ${paint.quiet(time.slice(11))}  ${printEvent(event)}`),
    ...(more > 0 ? [paint.quiet(`    ${more} more lines: --log tells all of them`)] : []),
  ];
}
