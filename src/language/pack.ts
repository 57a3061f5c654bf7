import type { Frames } from "./frames.ts";
import type { SoundWords } from "./sounds.ts";
import type { TimeWords } from "./times.ts";
import type {
  AnswerReplies,
  KindNouns,
  Said,
  DoingWord,
  StateWord,
  TargetWords,
  VocabularyEntry,
  VocabularyId,
  WishWords,
} from "./vocabulary.ts";

/**
 * All that Calm Phrase knows of one language, as data. Patterns in it are SRGS ABNF; replies are
 * Unicode MessageFormat 2.
 */
export interface LanguagePack {
  /** BCP 47 primary language subtag. */
  language: string;
  /** The language's own name for itself. */
  name: string;
  numbers: NumberWords;
  times: TimeWords;
  units: {
    percent: Said;
    /** Several, and one. */
    degrees: Said;
    celsius: Said;
    fahrenheit: Said;
    kelvin: Said;
    /** What a part is a part of: "half power", "half strength". */
    whole?: Said;
  };
  targets: TargetWords;
  /** What places are called as well by those who stand there: "up here" for "upstairs". */
  floors?: readonly (readonly [place: string, said: string])[];
  /** What says what a thing stands by: "the lamp over the desk" for "desk lamp". */
  nearby?: Said;
  /** By kind. */
  kinds: Readonly<Record<string, KindNouns>>;
  /** What a property is called, by property; the first goes into replies. */
  properties: Readonly<Record<string, Said>>;
  /** What the values of a property are called, by property and value. */
  values: Readonly<Record<string, Readonly<Record<string, Said>>>>;
  states: Readonly<Record<StateWord, Said>>;
  /** Verbs for states, as questions have them: "läuft", "brennen". */
  doing: Readonly<Record<DoingWord, Said>>;
  /** By hexadecimal colour. */
  colours: Readonly<Record<string, Said>>;
  /** By colour temperature in kelvin. */
  warmths: Readonly<Record<string, Said>>;
  /** `counted` are steps of which people say how many: "two notches"; `again` says that there was more: "another ten percent". */
  amounts: { small: Said; large: Said; counted?: Said; again: Said; more: string; less: string };
  /** Named levels of brightness, volume and speed. */
  levels: { least: Said; low: Said; medium: Said; high: Said; full: Said };
  /** What an action is called, where a phrasebook says so. */
  actions?: Readonly<Record<string, Said>>;
  /** What is said of any property of a sort. */
  frames: Frames;
  /** What is peculiar to each intent. */
  vocabulary: Readonly<Record<VocabularyId, VocabularyEntry>>;
  /** Wishes that are said as what is wrong. */
  wishes?: WishWords;
  /** Patterns that ask what a source tells; `$source` stands for its name. */
  sources: Said;
  /** Patterns of what is said in answer, or about what was done before. */
  conversation: { yes: Said; no: Said; cancel: Said; again: Said; undo: Said };
  answers: AnswerReplies;
  /**
   * Words that lose their vowel before another and are heard as words of their own, without the
   * apostrophe: `l` for "l'atelier".
   */
  elisions: readonly string[];
  /**
   * Patterns after which a verb has another form, what stands between a thing and what it needs in that form ("the
   * lamp needs turning off"), and the usual form for each: "turn" for "turning".
   */
  gerunds?: { after: Said; needed: Said; verbs: Readonly<Record<string, string>> };
  /** What a valve is called after what it waters: "watering", "bewässerung" of "Kräuterbewässerung". */
  waterers: Said;
  /** How much of something there is, around the words for it: "level of $property". */
  measured: Said;
  /** How an action that is called by an infinitive is ordered. */
  imperatives?: Imperatives;
  /** Endings of what is called small, and what the word ends in otherwise, the longest first: "lampje" is a "lamp". */
  diminutives?: readonly (readonly [small: string, plain: string])[];
  /**
   * How somebody is asked to do what they are asked whether they do: what a verb takes then, and words of which
   * one stands before it or after it: "machst du", "tu allumes", "me enciendes".
   */
  requests?: { endings: Said; before?: Said; after?: Said };
  /** Pronouns that are written as the end of a verb: `la` of "enciéndela". */
  enclitics?: Said;
  /** Verbs that are written as the end of a word for a state: "haben" of "anhaben". */
  stateVerbs?: Said;
  /**
   * What stands between two nouns that are written as one: "n" in "Küchenlicht". Left out for a
   * language that writes them apart.
   */
  links?: readonly string[];
  /** Endings that a word before the last one of a name takes, the longest first: "großer Ofen". */
  inflections?: Said;
  /**
   * How a name is said of several: the word of it that changes, and what its ending becomes, by the first
   * ending that it has. Left out where names stay as they are.
   */
  plurals?: { head: "first" | "last"; endings: readonly (readonly [one: string, many: string])[] };
  /**
   * Endings of words that agree with what they are said of, of which any may be another, the longest first:
   * "große Portion" where the value is called "groß".
   */
  agreement?: Said;
  /** Words for the same thing, of which a name may have any: "lamp" and "light". */
  alike?: readonly Said[];
  /** What verbs begin with that do something again: "rebaisse" is "baisse"; but not those that say something else. */
  again?: { begins: Said; but: Said };
  /** Endings of names that are passed over: `'s` of "the lamp's". */
  endings?: Said;
  /** Endings of a word that says whose room it is: "Ella's room", "Ellas Zimmer". */
  possessives?: Said;
  /**
   * What some of these endings stand for before words of states, and before these: "the gate's open" says what
   * is, while "the gate's lamp" has one.
   */
  contractions?: { endings: Readonly<Record<string, string>>; before: Said };
  /** Words that mean nothing on their own and may be said or left out anywhere: articles. */
  small: Said;
  /** Words of hesitation and the like, which may stand anywhere and are passed over. */
  fillers: Said;
  /** What asks how much of something there is, by property: "bright" for "how bright is it". */
  adjectives: Readonly<Record<string, Said>>;
  /**
   * Words that a remark beside a command does not have: of condition, report, memory, supposition, and of what was
   * done before. With one of them words are never passed over. Several words hedge together: "s'il".
   */
  hedges: Said;
  /**
   * Words that deny or say how far, which a remark has only where it says who does what: "I can't wake up", "the
   * queue goes down to the river".
   */
  denies: Said;
  /** Words for what was done with something, of which a remark speaks only where it is of those who speak: "we've closed". */
  participles: Said;
  /** Words that say how often, which a remark has only where it says what: "that usually does the trick". */
  habits: Said;
  /**
   * Hedges that say nothing by themselves: "has" reports of what is no business of the home where what
   * follows is none of its words, as in "the delivery has arrived".
   */
  auxiliaries: Said;
  /**
   * Patterns of what may be said in a remark all the same, since it takes nothing back: "I can't see a thing",
   * "I forgot".
   */
  excuses: Said;
  /**
   * Verbs that leave a thing as it is where no state is said, and what may be said after it: "leave the lamp",
   * "leave the lamp alone".
   */
  stays: { verbs: Said; after: Said };
  /** Verbs that give a thing so long: "give the pump ten minutes". */
  gives: Said;
  /**
   * Verbs of what those who speak perceive, or cannot, with which nothing is denied that is to be done: "ich hör das
   * Telefon nicht", "I can't hear what he's saying".
   */
  perceives: Said;
  /** Words after which a sentence says what something is: "the wind is up". */
  copulas: Said;
  /**
   * Words that ask, and that an exclamation begins with: "what a day"; and those with which it goes on, so that it
   * says what is so: "wie schade, dass die Lampe aus ist".
   */
  exclaims: { words: Said; that: Said };
  /** Words for somebody, whoever it is: "someone". */
  somebody: Said;
  /** What people say who leave, and what may say when elsewhere: "hasta mañana". */
  farewells: Said;
  /** Words for nobody, and what is said beside them in a denial: "no la ve nadie". */
  nobody: { words: Said; beside: Said };
  /**
   * Patterns after which a part of a command is said anew: "to twenty, no, thirty". None that may also say
   * what is not meant.
   */
  repairs: Said;
  /** Words that make others a clause, which is no thing of the home: "I", "is". */
  clauses: Said;
  /**
   * Words for those who speak, which begin a clause of theirs, and what verbs end in that say so alone: "we",
   * "usciamo". Such a clause may speak of things of the home: "we're off out by the back door".
   */
  speakers: { words: Said; endings?: Said };
  /** Words that begin a reason for a command: "because". */
  reasons: Said;
  /** What may end a question whether something is so: "or not". */
  orNot: Said;
  /** Words that begin a command after the reason for it: "so". */
  therefore: Said;
  /** Patterns of politeness that may open or close any phrase, and those that nothing may stand before. */
  courtesies: {
    opening: readonly string[];
    first: readonly string[];
    closing: readonly string[];
  };
  /** How words sound by their letters; what may be misheard is told more roughly without it. */
  sounds?: SoundWords;
  /** Replies for the outcomes that do not come from an intent. */
  replies: OutcomeReplies;
  refusals: Refusals;
}

