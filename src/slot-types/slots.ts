import colorNames from "color-name";
import { createSets } from "../automaton/sets.ts";
import { type Match, type Recognise, endsFrom } from "../automaton/chart.ts";
import { type Rule, buildNetwork } from "../automaton/network.ts";
import type { NumberReader } from "../language/numbers.ts";
import { splitWords } from "../language/words.ts";
import type { LanguagePack } from "../language/pack.ts";
import { packFor } from "../language/packs.ts";
import { type StateWord, stateWords } from "../language/vocabulary.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import type { ChoiceValue, NamedColour, Phrasebook } from "../phrasebook/model.ts";
import type { Value } from "../phrasebook/property.ts";
import { isKnown } from "../commands/access.ts";
import type { ClockReading } from "./clock.ts";
import type { DateReading } from "./dates.ts";
import type { TargetExpression } from "../commands/expression.ts";
import { spokenNames } from "../phrasebook/names.ts";
import { recognisePhrases } from "./phrases.ts";

/** What words in a slot were taken for. */
export type SlotReading =
  | { read: "number"; value: number; /** A part of a whole: "half". */ part?: number }
  | { read: "time"; time: ClockReading }
  | { read: "date"; date: DateReading }
  | { read: "value"; value: Value }
  | { read: "state"; state: StateWord }
  | { read: "target"; target: TargetExpression };

interface SlotMatch extends Match {
  value: SlotReading;
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
      const part = fraction && whole !== 1 ? { part: value } : {};
      const bare: SlotReading = {
        read: "number",
        value: fraction ? value * whole : value,
        ...part,
      };
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

/** An ordinal number: "third", "21st". */
export function recogniseOrdinal({ numbers, language }: LanguagePack, lexicon: Lexicon): Recognise {
  const spoken = Array.from({ length: 100 }, (_, index) => {
    const written = numbers.ordinal(index + 1);
    const endings = numbers.ordinalEndings
      .filter(([from]) => written.endsWith(from))
      .map(([from, to]) => written.slice(0, -from.length) + to);
    const reading = { read: "number", value: index + 1 } as const;
    return [written, ...endings].map((said) => ({ said, reading }));
  });
  const inWords = recognisePhrases<SlotReading>(spoken.flat(), language, lexicon);
  return (utterance, from) => {
    const digits = /^\d{1,4}$/.exec(utterance.texts[from] ?? "");
    if (!digits) return inWords(utterance, from);
    const isSigned = numbers.ordinalSigns.includes(utterance.texts[from + 1] ?? "");
    const value: SlotReading = { read: "number", value: Number(digits[0]) };
    return [{ end: from + (isSigned ? 2 : 1), value }];
  };
}

/** A colour: by a name of the phrasebook or the language, by its CSS name (CSS Color 4, section 6.1), or `#rrggbb`. */
export function recogniseColour(
  pack: LanguagePack,
  colours: readonly NamedColour[],
  lexicon: Lexicon,
): Recognise {
  const ofHome = colours
    .filter(({ language }) => packFor(language) === pack)
    .map(({ value, text }) => ({ said: text, reading: { read: "value", value } as const }));
  const taken = new Set(ofHome.map(({ said }) => said));
  const own = Object.entries(pack.colours)
    .flatMap(([value, said]) =>
      said.map((text) => ({ said: text, reading: { read: "value", value } as const })),
    )
    .filter(({ said }) => !taken.has(said))
    .concat(ofHome);
  const known = new Set(own.map(({ said }) => said));
  const css = Object.entries(colorNames)
    .filter(([name]) => !known.has(name))
    .map(([said, [red, green, blue]]) => {
      const value = `#${((red << 16) | (green << 8) | blue).toString(16).padStart(6, "0")}`;
      return { said, reading: { read: "value", value } as const };
    });
  const named = recognisePhrases<SlotReading>([...own, ...css], pack.language, lexicon);
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
  return recognisePhrases<SlotReading>(phrases, pack.language, lexicon);
}

/** A value that some device lists for a property, by the words of the language or as written. */
export function recogniseValue(
  book: Phrasebook,
  property: string,
  pack: LanguagePack,
  lexicon: Lexicon,
): Recognise {
  const values = new Set(
    [...book.devices.values()]
      .filter(isKnown)
      .flatMap(({ properties }) => properties.get(property)?.enum ?? []),
  );
  const phrases = [...values].flatMap((value) => {
    const said = pack.values[property]?.[value] ?? [value];
    return said.map((text) => ({ said: text, reading: { read: "value", value } as const }));
  });
  return recognisePhrases<SlotReading>(phrases, pack.language, lexicon);
}

/** A routine by one of its names; routines that are not enabled do not exist for speech. */
export function recogniseRoutine(
  { routines, languages }: Phrasebook,
  language: string,
  lexicon: Lexicon,
): Recognise {
  const phrases = [...routines.values()]
    .filter(({ enabled }) => enabled)
    .flatMap((routine) =>
      spokenNames(routine, language, languages[0] ?? language).map(({ text }) => {
        return { said: text, reading: { read: "value", value: routine.id } as const };
      }),
    );
  return recognisePhrases<SlotReading>(phrases, language, lexicon);
}
