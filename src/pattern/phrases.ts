import type { Pattern, Words } from "./tree.ts";

/** What a token gives to a phrase: the words that it is compared by, or what is written. */
export type Spell = (words: Words) => readonly string[];

const asCompared: Spell = ({ words }) => words;

/** Tokens as they are written, so that free words keep their case. */
export const asWritten: Spell = ({ words, said }) => (said === undefined ? words : [said]);

/** Looks up what a reference stands for: undefined when there is no such thing. */
export type Resolve = (name: string) => Pattern | undefined;

/** An endless repeat is said up to this many times more than it must be. */
const extraRepeats = 1;

/**
 * How many phrases a pattern makes, counting a phrase once for each way to make it; an endless
 * repeat counts as one more than its minimum. `Infinity` when past what a number can hold.
 */
export function countPhrases(pattern: Pattern, resolve: Resolve): number {
  switch (pattern.type) {
    case "words":
    case "nothing":
      return 1;
    case "void":
    case "garbage":
      return 0;
    case "sequence":
      return pattern.items.reduce((count, item) => count * countPhrases(item, resolve), 1);
    case "choice":
      return pattern.options.reduce(
        (count, option) => count + countPhrases(option.pattern, resolve),
        0,
      );
    case "repeat": {
      const each = countPhrases(pattern.item, resolve);
      let count = 0;
      for (let times = pattern.minimum; times <= most(pattern); times++) count += each ** times;
      return count;
    }
    case "reference": {
      const target = resolve(pattern.name);
      return target ? countPhrases(target, resolve) : 0;
    }
  }
}

function most(repeat: Pattern & { type: "repeat" }): number {
  return repeat.maximum === Infinity ? repeat.minimum + extraRepeats : repeat.maximum;
}

/**
 * The phrases that a pattern makes, each as its words, in the order written: an optional part is
 * first left out, then said. Lazy, so a caller may stop at any number.
 */
export function* phrases(
  pattern: Pattern,
  resolve: Resolve,
  spell: Spell = asCompared,
): Generator<readonly string[]> {
  switch (pattern.type) {
    case "words":
      yield spell(pattern);
      return;
    case "nothing":
      yield [];
      return;
    case "void":
    case "garbage":
      return;
    case "sequence":
      yield* inTurn(pattern.items, resolve, spell);
      return;
    case "choice":
      for (const option of pattern.options) yield* phrases(option.pattern, resolve, spell);
      return;
    case "repeat":
      for (let times = pattern.minimum; times <= most(pattern); times++) {
        yield* inTurn(Array<Pattern>(times).fill(pattern.item), resolve, spell);
      }
      return;
    case "reference": {
      const target = resolve(pattern.name);
      if (target) yield* phrases(target, resolve, spell);
      return;
    }
  }
}

function* inTurn(
  items: readonly Pattern[],
  resolve: Resolve,
  spell: Spell,
): Generator<readonly string[]> {
  // Most patterns are words one after another, for a while or all through.
  const first: string[] = [];
  let at = 0;
  for (let item = items[0]; item?.type === "words"; item = items[++at]) first.push(...spell(item));
  const item = items[at];
  if (!item) {
    yield first;
    return;
  }
  const rest = items.slice(at + 1);
  for (const head of phrases(item, resolve, spell)) {
    for (const tail of inTurn(rest, resolve, spell)) yield [...first, ...head, ...tail];
  }
}
