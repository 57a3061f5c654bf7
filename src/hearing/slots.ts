import { createSets } from "../automaton/sets.ts";
import { type Match, type Recognise, runAutomaton } from "../automaton/chart.ts";
import { type Rule, buildNetwork } from "../automaton/network.ts";
import type { NumberReader } from "../language/numbers.ts";
import { splitWords } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import type { ChoiceValue } from "../phrasebook/model.ts";
import type { Value } from "../phrasebook/property.ts";
import type { Holder, Names } from "./names.ts";

/** What words in a slot were taken for. */
export type SlotReading =
  | { read: "number"; value: number }
  | { read: "choice"; value: Value }
  | { read: "target"; holders: readonly Holder[] };

interface SlotMatch extends Match {
  value: SlotReading;
}

/** A number alone. */
export function recogniseNumber(reader: NumberReader): Recognise {
  return ({ texts }, from) =>
    reader(texts, from).map(({ end, value }): SlotMatch => {
      return { end, value: { read: "number", value } };
    });
}

/** A number with or without its unit; with `whole`, a part of a whole counts as that many of it. */
export function recogniseQuantity(
  reader: NumberReader,
  unit: readonly string[],
  language: string,
  whole = 1,
): Recognise {
  const units = unit.map((said) => splitWords(said, language).map((word) => word.text));
  return ({ texts }, from) =>
    reader(texts, from).flatMap(({ end, value, fraction }): SlotMatch[] => {
      const ends = units
        .filter((words) => words.every((word, index) => texts[end + index] === word))
        .map((words) => end + words.length);
      const bare: SlotReading = { read: "number", value: fraction ? value * whole : value };
      const counted: SlotReading = { read: "number", value };
      return [{ end, value: bare }, ...ends.map((after) => ({ end: after, value: counted }))];
    });
}

/** One of the words or phrases listed for the values of a slot. */
export function recogniseChoice(
  choices: readonly ChoiceValue[],
  language: string,
  lexicon: Lexicon,
  refer: Rule["refer"],
): Recognise {
  const rules = choices.flatMap(({ value, patterns }) =>
    patterns
      .filter((pattern) => pattern.language === language)
      .map(({ tree }) => ({ value, rule: { tree, refer } })),
  );
  const network = buildNetwork(
    rules.map(({ rule }) => rule),
    lexicon,
  );
  const sets = createSets(network);
  return (utterance, from) => {
    const chart = runAutomaton(sets, [], utterance, new Set([from]));
    return chart.sets.flatMap((set, end): SlotMatch[] => {
      const values = new Set(
        (set?.accepting ?? []).map((state) => rules[network.rule[state] ?? 0]?.value),
      );
      return [...values].flatMap((value) =>
        value === undefined ? [] : [{ end, value: { read: "choice" as const, value } }],
      );
    });
  };
}

/** Anything that has a name; each length of words that is a name is a match. */
export function recogniseTarget({ trie }: Names): Recognise {
  return ({ numbers }, from) => {
    const found: SlotMatch[] = [];
    trie.match(numbers, from, (end, holders) => {
      found.push({ end, value: { read: "target", holders } });
    });
    return found;
  };
}
