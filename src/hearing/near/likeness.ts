import { distance } from "fastest-levenshtein";
import type { Utterance } from "../../automaton/utterance.ts";
import type { Holder } from "../../slot-types/expression.ts";
import type { Engine } from "../understand/engine.ts";
import { soundOf } from "./sound.ts";

/** What words cost that sound the same and are spelled otherwise. */
const soundCost = 0.25;

/** How unlike two words are, by spelling or by sound, whichever is nearer. */
export function compare(said: string, expected: string): { cost: number; sounds: boolean } {
  const cost = unlikeness(said, expected);
  if (cost <= soundCost) return { cost, sounds: false };
  const sound = soundOf(said);
  const sounds = sound.length > 1 && sound === soundOf(expected);
  return { cost: sounds ? soundCost : cost, sounds };
}

/** From 0 for the same spelling to 1 for no letter in common. */
export function unlikeness(said: string, expected: string): number {
  const longer = Math.max(said.length, expected.length, 1);
  // Letters too many are the least that they differ by, and enough to tell.
  const least = Math.abs(said.length - expected.length) / longer;
  return least > tooUnlike ? least : distance(said, expected) / longer;
}

/** Beyond this unlikeness it is not worth working out how unlike two words are. */
const tooUnlike = 0.8;

/** Beyond this unlikeness a name is no help. */
const mostUnlike = 0.5;

export interface NameFound {
  holder: Holder;
  cost: number;
  sounds: boolean;
}

/** Finds the name that some words of an utterance come nearest to. */
export function createNameSearch({ names }: Engine, { texts }: Utterance) {
  const known = new Map<string, NameFound | undefined>();
  const spoken = names.holders.map((holder) => ({ holder, name: holder.name.words.join(" ") }));
  let sounds: Map<string, Holder> | undefined;
  const soundsLike = (said: string): Holder | undefined => {
    const key = soundOf(said);
    if (key.length < 2) return undefined;
    sounds ??= new Map(
      spoken.map(({ holder, name }) => [soundOf(name), holder] as const).reverse(),
    );
    return sounds.get(key);
  };
  return (from: number, end: number): NameFound | undefined => {
    const said = texts.slice(from, end).join(" ");
    if (known.has(said)) return known.get(said);
    let best: NameFound | undefined;
    for (const { holder, name } of spoken) {
      const longer = Math.max(said.length, name.length);
      if (Math.abs(said.length - name.length) / longer > (best?.cost ?? mostUnlike)) continue;
      const cost = unlikeness(said, name);
      if (cost <= mostUnlike && cost < (best?.cost ?? 1)) best = { holder, cost, sounds: false };
    }
    if ((best?.cost ?? 1) > soundCost) {
      const holder = soundsLike(said);
      if (holder) best = { holder, cost: soundCost, sounds: true };
    }
    known.set(said, best);
    return best;
  };
}
