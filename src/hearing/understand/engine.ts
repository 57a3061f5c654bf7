import type { Recognise } from "../../automaton/chart.ts";
import { endsFrom } from "../../automaton/chart.ts";
import {
  type Network,
  type Referred,
  type Rule,
  buildNetwork,
  slotSymbol,
} from "../../automaton/network.ts";
import { type Sets, createSets } from "../../automaton/sets.ts";
import { type Utterance, prepareUtterance } from "../../automaton/utterance.ts";
import { type NumberReader, createNumberReader } from "../../language/numbers.ts";
import type { LanguagePack } from "../../language/pack.ts";
import { packFor } from "../../language/packs.ts";
import { splitWords } from "../../language/words.ts";
import { english } from "../../language/english.ts";
import { type Lexicon, createLexicon } from "../../lexicon/lexicon.ts";
import { parsePattern } from "../../pattern/parse.ts";
import type { Pattern } from "../../pattern/tree.ts";
import type {
  ChoiceValue,
  Device,
  Intent,
  NumberSlot,
  Phrasebook,
  Slot,
  SpokenPattern,
} from "../../phrasebook/model.ts";
import { fragmentTree } from "../../phrasebook/references.ts";
import { isKnown } from "../../commands/access.ts";
import { createClockReader } from "../../slot-types/clock.ts";
import { createDateReader } from "../../slot-types/dates.ts";
import { createDurationReader } from "../../slot-types/durations.ts";
import { createTargetReader } from "../../slot-types/expression.ts";
import { recognisePhrases } from "../../slot-types/phrases.ts";
import { type WhenFound, createWhenFinder } from "./whens.ts";
import { type Plan, planIntent } from "../../commands/plan.ts";
import { type Names, gatherNames } from "../../slot-types/names.ts";
import {
  type SlotReading,
  recogniseChoice,
  recogniseColour,
  recogniseOrdinal,
  recogniseQuantity,
  recogniseRoutine,
  recogniseState,
  recogniseValue,
} from "../../slot-types/slots.ts";

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
  /** What an answer to the question for a slot can be read as. */
  readAnswer: (
    intent: Intent,
    slot: Slot,
    text: string,
  ) => { reading: SlotReading; words: string }[];
  /** Whether words may speak of what was spoken of last. */
  speaksOfIt: (utterance: Utterance) => boolean;
  /** What says when, in the order said. */
  whens: (utterance: Utterance) => WhenFound[];
  /** Words between commands: where they start and end. */
  joiners: (utterance: Utterance) => { from: number; end: number }[];
  /** Places after the address and courtesies that open an utterance; 0 among them. */
  starts: (utterance: Utterance) => Set<number>;
  /** Places before the courtesies that close it; the end among them. */
  ends: (utterance: Utterance) => Set<number>;
}

const engines = new WeakMap<Phrasebook["intents"], Map<string, Engine>>();

/** The engine of a phrasebook for one of its languages, made when it is first needed. */
export function engineFor(book: Phrasebook, language: string): Engine {
  let made = engines.get(book.intents);
  if (!made) engines.set(book.intents, (made = new Map<string, Engine>()));
  let engine = made.get(language);
  if (!engine) made.set(language, (engine = createEngine(book, language)));
  return engine;
}

