import { type LogEntry, printEvent } from "../home/log.ts";
import { printPosition } from "../source/position.ts";
import type { Failure } from "../suites/judge.ts";
import type { CaseFailed, CaseResult } from "../suites/results.ts";
import { printWhy } from "./heard.ts";
import { shorten, wrap } from "./layout.ts";
import type { Paint } from "./paint.ts";
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
  const { name, phrase, note, position, failures, why, at, language, log = [], isTimed } = each;
  const where = at === undefined ? language : `${language}, at ${at}`;
  const said = `“${shorten(phrase, 70)}”`;
  const lines = [
    `  ${paint.bad("✗")} ${name === undefined ? said : `${paint.strong(name)}  ${said}`} ${paint.quiet(`(${where})`)}`,
    ...failures.flatMap((failure) => printDifference(failure, paint)),
    paint.quiet(`    case      ${printPosition(position)}`),
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

/** What was expected and what happened, of which only the difference is bright. */
function printDifference({ about, expected, actual }: Failure, paint: Paint): string[] {
  const [wanted, came] = [expected.split(" "), actual.split(" ")];
  const shortest = Math.min(wanted.length, came.length);
  let from = 0;
  while (from < shortest && wanted[from] === came[from]) from++;
  let left = 0;
  while (left < shortest - from && wanted.at(-1 - left) === came.at(-1 - left)) left++;
  const told = (words: readonly string[], bright: (text: string) => string): string => {
    const end = words.length - left;
    const parts = words.map((word, index) =>
      index >= from && index < end ? bright(word) : paint.quiet(word),
    );
    return breakWords(words, parts, 14);
  };
  return [
    `    ${paint.strong(about)}`,
    `    expected  ${told(wanted, paint.good)}`,
    `    but       ${told(came, paint.bad)}`,
  ];
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
