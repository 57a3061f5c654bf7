import { type Effect, type Heard, effectsOf } from "../commands/outcome.ts";
import { tellReason } from "../model/reason.ts";
import type { ReadingWhy, Why, WordRole } from "../hearing/explain/why.ts";
import type { NearMiss } from "../hearing/near/near.ts";
import { printPosition } from "../source/position.ts";
import { describeOutcome, listEffects } from "../commands/describe.ts";
import type { Book } from "../book/book.ts";
import type { Turn } from "../home/conversation/turns.ts";
import { pad, shorten, wrap, wrapItems } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** How much is told of what was heard. */
interface Telling {
  /** What is said back, where it is known already. */
  reply?: string;
  /** Whether readings that lost are told, each with the rule that dropped it. */
  dropped?: boolean;
}

/** What was heard and why, for a terminal. */
export function printHeard(
  book: Book,
  heard: Heard,
  paint: Paint,
  { reply = book.reply(heard), dropped = false }: Telling = {},
): string {
  const colour = heard.outcome === "act" || heard.outcome === "answer" ? paint.good : paint.warn;
  return [
    paint.strong(shorten(`“${heard.text}”`, 90)),
    colour(printOutcome(heard)),
    // Steps that are still on their way have nothing to say yet.
    ...(reply === "" ? [] : [`  ${paint.quiet("says")} “${shorten(reply, 85)}”`]),
    ...printWhy(book.why(heard), paint, dropped),
  ].join("\n");
}

/** A turn of a conversation: what it came to, and the why only where it came to nothing. */
export function printTurn(
  book: Book,
  shown: string,
  { heard, outcome, performed, reply }: Turn,
  paint: Paint,
): string {
  const isOwn = outcome === heard.outcome;
  if (isOwn && (outcome === "unknown" || outcome === "refuse")) {
    return printHeard(book, heard, paint, { reply });
  }
  const colour = outcome === "act" || outcome === "answer" ? paint.good : paint.warn;
  return [
    paint.strong(shorten(`“${shown}”`, 90)),
    colour(isOwn ? printOutcome(heard) : `  ${outcome}`),
    ...(reply === "" ? [] : [`  ${paint.quiet("says")} “${shorten(reply, 85)}”`]),
    ...performed.changes.map(({ device, property, from, to }) =>
      paint.quiet(`  ${device} ${property}: ${String(from)} → ${String(to)}`),
    ),
    ...performed.calls.map((call) => paint.quiet(`  ${call.device} ${call.call}`)),
  ].join("\n");
}

function printOutcome(heard: Heard): string {
  const effects = effectsOf(heard);
  if (effects.length === 0) {
    const text = describeOutcome(heard);
    return wrap(heard.outcome === "act" ? `act: ${text}` : text, 2);
  }
  const [first = "", ...rest] = alikeOnce(effects);
  const items = [`${heard.outcome}: ${first}`, ...rest];
  const last = items.length - 1;
  return wrapItems(
    items.map((item, index) => (index < last ? `${item},` : item)),
    2,
    " ",
  );
}

/** Devices that are named where many are asked the same; the words tell all of them. */
const mostAlike = 3;

/** Effects in a few words; what is asked of many devices is told once. */
function alikeOnce(effects: readonly Effect[]): string[] {
  const alike = new Map<string, string[]>();
  for (const effect of effects) {
    const asked = listEffects([{ ...effect, device: mark }]).join("");
    alike.set(asked, [...(alike.get(asked) ?? []), effect.device]);
  }
  return [...alike].flatMap(([asked, devices]) => {
    const ids = [...devices].sort();
    if (ids.length <= mostAlike) return ids.map((id) => asked.replaceAll(mark, id));
    const named = ids.slice(0, mostAlike - 1).join(", ");
    const what = asked.replaceAll(mark, "").replace(/[{}]/gu, "").replaceAll(": ", " ");
    return [
      `${what.replace(/ {2,}/gu, " ").trim()}: ${named} and ${ids.length - mostAlike + 1} more`,
    ];
  });
}

/** Stands for a device in what is asked of many. */
const mark = "\u0000";

/** Readings that lost, of which more would tell no more. */
const mostDropped = 4;

