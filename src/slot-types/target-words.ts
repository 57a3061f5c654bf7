import type { Match } from "../automaton/chart.ts";
import { given } from "../source/given.ts";
import { type Utterance, afterSmall as afterSmallIn } from "../automaton/utterance.ts";
import { type Lexicon, unheardOf } from "../lexicon/lexicon.ts";
import type { PlaceExpression, TargetExpression, HowMany } from "./expression.ts";
import { type Names, longestNames } from "./names.ts";
import { among, isPlace } from "./narrowing.ts";
import { isPlaced, joined } from "./joined.ts";
import { type Found, type NarrowingFound, type Placed, longerBy } from "./found.ts";
import { createNounsSaid } from "./called.ts";
import { createCompounds } from "./compounds.ts";
import { readPlaces } from "./target-places.ts";
import { createNamesWithNouns } from "./beside-noun.ts";
import { type Connective, connectiveTrie, nounTrie, nounsOf } from "./nouns.ts";
import type { SlotReading, Spoken } from "./slot.ts";

/** Reads how people name things. */
export interface TargetWordsReader {
  /** Everything that words from a place on may name. */
  read: (utterance: Utterance, from: number) => Match<SlotReading>[];
  /** Everything in an utterance that may narrow a thing that is named elsewhere in it. */
  narrowings: (utterance: Utterance) => NarrowingFound[];
}

/** Most expressions that are looked at from one word on. */
const mostFound = 32;

/**
 * Reads the ways people name devices, as one grammar:
 *
 *     target  = list [except (list | ones) | except list except]
 *     list    = unit *(and unit)
 *     unit    = [all | this] (thing | places thing | thing [in] places) | everything [[in] places] | here | it
 *             | ones | places "ones"
 *     thing   = name | noun of a kind | name and noun
 *     places  = place *(and place)
 *     ones    = "the ones" [in] places
 *
 * A name is a name: words that are one are never a noun for a kind as well. What is joined never
 * widens: in "the lights in A and B" B is a place for lights, and never all that is in B.
 */
