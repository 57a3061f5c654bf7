import type { LanguagePack } from "./pack.ts";
import { type Word, splitWords } from "./words.ts";

/** Longest number of digits that is said as one number; longer ones are read digit by digit. */
const longestNumber = 6;

/**
 * The words of a text as somebody says them: numbers in words, the names of signs. What is written and
 * never said, such as the code of a colour, is left out.
 */
export function aloud(text: string, pack: LanguagePack): string[] {
  const written = splitWords(text, pack);
  const { ordinal, ordinalSigns } = pack.numbers;
  return written.flatMap((word, at) => {
    const before = written[at - 1];
    const after = written[at + 1];
    if (before && isRanked(before, word)) return [];
    if (after && isRanked(word, after)) return words(ordinal(Number(word.text)), pack);
    return sayWord(word, pack);
  });

  /** "6th": digits and what makes an ordinal of them. */
  function isRanked(digits: Word, sign: Word): boolean {
    const isOne = digits.end === sign.start && ordinalSigns.includes(sign.text);
    return isOne && /^\d{1,2}$/u.test(digits.text) && Number(digits.text) > 0;
  }
}

function sayWord({ text }: Word, pack: LanguagePack): string[] {
  const { numbers, units } = pack;
  if (/^\p{Nd}/u.test(text)) return sayDigits(text, pack);
  const sign = /^(?:%|°[cf]?|-|\+|&)$/.exec(text)?.[0];
  switch (sign) {
    case "%":
      return firstSaid(units.percent, pack);
    case "°":
      return firstSaid(units.degrees, pack);
    case "°c":
    case "°f": {
      const degrees = firstSaid(units.degrees, pack);
      const unit = firstSaid(sign === "°c" ? units.celsius : units.fahrenheit, pack);
      return unit.some((word) => degrees.includes(word)) ? unit : [...degrees, ...unit];
    }
    case "-":
      return firstSaid(numbers.minus, pack);
    case "&":
      return firstSaid(pack.targets.and, pack);
    default:
      return isSpoken(text) ? [text] : [];
  }
}

/** Whether a word is one that can be said, and not a sign or a code. */
export function isSpoken(word: string): boolean {
  return /^[\p{L}\p{M}'’]+$/u.test(word);
}

/** The first wording that is of words alone. */
function firstSaid(texts: readonly string[], pack: LanguagePack): string[] {
  for (const text of texts) {
    const words = splitWords(text, pack).map((word) => word.text);
    if (words.length > 0 && words.every(isSpoken)) return words;
  }
  return [];
}

/** "18.5" by its point, "7:30" as hours and minutes, "2026" as a number. */
function sayDigits(text: string, pack: LanguagePack): string[] {
  const { cardinal, decimalSign } = pack.numbers;
  const count = (digits: string): string[] =>
    digits.length > longestNumber
      ? Array.from(digits, count).flat()
      : words(cardinal(Number(digits)), pack);
  const clock = /^(\d{1,2}):(\d{2})$/.exec(text);
  if (clock) {
    const [, hour = "", minute = ""] = clock;
    return minute === "00" ? count(hour) : [...count(hour), ...count(minute)];
  }
  const thousands = decimalSign === "," ? /\.(?=\d{3})/g : /,(?=\d{3})/g;
  const [whole = "", ...parts] = text.replace(thousands, "").split(/[.,]/u);
  if (!/^\d+$/u.test(whole)) return [];
  const [after = ""] = parts;
  if (after === "" || !/^\d+$/u.test(after)) return count(whole);
  return [
    ...count(whole),
    ...firstSaid(pack.numbers.point, pack),
    ...Array.from(after, count).flat(),
  ];
}

function words(text: string, pack: LanguagePack): string[] {
  return splitWords(text, pack).map((word) => word.text);
}
