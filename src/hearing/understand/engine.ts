import type { Recognise } from "../../automaton/chart.ts";
import { type Network, type Rule, buildNetwork } from "../../automaton/network.ts";
import { type Sets, createSets } from "../../automaton/sets.ts";
import { type Utterance, prepareUtterance } from "../../automaton/utterance.ts";
import type { NumberReader } from "../../language/numbers.ts";
import type { LanguagePack } from "../../language/pack.ts";
import type { Said } from "../../language/vocabulary.ts";
import { packOf } from "../../language/packs.ts";
import { firstWordsOf, splitWords } from "../../language/words.ts";
import { type Lexicon, createLexicon, unheardOf } from "../../lexicon/lexicon.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import type { TargetExpression } from "../../slot-types/expression.ts";
import { spokenApart } from "../../lexicon/enclitics.ts";
import { respelled } from "../../lexicon/respelled.ts";
import { isWish } from "../../language/vocabulary.ts";
import { createGround } from "../../slot-types/ground.ts";
import { later } from "../../source/later.ts";
import { betweenWords } from "../../slot-types/heads.ts";
import { type Names, gatherNames } from "../../slot-types/names.ts";
import type { Ground, Slot, SlotReading } from "../../slot-types/slot.ts";
import { isBare } from "../../slot-types/narrowing.ts";
import type { NarrowingFound } from "../../slot-types/found.ts";
import { type Around, createAround } from "./around.ts";
import { type Talk, createTalk } from "./talk.ts";
import { createGerunds } from "./gerunds.ts";
import { createRequests } from "./requests.ts";
import { type Recent, createRecent } from "./recent.ts";
import { type EngineRule, fragmentsIn, ruleFor, rulesOf } from "./rules.ts";
import { shippedFor, shippedNetwork } from "./shipped-network.ts";
import { createSymbols } from "./symbols.ts";
import { type WhenFound, createWhenFinder } from "./whens.ts";

/** Everything that is needed to understand one language in one home. */
export interface Engine extends Around, Talk, Recent {
  language: string;
  pack: LanguagePack;
  lexicon: Lexicon;
  small: ReadonlySet<string>;
  names: Names;
  network: Network;
  sets: Sets;
  types: readonly Recognise<SlotReading>[];
  /** The same utterance with verbs in their usual form, where somebody is asked about doing it. */
  restate: (utterance: Utterance) => Utterance;
  /** What each rule of the network is. */
  rules: readonly EngineRule[];
  /** What an answer to the question for a slot can be read as. */
  readAnswer: (slot: Slot, text: string) => { reading: SlotReading; words: string }[];
  /** Whether words may speak of what was spoken of last. */
  speaksOfIt: (utterance: Utterance) => boolean;
  /** Whether what words mean may hang on what was spoken of last: also "the one in the loft". */
  mayLean: (utterance: Utterance) => boolean;
  /** Whether words may speak of where the speaker stands. */
  speaksOfHere: (utterance: Utterance) => boolean;
  /** "It", as a word of an utterance. */
  itWord: Utterance;
  /** What is said of a thing that is on, as a word. */
  onWord: Utterance;
  /** Verbs that leave a thing as it is. */
  keeps: ReadonlySet<string>;
  /** Verbs that give a thing so long: "give the pump ten minutes". */
  gives: ReadonlySet<string>;
  /** Words between a thing and what tells which one it is. */
  ofWords: ReadonlySet<string>;
  /** Words that add something to what was said of a thing: "with", "at". */
  besides: ReadonlySet<string>;
  /** Whether what people say is wrong is an order here. */
  hasWishes: boolean;
  /** The rooms of the places whose names begin at a word. */
  roomsNamed: (utterance: Utterance, from: number) => readonly string[];
  /** Whether a word says all of the home: "everything". */
  isEverything: (utterance: Utterance, from: number) => boolean;
  /** Whether a place without a name begins at a word: "outside". */
  openPlace: (utterance: Utterance, from: number) => boolean;
  /** The words for what a stretch of words leaves as it is: "leave the lamp alone". */
  leftAsIs: (utterance: Utterance, from: number, end: number) => [number, number] | undefined;
  numbers: NumberReader;
  /** Where the shortest words from a place on end that name something of the home. */
  naming: (utterance: Utterance, from: number) => number | undefined;
  /** The same without names of which only what tells things apart is said: "the coffee is ready". */
  mentions: (utterance: Utterance, from: number) => number | undefined;
  /** Where words from a place on say that something is, by where the speaker stands or what was spoken of. */
  pointsTo: (utterance: Utterance, from: number) => "here" | "there" | undefined;
  /** The longest name of one device that begins at a place. */
  deviceNamed: (utterance: Utterance, from: number) => { end: number; id: string } | undefined;
  /** What may narrow a thing that is named elsewhere: where it is, what is left out of it. */
  narrowings: (utterance: Utterance) => NarrowingFound[];
  /** What says when, in the order said. */
  whens: (utterance: Utterance) => WhenFound[];
  /** Where times of day end that begin at a word: "half past nine". */
  clocks: (utterance: Utterance, from: number) => readonly number[];
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
  const pack = packOf(book, language);
  const all = rulesOf(book, language);
  const shipped = all.filter(({ pattern }) => pattern.isShared);
  const own = all.filter(({ pattern }) => !pattern.isShared);
  const rules = [...shipped, ...own];
  const kept = shippedFor(
    pack,
    shipped.map(({ pattern }) => pattern.tree),
  );
  const lexicon = kept.words.copy();
  const spoken = { home: book, language, pack };
  const refer = fragmentsIn(book, language);
  const ground = createGround(spoken, lexicon, refer);
  const names = gatherNames(spoken, lexicon, (word) => kept.words.find(word) !== unheardOf);
  const symbols = createSymbols(ground, names);
  const small = new Set([...pack.small, ...pack.fillers]);

