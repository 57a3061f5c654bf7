import { splitWords } from "../language/words.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Holder } from "./expression.ts";
import { betweenWords, isHeadFirst } from "./heads.ts";
import { isPlace } from "./narrowing.ts";
import type { Spoken } from "./slot.ts";

/**
 * Names with another word for the thing itself: "desk light" for "desk lamp", "telly" for "television". Not
 * where the rest says a room: "the hall lamp" may be any of those in the hall.
 */
export function alikeWords(
  { pack }: Spoken,
  holders: readonly Holder[],
): (words: readonly string[]) => readonly string[][] {
  const { alike = [], links = [] } = pack;
  const isLast = !isHeadFirst(pack);
  const wordsIn = (text: string): string[] => splitWords(text, pack).map((word) => word.text);
  const sets = alike.map((set) => set.map(wordsIn));
  const places = placesIn(holders);
  const isRoom = (rest: readonly string[]): boolean => saysPlace(rest, places, pack);
  return (words) => {
    const [own, others] = isLast ? [words.at(-1) ?? "", words.slice(0, -1)] : ["", []];
    return sets.flatMap((set) =>
      set.flatMap((said) => {
        const rest = restOf(words, said, isLast);
        const instead = set.filter((other) => other !== said);
        if (rest && !isRoom(rest)) {
          return instead.map((other) => (isLast ? [...rest, ...other] : [...other, ...rest]));
        }
        // "Schreibtischlicht" for "Schreibtischlampe".
        const [ending = "", more] = said;
        const start = own.slice(0, own.length - ending.length);
        if (more !== undefined || start === "" || !own.endsWith(ending)) return [];
        const isOfRoom = links.some(
          (link) => start.endsWith(link) && places.has(start.slice(0, start.length - link.length)),
        );
        if (links.length === 0 || isOfRoom) return [];
        return instead.flatMap(([other = "", longer]) =>
          longer === undefined ? [[...others, start + other]] : [],
        );
      }),
    );
  };
}

/** What rooms and zones are called. */
export function placesIn(holders: readonly Holder[]): ReadonlySet<string> {
  return new Set(
    holders.flatMap(({ entity, name }) => (isPlace(entity.type) ? name.words.join(" ") : [])),
  );
}

/** Whether what is said beside the thing itself is a room or a zone: what is called so is all that is there. */
export function saysPlace(
  rest: readonly string[],
  places: ReadonlySet<string>,
  pack: LanguagePack,
): boolean {
  const between = betweenWords(pack);
  return places.has(rest.filter((word) => !between.has(word)).join(" "));
}

/** What is left of a name without the words for the thing itself, if it has these. */
function restOf(
  words: readonly string[],
  said: readonly string[],
  isLast: boolean,
): readonly string[] | undefined {
  const from = isLast ? words.length - said.length : 0;
  if (from < 0 || said.some((word, at) => words[from + at] !== word)) return undefined;
  return isLast ? words.slice(0, from) : words.slice(said.length);
}
