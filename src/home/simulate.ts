import { answerQuestion } from "../hearing/answer.ts";
import type { Effect, Heard } from "../hearing/outcome.ts";
import { packFor } from "../language/packs.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { DataSchema, State, Value } from "../phrasebook/property.ts";
import { readGivenStates } from "../phrasebook/states.ts";
import { type InitialStates, type StateStore, createStates } from "./states.ts";

/** What a simulated home starts from. */
export interface SimulateOptions {
  /** States of devices, over the ones that they start with: `{ "plinth-spots": { power: "on" } }`. */
  states?: Readonly<Record<string, State>>;
}

/** One property of one device before and after. */
export interface Change {
  device: string;
  property: string;
  from: Value;
  to: Value;
}

/** An action of one device, invoked. */
export interface Call {
  device: string;
  call: string;
  with?: Value;
}

/** What doing something came to. */
export interface Performed {
  /** Properties whose value is another one than before. */
  changes: readonly Change[];
  /** Actions that were invoked. */
  calls: readonly Call[];
  /** What is to be done later. */
  later: readonly Effect[];
  /** What is said. */
  reply: string;
}

/** A home of values in memory in place of devices. */
export interface SimulatedHome {
  /** Does what was heard; an outcome other than `act` changes nothing. */
  perform: (heard: Heard) => Promise<Performed>;
  /** The state of every device. */
  states: () => Record<string, State>;
}

/** @throws never; states of devices or properties that do not exist are left out. */
export function simulateHome(
  book: Phrasebook,
  initial: InitialStates,
  { states = {} }: SimulateOptions,
): SimulatedHome {
  const store = createStates(book, initial, readGivenStates(states, book.devices));
  return {
    perform: (heard) => Promise.resolve(performHeard(book, store, heard)),
    states: store.all,
  };
}

/** Applies the effects of what was heard to a store of states. */
export function performHeard(book: Phrasebook, store: StateStore, heard: Heard): Performed {
  if (heard.outcome === "answer" && heard.question) {
    const pack = packFor(heard.language);
    const { question, language } = heard;
    const reply = pack ? answerQuestion(book, pack, language, question, store.get) : heard.reply;
    return { changes: [], calls: [], later: [], reply };
  }
  const changes: Change[] = [];
  const calls: Call[] = [];
  const later: Effect[] = [];
  for (const effect of heard.outcome === "act" ? heard.effects : []) {
    const isLater = effect.when?.in !== undefined || effect.when?.at !== undefined;
    if (isLater) later.push(effect);
    else if ("call" in effect) calls.push(effect);
    else changes.push(...changeStates(book, store, effect));
  }
  return { changes, calls, later, reply: heard.reply };
}

function changeStates(
  book: Phrasebook,
  store: StateStore,
  effect: Exclude<Effect, { call: string }>,
): Change[] {
  const { device } = effect;
  const values: Record<string, Value> = {};
  if ("set" in effect) Object.assign(values, effect.set);
  else {
    const isNudge = "nudge" in effect;
    for (const [property, amount] of Object.entries(isNudge ? effect.nudge : effect.scale)) {
      const schema = book.devices.get(device)?.properties.get(property);
      const from = store.get(device)[property];
      if (!schema || typeof from !== "number") continue;
      values[property] = nudged(schema, isNudge ? from + amount : from * amount);
    }
  }
  const changes: Change[] = [];
  for (const [property, to] of Object.entries(values)) {
    const from = store.get(device)[property] ?? to;
    store.set(device, property, to);
    if (from !== to) changes.push({ device, property, from, to });
  }
  return changes;
}

/** A relative change goes no further than the end of the range, and lands on a step. */
function nudged(schema: DataSchema, wanted: number): number {
  const step = schema.multipleOf ?? (schema.type === "integer" ? 1 : undefined);
  const landed = step === undefined ? wanted : Math.round(wanted / step) * step;
  const within = Math.min(schema.maximum ?? landed, Math.max(schema.minimum ?? landed, landed));
  return Number(within.toPrecision(12));
}
