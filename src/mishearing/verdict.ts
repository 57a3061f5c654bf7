import { accessTo } from "../commands/access.ts";
import { describeOutcome, listEffects } from "../commands/describe.ts";
import { type Effect, type Heard, effectsOf } from "../commands/outcome.ts";
import { type StateWord, stateWords } from "../language/vocabulary.ts";
import { holds } from "../model/condition.ts";
import { stateTests } from "../model/state-words.ts";
import type { Value } from "../model/property.ts";
import { type Book, asBook } from "../book/book.ts";
import { madeOf } from "../source/wrong-use.ts";

/** What a slip of the ear comes to. */
export type Verdict =
  /** The same happens as was meant. */
  | "same"
  /** Nothing happens but that somebody is answered, asked or refused. */
  | "harmless"
  /** Something else happens than was meant. */
  | "wrong"
  /** The opposite happens, something guarded is moved, or what makes the home safer does not happen. */
  | "unsafe";

export interface Judged {
  verdict: Verdict;
  /** Why it is unsafe, in a clause. */
  why?: string;
}

/** Judges what happens where one phrase is taken for another. */
export function judge(of: Book, spoken: Heard, taken: Heard): Judged {
  const book = asBook(of);
  return madeOf("outcome", () => judged(book, spoken, taken));
}

function judged(book: Book, spoken: Heard, taken: Heard): Judged {
  if (describeOutcome(spoken) === describeOutcome(taken)) return { verdict: "same" };
  if (taken.outcome !== "act") return { verdict: "harmless" };
  const meant = effectsOf(spoken);
  const done = effectsOf(taken);
  for (const effect of done) {
    const device = book.devices.get(effect.device);
    if (meant.some((each) => isOpposite(each, effect))) {
      return { verdict: "unsafe", why: `${effect.device} does the opposite` };
    }
    const isAsked = meant.some((each) => each.device === effect.device);
    if (device && !isAsked && device.voice !== "free") {
      return { verdict: "unsafe", why: `${effect.device} is guarded` };
    }
  }
  const told = new Set(listEffects(done));
  for (const effect of meant) {
    const device = book.devices.get(effect.device);
    // What is free with a guarded device makes the home safer.
    if (!device || device.voice === "free" || accessTo(device, effect) !== "free") continue;
    if (listEffects([effect]).some((each) => !told.has(each))) {
      return { verdict: "unsafe", why: `${effect.device} is not made safe` };
    }
  }
  return { verdict: "wrong" };
}

/** Words for states that are the opposite of each other. */
const opposites: readonly (readonly [StateWord, StateWord])[] = [
  ["on", "off"],
  ["open", "closed"],
  ["locked", "unlocked"],
  ["armed", "disarmed"],
  ["muted", "unmuted"],
  ["playing", "paused"],
];

/** Actions that undo one another. */
const actions: readonly (readonly [string, string])[] = [
  ["start", "stop"],
  ["start", "pause"],
  ["start", "dock"],
];

/** Whether one effect is the opposite of another: on and off, open and closed, start and stop. */
function isOpposite(one: Effect, other: Effect): boolean {
  if (one.device !== other.device) return false;
  if ("call" in one || "call" in other) {
    if (!("call" in one && "call" in other)) return false;
    const pair = [one.call, other.call];
    return actions.some((each) => each.every((action) => pair.includes(action)));
  }
  if (!("set" in one && "set" in other)) return false;
  return Object.entries(one.set).some(([property, value]) => {
    const said = other.set[property];
    if (said === undefined) return false;
    const [of, against] = [statesOf(property, value), statesOf(property, said)];
    return opposites.some(
      ([first, second]) =>
        (of.includes(first) && against.includes(second)) ||
        (of.includes(second) && against.includes(first)),
    );
  });
}

/** The state words that hold of a value of a property. */
function statesOf(property: string, value: Value): StateWord[] {
  return stateWords.filter((word) =>
    stateTests[word].some((test) => test.property === property && holds(test.condition, value)),
  );
}
