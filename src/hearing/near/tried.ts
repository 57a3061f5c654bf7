import { ruleOf, slotOf } from "../../automaton/network.ts";
import { type Utterance, afterSmall } from "../../automaton/utterance.ts";
import { initialState } from "../../commands/states.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import type { Holder } from "../../slot-types/expression.ts";
import type { Engine } from "../understand/engine.ts";
import type { Reading } from "../understand/evaluate.ts";
import { clearReading, understand } from "../understand/understand.ts";
import type { Change } from "./changes.ts";
import { type Paste, aliasPaste, patternPaste, phrasePaste } from "./paste.ts";

interface Miss {
  book: Phrasebook;
  engine: Engine;
  utterance: Utterance;
}

/** What may be pasted to mend a miss: only what makes the phrase come to what it names. */
interface Advice {
  alias: (holder: Holder, words: string) => Paste | undefined;
  pattern: (words: string) => Paste | undefined;
}

/**
 * Tries a change: whether the phrase with it is understood. What cannot be advised is left: an alias
 * for what names something already, what is said to answer or to forbid, and an order for what only tells a state.
 */
export function tried(
  { book, engine, utterance }: Miss,
  change: Change,
  instead: readonly string[],
): Advice | undefined {
  const { from, end, state, miss } = change;
  const said = utterance.texts.slice(from, end);
  const isTakenBack = [engine.hedged(utterance), engine.answers(utterance)].some((found) =>
    found.slice(from, end).includes(true),
  );
  if (isTakenBack) return undefined;
  // No pattern shall make an order of what only says what is so: "the kiln light is on".
  const plan = engine.rules[ruleOf(engine.network, state)]?.plan;
  if (plan && plan.orders.length > 0 && tellsState(engine, utterance)) return undefined;
  const words = replaced(utterance, { from, end }, instead.map(engine.lexicon.find), instead);
  const { language } = engine;
  const context = { language, state: (id: string) => initialState(book, id) };
  const reading = clearReading(understand(book, engine, words, { room: undefined, context }));
  if (!reading) return undefined;
  return {
    alias({ entity, name }, text) {
      const isNamed = said.some((_, at) => engine.mentions(utterance, from + at) !== undefined);
      const isMeant = [...reading.targets.values()].some(({ holders }) =>
        holders.some((holder) => holder.entity === entity),
      );
      if (isNamed || !isMeant || miss !== "name") return undefined;
      return aliasPaste(book, { entity, name }, text, language);
    },
    pattern(text) {
      if (miss === "name" || miss === "value") return undefined;
      const { intent, pattern } = reading;
      if (pattern.origin === "phrasebook") return patternPaste(engine, miss, state, text);
      const mended = { from, end: from + instead.length, said: said.join(" ") };
      return phrasePaste(intent.id, tokensOf(engine, reading, words, mended));
    },
  };
}

/** An utterance with other words in place of some. */
function replaced(
  { text, words, texts, numbers, small }: Utterance,
  { from, end }: { from: number; end: number },
  numbersInstead: readonly number[],
  instead: readonly string[],
): Utterance {
  const start = words[from]?.start ?? text.length;
  const placed = instead.map((word) => ({ text: word, start, end: start }));
  const put = <T>(all: readonly T[], others: readonly T[]): T[] => [
    ...all.slice(0, from),
    ...others,
    ...all.slice(end),
  ];
  return {
    text,
    words: put(words, placed),
    texts: put(texts, instead),
    numbers: put(numbers, numbersInstead),
    small: put(
      small,
      instead.map(() => false),
    ),
  };
}

/** A phrase as a pattern: its words, slots by their names, and what was mended as it was said. */
function tokensOf(
  { network }: Engine,
  { path }: Reading,
  { texts }: Utterance,
  mended: { from: number; end: number; said: string },
): string[] {
  const { from, end, said } = mended;
  const tokens: string[] = [];
  let isIn = false;
  const letIn = (): void => {
    if (isIn) return;
    isIn = true;
    const expected = texts.slice(from, end).join(" ");
    const isBoth = said !== "" && expected !== "";
    tokens.push(isBoth ? `(${expected} | ${said})` : `[${said || expected}]`);
  };
  for (const step of path.steps) {
    if (step.from >= from) letIn();
    if (step.from >= from && step.from < end) continue;
    const slot = slotOf(network, step.state);
    tokens.push(slot === undefined ? (texts[step.from] ?? "") : `$${slot}`);
  }
  letIn();
  return tokens;
}

/** Whether something of the home is named first, and then said to be so. */
function tellsState(engine: Engine, utterance: Utterance): boolean {
  const end = engine.naming(utterance, afterSmall(utterance, 0));
  return end !== undefined && engine.copulas.has(utterance.texts[end] ?? "");
}
