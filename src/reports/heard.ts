import type { Heard, NearMiss, ReadingWhy, WordRole } from "../hearing/outcome.ts";
import { printPosition } from "../source/position.ts";
import { describeOutcome } from "../hearing/describe.ts";
import { pad, shorten, wrap } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** What was heard and why, for a terminal. */
export function printHeard(heard: Heard, paint: Paint): string {
  const colour = heard.outcome === "act" || heard.outcome === "answer" ? paint.good : paint.warn;
  const outcome =
    heard.outcome === "act" ? `act: ${describeOutcome(heard)}` : describeOutcome(heard);
  return [
    paint.strong(shorten(`“${heard.text}”`, 90)),
    colour(wrap(outcome, 2)),
    `  ${paint.quiet("says")} “${shorten(heard.reply, 85)}”`,
    ...printWhy(heard, paint),
  ].join("\n");
}

/** The words and what took them, the readings, and what comes nearest. */
export function printWhy(heard: Heard, paint: Paint): string[] {
  const { words, readings, nearest, cut } = heard.why;
  const lines: string[] = [];
  const kept = readings.filter((reading) => reading.kept);
  const dropped = readings.filter((reading) => !reading.kept);
  const [best] = readings;
  if (best) lines.push("", ...printWords(words, best, paint));
  if (best) lines.push("", `  ${paint.quiet("pattern")}  ${printPattern(best, paint)}`);
  for (const other of kept.slice(1)) {
    lines.push(`  ${paint.quiet("also")}     ${printPattern(other, paint)}`);
  }
  if (kept.length > 1) lines.push(`           ${paint.warn("nothing decides between these")}`);
  for (const other of dropped) {
    lines.push(
      `  ${paint.quiet("dropped")}  ${printPattern(other, paint)}`,
      paint.quiet(`           because: ${other.rule}`),
    );
  }
  if (cut) lines.push(paint.warn("  There are more readings than are looked at."));
  for (const miss of nearest) lines.push("", ...printMiss(miss, paint));
  return lines;
}

function printPattern({ pattern, intent, at }: ReadingWhy, paint: Paint): string {
  return `${shorten(pattern, 58)}\n           ${paint.name(intent)}  ${paint.quiet(printPosition(at))}`;
}

interface Row {
  words: string;
  role: string;
  means: string;
}

function printWords(words: readonly WordRole[], best: ReadingWhy, paint: Paint): string[] {
  const rows: Row[] = [];
  let last: WordRole | undefined;
  for (const word of words) {
    const row = rows.at(-1);
    const goesOn =
      row !== undefined &&
      last?.role === word.role &&
      last.slot === word.slot &&
      (word.role !== "slot" || row.means !== "");
    if (row && goesOn) row.words += ` ${word.text}`;
    else rows.push({ words: word.text, role: roleName(word), means: meansOf(word, best) });
    last = word;
  }
  const column = Math.min(34, Math.max(...rows.map((row) => row.words.length)));
  return rows.map((row) => {
    const said = pad(shorten(row.words, column), column);
    return `  ${paint.name(said)}  ${pad(row.role, 14)}  ${paint.quiet(row.means)}`;
  });
}

function roleName({ role, slot }: WordRole): string {
  if (role === "slot") return `$${slot ?? ""}`;
  return { pattern: "pattern", small: "passed over", courtesy: "courtesy", unused: "" }[role];
}

function meansOf({ role, slot }: WordRole, best: ReadingWhy): string {
  if (role !== "slot") return "";
  const filled = best.slots.find(({ name }) => name === slot);
  if (!filled) return "";
  return filled.at ? `${filled.means}  ${printPosition(filled.at)}` : filled.means;
}

function printMiss(
  { miss, message, expected, intent, at, paste }: NearMiss,
  paint: Paint,
): string[] {
  const lines = [`  ${paint.warn("near")}  ${wrap(message, 8).trimStart()}`];
  if (expected.length > 1) lines.push(wrap(`expected: ${expected.join(", ")}`, 8));
  if (intent !== undefined && miss !== "name") {
    lines.push(`        ${paint.quiet(`${intent}  ${printPosition(at)}`)}`);
  }
  if (paste) {
    lines.push(paint.quiet(`        to have it understood, ${paste.how}:`), "");
    lines.push(...paste.yaml.split("\n").map((line) => `        ${paint.good(line)}`));
  }
  return lines;
}
