import { type Utterance, afterSmall as afterSmallIn } from "../automaton/utterance.ts";
import type { Placed } from "./found.ts";
import type { longestNames } from "./names.ts";
import { isPlace } from "./narrowing.ts";
import { type Connective, isPlaceWord } from "./nouns.ts";

/** What the words of an utterance are, one by one. */
interface Words {
  /** The words from a word on that are no names, and what each of them is for. */
  connectivesAt: (from: number) => readonly { sort: Connective; end: number }[];
  /** Where words of one sort end. */
  connective: (sort: Connective, from: number) => readonly number[];
  named: ReturnType<typeof longestNames>;
  mayBegin: (from: number) => boolean;
}

/** The places that an utterance names. */
export interface PlacesRead {
  /** Where words for here end that are no place by its name. */
  hereFrom: (from: number) => readonly number[];
  /** Places from a word on, the longest list of them first. */
  places: (from: number) => readonly Placed[];
  /** The same after their preposition, or without one: "in the loft", "upstairs". */
  placesAfter: (from: number) => readonly Placed[];
}

/** Most places in a list, one after another. */
const mostListed = 4;

/** Reads the places of an utterance, each word of which is looked at once. */
export function readPlaces(
  utterance: Utterance,
  { connectivesAt, connective, named, mayBegin }: Words,
): PlacesRead {
  const afterSmall = (at: number): number => afterSmallIn(utterance, at);
  /** Where words for here end, but for those that end in the name of a place: "hier unten" is what is called so. */
  const hereFrom = (from: number): readonly number[] =>
    connective("here", from).filter((end) => {
      for (let at = from; at < end; at++) {
        const name = named(at);
        // "In diesem Zimmer" is none that has the word in its name.
        const isIt = name?.end === end;
        const own = isIt ? name.holders.filter((holder) => !holder.name.loose) : [];
        if (own.some(({ entity }) => isPlace(entity.type))) return false;
      }
      return true;
    });

  const place = (from: number): Placed[] => {
    if (!mayBegin(from)) return [];
    const found: Placed[] = [];
    // "Hier unten" and "here in the hall" are where the latter says, where there is such a place.
    const here = hereFrom(from);
    for (const { sort, end } of connectivesAt(from)) {
      if (isPlaceWord(sort) && (sort !== "here" || here.includes(end))) {
        found.push({ end, place: sort });
      }
    }
    // "In both dorms" is what "in the dorms" is.
    for (const start of [
      from,
      ...connective("here", from).flatMap(prepositional),
      ...connective("all", from),
      ...connective("both", from),
    ]) {
      const name = named(afterSmall(start));
      const places = name?.holders.filter(({ entity }) => isPlace(entity.type)) ?? [];
      if (name && places.length > 0) found.push({ end: name.end, place: places });
    }
    return found;
  };
  const firstPlaces: Placed[][] = [];
  /** Places, the longest list of them first: what follows "and" is a place if it can be one. */
  const places = (from: number): readonly Placed[] => (firstPlaces[from] ??= placesAt(from, 0));
  const placesAt = (from: number, depth: number): Placed[] =>
    place(from).flatMap((first) => {
      if (typeof first.place === "string" || depth > mostListed) return [first];
      const { place: holders, end } = first;
      const more = [...connective("and", end), ...(depth > 0 ? [] : [end])].flatMap((joiner) => {
        const next = afterSmall(joiner);
        return prepositional(next).flatMap((start) => placesAt(start, depth + 1));
      });
      const lists = more.flatMap((rest): Placed[] =>
        typeof rest.place === "string"
          ? []
          : [{ end: rest.end, place: [...holders, ...rest.place] }],
      );
      // Without "and" two places are one inside the other, which is not said so.
      return [...lists.filter((list) => isJoined(end, list.end)), first];
    });
  const isJoined = (from: number, to: number): boolean => {
    for (let at = from; at < to; at++) if (connective("and", at).length > 0) return true;
    return false;
  };
  const prepositional = (from: number): number[] => [
    from,
    // "De los dos dormitorios" begins with what is an article elsewhere.
    ...new Set(connective("inPlace", from).flatMap((end) => [end, afterSmall(end)])),
  ];
  const placed: Placed[][] = [];
  /** Places after their preposition, or without one: "in the loft", "upstairs". */
  const placesAfter = (from: number): readonly Placed[] => {
    if (from >= utterance.numbers.length) return [];
    return (placed[from] ??= [...new Set([from, afterSmall(from)].flatMap(prepositional))].flatMap(
      (start) => places(start),
    ));
  };
  return { hereFrom, places, placesAfter };
}
