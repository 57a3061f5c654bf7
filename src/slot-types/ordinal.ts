import type { Recognise } from "../automaton/chart.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { nothingToSay } from "../pattern/build.ts";
import { recognisePhrases } from "./phrases.ts";
import { asNumbers, quantityType } from "./quantities.ts";

/** A place in an order: "third", "21st". */
export const ordinal = quantityType("ordinal", {
  recognise: (ground) => asNumbers(ground.ordinals()),
  sample: ({ pack }) => pack.numbers.ordinal(2),
  grammar: ({ pack, define, said }) =>
    define("ordinal", () => {
      const values = Array.from({ length: 100 }, (_, index) => pack.numbers.ordinal(index + 1));
      return said(values) ?? nothingToSay;
    }),
});

/** Finds ordinal numbers in words and in digits, with their sign or without. */
export function createOrdinalReader(pack: LanguagePack, lexicon: Lexicon): Recognise<number> {
  const { numbers } = pack;
  const spoken = Array.from({ length: 100 }, (_, index) => {
    const written = numbers.ordinal(index + 1);
    const endings = numbers.ordinalEndings
      .filter(([from]) => written.endsWith(from))
      .map(([from, to]) => written.slice(0, -from.length) + to);
    return [written, ...endings].map((said) => ({ said, value: index + 1 }));
  });
  const inWords = recognisePhrases(spoken.flat(), { pack, lexicon });
  return (utterance, from) => {
    const digits = /^\d{1,4}$/.exec(utterance.texts[from] ?? "");
    if (!digits) return inWords(utterance, from);
    const isSigned = numbers.ordinalSigns.includes(utterance.texts[from + 1] ?? "");
    return [{ end: from + (isSigned ? 2 : 1), value: Number(digits[0]) }];
  };
}