  const ruled = ({ intent, pattern }: EngineRule): Rule =>
    ruleFor(intent, pattern, { refer, symbols });
  const network = buildNetwork(
    own.map(ruled),
    lexicon,
    shippedNetwork(kept, shipped.map(ruled), lexicon),
  );
  const address = book.address.filter((each) => each.language === language);
  const around = createAround(
    ground,
    address.map(({ tree }) => tree),
  );
  const sets = createSets(network);
  // A command begins with its verb.
  const isVerb = (word: number): boolean => sets.start.moves.has(word);
  const verbs = { lexicon, isVerb };
  const minded = createGerunds(ground, around);
  const requested = createRequests(pack, verbs, around);
  const prepare = (text: string): Utterance => {
    const utterance = prepareUtterance(text, splitWords(text, pack), lexicon, small);
    if (!utterance.numbers.includes(unheardOf)) return utterance;
    const words = spokenApart(respelled(utterance.words, pack, verbs), pack, verbs);
    return words === utterance.words ? utterance : prepareUtterance(text, words, lexicon, small);
  };
  const wordOf = ([text = ""]: Said): Utterance =>
    prepareUtterance("", splitWords(text, pack), lexicon, small);
  const firstWords = (said: Said): ReadonlySet<string> => firstWordsOf(said, pack);
  const { it, here, there, one, ones } = pack.targets;
  const itWords = firstWords([...it, ...there]);
  const leaningWords = firstWords([...it, ...there, ...one, ...ones]);
  const hereWords = firstWords(here);
  const stays = new Set(pack.stays.verbs);
  const talk = createTalk(ground);
  const namedAt = (
    utterance: Utterance,
    from: number,
    isMeant: (target: TargetExpression) => boolean,
  ): number | undefined => {
    const ends = symbols.targets
      .read(utterance, from)
      .flatMap(({ end, value }) => (value.read === "target" && isMeant(value.target) ? end : []));
    return ends.length > 0 ? Math.min(...ends) : undefined;
  };
  const timed = later(() => createLaterTimes(ground));
  const recent = createRecent({ sets, network, types: symbols.types, ...around }, prepare);
  return {
    language,
    pack,
    lexicon,
    small,
    names,
    network,
    sets,
    types: symbols.types,
    rules,
    ...recent,
    restate: (utterance) => requested(minded(utterance)),
    ...around,
    ...talk,
    itWord: wordOf(pack.targets.it),
    onWord: wordOf(pack.states.on),
    keeps: stays,
    gives: firstWords(pack.gives),
    ofWords: betweenWords(pack),
    besides: new Set(pack.frames.besides),
    hasWishes: [...book.intents.keys()].some(isWish),
    leftAsIs(utterance, from, end) {
      let verb = from;
      while (verb < end && utterance.small[verb] === true) verb++;
      if (!stays.has(utterance.texts[verb] ?? "")) return undefined;
      const named = verb + 1;
      for (let last = named + 1; last < end; last++) {
        if (talk.asIs(utterance, last).some((found) => found.end === end)) return [named, last];
      }
      return named < end ? [named, end] : undefined;
    },
    numbers: ground.numbers,
    naming: (utterance, from) => namedAt(utterance, from, isOfHome),
    mentions: (utterance, from) =>
      namedAt(
        utterance,
        from,
        (target) => isOfHome(target) && !isBare(target) && !isForeign(target, language),
      ),
    openPlace: (utterance, from) =>
      symbols.targets
        .read(utterance, from)
        .some(({ value }) => value.read === "target" && isOpenPlace(value.target)),
    isEverything: (utterance, from) =>
      symbols.targets
        .read(utterance, from)
        .some(({ value }) => value.read === "target" && value.target.target === "everything"),
    roomsNamed: (utterance, from) =>
      symbols.targets.read(utterance, from).flatMap(({ value }) => {
        if (value.read !== "target" || value.target.target !== "named") return [];
        return value.target.holders.flatMap(({ entity }) =>
          entity.type === "room" ? entity.id : entity.type === "zone" ? entity.rooms : [],
        );
      }),
    pointsTo(utterance, from) {
      const read = symbols.targets.read(utterance, from);
      const sorts = read.map(({ value }) => (value.read === "target" ? value.target.target : ""));
      if (sorts.includes("there")) return "there";
      return sorts.includes("here") ? "here" : undefined;
    },
    deviceNamed: (utterance, from) =>
      symbols.targets
        .read(utterance, from)
        .flatMap(({ end, value }) => {
          const holders =
            value.read === "target" && value.target.target === "named" ? value.target.holders : [];
          const [only, more] = holders;
          return only && !more && only.entity.type === "device" ? { end, id: only.entity.id } : [];
        })
        .sort((one, other) => other.end - one.end)[0],
    narrowings: symbols.targets.narrowings,
    whens: (utterance) => timed().whens(utterance),
    clocks: (utterance, from) => timed().clocks(utterance, from),
    readAnswer(slot, text) {
      if (slot.fills === "words") {
        const words = text.trim();
        return words === "" ? [] : [{ reading: { read: "value", value: words }, words }];
      }
      return readWhole(recent.prepare(text), symbols.recogniserOf(slot), around);
    },
    speaksOfIt: ({ texts }) => texts.some((text) => itWords.has(text)),
    mayLean: ({ texts }) => texts.some((text) => leaningWords.has(text)),
    speaksOfHere: ({ texts }) => texts.some((text) => hereWords.has(text)),
  };
}

