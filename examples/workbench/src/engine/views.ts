import type {
  CaseChange,
  Finding,
  LogEntry,
  NearMiss,
  Position,
  Reason,
  ReadingWhy,
  State,
  WordRole,
} from "calm-phrase";
import type { SoundAlike, SoundName } from "calm-phrase/mishearing";

/** One file of a home. */
export interface HomeFile {
  path: string;
  text: string;
}

/** Something that was said at the desk, and in what setting; or time that passes there. */
export interface Said {
  text: string;
  at: string;
  language: string;
  /** Seconds that pass instead. */
  wait?: number;
}

/** A device as a panel shows it. */
export interface DeviceView {
  id: string;
  name: string;
  kind: string;
  voice: "free" | "confirm" | "code" | "barred";
}

/** The states of devices, by their ids. */
export type States = Readonly<Record<string, State>>;

export interface RoomView {
  id: string;
  name: string;
  devices: readonly DeviceView[];
}

/** What a home consists of, as far as panels show it. */
export interface HomeView {
  name: string;
  languages: readonly string[];
  voicepoints: readonly { id: string; room: string }[];
  rooms: readonly RoomView[];
}

/** A turn of a conversation with all that led to it. */
export interface TurnView {
  said: Said;
  /** The words that were understood: after a question those that it was about. */
  understood: string;
  outcome: string;
  told: string;
  reply: string;
  words: readonly WordRole[];
  readings: readonly ReadingWhy[];
  nearest: readonly NearMiss[];
  barred: readonly { device: string; why: Reason; told: string; at: Position }[];
  changed: readonly string[];
  failed: readonly string[];
}

/** The desk after some turns. */
export interface DeskView {
  states: States;
  turns: readonly TurnView[];
  time: string;
}

/** What is new at the desk: turns from one on, and the states that changed; all of them from the first. */
export interface DeskNews extends DeskView {
  from: number;
}

/** A failed case, as the terminal tells it. */
export interface FailedView {
  phrase: string;
  suite: string;
  at: Position;
  text: string;
}

export interface SuiteView {
  suite: string;
  file: string;
  passed: number;
  all: number;
  cases: readonly {
    phrase: string;
    language: string;
    at: string;
    verdict: string;
    position: Position;
  }[];
}

/** What a run of all suites came to. */
export interface RunView {
  passed: number;
  failed: number;
  skipped: number;
  took: number;
  suites: readonly SuiteView[];
  failures: readonly FailedView[];
  shares: readonly { of: string; touched: number; all: number }[];
  percent: number;
  untouched: readonly { of: string; what: string; sort: string; language: string; at: Position }[];
  /** What is otherwise than in the run that was kept. */
  changes: readonly CaseChange[] | undefined;
}

/** A case that nobody wrote yet, with what it would touch. */
export interface SuggestionView {
  text: string;
  written: Readonly<Record<string, unknown>>;
}

/** The names of one language by sound. */
export interface SoundMap {
  language: string;
  /** Those that sound alike side by side. */
  names: readonly SoundName[];
  /** The nearest first. */
  pairs: readonly SoundAlike[];
  /** Pairs of names that are not on the map. */
  more: number;
}

/** Words that are taken for others. */
export interface ConfusionView {
  index: number;
  told: string;
  verdict: string;
  distance: number;
  language: string;
  why: string;
  phrases: readonly {
    spoken: string;
    effect: string;
    taken: string;
    otherEffect: string;
    at: Position | undefined;
  }[];
}

/** The file of a day that nobody wrote down. */
export const plainDay = "day.day.yaml";

/** Something that happens in a day, as a file has it. */
export interface Happens {
  /** `18:30`. */
  time: string;
  set?: Readonly<Record<string, State>>;
  faults?: Readonly<Record<string, string>>;
  presence?: string;
  hear?: string;
}

/** What happened in a day. */
export interface DayView {
  date: string;
  name: string;
  file: string;
  sunrise: string | undefined;
  sunset: string | undefined;
  log: readonly (LogEntry & { text: string })[];
  rooms: readonly RoomView[];
  /** States as the day begins. */
  start: States;
  people: readonly { id: string; name: string; isHome: boolean }[];
  problems: readonly Finding[];
}
