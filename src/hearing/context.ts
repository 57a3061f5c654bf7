import type { Spoken } from "../commands/outcome.ts";
import type { StatesOf } from "../commands/states.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import { type State, type Value, isValue } from "../model/property.ts";
import { membersOf, textOf, textsOf } from "../source/border.ts";
import { unknownId } from "../source/wrong-use.ts";

/** Where and when an utterance is spoken, and what is so then. */
export interface HearContext extends Spoken {
  /** BCP 47 tag; the phrasebook's first language when left out. */
  language?: string;
  /** The state of a device, for questions; the one it starts with when left out. */
  states?: StatesOf;
  /** What properties of a device were before they were `off`: what "on" goes back to. */
  lastOn?: StatesOf;
}

/**
 * A context as somebody passes it who need not have read its type; what it cannot be is left out.
 *
 * @throws WrongUse for a voicepoint that there is not.
 */
export function readContext({ voicepoints }: Phrasebook, context: unknown): HearContext {
  const { at, language, time, chosen, it, said, states, lastOn } = membersOf(context);
  if (at !== undefined && !(typeof at === "string" && voicepoints.has(at))) {
    throw unknownId("voicepoint", at, voicepoints.keys());
  }
  const read: { -readonly [Key in keyof HearContext]: HearContext[Key] } = {};
  // Written out, since it is done for every utterance.
  if (at !== undefined) read.at = at;
  if (typeof language === "string") read.language = language;
  if (typeof time === "string") read.time = time;
  if (typeof chosen === "string") read.chosen = chosen;
  if (it !== undefined) read.it = textsOf(it);
  if (said !== undefined) read.said = wordsOf(said);
  const told = statesTold(states);
  if (told) read.states = told;
  const before = statesTold(lastOn);
  if (before) read.lastOn = before;
  return read;
}

/** A function that tells states, whatever it returns. */
function statesTold(tell: unknown): StatesOf | undefined {
  if (typeof tell !== "function") return undefined;
  return (device) => readState(Reflect.apply(tell, undefined, [device]));
}

/** Words said for slots; what is no text is left out. */
function wordsOf(said: unknown): Record<string, string> {
  const words = Object.entries(membersOf(said)).flatMap(([slot, each]) => {
    const text = textOf(each);
    return text === undefined ? [] : [[slot, text] as const];
  });
  return Object.fromEntries(words);
}

/** States of devices by their ids, as somebody passes them; what is no state says nothing. */
export function statesGiven(states: unknown): Record<string, State> {
  return Object.fromEntries(
    Object.entries(membersOf(states)).map(([id, state]) => [id, readState(state) ?? {}] as const),
  );
}

/** A state as a home tells it: values by property. */
export function readState(state: unknown): State | undefined {
  if (typeof state !== "object" || state === null) return undefined;
  const values: Record<string, Value> = {};
  for (const [property, value] of Object.entries(state)) {
    if (isValue(value)) values[property] = value;
  }
  return values;
}
