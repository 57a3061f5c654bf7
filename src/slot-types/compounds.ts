import { splitWords } from "../language/words.ts";
import type { Holder, PlaceExpression, TargetExpression } from "./expression.ts";
import { isPlace } from "./narrowing.ts";
import type { NounsSaid } from "./called.ts";
import { type Noun, type SaidNoun, isConnective } from "./nouns.ts";
import type { Spoken } from "./slot.ts";

/** What the parts of such words may be. */
interface Known {
  kinds: Map<string, Noun[]>;
  places: Map<string, Holder[]>;
  names: Map<string, Holder[]>;
}

/** Shortest part of a word that may be a word itself. */
const shortest = 3;

/**
 * Reads words made of two, where a language writes them as one: a room and what is in it
 * ("Küchenlicht", "keukenlamp"). What is made tells what a word may be, with the index after it.
 */
export function createCompounds(
  spoken: Spoken,
  holders: readonly Holder[],
  {
    nouns,
    nounsSaid,
  }: { nouns: readonly SaidNoun[]; nounsSaid: (of: readonly Noun[]) => NounsSaid },
): (text: string, end: number) => { end: number; expression: TargetExpression }[] {
  const { pack } = spoken;
  const { links } = pack;
  if (!links) return () => [];
  const only = (said: string): string | undefined => {
    const [first, more] = splitWords(said, pack);
    return more ? undefined : first?.text;
  };
  // "Außenlicht", "buitenlampen".
  const open = (["outside", "inside"] as const).flatMap((sort) =>
    isConnective(spoken, sort)
      ? { sort, words: pack.targets[sort].flatMap((said) => only(said) ?? []) }
      : [],
  );
  let known: Known | undefined;
  // Most homes are never spoken to, and most words are no compounds.
  const looked = () => {
    if (known) return known;
    known = { kinds: new Map(), places: new Map(), names: new Map() };
    for (const { said, noun } of nouns) push(known.kinds, only(said), noun);
    for (const holder of holders) {
      const those = isPlace(holder.entity.type) ? known.places : known.names;
      push(those, only(holder.name.text), holder);
    }
    return known;
  };
  return (text, end) => {
    const found: { end: number; expression: TargetExpression }[] = [];
    if (text.length < 2 * shortest) return found;
    const { kinds, places, names } = looked();
    for (let at = shortest; at <= text.length - shortest; at++) {
      const meant = kinds.get(text.slice(at)) ?? [];
      const named = names.get(text.slice(at)) ?? [];
      if (meant.length === 0 && named.length === 0) continue;
      const head = text.slice(0, at);
      const place: PlaceExpression =
        open.find(({ words }) => words.includes(head))?.sort ??
        links.flatMap((link) =>
          head.endsWith(link) ? (places.get(head.slice(0, head.length - link.length)) ?? []) : [],
        );
      if (place.length === 0) continue;
      // "Gartenlaternen" are the lanterns in the garden.
      if (named.length > 0) {
        const of = { target: "named", holders: named, words: 1 } as const;
        found.push({ end, expression: { target: "within", of, place } });
      }
      for (const many of [false, true]) {
        const those = meant.filter((noun) => noun.many === many);
        if (those.length === 0) continue;
        const expression = {
          target: "kind",
          ...nounsSaid(those),
          many,
          place,
          words: 1,
        } as const;
        found.push({ end, expression });
      }
    }
    return found;
  };
}

function push<T>(map: Map<string, T[]>, key: string | undefined, value: T): void {
  if (key === undefined) return;
  const held = map.get(key);
  if (held) held.push(value);
  else map.set(key, [value]);
}
