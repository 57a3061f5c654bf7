import type { Utterance } from "../../automaton/utterance.ts";
import type { WhenReading } from "../understand/whens.ts";
import type { Reading } from "../understand/evaluate.ts";
import { apartChoices } from "./apart.ts";
import { type Command, type Parting, whensOf } from "./parting.ts";
import { type Stretch, joined, pick } from "./stretch.ts";

/** "Landing light for five minutes": a thing and how long is that it is on. */
export function asLasting(
  { utterance, aparts, joiners, on, read, readingOf }: Parting,
  stretch: Stretch,
): Command | undefined {
  const lengths = aparts.filter(({ when }) => when && lasts(when));
  for (const left of apartChoices(lengths, joiners, stretch)) {
    const named = pick(utterance, stretch, left);
    const end = named.words.at(-1)?.end ?? 0;
    const words = on.words.map(({ text }) => ({ text, start: end, end }));
    const understood = read(joined([named, { ...on, words }]));
    const reading = understood && readingOf(understood);
    if (reading && isTurnedOn(reading, named)) return { understood, whens: whensOf(left) };
  }
  return undefined;
}

function lasts({ when }: WhenReading): boolean {
  return when === "for" || when === "until";
}

const switches: ReadonlySet<string> = new Set(["power", "flow"]);

/** Whether all words that count are a thing that is switched on. */
function isTurnedOn({ fillings, meaning }: Reading, { small }: Utterance): boolean {
  const [target, more] = fillings;
  if (target?.reading.read !== "target" || more || meaning.result !== "do") return false;
  const isBeside = small.some((isSmall, at) => {
    return !isSmall && (at < target.from || at >= target.end);
  });
  if (isBeside || meaning.effects.length === 0) return false;
  return meaning.effects.every(
    (effect) => "set" in effect && Object.keys(effect.set).every((name) => switches.has(name)),
  );
}
