import type { Recognise } from "../../automaton/chart.ts";
import { type Network, type Rule, buildNetwork } from "../../automaton/network.ts";
import { type Sets, createSets } from "../../automaton/sets.ts";
import { type Utterance, prepareUtterance } from "../../automaton/utterance.ts";
import type { NumberReader } from "../../language/numbers.ts";
import type { LanguagePack } from "../../language/pack.ts";
import { createForms } from "../../slot-types/forms.ts";
import type { Said } from "../../language/vocabulary.ts";
import { packOf } from "../../language/packs.ts";
import { splitWords } from "../../language/words.ts";
import { type Lexicon, createLexicon, unheardOf } from "../../lexicon/lexicon.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import type { TargetExpression } from "../../slot-types/expression.ts";
import { spokenApart } from "../../lexicon/enclitics.ts";
import { stateWordsIn } from "../../lexicon/said-states.ts";
import { respelled } from "../../lexicon/respelled.ts";
import { isWish } from "../../language/vocabulary.ts";
import { recognisePhrases } from "../../slot-types/phrases.ts";
import { createGround } from "../../slot-types/ground.ts";
import { later } from "../../source/later.ts";
import { betweenWords } from "../../slot-types/heads.ts";
import { type Names, gatherNames } from "../../slot-types/names.ts";
import type { Ground, Slot, SlotReading } from "../../slot-types/slot.ts";
import { isBare } from "../../slot-types/narrowing.ts";
import type { NarrowingFound } from "../../slot-types/found.ts";
import { type Around, createAround } from "./around.ts";
import { createGerunds } from "./gerunds.ts";
import { createRequests } from "./requests.ts";
import { type EngineRule, fragmentsIn, ruleFor, rulesOf } from "./rules.ts";
import { shippedFor, shippedNetwork } from "./shipped-network.ts";
import { createSymbols } from "./symbols.ts";
import { type WhenFound, createWhenFinder } from "./whens.ts";

