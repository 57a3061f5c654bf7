import type { Recognise } from "../automaton/chart.ts";
import type { NumberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type DurationUnit, durationUnits } from "../language/times.ts";
import { splitWords } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { createTrie } from "../lexicon/trie.ts";

interface Part {
  end: number;
  seconds: number;
  /** The unit that it was said in, in seconds. */
  unit: number;
}

/** Reads a duration as seconds: "an hour and a half", "ten minutes", "1 h 30". */
export function createDurationReader(
  { times, language }: LanguagePack,
  numbers: NumberReader,
  lexicon: Lexicon,
): Recognise {
  const wordsOf = (said: string): number[] =>
    splitWords(said, language).map(({ text }) => lexicon.add(text));
  const units = createTrie<number>();
  for (const [unit, said] of Object.entries(times.units)) {
    for (const text of said) units.insert(wordsOf(text), durationUnits[unit as DurationUnit]);
  }
  const named = createTrie<number>();
  for (const [seconds, said] of Object.entries(times.durations)) {
    for (const text of said) named.insert(wordsOf(text), Number(seconds));
  }
  const one = new Set(times.one);
  const joiners = new Set(times.joiners);

  return ({ texts, numbers: words }, from) => {
    const quantities = (at: number): Part[] => {
      const found: Part[] = [];
      const counts = numbers(texts, at).map(({ end, value }) => ({ end, value }));
      if (one.has(texts[at] ?? "")) counts.push({ end: at + 1, value: 1 });
      for (const { end, value } of counts) {
        // "Half an hour" has a small word between.
        for (const start of one.has(texts[end] ?? "") && value < 1 ? [end, end + 1] : [end]) {
          units.match(words, start, (after, [unit = 1]) => {
            if (value >= 0) found.push({ end: after, seconds: value * unit, unit });
          });
        }
      }
      return found;
    };
    const afterJoiner = (at: number): number[] =>
      joiners.has(texts[at] ?? "") ? [at, at + 1] : [at];
    const continued = (part: Part): Part[] => {
      const found = [part];
      for (const at of afterJoiner(part.end)) {
        for (const next of quantities(at)) {
          if (next.unit >= part.unit) continue;
          const whole = { ...next, seconds: part.seconds + next.seconds };
          found.push(...continued(whole));
        }
        if (at === part.end) continue;
        // "An hour and a half."
        for (const { end, value, fraction } of numbers(texts, at)) {
          if (!fraction || value >= 1 || value <= 0) continue;
          found.push({ end, seconds: part.seconds + value * part.unit, unit: part.unit });
        }
      }
      return found;
    };
    const starts = quantities(from);
    named.match(words, from, (end, [seconds = 0]) => starts.push({ end, seconds, unit: 60 }));
    const known = new Set<string>();
    return starts.flatMap(continued).flatMap(({ end, seconds }) => {
      const key = `${end} ${seconds}`;
      if (known.has(key)) return [];
      known.add(key);
      return [{ end, value: { read: "number", value: seconds } as const }];
    });
  };
}
