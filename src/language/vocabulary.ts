/** Words said for a value, each one or more words long. */
export type Said = readonly string[];

/** The intents that come with Calm Phrase. What each does is in `phrasebook/shipped.ts`. */
export const vocabularyIds = [
  "power-on",
  "power-off",
  "brightness-to",
  "brighter",
  "dimmer",
  "speed-to",
  "faster",
  "slower",
  "oscillate-on",
  "oscillate-off",
  "colour-to",
  "warmth-to",
  "warmer-light",
  "cooler-light",
  "temperature-to",
  "warmer",
  "cooler",
  "mode-on",
  "mode-off",
  "mode-to",
  "preset-to",
  "open",
  "close",
  "position-to",
  "position-short",
  "open-more",
  "close-more",
  "tilt-to",
  "stop-moving",
  "flow-on",
  "flow-off",
  "water",
  "lock",
  "unlock",
  "arm",
  "disarm",
  "record",
  "stop-recording",
  "play",
  "pause",
  "stop-playing",
  "next",
  "previous",
  "play-what",
  "volume-to",
  "louder",
  "quieter",
  "mute",
  "unmute",
  "source-to",
  "press",
  "start",
  "stop",
  "pause-work",
  "start-work",
  "stop-work",
  "dock",
  "program-to",
  "program-start",
  "power-start",
  "power-stop",
  "find",
  "run-routine",
  "ask-value",
  "ask-temperature",
  "ask-how",
  "ask-setting",
  "ask-reading",
  "ask-doing",
  "ask-whether",
  "ask-whether-does",
  "ask-which",
  "ask-which-do",
  "ask-any",
  "ask-motion",
] as const;

export type VocabularyId = (typeof vocabularyIds)[number];

/** What people say is wrong, where a home takes that as a wish. */
export const wishIds = [
  "too-dark",
  "too-bright",
  "too-cold",
  "too-warm",
  "too-loud",
  "too-quiet",
  "too-slow",
  "too-fast",
] as const;

export type WishId = (typeof wishIds)[number];

const wishes: ReadonlySet<string> = new Set(wishIds);

/** Whether an intent is what people say is wrong. */
export function isWish(intent: string): boolean {
  return wishes.has(intent);
}

const yielding: ReadonlySet<string> = new Set<VocabularyId>(["unlock", "start-work", "stop-work"]);

/** Whether an intent is also said in words of others, which go first: a lock is opened where nothing else is. */
export function isYielding(intent: string): boolean {
  return yielding.has(intent);
}

/** Words for states that a device can be asked about. */
export const stateWords = [
  "on",
  "off",
  "open",
  "closed",
  "locked",
  "unlocked",
  "armed",
  "disarmed",
  "recording",
  "playing",
  "paused",
  "muted",
  "unmuted",
  "running",
  "docked",
  "moving",
  "swinging",
  "finished",
] as const;

export type StateWord = (typeof stateWords)[number];

/** States that verbs say. */
export const doingWords = [
  "on",
  "running",
  "playing",
  "docked",
  "moving",
  "swinging",
  "closed",
  "locked",
] as const;

export type DoingWord = (typeof doingWords)[number];

/** The words of a language that name devices by what they are and where they stand. */
export interface TargetWords {
  all: Said;
  /** All of two. */
  both: Said;
  everything: Said;
  here: Said;
  /** What was spoken of last: "it", "them". */
  it: Said;
  /** Where what was spoken of last is: "there", "that room". */
  there: Said;
  /** Rooms under the sky, and those under a roof. */
  outside: Said;
  inside: Said;
  /** All of the home, as a place. */
  everywhere: Said;
  /** Things of a kind that was named before: "the one", "the ones". */
  one: Said;
  ones: Said;
  /** Before a thing at hand: "this lamp", "that radio". */
  this: Said;
  /** Between a thing and its place: "in", "im". */
  inPlace: Said;
  and: Said;
  except: Said;
  /** Before and after what is left out, in languages that say both: "op de lamp na". */
  exceptOpen: Said;
  exceptClose: Said;
}

export const targetWords = [
  "all",
  "both",
  "everything",
  "here",
  "it",
  "there",
  "outside",
  "inside",
  "everywhere",
  "one",
  "ones",
  "this",
  "inPlace",
  "and",
  "except",
  "exceptOpen",
  "exceptClose",
] as const satisfies readonly (keyof TargetWords)[];

/** The ways people name one device of a kind, and several. */
export interface KindNouns {
  one: Said;
  /** In the order of `one`. */
  many: Said;
  /** What is said beside the name of one, and by itself is something else: "garage door" for a gate called "garage". */
  beside?: Said;
  /** Whether its nouns are different things, so that several are only those called so: curtains are no blinds. */
  differ?: true;
}

/**
 * How one intent of the vocabulary is said, beside what the frames of its sort say, and answered.
 */
export interface VocabularyEntry {
  /** Whole commands. */
  patterns?: readonly string[];
  /** What a thing shall do, in the forms that follow "should" and "let": put into each frame for deeds. */
  deeds?: readonly string[];
  /** What a thing shall no longer do, in the forms that follow "stop": put into each frame for what ceases. */
  ceases?: readonly string[];
  /** What a thing shall be, which is put into each frame for states. */
  states?: readonly string[];
  reply: string;
}

/** What is said where something is wrong: "it is too dark in here". */
export interface WishWords {
  /** Around `$complaint`, with or without `$target`: "it is $complaint [in] $target". */
  frames: Said;
  wishes: Readonly<Record<WishId, WishEntry>>;
}

export interface WishEntry {
  /** What something is, put into each frame: "[$amount] too dark". */
  complaints: Said;
  /** Whole sentences: "I can't see a thing [in $target]". */
  patterns?: Said;
}

/** Answers to questions, as MessageFormat 2. */
export interface AnswerReplies {
  /** `$name`, `$property`, `$value`. */
  value: string;
  /** `$name`, `$state`: it is so. */
  yes: string;
  /** `$name`, `$state`: it is not so. */
  no: string;
  /** `$list`: the names of those that are. */
  list: string;
  /** None is. */
  none: string;
}
