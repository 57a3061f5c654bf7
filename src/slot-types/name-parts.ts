import type { LanguagePack } from "../language/pack.ts";
import { betweenWords, isHeadFirst, whichOf } from "./heads.ts";

/** "The bedside one", "the left one", "la de techo", "celle de gauche". */
export function onesOf(words: readonly string[], pack: LanguagePack): (readonly string[])[] {
  const { small, targets } = pack;
  const ones = targets.one.filter((one) => !small.includes(one));
  if (!isHeadFirst(pack)) {
    return tellingOf(words, pack).flatMap((which) => ones.map((one) => [...which, one]));
  }
  const rest = words.slice(1);
  const said = betweenWords(pack).has(rest[0] ?? "") ? [rest] : [];
  const last = whichOf(words, pack).slice(-1);
  // "La de la derecha" is of "lámpara de noche derecha".
  const isTold = last.length > 0 && (said.length === 0 || whichOf(words, pack).length > 1);
  const placed = isTold
    ? targets.inPlace.flatMap((place) => [
        [place, ...last],
        ...small.map((article) => [place, article, ...last]),
      ])
    : [];
  if (ones.length === 0) return [...said, ...placed];
  return [...said, ...[...said, ...placed].flatMap((each) => ones.map((one) => [one, ...each]))];
}

/** What tells which one it is: all of it, and its first and its last word. */
function tellingOf(words: readonly string[], pack: LanguagePack): (readonly string[])[] {
  const which = whichOf(words, pack);
  if (which.length < 2) return which.length === 0 ? [] : [which];
  return [which, which.slice(0, 1), which.slice(-1)];
}

/** The same where nothing else is said: "the skylight" for "skylight blind", "die rechte". */
export function bareOf(words: readonly string[], pack: LanguagePack): (readonly string[])[] {
  const { inflections = [] } = pack;
  return tellingOf(words, pack)
    .filter(isNameLike)
    .flatMap((which) => {
      const last = which.at(-1) ?? "";
      const ending = inflections.find((each) => last.endsWith(each)) ?? "";
      const stem = last.slice(0, last.length - ending.length);
      const forms = ending === "" ? [] : inflections.map((other) => which.with(-1, stem + other));
      return [which, ...forms];
    });
}

/** What is left of a name without the words that tell which one it is. */
export function* partsOf(
  own: readonly string[],
  pack: LanguagePack,
): Generator<readonly string[], void> {
  const isLast = !isHeadFirst(pack);
  const between = betweenWords(pack);
  const [first = "", last = ""] = [own[0], own.at(-1)];
  // "The right lamp" for "right bedside lamp", "lampe de chevet" and "lampe gauche" for "lampe de chevet gauche".
  if (own.length > 2) {
    yield [first, last];
    if (!isLast && !between.has(own.at(-2) ?? "")) yield own.slice(0, -1);
  }
  const joint = own.findIndex((word, at) => at > 0 && between.has(word));
  // "The lamp by the door" is no door.
  if (joint > 0 && isLast) return;
  const thing = joint > 0 ? own.slice(0, joint) : own;
  for (let length = 1; length <= thing.length; length++) {
    const part = isLast ? thing.slice(thing.length - length) : thing.slice(0, length);
    if (isNameLike(part)) yield part;
  }
  // Two nouns side by side, or an adjective before its noun: "la tondeuse" for "robot tondeuse".
  if (isLast || joint > 0) return;
  for (let from = 1; from < thing.length; from++) {
    if (isNameLike(thing.slice(from))) yield thing.slice(from);
  }
}

function isNameLike(words: readonly string[]): boolean {
  return words.some((word) => /\p{L}{3}/u.test(word));
}

export function withoutNumber(
  words: readonly string[],
  numbers: ReadonlyMap<string, string>,
): readonly string[] {
  const last = words.at(-1) ?? "";
  return numbers.has(last) ? words.slice(0, -1) : words;
}
