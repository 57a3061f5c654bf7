import { numberFrom } from "../source/border.ts";
import { madeOf } from "../source/wrong-use.ts";
import type { Position } from "../source/position.ts";
import type { SoundAlike, SoundName } from "./alike.ts";
import type { Confusion } from "./confusions.ts";

/** Names in an order in which those that sound alike stand side by side: each after the one it is nearest to. */
export function arrangeByEar(alikes: readonly SoundAlike[]): SoundName[] {
  return madeOf("list of names that sound alike", () => arranged(alikes));
}

function arranged(alikes: readonly SoundAlike[]): SoundName[] {
  const all = new Map<string, SoundName>();
  const near = new Map<string, string[]>();
  for (const { spoken, taken } of alikes) {
    for (const [one, other] of [
      [spoken, taken],
      [taken, spoken],
    ] as const) {
      const key = keyOf(one);
      all.set(key, one);
      near.set(key, [...(near.get(key) ?? []), keyOf(other)]);
    }
  }
  const order = new Set<string>();
  const visit = (key: string): void => {
    if (order.has(key)) return;
    order.add(key);
    for (const other of near.get(key) ?? []) visit(other);
  };
  for (const key of all.keys()) visit(key);
  return [...order].flatMap((key) => all.get(key) ?? []);
}

/** Makes what finds the pair of two names, whichever is said first; the nearest where there are several. */
export function pairUp(
  alikes: readonly SoundAlike[],
): (one: SoundName, other: SoundName) => SoundAlike | undefined {
  return madeOf("list of names that sound alike", () => {
    const pairs = new Map<string, SoundAlike>();
    for (const pair of alikes) {
      const keys = [keyOf(pair.spoken), keyOf(pair.taken)];
      for (const key of [keys.join(""), keys.reverse().join("")]) {
        if (!pairs.has(key)) pairs.set(key, pair);
      }
    }
    return (one, other) => pairs.get(keyOf(one) + keyOf(other));
  });
}

/** How near two names are on a map of them: 1 for those that sound most alike, to 4. */
export function shadeOf(distance: number): 1 | 2 | 3 | 4 {
  const away = numberFrom(distance) ?? Infinity;
  if (away < 0.3) return 1;
  if (away < 0.6) return 2;
  return away < 0.9 ? 3 : 4;
}

/** What tells one name of a home from all others. */
function keyOf({ of, id, text, language }: SoundName): string {
  return JSON.stringify([of, id, text, language]);
}

/** The confusions in which one of two names that sound alike is taken for the other, the worst first. */
export function confusionsBetween(
  confusions: readonly Confusion[],
  alike: SoundAlike,
): Confusion[] {
  return madeOf("list of confusions", () => confusions.filter((each) => isBetween(each, alike)));
}

function isBetween(confusion: Confusion, { spoken, taken }: SoundAlike): boolean {
  if (confusion.language !== spoken.language) return false;
  const isOf = (one: SoundName, other: SoundName): boolean =>
    one.at && other.at
      ? confusion.cases.some(
          ({ taken: { places } }) => isAt(places.spoken, one.at) && isAt(places.taken, other.at),
        )
      : isWithin(confusion.spoken, one) && isWithin(confusion.taken, other);
  return isOf(spoken, taken) || isOf(taken, spoken);
}

function isAt(one: Position | undefined, other: Position | undefined): boolean {
  return one?.file === other?.file && one?.line === other?.line && one?.column === other?.column;
}

/** Whether words are some of those of a name. */
function isWithin(words: string, { text }: SoundName): boolean {
  return words !== "" && ` ${text.toLowerCase()} `.includes(` ${words} `);
}
