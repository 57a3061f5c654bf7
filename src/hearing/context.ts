import type { Phrasebook } from "../phrasebook/model.ts";
import { type State, type Value, isValue } from "../phrasebook/property.ts";
import { membersOf, textOf, textsOf } from "../source/border.ts";
import { unknownId } from "../source/wrong-use.ts";

/** Where and when an utterance is spoken. */
export interface HearContext {
  /** Id of the voicepoint that hears it. */
  at?: string;
  /** BCP 47 tag; the phrasebook's first language when left out. */
  language?: string;
  /** Local time there as ISO 8601, `2026-03-02T18:05`: what "tomorrow" and "at six" are told by. */
  time?: string;
  /** The id of what a name that stands for several things means, once somebody has said so. */
  chosen?: string;
  /** Ids of the devices that were spoken of last: what "it", "them" and "there" are told by. */
  it?: readonly string[];
  /** Words said for slots that were asked for, by the name of the slot. */
  said?: Readonly<Record<string, string>>;
  /** The state of a device, for questions; the one it starts with when left out. */
  states?: (device: string) => State | undefined;
}

/**
 * A context as somebody passes it who need not have read its type; what it cannot be is left out.
 *
 * @throws WrongUse for a voicepoint that there is not.
 */
export function readContext({ voicepoints }: Phrasebook, context: unknown): HearContext {
  const { at, language, time, chosen, it, said, states } = membersOf(context);
  if (at !== undefined && !(typeof at === "string" && voicepoints.has(at))) {
    throw unknownId("voicepoint", at, voicepoints.keys());
  }
  const words = Object.entries(membersOf(said)).flatMap(([slot, each]) => {
    const text = textOf(each);
    return text === undefined ? [] : [[slot, text] as const];
  });
  return {
    ...(at === undefined ? {} : { at }),
    ...(typeof language === "string" ? { language } : {}),
    ...(typeof time === "string" ? { time } : {}),
    ...(typeof chosen === "string" ? { chosen } : {}),
    ...(it === undefined ? {} : { it: textsOf(it) }),
    ...(said === undefined ? {} : { said: Object.fromEntries(words) }),
    ...(typeof states === "function"
      ? { states: (device: string) => readState(Reflect.apply(states, undefined, [device])) }
      : {}),
  };
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