export function createTargetReader(
  spoken: Spoken,
  gathered: Names,
  lexicon: Lexicon,
): TargetWordsReader {
  const { trie, holders, endings } = gathered;
  const connectives = connectiveTrie(spoken, lexicon);
  const kindNouns = nounsOf(spoken);
  const nouns = nounTrie(kindNouns, spoken, lexicon);
  const withNouns = createNamesWithNouns(spoken, kindNouns, lexicon);
  const firsts = new Set<number>();
  for (const each of [trie, connectives, withNouns])
    for (const word of each.firsts()) firsts.add(word);
  const hasCompounds = spoken.pack.links !== undefined;
  const nounsSaid = createNounsSaid(spoken);
  const compounds = createCompounds(spoken, holders, { nouns: kindNouns, nounsSaid });

  const reader = (utterance: Utterance) => {
    const { numbers, small, texts } = utterance;
    const afterSmall = (at: number): number => afterSmallIn(utterance, at);
    const said: { sort: Connective; end: number }[][] = [];
    /** The words from a word on that are no names, and what each of them is for. */
    const connectivesAt = (from: number): readonly { sort: Connective; end: number }[] => {
      let here = said[from];
      if (!here) {
        const all: { sort: Connective; end: number }[] = (here = []);
        connectives.match(numbers, from, (end, sorts) => {
          for (const each of sorts) all.push({ sort: each, end });
        });
        said[from] = here;
      }
      return here;
    };
    const connective = (sort: Connective, from: number): readonly number[] => {
      const here = connectivesAt(from);
      if (here.length === 0) return [];
      return here.flatMap((each) => (each.sort === sort ? each.end : []));
    };
    const named = longestNames(gathered, utterance);
    /** Most words begin nothing that has a name. */
    const mayBegin = (from: number): boolean => {
      const number = numbers[from] ?? unheardOf;
      if (number === unheardOf) return hasCompounds;
      return firsts.has(number) || endings(texts[from] ?? "") !== undefined;
    };

    const { hereFrom, places, placesAfter } = readPlaces(utterance, {
      connectivesAt,
      connective,
      named,
      mayBegin,
    });

    /** Things by their kind; not by words that are a name. */
    const kinds = (from: number, all?: HowMany, inPlace?: Placed & { from: number }): Found[] => {
      const found: Found[] = [];
      const name = named(from)?.end;
      nouns.match(numbers, from, (end, meant) => {
        for (const many of [false, true]) {
          const those = meant.filter((noun) => noun.many === many);
          if (those.length === 0) continue;
          // "Every light" is all of them.
          const words = end - (inPlace?.from ?? from);
          const isMany = many || all !== undefined;
          const base = {
            target: "kind",
            ...nounsSaid(those),
            many: isMany,
            words,
            ...given({ all }),
          } as const;
          if (inPlace) found.push({ end, expression: { ...base, place: inPlace.place } });
          else if (name === undefined || name < end) found.push({ end, expression: base });
          if (inPlace) continue;
          for (const after of placesAfter(end)) {
            if (name !== undefined && name >= after.end) continue;
            const length = words + after.end - end;
            const expression = { ...base, place: after.place, words: length };
            found.push({ end: after.end, expression });
          }
        }
      });
      return found;
    };
    const names = (from: number, all?: HowMany, inPlace?: PlaceExpression): Found[] => {
      const name = named(from);
      if (!name) return [];
      const { end, holders } = name;
      const words = end - from;
      const of = { target: "named", holders, words, ...given({ all }) } as const;
      const isOnlyPlace = holders.every(({ entity }) => isPlace(entity.type));
      const within = ({ end: last, place }: Placed): Found => ({
        end: last,
        expression: { target: "within", of, place },
      });
      if (inPlace) return isOnlyPlace ? [] : [within({ end, place: inPlace })];
      const found: Found[] = [{ end, expression: of }];
      if (!isOnlyPlace) found.push(...placesAfter(end).map(within));
      for (const those of withNouns.after(utterance, name)) {
        const words = those.end - from;
        found.push({ end: those.end, expression: { ...of, holders: those.holders, words } });
        found[0] = { end, expression: of, hasNoun: true };
      }
      return found;
    };
    /** "La porte du garage", where the garage is what is called so; "the lamp over the desk". */
    const nounAndName = (from: number): Found[] =>
      withNouns.before(utterance, from).flatMap(({ at, of }) => {
        const name = named(at);
        if (!name || (named(from)?.end ?? 0) >= at) return [];
        return of(name).map(({ end, holders }): Found => {
          return { end, expression: { target: "named", holders, words: end - from } };
        });
      });
    const things = (from: number, all?: HowMany): Found[] => [
      ...kinds(from, all),
      ...names(from, all),
      ...nounAndName(from),
      ...places(from).flatMap((at) => {
        const next = afterSmall(at.end);
        return [...kinds(next, all, { ...at, from }), ...names(next, all, at.place)];
      }),
      // Words that are a name are never a place and a kind as well.
      ...(named(from) ? [] : compounds(texts[from] ?? "", from + 1)),
    ];

    const unit = (from: number): Found[] => {
      if (!mayBegin(from)) return [];
      const found = things(from);
      for (const at of places(from)) found.push(...onesOf(at));
      if (connectivesAt(from).length > 0) found.push(...connected(from));
      return found;
    };
    /** What begins with a word that is no name: "all the lights", "here", "the ones in the loft". */
    const connected = (from: number): Found[] => {
      const found = connectivesAt(from).flatMap(({ sort, end }): Found[] => {
        switch (sort) {
          case "all":
          case "both":
          case "this": {
            const next = afterSmall(end);
            const found = things(next, sort === "this" ? undefined : sort);
            // "That radio there" is pointed to twice.
            const pointed = sort !== "this" ? [] : found.flatMap(pointedTo);
            return [...found, ...pointed].map((thing) => longerBy(thing, next - from));
          }
          case "everything": {
            const within = placesAfter(end).map((at): Found => {
              return { end: at.end, expression: { target: sort, place: at.place } };
            });
            return [{ end, expression: { target: sort } }, ...within];
          }
          case "here":
            return hereFrom(from).includes(end) ? [{ end, expression: { target: sort } }] : [];
          case "there":
          case "it":
            return [{ end, expression: { target: sort } }];
          case "everywhere":
          case "outside":
          case "inside":
            return [{ end, expression: { target: "everything", place: sort } }];
          default:
            return [];
        }
      });
      for (const { end, said } of ones(from)) {
        if (!small[from] || isMarked(from, end, said.place)) found.push({ end, expression: said });
      }
      return found;
    };
    const pointedTo = (thing: Found): Found[] =>
      [...connective("there", thing.end), ...connective("here", thing.end)].map((end) => {
        return { ...thing, end };
      });
    /** Whether a place is not only a name after an article: "la cocina" is the kitchen. */
    const isMarked = (from: number, end: number, place: PlaceExpression): boolean => {
      if (typeof place === "string") return true;
      for (let at = from; at < end; at++) if (connective("inPlace", at).length > 0) return true;
      return false;
    };
    /** "The attic one", where that is no article. */
    const onesOf = ({ end, place }: Placed): Found[] =>
      (["one", "ones"] as const).flatMap((sort) =>
        small[end]
          ? []
          : connective(sort, end).map((after) => ({
              end: after,
              expression: { target: "ones", many: sort === "ones", place },
            })),
      );
    /** "The one" may begin with what is passed over elsewhere: "die in der Küche". */
    const onesAfter = (from: number): ReturnType<typeof ones> => {
      const found: ReturnType<typeof ones> = [];
      for (let at = from; at <= afterSmall(from); at++) found.push(...ones(at));
      return found;
    };
    const ones = (from: number): { end: number; said: TargetExpression & { target: "ones" } }[] =>
      (["ones", "one"] as const).flatMap((sort) =>
        connective(sort, from).flatMap((end) => {
          // Where one word is for one and for several, it is for all that there are.
          if (sort === "one" && connective("ones", from).includes(end)) return [];
          return placesAfter(end).map((at) => {
            const said = { target: "ones", many: sort === "ones", place: at.place } as const;
            return { end: at.end, said };
          });
        }),
      );

    /** Whether a preposition stands before a word. */
    const isGoverned = (from: number): boolean => {
      let at = from;
      while (at > 0 && small[at - 1] === true) at--;
      return at > 0 && connective("inPlace", at - 1).includes(at);
    };
    const list = (from: number, depth: number): Found[] => {
      const found: Found[] = [];
      const add = (end: number, first: TargetExpression, rest: TargetExpression): void => {
        const expression = joined(first, rest);
        if (expression) found.push({ end, expression });
      };
      for (const first of unit(from)) {
        found.push(first);
        if (depth > 6) continue;
        for (const joiner of connective("and", first.end)) {
          const next = afterSmall(joiner);
          for (const rest of list(next, depth + 1))
            add(rest.end, first.expression, rest.expression);
          // A preposition is said again before what is no place: "a la lámpara y al ventilador".
          for (const start of isGoverned(from) ? connective("inPlace", next).map(afterSmall) : []) {
            for (const rest of list(start, depth + 1))
              if (!isPlaced(rest.expression)) add(rest.end, first.expression, rest.expression);
          }
          for (const { end, said } of onesAfter(joiner)) {
            const rest = among(first.expression, said);
            if (rest) add(end, first.expression, rest);
          }
        }
        // A comma is not heard: "the spots, the strip and the lamp".
        const next = afterSmall(first.end);
        for (const rest of depth < 3 && !first.hasNoun ? list(next, depth + 3) : []) {
          if (rest.expression.target === "list") add(rest.end, first.expression, rest.expression);
        }
        if (found.length > mostFound) break;
      }
      return found;
    };

    /** What is left out, after the word that says so, or between two. */
    const exceptions = (from: number): { end: number; without: TargetExpression }[] => [
      ...connective("except", from).flatMap((after) =>
        [after, ...connective("inPlace", after)].flatMap((start) => [
          ...list(afterSmall(start), 0).map(({ end, expression }) => ({
            end,
            without: expression,
          })),
          ...onesAfter(start).map(({ end, said }) => ({ end, without: said })),
        ]),
      ),
      ...connective("exceptOpen", from).flatMap((after) =>
        list(afterSmall(after), 0).flatMap(({ end, expression }) =>
          connective("exceptClose", end).map((last) => ({ end: last, without: expression })),
        ),
      ),
    ];
    const target = (from: number): Found[] => {
      const found = list(from, 0);
      const left = found.flatMap(({ end, expression }) =>
        exceptions(end).flatMap((each): Found[] => {
          const without = among(expression, each.without);
          if (!without) return [];
          return [{ end: each.end, expression: { target: "except", from: expression, without } }];
        }),
      );
      return [...found, ...left].slice(0, 2 * mostFound);
    };
    const known: Found[][] = [];
    const targetAt = (from: number): Found[] => (known[from] ??= target(from));
    return { target: targetAt, exceptions, places, connective, afterSmall };
  };

  // An utterance is asked about from each of its words in turn.
  let last: { utterance: Utterance; reads: ReturnType<typeof reader> } | undefined;
  const readsOf = (utterance: Utterance): ReturnType<typeof reader> => {
    if (last?.utterance !== utterance) last = { utterance, reads: reader(utterance) };
    return last.reads;
  };
  return {
    read(utterance, from) {
      // Articles are passed over before a target like anywhere else, never as part of it.
      if (utterance.small[from] === true && !isNeeded(utterance, from)) return [];
      return readsOf(utterance)
        .target(from)
        .map(({ end, expression }) => ({ end, value: { read: "target", target: expression } }));
    },
    narrowings(utterance) {
      const { exceptions, places, connective, afterSmall } = readsOf(utterance);
      const found: NarrowingFound[] = [];
      for (let from = 0; from < utterance.numbers.length; from++) {
        for (const start of [from, ...connective("inPlace", from)]) {
          const named = afterSmall(start);
          for (const { end, place } of places(named)) {
            found.push({ from, end, named, narrowing: { narrow: "place", place } });
          }
        }
        for (const { end, without } of exceptions(from)) {
          found.push({ from, end, named: from, narrowing: { narrow: "except", without } });
        }
      }
      return found;
    },
  };

  /** Whether a name or something like "the lot" begins with the small word. */
  function isNeeded({ numbers }: Utterance, from: number): boolean {
    let isNeeded = false;
    trie.match(numbers, from, () => (isNeeded = true));
    connectives.match(numbers, from, () => (isNeeded = true));
    return isNeeded;
  }
}