/** How an order is made of an infinitive. */
export interface Imperatives {
  /** What an infinitive ends in, the longest first, and what orders end in instead. */
  endings: readonly (readonly [infinitive: string, ...orders: string[]])[];
  /** What stands before a verb as one word, and after the thing in an order: "an" of "anhalten". */
  particles?: Said;
  /** Verbs that any word may stand before in the same way: "stellen" of "flachstellen". */
  separable?: Said;
  /** What may stand before the thing that something is done to: "a" in Spanish. */
  object?: string;
  /** Whether a vowel is written twice where its syllable is closed: "kneed" of "kneden". */
  isOpen?: true;
}

/** What every pack has. */
export const packKeys = [
  "language",
  "name",
  "numbers",
  "times",
  "units",
  "targets",
  "kinds",
  "properties",
  "values",
  "states",
  "colours",
  "warmths",
  "amounts",
  "levels",
  "frames",
  "vocabulary",
  "conversation",
  "answers",
  "elisions",
  "small",
  "fillers",
  "adjectives",
  "hedges",
  "denies",
  "habits",
  "participles",
  "waterers",
  "measured",
  "auxiliaries",
  "excuses",
  "stays",
  "repairs",
  "clauses",
  "speakers",
  "therefore",
  "orNot",
  "reasons",
  "courtesies",
  "replies",
  "refusals",
] as const satisfies readonly (keyof LanguagePack)[];

