import { type Utterance, afterSmall } from "../../automaton/utterance.ts";
import type { Ground } from "../../slot-types/slot.ts";
import { stateWordsIn } from "../../lexicon/said-states.ts";
import { wordsOf } from "../../language/words.ts";
import { later } from "../../source/later.ts";
import { type Around, pieces } from "./around.ts";
import { joined, pick, reworded } from "./stretch.ts";

/**
 * Reads what somebody is asked whether they mind doing as what they are asked to do: "would you mind
 * turning on the lamp". Only after such words: said alone, "turning on the lamp" asks for nothing. So is what a thing
 * needs: "the lamp needs turning off".
 */
export function createGerunds(
  ground: Ground,
  { starts, joiners }: Pick<Around, "starts" | "joiners">,
): (utterance: Utterance) => Utterance {
  const { pack } = ground;
  const { gerunds } = pack;
  if (!gerunds) return (utterance) => utterance;
  const find = pieces(gerunds.after, ground);
  const findNeed = pieces(gerunds.needed, ground);
  const verbs = new Map(Object.entries(gerunds.verbs));
  const numberOf = ground.lexicon.find;
  const states = stateWordsIn(pack);
  const deeds = later(() => {
    const said = Object.values(pack.vocabulary).flatMap((entry) => entry.deeds ?? []);
    return new Set(wordsOf(said, pack));
  });
  const needed = (utterance: Utterance): Utterance | undefined => {
    const { texts } = utterance;
    for (let from = 1; from < texts.length - 1; from++) {
      for (const at of findNeed(utterance, from)) {
        const verb = verbs.get(texts[at] ?? "");
        // "The lawn needs cutting" is no business of the home.
        const isOrder = states.has(texts[at + 1] ?? "") || deeds().has(verb ?? "");
        if (verb === undefined || !isOrder) continue;
        const parts = [
          reworded(pick(utterance, { from: at, end: at + 1 }, []), () => verb, numberOf),
          pick(utterance, { from: 0, end: from }, []),
          pick(utterance, { from: at + 1, end: texts.length }, []),
        ];
        return { ...joined(parts), text: utterance.text };
      }
    }
    return undefined;
  };
  return (utterance) => {
    const { texts } = utterance;
    if (!texts.some((text) => verbs.has(text))) return utterance;
    const asked = [...starts(utterance)].flatMap((start) => find(utterance, start));
    if (asked.length === 0) return needed(utterance) ?? utterance;
    // A verb stands where a command begins: elsewhere "heating" is a thing.
    const begin = [...asked, ...joiners(utterance).map(({ end }) => end)].map((from) => {
      return afterSmall(utterance, from);
    });
    const plain = (text: string, at: number): string =>
      begin.includes(at) ? (verbs.get(text) ?? text) : text;
    return reworded(utterance, plain, numberOf);
  };
}
