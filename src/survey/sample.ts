import type { Book } from "../book/book.ts";
import { spokenNames } from "../phrasebook/names.ts";
import { packFor } from "../language/packs.ts";
import { stateWords } from "../language/vocabulary.ts";
import { phrases } from "../pattern/phrases.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Intent, Slot, SpokenPattern } from "../phrasebook/model.ts";
import { fragmentTree } from "../phrasebook/references.ts";

/**
 * Phrases of a pattern with everyday values in its slots, in the order of the pattern; lazy. None
 * where a slot has no value to say.
 *
 * @param names What is said for target slots.
 */
export function* samplePhrases(
  book: Book,
  intent: Intent,
  { tree }: SpokenPattern,
  names: readonly string[],
  language: string,
): Generator<string> {
  const resolve = (reference: string): Pattern | undefined => {
    const slot = intent.slots.get(reference);
    if (!slot) return fragmentTree(book.fragments.get(reference), language);
    const said = [...writtenPatterns(slot, language), ...samplesOf(book, slot, names, language)];
    return said.length === 0 ? undefined : choiceOf(said);
  };
  for (const words of phrases(tree, resolve)) yield words.join(" ");
}

function choiceOf(options: readonly Pattern[]): Pattern {
  return { type: "choice", options: options.map((pattern) => ({ pattern })), span: [0, 0] };
}

/** What the phrasebook itself lists for the values of a slot. */
function writtenPatterns(slot: Slot, language: string): Pattern[] {
  if (!("values" in slot) || slot.type !== "choice") return [];
  return slot.values.flatMap(({ patterns }) =>
    patterns.filter((pattern) => pattern.language === language).map(({ tree }) => tree),
  );
}

function samplesOf(book: Book, slot: Slot, names: readonly string[], language: string): Pattern[] {
  const pack = packFor(language);
  if (!pack) return [];
  const { times } = pack;
  const number = (usual: number): string =>
    String("minimum" in slot && typeof slot.minimum === "number" ? slot.minimum : usual);
  const texts = (): (string | undefined)[] => {
    switch (slot.type) {
      case "target":
        return [...names];
      case "percent":
        return [`${number(40)} %`];
      case "temperature":
        return [number(21)];
      case "number":
      case "integer":
        return [number(5)];
      case "colour-temperature":
        return [`${number(3000)} K`];
      case "duration":
        return [`10 ${times.units.minute[1] ?? ""}`];
      case "ordinal":
        return [pack.numbers.ordinal(2)];
      case "time":
        return [times.moments["12:00"]?.[0]];
      case "date":
        return [times.days[1][0]];
      case "colour":
        return [Object.values(pack.colours)[0]?.[0]];
      case "state":
        return stateWords.flatMap((state) => pack.states[state][0]);
      case "routine":
        return [...book.routines.values()].map(
          (routine) => spokenNames(routine, language, book.languages[0] ?? language)[0]?.text,
        );
      case "text":
        return ["…"];
      case "choice":
        return [];
      case "value": {
        const { property } = slot;
        const own = [...book.devices.values()].flatMap(
          ({ properties }) => properties.get(property)?.enum ?? [],
        );
        const value = own.find((each) => each !== "off") ?? own[0];
        return value === undefined ? [] : [pack.values[property]?.[value]?.[0] ?? value];
      }
    }
  };
  return texts().flatMap((text): Pattern[] =>
    text === undefined ? [] : [{ type: "words", words: text.split(" "), span: [0, 0] }],
  );
}
