import type { Match } from "../automaton/chart.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type TargetWords, targetWords } from "../language/vocabulary.ts";
import { splitWords } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { type Trie, createTrie } from "../lexicon/trie.ts";
import { isKnown } from "../model/known.ts";
import type { Holder, PlaceExpression, TargetExpression } from "./expression.ts";
import type { Names } from "./names.ts";
import type { SlotReading, Spoken } from "./slot.ts";

interface Found {
  end: number;
  expression: TargetExpression;
}

type Connective = keyof TargetWords;

interface Noun {
  kind: string;
  many: boolean;
}

/** Most expressions that are looked at from one word on. */
const mostFound = 32;

/**
 * Reads the ways people name devices: names, kinds in places ("the lights in the workshop",
 * "workshop lights"), "everything", "here", lists, and "all … except …".
 */
export function createTargetReader(
  spoken: Spoken,
  { trie }: Names,
  lexicon: Lexicon,
): (utterance: Utterance, from: number) => Match<SlotReading>[] {
  const connectives = connectiveTrie(spoken, lexicon);
  const nouns = nounTrie(spoken, lexicon);

  const reader = ({ numbers, small }: Utterance) => {
    const afterSmall = (at: number): number => {
      let next = at;
      while (small[next]) next++;
      return next;
    };
    const connective = (sort: Connective, from: number): number[] => {
      const ends: number[] = [];
      connectives.match(numbers, from, (end, sorts) => {
        if (sorts.includes(sort)) ends.push(end);
      });
      return ends;
    };
    /** The longest name from a word on: "rack light two" is never "rack light" and a number. */
    const named = (from: number): { end: number; holders: readonly Holder[] }[] => {
      let longest: { end: number; holders: readonly Holder[] } | undefined;
      trie.match(numbers, from, (end, holders) => (longest = { end, holders }));
      return longest ? [longest] : [];
    };
    const places = (from: number): { end: number; place: PlaceExpression }[] => {
      const found: { end: number; place: PlaceExpression }[] = [];
      for (const place of ["here", "there"] as const) {
        for (const end of connective(place, from)) found.push({ end, place });
      }
      for (const { end, holders } of named(from)) {
        const place = holders.filter(({ entity }) => isPlace(entity.type));
        if (place.length > 0) found.push({ end, place });
      }
      return found;
    };
    /** A place after its preposition, or without one: "in the loft", "upstairs". */
    const placesAfter = (from: number): { end: number; place: PlaceExpression }[] => [
      ...places(afterSmall(from)),
      ...connective("inPlace", from).flatMap((end) => places(afterSmall(end))),
    ];
    const kinds = (from: number, all: boolean, place?: PlaceExpression): Found[] => {
      const found: Found[] = [];
      nouns.match(numbers, from, (end, meant) => {
        const one = meant.filter((noun) => !noun.many).map((noun) => noun.kind);
        const many = meant.filter((noun) => noun.many).map((noun) => noun.kind);
        for (const [list, isMany] of [
          [one, false],
          [many, true],
        ] as const) {
          if (list.length === 0) continue;
          const base = { target: "kind", kinds: list, many: isMany, all } as const;
          found.push({ end, expression: place ? { ...base, place } : base });
          if (place) continue;
          for (const after of placesAfter(end)) {
            found.push({ end: after.end, expression: { ...base, place: after.place } });
          }
        }
      });
      return found;
    };

    const unit = (from: number): Found[] => {
      const found: Found[] = [...kinds(from, false)];
      for (const { end, holders } of named(from)) {
        const expression = { target: "named", holders, words: end - from } as const;
        found.push({ end, expression });
        const place = holders.filter(({ entity }) => isPlace(entity.type));
        if (place.length > 0) found.push(...kinds(end, false, place));
      }
      for (const end of connective("all", from)) {
        const next = afterSmall(end);
        found.push(...kinds(next, true));
        for (const place of places(next)) found.push(...kinds(place.end, true, place.place));
        // "both racks", "all of the display lights": the name says it already.
        for (const name of named(next)) {
          const { holders } = name;
          const expression = { target: "named", holders, words: name.end - next } as const;
          found.push({ end: name.end, expression });
        }
      }
      for (const end of connective("everything", from)) {
        found.push({ end, expression: { target: "everything" } });
        for (const { end: after, place } of placesAfter(end)) {
          found.push({ end: after, expression: { target: "everything", place } });
        }
      }
      for (const target of ["here", "there", "it"] as const) {
        for (const end of connective(target, from)) found.push({ end, expression: { target } });
      }
      return found;
    };

    const list = (from: number, depth: number): Found[] => {
      const found: Found[] = [];
      for (const first of unit(from)) {
        found.push(first);
        if (depth > 6) continue;
        for (const joiner of connective("and", first.end)) {
          for (const rest of list(afterSmall(joiner), depth + 1)) {
            found.push({ end: rest.end, expression: joined(first.expression, rest.expression) });
          }
        }
        // A comma is not heard: "the spots, the strip and the lamp".
        const next = afterSmall(first.end);
        for (const rest of depth < 3 ? list(next, depth + 3) : []) {
          if (rest.expression.target !== "list") continue;
          found.push({ end: rest.end, expression: joined(first.expression, rest.expression) });
        }
        if (found.length > mostFound) break;
      }
      return found;
    };

    return (from: number): Found[] => {
      const found = list(from, 0);
      const exceptions = found.flatMap(({ end, expression }) =>
        connective("except", end).flatMap((after) =>
          list(afterSmall(after), 0).map((without): Found => {
            const but = {
              target: "except",
              from: expression,
              without: without.expression,
            } as const;
            return { end: without.end, expression: but };
          }),
        ),
      );
      return [...found, ...exceptions].slice(0, 2 * mostFound);
    };
  };

  // An utterance is asked about from each of its words in turn.
  let last: { utterance: Utterance; read: (from: number) => Found[] } | undefined;
  return (utterance, from) => {
    // Articles are passed over before a target like anywhere else, never as part of it.
    if (utterance.small[from] === true && !isNeeded(utterance, from)) return [];
    if (last?.utterance !== utterance) last = { utterance, read: reader(utterance) };
    return last.read(from).map(({ end, expression }) => ({
      end,
      value: { read: "target", target: expression },
    }));
  };

  /** Whether a name or something like "the lot" begins with the small word. */
  function isNeeded({ numbers }: Utterance, from: number): boolean {
    let isNeeded = false;
    trie.match(numbers, from, () => (isNeeded = true));
    connectives.match(numbers, from, () => (isNeeded = true));
    return isNeeded;
  }
}