/** Whether it is only named as in another language of the home: "bad" is a room in one, and a bath in another. */
function isForeign(expression: TargetExpression, language: string): boolean {
  return (
    expression.target === "named" &&
    expression.holders.every(
      ({ entity, name }) =>
        name.language !== language && entity.names.some((each) => each.language === language),
    )
  );
}

/** Whether something is named; "it", "here" and "outside" alone name nothing. */
function isOfHome(expression: TargetExpression): boolean {
  const { target } = expression;
  return target !== "it" && target !== "here" && target !== "there" && !isOpenPlace(expression);
}

/** Whether it is a place without a name, and no thing: "outside". */
function isOpenPlace(expression: TargetExpression): boolean {
  return expression.target === "everything" && typeof expression.place === "string";
}

/** All that a text as a whole can be recognised as, courtesies and small words apart. */
function readWhole(
  utterance: Utterance,
  recognise: Recognise<SlotReading>,
  { starts, ends }: Around,
): { reading: SlotReading; words: string }[] {
  const whole = ends(utterance);
  return [...starts(utterance)].flatMap((start) => {
    let from = start;
    while (utterance.small[from] && recognise(utterance, from).length === 0) from++;
    const first = utterance.words[from]?.start ?? 0;
    return recognise(utterance, from).flatMap(({ end, value: reading }) => {
      let last = end;
      while (!whole.has(last) && utterance.small[last]) last++;
      if (!whole.has(last)) return [];
      return [{ reading, words: utterance.text.slice(first, utterance.words[end - 1]?.end) }];
    });
  });
}

/**
 * Most utterances say no when, so what finds one waits, with a lexicon of its own: the words of an
 * utterance have their numbers before it is asked.
 */
function createLaterTimes({
  home,
  language,
  pack,
  refer,
}: Ground): Pick<Engine, "whens" | "clocks"> {
  const own = createLexicon();
  const ground = createGround({ home, language, pack }, own, refer);
  const find = createWhenFinder(ground);
  const clock = ground.clocks();
  const inOwn = (utterance: Utterance): Utterance => {
    return { ...utterance, numbers: utterance.texts.map(own.find) };
  };
  return {
    whens: (utterance) => find(inOwn(utterance)),
    clocks: (utterance, from) => clock(inOwn(utterance), from).map(({ end }) => end),
  };
}