/** The words and what took them, the readings, and what comes nearest. */
export function printWhy(why: Why, paint: Paint, isWhole = false): string[] {
  const { words, readings, nearest, barred, cut } = why;
  const lines: string[] = [];
  const kept = readings.filter((reading) => reading.kept);
  const dropped = readings.filter((reading) => !reading.kept);
  const [best] = readings;
  if (best) lines.push("", ...printWords(words, readings, paint), "");
  for (const command of new Set(kept.map((reading) => reading.command))) {
    const [first, ...others] = kept.filter((reading) => reading.command === command);
    if (first) lines.push(`  ${paint.quiet("pattern")}  ${printPattern(first, paint)}`);
    for (const other of others) {
      lines.push(`  ${paint.quiet("also")}     ${printPattern(other, paint)}`);
    }
    if (others.length > 0) lines.push(`           ${paint.warn("nothing decides between these")}`);
  }
  for (const other of isWhole ? dropped.slice(0, mostDropped) : []) {
    lines.push(
      `  ${paint.quiet("dropped")}  ${printPattern(other, paint)}`,
      paint.quiet(`           because: ${other.rule}`),
    );
  }
  if (!isWhole && dropped.length > 0 && kept.length > 0) {
    const readings = dropped.length === 1 ? "reading" : "readings";
    lines.push(
      paint.quiet(`           ${dropped.length} other ${readings} lost: --why tells them`),
    );
  }
  if (isWhole && dropped.length > mostDropped) {
    lines.push(paint.quiet(`           and ${dropped.length - mostDropped} more, in --json`));
  }
  if (best && best.skipped.length > 0) lines.push("", ...printSkipped(best, paint));
  if (cut) lines.push(paint.warn("  There are more readings than are looked at."));
  for (const { why: reason, at } of barred) {
    lines.push(
      "",
      `  ${paint.warn("barred")}  ${tellReason(reason)}  ${paint.quiet(printPosition(at))}`,
    );
  }
  for (const miss of nearest) lines.push("", ...printMiss(miss, paint));
  return lines;
}

function printPattern({ pattern, intent, at }: ReadingWhy, paint: Paint): string {
  return `${shorten(pattern, 58)}\n           ${paint.name(intent)}  ${paint.quiet(printPosition(at))}`;
}

/** Devices that are left out, together where the reason is the same for each. */
function printSkipped({ skipped }: ReadingWhy, paint: Paint): string[] {
  const byReason = new Map<string, string[]>();
  for (const { device, why } of skipped) {
    const alike = tellReason(why).replaceAll(device, "…");
    byReason.set(alike, [...(byReason.get(alike) ?? []), device]);
  }
  return [...byReason].map(([reason, devices], index) => {
    const label = index === 0 ? "left out" : "        ";
    const text =
      devices.length === 1
        ? reason.replaceAll("…", devices[0] ?? "")
        : `${reason.replace(/^… /, "").replaceAll("…", "it")}: ${[...new Set(devices)].join(", ")}`;
    return `  ${paint.quiet(label)} ${wrap(text, 11).trimStart()}`;
  });
}

interface Row {
  words: string;
  role: string;
  means: string;
}

function printWords(
  words: readonly WordRole[],
  readings: readonly ReadingWhy[],
  paint: Paint,
): string[] {
  const rows: Row[] = [];
  let last: WordRole | undefined;
  for (const word of words) {
    const row = rows.at(-1);
    const goesOn =
      row !== undefined &&
      last?.role === word.role &&
      last.slot === word.slot &&
      last.command === word.command &&
      (word.role !== "slot" || row.means !== "");
    if (row && goesOn) row.words += ` ${word.text}`;
    else rows.push({ words: word.text, role: roleName(word), means: meansOf(word, readings) });
    last = word;
  }
  const column = Math.min(34, Math.max(...rows.map((row) => row.words.length)));
  return rows.map((row) => {
    const said = pad(shorten(row.words, column), column);
    const means = wrap(row.means, column + 20).trimStart();
    return `  ${paint.name(said)}  ${pad(row.role, 14)}  ${paint.quiet(means)}`.trimEnd();
  });
}

function roleName({ role, slot }: WordRole): string {
  if (role === "slot") return `$${slot ?? ""}`;
  return {
    pattern: "pattern",
    small: "passed over",
    courtesy: "courtesy",
    when: "when",
    joiner: "and then",
    unused: "",
  }[role];
}

function meansOf({ role, slot, command }: WordRole, readings: readonly ReadingWhy[]): string {
  if (role !== "slot") return "";
  const best = readings.find((reading) => reading.command === command);
  const filled = best?.slots.find(({ name }) => name === slot);
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