/** The place that an expression names, or undefined when it names something else. */
export function placeOf(expression: TargetExpression): PlaceExpression | undefined {
  if (expression.target === "here" || expression.target === "there") return expression.target;
  if (expression.target !== "named") return undefined;
  const places = expression.holders.filter(({ entity }) => isPlace(entity.type));
  return places.length > 0 ? places : undefined;
}

/** An expression with a place said apart from it, or undefined when it has a place already. */
export function narrow(
  expression: TargetExpression,
  place: PlaceExpression,
): TargetExpression | undefined {
  switch (expression.target) {
    case "kind":
    case "everything":
      return expression.place === undefined ? { ...expression, place } : undefined;
    case "named":
      return { target: "within", of: expression, place };
    default:
      return undefined;
  }
}

function isPlace(type: string): boolean {
  return type === "room" || type === "zone";
}

function joined(first: TargetExpression, rest: TargetExpression): TargetExpression {
  return { target: "list", items: rest.target === "list" ? [first, ...rest.items] : [first, rest] };
}

function connectiveTrie({ pack }: Spoken, lexicon: Lexicon): Trie<Connective> {
  const trie = createTrie<Connective>();
  for (const sort of targetWords) insert(trie, pack.targets[sort], sort, { pack, lexicon });
  return trie;
}

function nounTrie({ home, pack }: Spoken, lexicon: Lexicon): Trie<Noun> {
  const trie = createTrie<Noun>();
  const to = { pack, lexicon };
  const used = new Set([...home.devices.values()].filter(isKnown).map(({ kind }) => kind));
  for (const [kind, { one, many }] of Object.entries(pack.kinds)) {
    if (!used.has(kind)) continue;
    insert(trie, one, { kind, many: false }, to);
    insert(trie, many, { kind, many: true }, to);
  }
  for (const { kind, many, text, language } of home.kindNouns) {
    if (language.split("-")[0] !== pack.language || !used.has(kind)) continue;
    insert(trie, [text], { kind, many }, to);
  }
  return trie;
}

function insert<T>(
  trie: Trie<T>,
  said: readonly string[],
  value: T,
  { pack, lexicon }: { pack: LanguagePack; lexicon: Lexicon },
): void {
  for (const text of said) {
    trie.insert(
      splitWords(text, pack).map((word) => lexicon.add(word.text)),
      value,
    );
  }
}
