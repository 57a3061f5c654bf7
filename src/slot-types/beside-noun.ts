import { type Utterance, isAfterPause } from "../automaton/utterance.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import type { Holder } from "./expression.ts";
import { createTrie } from "../lexicon/trie.ts";
import { splitWords } from "../language/words.ts";
import { isHeadFirst } from "./heads.ts";
import { isPlace } from "./narrowing.ts";
import { type Noun, type SaidNoun, nounTrie, nounsBesideNames } from "./nouns.ts";
import type { Spoken } from "./slot.ts";

/** Words that are a name, or a name and a noun, and the things that are meant. */
interface Named {
  end: number;
  holders: readonly Holder[];
}

/** Reads names with a noun beside them that says what they are: "the pendant light" for what is called "pendant". */
export interface NamesWithNouns {
  /** The words that such a noun begins with. */
  firsts: () => Iterable<number>;
  /** Names that a noun follows. */
  after: (utterance: Utterance, name: Named) => Named[];
  /**
   * Where a name may begin after a noun: "la porte du garage", in languages that say that first, and what it stands
   * by in all: "the lamp over the desk" for "desk lamp".
   */
  before: (utterance: Utterance, from: number) => { at: number; of: (name: Named) => Named[] }[];
}

export function createNamesWithNouns(
  spoken: Spoken,
  kindNouns: readonly SaidNoun[],
  lexicon: Lexicon,
): NamesWithNouns {
  const nouns = nounTrie([...kindNouns, ...nounsBesideNames(spoken)], spoken, lexicon);
  const { pack } = spoken;
  const isFirst = isHeadFirst(pack);
  const between = createTrie<true>();
  for (const text of [...(pack.nearby ?? []), ...(isFirst ? pack.targets.inPlace : [])]) {
    between.insert(
      splitWords(text, pack).map((word) => lexicon.add(word.text)),
      true,
    );
  }
  return {
    firsts: nouns.firsts,
    after(utterance, { end, holders }) {
      const found: Named[] = [];
      // "Pendant, light and fan" are three.
      if (isAfterPause(utterance, end)) return found;
      nouns.match(utterance.numbers, end, (after, said) => {
        const those = saidWith(holders, said);
        if (those.length > 0) found.push({ end: after, holders: those });
      });
      return found;
    },
    before({ numbers, small }, from) {
      const found: ReturnType<NamesWithNouns["before"]> = [];
      const afterSmall = (at: number): number => (small[at] === true ? afterSmall(at + 1) : at);
      nouns.match(numbers, from, (end, said) => {
        const of = ({ end: last, holders }: Named): Named[] => {
          const those = saidWith(holders, said);
          return those.length > 0 ? [{ end: last, holders: those }] : [];
        };
        if (isFirst) found.push({ at: afterSmall(end), of });
        // Articles are passed over, and some of them are prepositions as well.
        for (let at = end; at <= afterSmall(end); at++) {
          between.match(numbers, at, (after) => found.push({ at: afterSmall(after), of }));
        }
      });
      return found;
    },
  };
}

/** What is called like a place is not meant: "hall light" may be any in the hall. */
function saidWith(holders: readonly Holder[], nouns: readonly Noun[]): Holder[] {
  if (holders.some(({ entity }) => isPlace(entity.type))) return [];
  const kinds = new Set(nouns.map(({ kind }) => kind));
  return holders.flatMap(({ entity, name }) =>
    entity.type === "device" && kinds.has(entity.kind)
      ? { entity, name: { ...name, alias: true, loose: true } }
      : [],
  );
}
