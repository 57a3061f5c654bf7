import type { Recognise } from "../automaton/chart.ts";
import { endsFrom } from "../automaton/chart.ts";
import {
  type Network,
  type Referred,
  type Rule,
  buildNetwork,
  slotSymbol,
} from "../automaton/network.ts";
import { type Sets, createSets } from "../automaton/sets.ts";
import type { Utterance } from "../automaton/utterance.ts";
import { type NumberReader, createNumberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import { packFor } from "../language/packs.ts";
import { english } from "../language/english.ts";
import { type Lexicon, createLexicon } from "../lexicon/lexicon.ts";
import { parsePattern } from "../pattern/parse.ts";
import type { Pattern } from "../pattern/tree.ts";
import type {
  ChoiceValue,
  Intent,
  NumberSlotType,
  Phrasebook,
  Slot,
  SpokenPattern,
} from "../phrasebook/model.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import { createTargetReader } from "./expression.ts";
import { type Plan, planIntent } from "./plan.ts";
import { type Names, gatherNames } from "./names.ts";
import {
  recogniseChoice,
  recogniseColour,
  recogniseNumber,
  recogniseQuantity,
  recogniseState,
  recogniseValue,
} from "./slots.ts";

/** Everything that is needed to understand one language in one home. */
export interface Engine {
  language: string;
  pack: LanguagePack;
  lexicon: Lexicon;
  small: ReadonlySet<string>;
  names: Names;
  network: Network;
  sets: Sets;
  types: readonly Recognise[];
  /** What each rule of the network is. */
  rules: readonly { intent: Intent; pattern: SpokenPattern; plan: Plan }[];
  /** Places after the address and courtesies that open an utterance; 0 among them. */
  starts: (utterance: Utterance) => Set<number>;
  /** Places before the courtesies that close it; the end among them. */
  ends: (utterance: Utterance) => Set<number>;
}

/** Compiles the patterns and names of a phrasebook for one of its languages. */
export function createEngine(book: Phrasebook, language: string): Engine {
  const pack = packFor(language) ?? english;
  const lexicon = createLexicon();
  const small = new Set(pack.small);
  const names = gatherNames(book, language, lexicon, small);
  const fragment = fragmentsIn(book, language);
  const slotTypes = createSlotTypes(book, pack, names, lexicon, (values) =>
    recogniseChoice(values, language, lexicon, fragment),
  );

  const rules: { intent: Intent; pattern: SpokenPattern; plan: Plan }[] = [];
  const compiled: Rule[] = [];
  for (const intent of book.intents.values()) {
    const refer = (name: string): Referred | undefined => {
      const slot = intent.slots.get(name);
      if (!slot) return fragment(name);
      if (slot.type === "text") return { refer: "text" };
      return { refer: "slot", symbol: slotTypes.symbolOf(intent, slot) };
    };
    const plan = planIntent(intent);
    for (const pattern of intent.patterns) {
      if (pattern.language !== language) continue;
      rules.push({ intent, pattern, plan });
      compiled.push({ tree: pattern.tree, refer });
    }
  }
  const network = buildNetwork(compiled, lexicon);
  const address = book.address.filter((each) => each.language === language);
  const opening = pieces(
    [...address.map(({ tree }) => tree), ...parsed(pack.courtesies.opening, language)],
    lexicon,
    fragment,
  );
  const closing = pieces(
    [...address.map(({ tree }) => tree), ...parsed(pack.courtesies.closing, language)],
    lexicon,
    fragment,
  );
  return {
    language,
    pack,
    lexicon,
    small,
    names,
    network,
    sets: createSets(network),
    types: slotTypes.types,
    rules,
    starts: (utterance) => {
      const starts = new Set([0]);
      // A set grows while it is walked: courtesies may follow one another.
      for (const start of starts) for (const end of opening(utterance, start)) starts.add(end);
      return starts;
    },
    ends: (utterance) => {
      const ends = new Set([utterance.words.length]);
      for (let from = utterance.words.length - 1; from > 0; from--) {
        if (closing(utterance, from).some((end) => ends.has(end))) ends.add(from);
      }
      return ends;
    },
  };
}

function fragmentsIn(book: Phrasebook, language: string) {
  const trees = new Map<string, Pattern | undefined>();
  for (const fragment of book.fragments.values()) {
    trees.set(fragment.name, fragmentTree(fragment, language));
  }
  return (name: string): Referred | undefined => {
    const pattern = trees.get(name);
    return pattern && { refer: "pattern", pattern, fragment: name };
  };
}

type MatchedSlot = Exclude<Slot, { type: "text" }>;

/** Slots of one type share a recogniser; those with values of their own do not. */
function createSlotTypes(
  book: Phrasebook,
  pack: LanguagePack,
  names: Names,
  lexicon: Lexicon,
  choice: (values: readonly ChoiceValue[]) => Recognise,
) {
  const types: Recognise[] = [];
  const known = new Map<string, number>();
  let reader: NumberReader | undefined;
  const numbers: NumberReader = (words, from) => {
    // A thousand number words take a while to spell out, and many homes are never told one.
    reader ??= createNumberReader(pack);
    return reader(words, from);
  };
  const quantity = (unit: readonly string[], options = {}): Recognise =>
    recogniseQuantity(numbers, unit, pack.language, options);
  const makeNumber = (type: NumberSlotType): Recognise => {
    switch (type) {
      case "percent":
        return quantity(pack.units.percent, { whole: 100 });
      case "temperature":
        return quantity(pack.units.celsius);
      case "colour-temperature":
        return quantity(pack.units.kelvin, { bareFrom: 1000 });
      case "number":
      case "integer":
        return recogniseNumber(numbers);
    }
  };
  const make = (slot: MatchedSlot): Recognise => {
    switch (slot.type) {
      case "target":
        return createTargetReader(book, pack, names, lexicon);
      case "choice":
        return choice(slot.values);
      case "colour":
        return recogniseColour(pack, lexicon);
      case "state":
        return recogniseState(pack, lexicon);
      case "value":
        return recogniseValue(book, slot.property, pack, lexicon);
      default: {
        const number = makeNumber(slot.type);
        if (slot.values.length === 0) return number;
        const named = choice(slot.values);
        return (utterance, from) => [...number(utterance, from), ...named(utterance, from)];
      }
    }
  };
  return {
    types,
    symbolOf(intent: Intent, slot: MatchedSlot): number {
      const isOwn = "values" in slot && slot.values.length > 0;
      const property = slot.type === "value" ? slot.property : "";
      const key = isOwn ? `${slot.type} ${intent.id} ${slot.name}` : `${slot.type} ${property}`;
      let type = known.get(key);
      if (type === undefined) {
        type = types.length;
        types.push(make(slot));
        known.set(key, type);
      }
      return slotSymbol(type);
    },
  };
}

function parsed(texts: readonly string[], language: string): Pattern[] {
  return texts.flatMap((text) => {
    const result = parsePattern(text, language);
    return result.ok ? [result.pattern] : [];
  });
}

/** Finds where pieces of speech that start at a place end. */
function pieces(trees: readonly Pattern[], lexicon: Lexicon, refer: Rule["refer"]) {
  const network = buildNetwork(
    trees.map((tree) => ({ tree, refer })),
    lexicon,
  );
  const sets = createSets(network);
  return (utterance: Utterance, from: number): number[] =>
    endsFrom(sets, utterance, from).map(({ end }) => end);
}
