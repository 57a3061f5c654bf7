import { type Recognise, endsFrom } from "../automaton/chart.ts";
import { buildNetwork, ruleOf } from "../automaton/network.ts";
import { createSets } from "../automaton/sets.ts";
import type { Cursor } from "../document/cursor.ts";
import { readPatterns } from "../document/said.ts";
import type { ValuesDefinition } from "../document/shapes.ts";
import type { Value } from "../model/property.ts";
import type { ChoiceValue } from "../model/spoken.ts";
import type { Pattern } from "../pattern/tree.ts";
import { type Ground, type ValueReading, valueRead } from "./slot.ts";

/** A value without words of its own is said as it is written. A number as a key is a number. */
export function readChoices(cursor: Cursor<ValuesDefinition> | undefined): ChoiceValue[] {
  if (!cursor) return [];
  const { value } = cursor;
  if (Array.isArray(value)) {
    const texts = cursor.as(value).items();
    return texts.map((text) => ({ value: text.value, patterns: readPatterns(text) }));
  }
  return cursor
    .as(value)
    .entries()
    .map((said) => {
      const numeric = said.id.trim() !== "" && Number.isFinite(Number(said.id));
      const patterns = readPatterns(said.as(said.value ?? said.id));
      return { value: numeric ? Number(said.id) : said.id, patterns };
    });
}

/** The patterns for values in a language. */
export function choicePatterns(values: readonly ChoiceValue[], language: string): Pattern[] {
  return values.flatMap(({ patterns }) =>
    patterns.filter((pattern) => pattern.language === language).map(({ tree }) => tree),
  );
}

/** One of the words or phrases listed for values. */
export function recogniseChoices(
  values: readonly ChoiceValue[],
  { language, lexicon, refer }: Ground,
): Recognise<ValueReading> {
  const of: Value[] = [];
  const rules = values.flatMap(({ value, patterns }) =>
    patterns.flatMap(({ language: spoken, tree }) => {
      if (spoken !== language) return [];
      of.push(value);
      return [{ tree, refer }];
    }),
  );
  const network = buildNetwork(rules, lexicon);
  const sets = createSets(network);
  return (utterance, from) =>
    endsFrom(sets, utterance, from).flatMap(({ end, states }) => {
      const meant = new Set(states.flatMap((state) => of[ruleOf(network, state)] ?? []));
      return [...meant].map((value) => ({ end, value: valueRead(value) }));
    });
}
