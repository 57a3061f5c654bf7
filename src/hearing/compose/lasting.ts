import { isNamedPlace } from "../../slot-types/narrowing.ts";
import type { Reading } from "../understand/evaluate.ts";
import { type Apart, apartChoices } from "./apart.ts";
import { type Command, type Parting, whensOf } from "./parting.ts";
import { type Stretch, joined, pick } from "../understand/stretch.ts";

/**
 * "Landing light for five minutes", "porch light at sunset": a thing and how long it lasts, or when in the day
 * it is, is that it is on.
 */
export function asLasting(
  { utterance, aparts, joiners, on, keeps, gives, ofWords, read, readingOf }: Parting,
  stretch: Stretch,
): Command | undefined {
  const telling = aparts.filter(({ whens }) => whens);
  if (!telling.some(isTelling)) return undefined;
  for (const left of apartChoices(telling, joiners, stretch)) {
    if (!left.some(isTelling)) continue;
    const said = pick(utterance, stretch, left);
    // "Give the pump ten minutes", "ten minutes of the pump".
    const afterLengths = new Set(left.map(({ end }) => utterance.words[end]?.start));
    const from = said.words.findIndex(({ text, start }, at) => {
      const isOf = afterLengths.has(start) && ofWords.has(text);
      return said.small[at] !== true && !gives.has(text) && !isOf;
    });
    const named = pick(said, { from: Math.max(0, from), end: said.words.length }, []);
    const end = named.words.at(-1)?.end ?? 0;
    const words = on.words.map(({ text }) => ({ text, start: end, end }));
    const understood = read(joined([named, { ...on, words }]));
    const reading = understood && readingOf(understood);
    const lasts = whensOf(left).some(({ when }) => when === "for" || when === "until");
    const counts = named.texts.map((text, at) => {
      return named.small[at] !== true && !(lasts && keeps.has(text));
    });
    if (reading && isTurnedOn(reading, counts)) return { understood, whens: whensOf(left) };
  }
  return undefined;
}

/** Whether words can only say when: a bare number of an hour may be a value as well. */
function isTelling({ whens: [reading, more] = [] }: Apart): boolean {
  if (more) return true;
  if (reading === undefined || reading.when === "in") return false;
  if (reading.when !== "at" || "sun" in reading) return true;
  return reading.date !== undefined || reading.time.isOfDay === true;
}

const switches: ReadonlySet<string> = new Set(["power", "flow"]);

/** Whether all words that count are a thing that is switched on. */
function isTurnedOn({ fillings, meaning }: Reading, counts: readonly boolean[]): boolean {
  const [target, more] = fillings;
  if (target?.reading.read !== "target" || more || meaning.result !== "do") return false;
  // "The garden for ten minutes" is no light in it.
  if (isNamedPlace(target.reading.target)) return false;
  const isBeside = counts.some((isCounted, at) => {
    return isCounted && (at < target.from || at >= target.end);
  });
  if (isBeside || meaning.effects.length === 0) return false;
  return meaning.effects.every(
    (effect) => "set" in effect && Object.keys(effect.set).every((name) => switches.has(name)),
  );
}