export interface NumberWords {
  /** Cardinal number in words, for whole numbers from 0 to 999. */
  cardinal: (value: number) => string;
  /** Other ways to say a piece of a cardinal: `["one hundred", "a hundred"]`. */
  respelled: readonly (readonly [written: string, said: string])[];
  /** Whether hundreds are said as two numbers as well: "two thirty", "twenty seven hundred". */
  pairs: boolean;
  /** Ordinal number in words, for whole numbers from 1 to 100. */
  ordinal: (value: number) => string;
  /** Other endings that an ordinal takes: `["e", "en"]`. */
  ordinalEndings: readonly (readonly [written: string, said: string])[];
  /** What follows digits to make an ordinal of them: "3rd". */
  ordinalSigns: Said;
  /** Words inside a cardinal that people leave out: "one hundred (and) five". */
  optional: Said;
  /**
   * The word for thousands, the one for a single thousand, and whether they are written together
   * with what surrounds them.
   */
  thousand: { word: string; one: string; joined: boolean };
  /** Endings of words for hundreds above a thousand, "elfhonderd", or the word for them. */
  hundreds: Said;
  minus: Said;
  /** The words for the decimal sign, and the sign itself in digits. */
  point: Said;
  decimalSign: "." | ",";
  fractions: readonly { value: number; said: Said }[];
  /** Words between a whole number and a fraction: "two and a half". */
  fractionJoiners: Said;
  /** Endings that add a fraction to a number word: "zweieinhalb". */
  fractionEndings: readonly { value: number; ending: string }[];
}

/** Why something cannot be, as part of `refuse`. */
export interface Refusals {
  /** What a value is of: `$property` of `$name`; it is the `$what` of those below. */
  of: string;
  /** The same where it is of nothing that has a word: what was just said. */
  that: string;
  /** `$said` is out of the range, `$minimum` to `$maximum`. */
  between: string;
  atLeast: string;
  atMost: string;
  /** `$said` is none of the values that it takes, and `$choices` are, or those nearest to it. */
  oneOf: string;
  /** `$name` has no such thing. */
  unable: string;
  /** `$name` is taken along by no command to many. */
  alone: string;
  /** What was said to wait or to last is no time, or too long. */
  length: string;
  /** Nobody knows what "it" or "here" stands for. */
  nowhere: string;
  /** `$time` is over. */
  past: string;
  /** Something has to be named itself, and nobody said what. */
  named: string;
  /** Nothing that was named is there. */
  nothing: string;
  /** `$words` were said where a place belongs. */
  place: string;
  /** It is not known what day it is. */
  day: string;
  /** It is not known where the sun stands. */
  sun: string;
  /** Two times were said for one command. */
  times: string;
  /** A question was to be answered at another time. */
  later: string;
  /** What `$name` does was to last for a while, and cannot be taken back. */
  stays: string;
  /** `$first` and `$second` were both said for `$what`. */
  both: string;
}

export interface OutcomeReplies {
  /** Nothing is understood. */
  unknown: string;
  /** Several meanings remain; `$choices` is the list of them. */
  unsure: string;
  /** Something was understood that cannot be done; `$reason` says why, if that can be said. */
  refuse: string;
  cannot: string;
  /** The phrase was done and has no reply of its own. */
  act: string;
  /** It will be done once somebody says yes. */
  confirm: string;
  /** It is not sure that `$reply` was meant. */
  offer: string;
  /** It will be done once somebody says the code. */
  code: string;
  /** Nothing of it was done, or only a part; `$names` did not answer, `$reply` is for the rest. */
  failed: string;
  partly: string;
  /** After `$reply`: `$names` were left out. */
  leftOut: string;
  /** Some of the steps of something came to nothing. */
  notAll: string;
  /** `$names` were left out, since what set it off was not granted what they need. */
  withheld: string;
  /** A routine does not start: as things are, or since it runs already. */
  notNow: string;
  running: string;
  /** The noun for devices of several kinds, after a number. */
  devices: string;
  /** In a conversation: an offer was turned down; a command was taken back, or none was there. */
  cancelled: string;
  undone: string;
  nothingToUndo: string;
  nothingToRepeat: string;
  /** A code was wrong, or too many were; `$duration` is how long none is taken. */
  wrongCode: string;
  locked: string;
  /** Something that is needed was not said; `$slot` is what. */
  ask: string;
  /** Around the reply of a command with a when: `$reply`, and `$duration` or `$time`. */
  in: string;
  at: string;
  for: string;
  until: string;
  /** The same on another day than today: `$day`. */
  atDay: string;
  untilDay: string;
}
