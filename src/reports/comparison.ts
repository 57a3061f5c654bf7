import {
  type CaseChange,
  type ChangeSort,
  type Comparison,
  type HomeComparison,
  changeSorts,
} from "../comparison/compare.ts";
import type { CaseRecord } from "../comparison/record.ts";
import { printPosition } from "../source/position.ts";
import { shorten } from "./layout.ts";
import { type Paint, plain } from "./paint.ts";
import { paintedTitle } from "./title.ts";

/** Changes of one sort that are told, lines of each, and cases in which the same has changed. */
const mostTold = 20;
const mostLines = 6;
const mostAlike = 2;

/** What is otherwise than it was, the gravest first. */
export function printComparison({ homes }: Comparison, paint: Paint): string {
  const blocks = homes.map((home) => printHome(home, paint, homes.length > 1));
  if (homes.length === 1) return blocks.join("\n");
  const changes = homes.flatMap((home) => home.changes);
  const same = homes.reduce((sum, home) => sum + home.same, 0);
  const changed = homes.filter((home) => home.changes.length > 0).length;
  const summary = `${homes.length} homes, ${changed} of them changed: ${countChanges({ changes, same }, paint)}`;
  return [...blocks, "", summary].join("\n");
}

function printHome(home: HomeComparison, paint: Paint, isOneOfMany: boolean): string {
  const counts = countChanges(home, paint);
  if (isOneOfMany && home.changes.length === 0) {
    return `${paint.good("✓")} ${paint.strong(home.home)}  ${counts}`;
  }
  const lines = changeSorts.flatMap((sort) => {
    const changes = home.changes.filter((each) => each.sort === sort);
    if (changes.length === 0) return [];
    const groups = alike(changes);
    const more = groups.slice(mostTold).flat().length;
    return [
      paint.strong(`${titles[sort]} (${changes.length})`),
      ...groups.slice(0, mostTold).flatMap((group) => printAlike(group, paint)),
      ...(more > 0 ? [paint.quiet(`  and ${more} more: --json tells all of them`)] : []),
      "",
    ];
  });
  return [...(isOneOfMany ? ["", paint.strong(home.home)] : []), ...lines, counts].join("\n");
}

const titles: Readonly<Record<ChangeSort, string>> = {
  fails: "Fails now",
  passes: "Passes now",
  verdict: "Counts otherwise",
  deed: "Comes to something else",
  way: "The same by another way",
  reply: "Answered otherwise",
  timing: "At other times",
  new: "New",
  gone: "Gone",
};

/** How many cases are as before, and how many otherwise in which way. */
function countChanges({ changes, same }: Pick<HomeComparison, "changes" | "same">, paint: Paint) {
  const counts = changeSorts.flatMap((sort) => {
    const count = changes.filter((each) => each.sort === sort).length;
    return count === 0 ? [] : `${titles[sort].toLowerCase()}: ${count}`;
  });
  const isBad = changes.some(isHarmful);
  const told = [`${same} as before`, ...counts].join(", ");
  return isBad ? paint.bad(told) : changes.length === 0 ? paint.good(told) : paint.warn(told);
}

/** Whether a change is one that nobody may pass over: what passed fails, or something else is done. */
export function isHarmful({ sort, before, after }: CaseChange): boolean {
  if (sort === "new") return after?.verdict === "failed";
  return sort === "fails" || (sort === "deed" && before?.verdict !== "failed");
}

/** Changes by what has changed: one word of a reply may stand in a hundred cases. */
function alike(changes: readonly CaseChange[]): CaseChange[][] {
  const groups = new Map<string, CaseChange[]>();
  for (const [index, change] of changes.entries()) {
    const difference = printDifference(change, plain).join("\n");
    const key = difference === "" ? String(index) : difference;
    const group = groups.get(key);
    if (group) group.push(change);
    else groups.set(key, [change]);
  }
  return [...groups.values()];
}

function printAlike(group: readonly CaseChange[], paint: Paint): string[] {
  const more = group.length - 1 - mostAlike;
  const [first] = group;
  return [
    ...group.slice(0, 1 + mostAlike).flatMap((change) => printTitle(change, paint)),
    ...(more > 0 ? [paint.quiet(`    and ${more} more in which the same has changed`)] : []),
    ...(first ? printDifference(first, paint) : []),
  ];
}

function printTitle(change: CaseChange, paint: Paint): string[] {
  const of = change.after ?? change.before;
  if (!of) return [];
  const mark = isHarmful(change) ? paint.bad("✗") : paint.warn("~");
  const place = paint.quiet(printPosition(of.position));
  return [`  ${mark} ${paintedTitle(of, paint)}  ${place}`];
}

function printDifference({ before, after, differs }: CaseChange, paint: Paint): string[] {
  if (!before || !after) return [];
  return differs.flatMap((sort) => printAspect(sort, before, after, paint));
}

/** What of one aspect there was and is, without what both have. */
function printAspect(
  sort: ChangeSort,
  before: CaseRecord,
  after: CaseRecord,
  paint: Paint,
): string[] {
  const lines = linesOf[sort];
  if (!lines) return [];
  const [was, is] = [lines(before), lines(after)];
  return [
    ...told("was", without(was, is), paint.good),
    ...told("now", without(is, was), paint.bad),
  ];
}

const linesOf: Partial<Record<ChangeSort, (of: CaseRecord) => readonly string[]>> = {
  verdict: ({ verdict }) => [verdict],
  deed: ({ deeds }) => deeds.map(({ what }) => what),
  way: ({ ways }) => ways,
  reply: ({ replies }) => replies,
  timing: ({ deeds }) => deeds.map(({ time, what }) => `${time.slice(11)} ${what}`),
};

/** Lines of one list that another has not, each as often as it is there more. */
function without(lines: readonly string[], others: readonly string[]): string[] {
  const left = [...others];
  return lines.filter((line) => {
    const at = left.indexOf(line);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}

function told(label: string, lines: readonly string[], bright: (text: string) => string): string[] {
  const shown = lines.length === 0 ? ["nothing"] : lines.slice(0, mostLines);
  const more = lines.length - shown.length;
  return [
    ...shown.map((line, index) => {
      const text = bright(shorten(line, 90));
      return `    ${index === 0 ? label : "   "}  ${text}`;
    }),
    ...(more > 0 ? [`         and ${more} more`] : []),
  ];
}
