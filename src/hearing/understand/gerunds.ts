import { type Utterance, afterSmall } from "../../automaton/utterance.ts";
import type { Ground } from "../../slot-types/slot.ts";
import { type Around, pieces } from "./around.ts";
import { reworded } from "./stretch.ts";

/**
 * Reads what somebody is asked whether they mind doing as what they are asked to do: "would you mind
 * turning on the lamp". Only after such words: said alone, "turning on the lamp" asks for nothing.
 */
export function createGerunds(
  ground: Ground,
  { starts, joiners }: Pick<Around, "starts" | "joiners">,
): (utterance: Utterance) => Utterance {
  const { gerunds } = ground.pack;
  if (!gerunds) return (utterance) => utterance;
  const find = pieces(gerunds.after, ground);
  const verbs = new Map(Object.entries(gerunds.verbs));
  return (utterance) => {
    const { texts } = utterance;
    if (!texts.some((text) => verbs.has(text))) return utterance;
    const asked = [...starts(utterance)].flatMap((start) => find(utterance, start));
    if (asked.length === 0) return utterance;
    // A verb stands where a command begins: elsewhere "heating" is a thing.
    const begin = [...asked, ...joiners(utterance).map(({ end }) => end)].map((from) => {
      return afterSmall(utterance, from);
    });
    const plain = (text: string, at: number): string =>
      begin.includes(at) ? (verbs.get(text) ?? text) : text;
    return reworded(utterance, plain, ground.lexicon.find);
  };
}