/** Everything that is needed to understand one language in one home. */
export interface Engine extends Around {
  language: string;
  pack: LanguagePack;
  lexicon: Lexicon;
  small: ReadonlySet<string>;
  names: Names;
  network: Network;
  sets: Sets;
  types: readonly Recognise<SlotReading>[];
  /** A text as words that are ready to be understood. */
  prepare: (text: string) => Utterance;
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
  /** Verbs of what somebody perceives, or cannot. */
  perceives: ReadonlySet<string>;
  /** Words that say what something is: "is". */
  copulas: ReadonlySet<string>;
  /** Words that mean nothing on their own, but for those of hesitation. */
  articles: ReadonlySet<string>;
  /** Words for all of some: "all". */
  quantifiers: ReadonlySet<string>;
  /** Words that an exclamation begins with, and goes on with. */
  exclaims: { words: ReadonlySet<string>; that: ReadonlySet<string> };
  /** Words for nobody, and of denial beside them. */
  nobody: { words: ReadonlySet<string>; beside: ReadonlySet<string> };
  /** Words that add something to what was said of a thing: "with", "at". */
  besides: ReadonlySet<string>;
  /** Which words of an utterance no remark beside a command has. */
  hedged: (utterance: Utterance) => boolean[];
  /** Those of them that deny, and that say how often. */
  denies: ReadonlySet<string>;
  /** Those that say what was done with something: "closed". */
  participles: ReadonlySet<string>;
  habits: ReadonlySet<string>;
  /** Those of them that are none before words that the home does not have. */
  auxiliaries: ReadonlySet<string>;
  isClause: (word: string) => boolean;
  /** Whether a word points to what was spoken of: "it", "that's". */
  isPointer: (word: string) => boolean;
  /** What says how something is that is measured: "dark". */
  measured: Recognise<true>;
  /** What says how much of something there shall be: "dim". */
  levels: Recognise<true>;
  /** Whether a word begins a clause of those who speak. */
  isSpeaker: (word: string) => boolean;
  /** Words for units of time: "hour", "hours". */
  timeUnits: ReadonlySet<string>;
  /** Words of politeness: "want" of "I want the lamp on". */
  isPolite: (word: string) => boolean;
  /** Words of states: "on", "closed". */
  stateWords: ReadonlySet<string>;
  /** Which words of an utterance answer a question: "yes", "forget it". */
  answers: (utterance: Utterance) => boolean[];
  /** Whether what people say is wrong is an order here. */
  hasWishes: boolean;
  /** What begins a reason: "because". */
  reasons: Recognise<true>;
  /** What begins a command after the reason for it: "so". */
  therefore: Recognise<true>;
  /** What comes before a part of a command that is said anew: "no, wait". */
  repairs: Recognise<true>;
  /** Answers that say no. */
  denials: Recognise<true>;
  /** Words for one of something, which are articles as well. */
  ones: ReadonlySet<string>;
  /** The rooms of the places whose names begin at a word. */
  roomsNamed: (utterance: Utterance, from: number) => readonly string[];
  /** Whether a word says all of the home: "everything". */
  isEverything: (utterance: Utterance, from: number) => boolean;
  /** Whether a place without a name begins at a word: "outside". */
  openPlace: (utterance: Utterance, from: number) => boolean;
  /** What a remark may have in it although its words are hedges elsewhere. */
  excuses: Recognise<true>;
  /** The words for what a stretch of words leaves as it is: "leave the lamp alone". */
  leftAsIs: (utterance: Utterance, from: number, end: number) => [number, number] | undefined;
  /** What begins an exception: "all but", "except for". */
  exceptions: Recognise<true>;
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
  const firstWords = (said: Said): ReadonlySet<string> =>
    new Set(said.flatMap((text) => splitWords(text, pack)[0]?.text ?? []));
  const { it, here, there, one, ones } = pack.targets;
  const itWords = firstWords([...it, ...there]);
  const pointers = firstWords(it);
  const states = stateWordsIn(pack);
  const leaningWords = firstWords([...it, ...there, ...one, ...ones]);
  const hereWords = firstWords(here);
  const stays = new Set(pack.stays.verbs);
  const hedges = new Set([...pack.hedges, ...pack.denies, ...pack.habits, ...pack.participles]);
  // What hedges only with another word, which it does not by itself: "s'il".
  const hedging = recogniseAny(
    pack.hedges.filter((said) => splitWords(said, pack).length > 1),
    ground,
  );
  const clauses = new Set(pack.clauses);
  const { words: speakers, endings = [] } = pack.speakers;
  const isSpeaker = (word: string): boolean =>
    speakers.includes(word) ||
    endings.some((ending) => word.endsWith(ending) && word.length > ending.length + 1);
  const patterned = (said: Said): Recognise<true> =>
    createForms<object, true>([{ said, make: () => true }], {}, ground);
  const asIs = patterned(pack.stays.after);
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
  const { opening, closing } = pack.courtesies;
  const polite = later(
    () => new Set([...opening, ...closing].flatMap((said) => said.match(/[\p{L}']+/gu) ?? [])),
  );
  const levels = later(() => patterned(Object.values(pack.levels).flat()));
  const measured = later(() => patterned(Object.values(pack.adjectives).flat()));
  const whens = later(() => createLaterWhens(ground));
  const { yes, no, cancel } = pack.conversation;
  const answersFrom = patterned([...yes, ...no, ...cancel]);
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
    prepare,
    restate: (utterance) => requested(minded(utterance)),
    ...around,
    itWord: wordOf(pack.targets.it),
    onWord: wordOf(pack.states.on),
    keeps: stays,
    gives: firstWords(pack.gives),
    ofWords: betweenWords(pack),
    perceives: new Set(pack.perceives),
    copulas: new Set(pack.copulas),
    articles: new Set(pack.small),
    quantifiers: firstWords(pack.targets.all),
    exclaims: { words: new Set(pack.exclaims.words), that: new Set(pack.exclaims.that) },
    nobody: { words: new Set(pack.nobody.words), beside: new Set(pack.nobody.beside) },
    besides: new Set(pack.frames.besides),
    hedged(utterance) {
      return utterance.texts.map((text, at) => {
        return hedges.has(text) || hedging(utterance, at).length > 0;
      });
    },
    denies: new Set(pack.denies),
    participles: new Set(pack.participles),
    habits: new Set(pack.habits),
    auxiliaries: new Set(pack.auxiliaries),
    isClause: (word) => clauses.has(word) || isSpeaker(word),
    isSpeaker,
    measured: (utterance, from) => measured()(utterance, from),
    levels: (utterance, from) => levels()(utterance, from),
    isPointer: (word) => pointers.has(word.split("'")[0] ?? ""),
    ones: new Set(pack.times.one),
    timeUnits: firstWords(Object.values(pack.times.units).flatMap((words) => words.slice(0, 2))),
    isPolite: (word) => polite().has(word),
    stateWords: states,
    answers(utterance) {
      const answering = utterance.texts.map(() => false);
      for (const at of answering.keys()) {
        for (const { end } of answersFrom(utterance, at)) {
          // "Okay" is said without an answer as well.
          const isSmall = utterance.small.slice(at, end).every((each) => each);
          if (!isSmall) answering.fill(true, at, end);
        }
      }
      return answering;
    },
    hasWishes: [...book.intents.keys()].some(isWish),
    repairs: patterned(pack.repairs),
    denials: patterned(no),
    excuses: patterned(pack.excuses),
    leftAsIs(utterance, from, end) {
      let verb = from;
      while (verb < end && utterance.small[verb] === true) verb++;
      if (!stays.has(utterance.texts[verb] ?? "")) return undefined;
      const named = verb + 1;
      for (let last = named + 1; last < end; last++) {
        if (asIs(utterance, last).some((found) => found.end === end)) return [named, last];
      }
      return named < end ? [named, end] : undefined;
    },
    reasons: recogniseAny(pack.reasons, ground),
    therefore: recogniseAny(pack.therefore, ground),
    exceptions: recogniseAny(pack.targets.except, ground),
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
    whens: (utterance) => whens()(utterance),
    readAnswer(slot, text) {
      if (slot.fills === "words") {
        const words = text.trim();
        return words === "" ? [] : [{ reading: { read: "value", value: words }, words }];
      }
      return readWhole(prepare(text), symbols.recogniserOf(slot), around);
    },
    speaksOfIt: ({ texts }) => texts.some((text) => itWords.has(text)),
    mayLean: ({ texts }) => texts.some((text) => leaningWords.has(text)),
    speaksOfHere: ({ texts }) => texts.some((text) => hereWords.has(text)),
  };
}

function recogniseAny(said: Said, ground: Ground): Recognise<true> {
  return recognisePhrases(
    said.map((each) => ({ said: each, value: true })),
    ground,
  );
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
function createLaterWhens({ home, language, pack, refer }: Ground) {
  const own = createLexicon();
  const ground = createGround({ home, language, pack }, own, refer);
  const find = createWhenFinder(ground);
  return (utterance: Utterance) => find({ ...utterance, numbers: utterance.texts.map(own.find) });
}