/** Compiles the patterns and names of a phrasebook for one of its languages. */
function createEngine(book: Phrasebook, language: string): Engine {
  const pack = packFor(language) ?? english;
  const lexicon = createLexicon();
  const small = new Set(pack.small);
  const names = gatherNames(book, language, lexicon, small);
  const fragment = fragmentsIn(book, language);
  const slotTypes = createSlotTypes(book, pack, language, names, lexicon, (values) =>
    recogniseChoice(values, language, lexicon, fragment),
  );

  const abilities = abilitiesOf(book);
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
    const isAble = canBeDone(plan, abilities);
    for (const pattern of intent.patterns) {
      if (pattern.language !== language) continue;
      // What nothing that speech knows of can do is not understood at all.
      if (pattern.origin === "vocabulary" && !isAble) continue;
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
  const starts = (utterance: Utterance): Set<number> => {
    const starts = new Set([0]);
    // A set grows while it is walked: courtesies may follow one another.
    for (const start of starts) for (const end of opening(utterance, start)) starts.add(end);
    return starts;
  };
  const ends = (utterance: Utterance): Set<number> => {
    const ends = new Set([utterance.words.length]);
    for (let from = utterance.words.length - 1; from > 0; from--) {
      if (closing(utterance, from).some((end) => ends.has(end))) ends.add(from);
    }
    return ends;
  };
  const itWords = new Set(
    [...pack.targets.it, ...pack.targets.there].flatMap(
      (said) => splitWords(said, pack.language)[0]?.text ?? [],
    ),
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
    whens: slotTypes.whens,
    joiners: createJoinerFinder(pack, lexicon),
    readAnswer(intent, slot, text) {
      if (slot.type === "text") {
        const words = text.trim();
        return words === "" ? [] : [{ reading: { read: "value", value: words }, words }];
      }
      const recognise = slotTypes.recogniserOf(intent, slot);
      const utterance = prepareUtterance(text, splitWords(text, language), lexicon, small);
      const whole = ends(utterance);
      return [...starts(utterance)].flatMap((start) => {
        let from = start;
        while (utterance.small[from] && recognise(utterance, from).length === 0) from++;
        const first = utterance.words[from]?.start ?? 0;
        return recognise(utterance, from).flatMap(({ end, value }) => {
          if (!whole.has(end)) return [];
          const words = text.slice(first, utterance.words[end - 1]?.end);
          return [{ reading: value as SlotReading, words }];
        });
      });
    },
    speaksOfIt: ({ texts }) => texts.some((text) => itWords.has(text)),
    starts,
    ends,
  };
}

/** The properties and actions of all devices that speech knows of. */
function abilitiesOf({ devices }: Phrasebook): ReadonlySet<string> {
  const abilities = new Set<string>();
  const seen = new Set<Device["properties"]>();
  for (const device of devices.values()) {
    if (!isKnown(device)) continue;
    // Devices of a kind share its properties.
    if (!seen.has(device.properties)) {
      seen.add(device.properties);
      for (const name of device.properties.keys()) abilities.add(name);
    }
    for (const action of device.actions) abilities.add(`${action}()`);
  }
  return abilities;
}

function canBeDone({ asked }: Plan, abilities: ReadonlySet<string>): boolean {
  return [...asked.values()].every(
    ({ properties, actions }) =>
      properties.every((name) => abilities.has(name)) &&
      actions.every((action) => abilities.has(`${action}()`)),
  );
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
  language: string,
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
  const later = <T>(make: () => T): (() => T) => {
    let made: { value: T } | undefined;
    return () => (made ??= { value: make() }).value;
  };
  const durations = later(() => createDurationReader(pack, numbers, lexicon));
  const ordinals = later(() => recogniseOrdinal(pack, lexicon));
  const times = later(() => createClockReader(pack, numbers, lexicon));
  const dates = later(() => createDateReader(pack, numbers, ordinals(), lexicon));
  const makeNumber = (slot: NumberSlot): Recognise => {
    switch (slot.type) {
      case "percent":
        return quantity(pack.units.percent, { whole: 100 });
      case "temperature":
        return quantity(pack.units.celsius);
      case "colour-temperature":
        return quantity(pack.units.kelvin, { bareFrom: 1000 });
      case "duration":
        return durations();
      case "ordinal":
        return ordinals();
      case "number":
      case "integer": {
        const said = (slot.unit?.said ?? []).filter(({ language }) => packFor(language) === pack);
        return quantity(said.map(({ text }) => text));
      }
    }
  };
  const make = (slot: MatchedSlot): Recognise => {
    switch (slot.type) {
      case "target":
        return createTargetReader(book, pack, names, lexicon);
      case "choice":
        return choice(slot.values);
      case "colour":
        return recogniseColour(pack, book.colours, lexicon);
      case "state":
        return recogniseState(pack, lexicon);
      case "value":
        return recogniseValue(book, slot.property, pack, lexicon);
      case "routine":
        return recogniseRoutine(book, language, lexicon);
      case "time":
        return reading(times(), (time) => ({ read: "time", time }));
      case "date":
        return reading(dates(), (date) => ({ read: "date", date }));
      default: {
        const number = makeNumber(slot);
        if (slot.values.length === 0) return number;
        const named = choice(slot.values);
        return (utterance, from) => [...number(utterance, from), ...named(utterance, from)];
      }
    }
  };
  // Most utterances say no when, so what finds one waits, with a lexicon of its own: the words of
  // an utterance have their numbers before it is asked.
  const whens = later(() => {
    const own = createLexicon();
    const ordinals = recogniseOrdinal(pack, own);
    const parts = {
      duration: createDurationReader(pack, numbers, own),
      time: createClockReader(pack, numbers, own),
      date: createDateReader(pack, numbers, ordinals, own),
    };
    const find = createWhenFinder(pack, parts, own);
    return (utterance: Utterance) => find({ ...utterance, numbers: utterance.texts.map(own.find) });
  });
  const typeOf = (intent: Intent, slot: MatchedSlot): number => {
    const isOwn = ("values" in slot && slot.values.length > 0) || "unit" in slot;
    const property = slot.type === "value" ? slot.property : "";
    const key = isOwn ? `${slot.type} ${intent.id} ${slot.name}` : `${slot.type} ${property}`;
    let type = known.get(key);
    if (type === undefined) {
      type = types.length;
      types.push(make(slot));
      known.set(key, type);
    }
    return type;
  };
  return {
    types,
    whens: (utterance: Utterance) => whens()(utterance),
    symbolOf: (intent: Intent, slot: MatchedSlot) => slotSymbol(typeOf(intent, slot)),
    recogniserOf: (intent: Intent, slot: MatchedSlot): Recognise =>
      types[typeOf(intent, slot)] ?? (() => []),
  };
}

/** What a recogniser finds, as readings of a slot. */
function reading<T>(
  find: (utterance: Utterance, from: number) => readonly { end: number; value: T }[],
  read: (value: T) => SlotReading,
): Recognise {
  return (utterance, from) =>
    find(utterance, from).map(({ end, value }) => ({ end, value: read(value) }));
}

/** Joiners are the longest that stand at a place: "and then" is one. */
function createJoinerFinder({ times, language }: LanguagePack, lexicon: Lexicon) {
  const find = recognisePhrases(
    times.then.map((said) => ({ said, reading: true })),
    language,
    lexicon,
  );
  return (utterance: Utterance): { from: number; end: number }[] => {
    const found: { from: number; end: number }[] = [];
    for (let from = 1; from < utterance.numbers.length - 1;) {
      const end = Math.max(from, ...find(utterance, from).map((match) => match.end));
      if (end > from && end < utterance.numbers.length) found.push({ from, end });
      from = Math.max(end, from + 1);
    }
    return found;
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
