import colorNames from "color-name";
import { createSets } from "../automaton/sets.ts";
import { type Match, type Recognise, endsFrom } from "../automaton/chart.ts";
import { type Rule, buildNetwork } from "../automaton/network.ts";
import type { NumberReader } from "../language/numbers.ts";
import { splitWords } from "../language/words.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type StateWord, stateWords } from "../language/vocabulary.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { createTrie } from "../lexicon/trie.ts";
import type { ChoiceValue, Phrasebook } from "../phrasebook/model.ts";
import type { Value } from "../phrasebook/property.ts";
import type { TargetExpression } from "./expression.ts";

/** What words in a slot were taken for. */
export type SlotReading =
  | { read: "number"; value: number }
  | { read: "value"; value: Value }
  | { read: "state"; state: StateWord }
  | { read: "target"; target: TargetExpression };

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

/**
 * A number with or without its unit; with `whole`, a part of a whole counts as that many of it;
 * below `bareFrom` the unit has to be said. */
export function recogniseQuantity(
  reader: NumberReader,
  unit: readonly string[],
  language: string,
  { whole = 1, bareFrom = -Infinity }: { whole?: number; bareFrom?: number } = {},
): Recognise {
  const units = unit.map((said) => splitWords(said, language).map((word) => word.text));
  return ({ texts }, from) =>
    reader(texts, from).flatMap(({ end, value, fraction }): SlotMatch[] => {
      const ends = units
        .filter((words) => words.every((word, index) => texts[end + index] === word))
        .map((words) => end + words.length);
      const bare: SlotReading = { read: "number", value: fraction ? value * whole : value };
      const counted: SlotReading = { read: "number", value };
      const withUnit = ends.map((after) => ({ end: after, value: counted }));
      return value >= bareFrom ? [{ end, value: bare }, ...withUnit] : withUnit;
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
  return (utterance, from) =>
    endsFrom(sets, utterance, from).flatMap(({ end, states }): SlotMatch[] => {
      const values = new Set(states.map((state) => rules[network.rule[state] ?? 0]?.value));
      return [...values].flatMap((value) =>
        value === undefined ? [] : [{ end, value: { read: "value" as const, value } }],
      );
    });
}

/** Phrases that stand for readings. */
export function recognisePhrases(
  phrases: readonly { said: string; reading: SlotReading }[],
  language: string,
  lexicon: Lexicon,
): Recognise {
  const trie = createTrie<SlotReading>();
  for (const { said, reading } of phrases) {
    const words = splitWords(said, language).map((word) => lexicon.add(word.text));
    if (words.length > 0) trie.insert(words, reading);
  }
  return ({ numbers }, from) => {
    const found: SlotMatch[] = [];
    trie.match(numbers, from, (end, readings) => {
      for (const value of readings) found.push({ end, value });
    });
    return found;
  };
}

/** A colour: by a name in the language, by its CSS name (CSS Color 4, section 6.1), or `#rrggbb`. */
export function recogniseColour(pack: LanguagePack, lexicon: Lexicon): Recognise {
  const own = Object.entries(pack.colours).flatMap(([value, said]) =>
    said.map((text) => ({ said: text, reading: { read: "value", value } as const })),
  );
  const known = new Set(own.map(({ said }) => said));
  const css = Object.entries(colorNames)
    .filter(([name]) => !known.has(name))
    .map(([said, [red, green, blue]]) => {
      const value = `#${((red << 16) | (green << 8) | blue).toString(16).padStart(6, "0")}`;
      return { said, reading: { read: "value", value } as const };
    });
  const named = recognisePhrases([...own, ...css], pack.language, lexicon);
  return (utterance, from) => {
    const hex = /^#(?:([0-9a-f]{6})|([0-9a-f])([0-9a-f])([0-9a-f]))$/.exec(
      utterance.texts[from] ?? "",
    );
    if (!hex) return named(utterance, from);
    const [, long, red = "", green = "", blue = ""] = hex;
    const value = `#${long ?? red + red + green + green + blue + blue}`;
    return [{ end: from + 1, value: { read: "value", value } }];
  };
}

/** A word for a state. */
export function recogniseState(pack: LanguagePack, lexicon: Lexicon): Recognise {
  const phrases = stateWords.flatMap((state) =>
    pack.states[state].map((said) => ({ said, reading: { read: "state", state } as const })),
  );
  return recognisePhrases(phrases, pack.language, lexicon);
}

/** A value that some device lists for a property, by the words of the language or as written. */
export function recogniseValue(
  book: Phrasebook,
  property: string,
  pack: LanguagePack,
  lexicon: Lexicon,
): Recognise {
  const values = new Set(
    [...book.devices.values()].flatMap(({ properties }) => properties.get(property)?.enum ?? []),
  );
  const phrases = [...values].flatMap((value) => {
    const said = pack.values[property]?.[value] ?? [value];
    return said.map((text) => ({ said: text, reading: { read: "value", value } as const }));
  });
  return recognisePhrases(phrases, pack.language, lexicon);
}
