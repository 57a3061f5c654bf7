import type { Nameable } from "../model/home.ts";
import { wordsOfTalk } from "../language/talk-words.ts";
import { splitWords } from "../language/words.ts";
import type { LanguagePack } from "../language/pack.ts";
import { later } from "../source/later.ts";
import type { Holder } from "./expression.ts";
import { numbersOtherwise } from "./name-numbers.ts";
import { isPlace } from "./narrowing.ts";
import { alikeWords, placesIn, saysPlace } from "./alike.ts";
import { isHeadFirst, whichOf } from "./heads.ts";
import { whoseOf } from "./whose.ts";
import { bareOf, onesOf, partsOf, withoutNumber } from "./name-parts.ts";
import { inOtherNumber } from "./name-counts.ts";
import { connectivesIn, nounsOf } from "./nouns.ts";
import { servedBy } from "./served.ts";
import type { Spoken } from "./slot.ts";
import { stemsOf } from "./stems.ts";

/** Things that may share what remains of their names before nobody can mean one of them by it. */
const mostSharing = 4;

/**
 * What people say for the name of something where that is enough: the thing itself, without the
 * words that tell which ("the mixer" for "dough mixer", "le pétrin" for "pétrin à pâte"), or with another word
 * for the same ("desk light" for "desk lamp"). Words that are a name, a place or a sort of device already go on
 * being only that.
 *
 * @param words The names of the home in all its languages, and which words the patterns of this one have.
 */
export function looseNames(
  spoken: Spoken,
  holders: readonly Holder[],
  { known, isOfPatterns }: WordsKnown,
): { words: readonly string[]; holder: Holder; isShared: boolean }[] {
  const { pack } = spoken;
  const numbers = numbersOtherwise(pack);
  const alike = alikeWords(spoken, holders);
  const places = placesIn(holders);
  // What is called "light" is that one thing, whatever else "lights" are.
  const kindNouns = new Set(
    Object.values(pack.kinds).flatMap(({ one, many }) => [...one, ...many]),
  );
  const isNoun = (words: readonly string[]): boolean => kindNouns.has(words.join(" "));
  const ones = (words: readonly string[]): (readonly string[])[] =>
    // "The kitchen one" is any that is there.
    known.has(whichOf(words, pack).join(" ")) ? [] : onesOf(words, pack);
  const kindWords = wordsByKind(spoken);
  // "The mirror" for "Spiegellampe".
  const compoundOf = (kind: string, words: readonly string[]): (readonly string[])[] =>
    words.length > 1 ? [] : stemsOf(words[0] ?? "", kindWords(kind), pack).map((stem) => [stem]);
  const ways: readonly Way[] = [
    {
      formsOf: (_, words) => [
        ...partsOf(withoutNumber(words, numbers), pack),
        ...alike(words),
        ...ones(words),
      ],
    },
    {
      // "For the baby" speaks of no sensor, which nothing is done to.
      isBare: (entity) => entity.type === "device" && entity.kind === "sensor",
      formsOf(entity, words) {
        const thing = servedBy(entity, words, {
          pack,
          kindWords: kindWords(entity.type === "device" ? entity.kind : ""),
        });
        return thing.length === 0 ? [] : [thing, ...inOtherNumber(thing, pack)];
      },
    },
    {
      // What several are called is said of all of them.
      isOfOne: true,
      formsOf: (entity, words) =>
        isPlace(entity.type) || saysPlace(whichOf(words, pack), places, pack) || isNoun(words)
          ? []
          : inOtherNumber(words, pack),
    },
    {
      // "Ella's light" is in her room; "the kids are asleep" speaks of none.
      isBare: () => true,
      isOfOne: true,
      formsOf: (entity, words) => (isPlace(entity.type) ? whoseOf(entity, words, pack) : []),
    },
    {
      isBare: () => true,
      isOfOne: true,
      formsOf: (entity, words) =>
        entity.type === "device"
          ? [...bareOf(words, pack), ...compoundOf(entity.kind, words)]
              .flatMap((said) => [said, ...inOtherNumber(said, pack)])
              .filter(
                (said) =>
                  (said.length > 1 || !said.every(isOfPatterns)) && !isOfAnother(said, entity),
              )
          : [],
    },
  ];
  // Nobody says only "kiln" for the kiln light beside a kiln, be that ever so barred from voice.
  const isOfAnother = otherNames(spoken);
  // An article alone is no name, though a number of a name may be one: "un" of "dortoir un".
  const taken = new Set([...known, ...wordsOf(spoken), ...pack.small, ...pack.times.one]);
  const isWhole = wholeWords(pack);
  return ways.flatMap(({ formsOf, isOfOne, isBare }) => {
    const found = gather(holders, taken, function* (entity, words, text) {
      for (const form of formsOf(entity, words)) if (isWhole(form, text)) yield form;
    });
    for (const text of found.keys()) taken.add(text);
    return [...found.values()].flatMap(({ words, bearers }) => {
      const isShared = bearers.length > 1;
      if (!isEnough(bearers) || (isShared && isOfOne)) return [];
      return bearers.map((bearer) => {
        const { entity, name } = partOf(bearer);
        const holder: Holder = { entity, name: isBare?.(entity) ? { ...name, bare: true } : name };
        return { words, holder, isShared };
      });
    });
  });
}

/** A way to say less or other words for a name; what an earlier way says is no other's. */
interface Way {
  formsOf: (entity: Nameable, words: readonly string[]) => Iterable<readonly string[]>;
  /** Whether it is none where it would be of several. */
  isOfOne?: true;
  /** Whether only what tells a thing apart is said. */
  isBare?: (entity: Nameable) => boolean;
}

/** Tells whether words are part of the name of something else, whether or not speech may know of it. */
function otherNames({ home, pack }: Spoken): (words: readonly string[], of: Nameable) => boolean {
  // "Decke" is the end of "Heizdecke".
  const partsIn = (word: string): string[] => [word, ...(pack.links ? endingsOf(word).flat() : [])];
  const bearers = later(() => {
    const found = new Map<string, Nameable | typeof several>();
    for (const map of [home.devices, home.groups, home.rooms, home.zones]) {
      for (const entity of map.values()) {
        for (const word of entity.names.flatMap(({ words }) => words.flatMap(partsIn))) {
          const bearer = found.get(word);
          if (bearer !== entity) found.set(word, bearer ? several : entity);
        }
      }
    }
    return found;
  });
  return (words, of) =>
    words.every((word) => {
      const bearer = bearers().get(word);
      return bearer !== undefined && bearer !== of;
    });
}

/** Whatever has a word in its name, where it is more than one thing. */
const several = Symbol("several");

/** What is known of words before any is said loosely. */
interface WordsKnown {
  known: ReadonlySet<string>;
  isOfPatterns: (word: string) => boolean;
}

/** Words for a name, and what is meant by them: of too many, only as many as show that it is too many. */
interface Part {
  words: readonly string[];
  bearers: Holder[];
}

function gather(
  holders: readonly Holder[],
  taken: ReadonlySet<string>,
  formsOf: (
    entity: Nameable,
    words: readonly string[],
    text: string,
  ) => Iterable<readonly string[]>,
): Map<string, Part> {
  const parts = new Map<string, Part>();
  for (const holder of holders) {
    const { entity, name } = holder;
    const whole = name.words.join(" ");
    for (const words of formsOf(entity, name.words, name.text)) {
      const text = words.join(" ");
      if (text === "" || taken.has(text) || text === whole) continue;
      const part = parts.get(text);
      if (!part) parts.set(text, { words, bearers: [holder] });
      // The names of one thing follow each other.
      else if (part.bearers.at(-1)?.entity === entity) part.bearers.splice(-1, 1, holder);
      else if (part.bearers.length <= mostSharing) part.bearers.push(holder);
    }
  }
  return parts;
}

/**
 * Tells whether no word that is written with a hyphen is cut in two, where what comes first is what it is: nobody
 * says "fort" for "coffre-fort".
 */
function wholeWords(pack: LanguagePack): (form: readonly string[], text: string) => boolean {
  if (!isHeadFirst(pack)) return () => true;
  return (form, text) =>
    [...text.matchAll(/[\p{L}\p{N}]+(?:-[\p{L}\p{N}]+)+/gu)].every(([joined]) => {
      const words = wordsIn(joined, pack);
      const said = words.filter((word) => form.includes(word));
      return said.length === 0 || said.length === words.length;
    });
}

/** Shortest part of a word that is written as one. */
const shortest = { before: 3, itself: 4 };

/**
 * The same where a language writes two words as one: "Säge" for "Bandsäge". What is made tells whose names end
 * in a word.
 */
export function nameEndings(
  spoken: Spoken,
  holders: readonly Holder[],
  known: ReadonlySet<string>,
): (text: string) => readonly Holder[] | undefined {
  const { links } = spoken.pack;
  if (!links) return () => undefined;
  // Most homes are never spoken to.
  const ends = later(() => {
    // "Zijn" is none of "magazijn".
    const taken = new Set([...known, ...wordsOf(spoken), ...wordsOfTalk(spoken.pack)]);
    const found = gather(holders, taken, (_, words) => endingsOf(words.at(-1) ?? ""));
    return new Map(
      [...found].flatMap(([text, { bearers }]) =>
        isEnough(bearers) ? [[text, bearers.map(partOf)] as const] : [],
      ),
    );
  });
  return (text) => ends().get(text);
}

function endingsOf(word: string): string[][] {
  const endings: string[][] = [];
  for (let at = shortest.before; at <= word.length - shortest.itself; at++) {
    endings.push([word.slice(at)]);
  }
  return endings;
}

/** Whether one of those that share a part may be meant by it; of several places none is, since all would be. */
function isEnough(bearers: readonly Holder[]): boolean {
  if (bearers.length > mostSharing) return false;
  return bearers.length === 1 || bearers.every(({ entity }) => !isPlace(entity.type));
}

function partOf({ entity, name }: Holder): Holder {
  return { entity, name: { ...name, alias: true, loose: true } };
}

/** What devices of each kind are called in one word. */
function wordsByKind(spoken: Spoken): (kind: string) => readonly string[] {
  const words = new Map<string, string[]>();
  for (const { said, noun } of nounsOf(spoken)) {
    const [word, more] = wordsIn(said, spoken.pack);
    if (word === undefined || more !== undefined) continue;
    const those = words.get(noun.kind);
    if (those) those.push(word);
    else words.set(noun.kind, [word]);
  }
  return (kind) => words.get(kind) ?? [];
}

/** Words that say what a thing is or where it stands. */
function wordsOf(spoken: Spoken): string[] {
  const { pack } = spoken;
  const nouns = nounsOf(spoken).map((noun) => noun.said);
  const others = connectivesIn(spoken).flatMap((sort) => pack.targets[sort]);
  return [...nouns, ...others].map((text) => wordsIn(text, pack).join(" "));
}

function wordsIn(text: string, pack: LanguagePack): string[] {
  return splitWords(text, pack).map((word) => word.text);
}
