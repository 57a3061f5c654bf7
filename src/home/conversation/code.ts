import { numberReader } from "../../language/numbers.ts";
import type { LanguagePack } from "../../language/pack.ts";
import { packFor, packOf } from "../../language/packs.ts";
import { splitWords } from "../../language/words.ts";
import type { Clock } from "../ports.ts";
import type { Rest } from "../snapshot.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";

/** The spoken code of a home: one, and one lock for all who say it. */
export interface Code {
  /** The digits that a whole text may say; none where it says anything else. */
  read: (text: string, language: string) => readonly string[];
  /** Tries digits that were said; wrong ones in a row lock it, and a locked one takes none. */
  try: (digits: readonly string[]) => "right" | "wrong" | "locked";
  /** Whether digits are the code, whatever was tried before. */
  is: (digits: readonly string[]) => boolean;
  /** What was tried, to be kept. */
  tried: () => Rest["code"];
  /** Seconds until a code is taken again; 0 when one is taken now. */
  lockedFor: () => number;
  /** A text without what says the code in it, or without all digits. */
  mask: (text: string, digits?: "all") => string;
}

/** Wrong codes in a row after which none is taken, and for how many seconds. */
const mostWrong = 3;
const lockTime = 300;

/** @param before What was tried before. */
export function createCode(
  { code = "", languages, packs }: Phrasebook,
  { elapsed, now }: Pick<Clock, "elapsed" | "now">,
  before: Rest["code"] = { wrong: 0 },
): Code {
  let { wrong } = before;
  // Most homes are never asked for the time.
  let lockedUntil =
    before.lockedUntil === undefined ? -Infinity : before.lockedUntil - now() + elapsed();
  const lockedFor = (): number => Math.max(0, lockedUntil - elapsed());
  const is = (digits: readonly string[]): boolean =>
    digits.reduce((found, each) => isSameCode(each, code) || found, false);
  const isIn = (digits: readonly string[]): boolean => digits.some((each) => each.includes(code));
  // Digits may have signs between them: "47-11".
  // Of thousands of homes few are ever spoken to, and none has to look for a code before that.
  let looked: { written: RegExp; spoken: readonly LanguagePack[] } | undefined;
  const looking = () =>
    (looked ??= {
      written: new RegExp(Array.from(code, escaped).join(String.raw`[^\p{L}\p{N}]*`), "gu"),
      spoken: [...new Set(languages.flatMap((tag) => packFor({ packs }, tag) ?? []))],
    });
  return {
    read(text, language) {
      const [only, more] = digitRuns(text, packOf({ packs }, language));
      return only && !more && only.isWhole ? only.digits : [];
    },
    try(digits) {
      if (lockedFor() > 0) return "locked";
      if (is(digits)) {
        wrong = 0;
        return "right";
      }
      if (++wrong < mostWrong) return "wrong";
      wrong = 0;
      lockedUntil = elapsed() + lockTime;
      return "locked";
    },
    is,
    tried: () => (lockedFor() > 0 ? { wrong, lockedUntil: now() + lockedFor() } : { wrong }),
    lockedFor,
    mask(text, digits) {
      if (code === "") return text;
      const { written, spoken } = looking();
      const isHidden = digits === "all" ? () => true : isIn;
      return spoken.reduce(
        (masked, pack) =>
          digitRuns(masked, pack)
            .filter((run) => isHidden(run.digits))
            .reduceRight(
              (rest, { start, end }) => `${rest.slice(0, start)}…${rest.slice(end)}`,
              masked,
            ),
        text.replace(written, "…"),
      );
    },
  };
}

const escaped = (character: string): string => character.replace(/[^\p{L}\p{N}]/u, String.raw`\$&`);

/** Numbers in a row, as the digits that they make: said one by one, or as numbers. */
interface DigitRun {
  digits: readonly string[];
  /** UTF-16 offsets in the text. */
  start: number;
  end: number;
  /** Whether nothing else is said. */
  isWhole: boolean;
}

/** Most ways in which numbers in a row are read. */
const mostReadings = 32;

function digitRuns(text: string, pack: LanguagePack): DigitRun[] {
  const numbers = numberReader(pack);
  const words = splitWords(text, pack);
  const texts = words.map((word) => word.text);
  const runs: DigitRun[] = [];
  for (let from = 0; from < words.length; from++) {
    // "Forty seven eleven" can be 40, 7, 11 and 47, 11.
    let open = [{ digits: "", end: from }];
    const ended: typeof open = [];
    while (open.length > 0) {
      open = open
        .flatMap((run) => {
          const next = numbers(texts, run.end).filter(
            ({ value }) => Number.isInteger(value) && value >= 0,
          );
          if (next.length === 0 && run.end > from) ended.push(run);
          const word = texts[run.end] ?? "";
          return next.map(({ value, end }) => {
            const said = /^\d+$/.test(word) ? word : String(value);
            return { digits: run.digits + said, end };
          });
        })
        .slice(0, mostReadings);
    }
    const end = Math.max(from, ...ended.map((run) => run.end));
    if (end === from) continue;
    const digits = ended.filter((run) => run.end === end).map((run) => run.digits);
    const [start, last] = [words[from]?.start ?? 0, words[end - 1]?.end ?? 0];
    runs.push({ digits, start, end: last, isWhole: from === 0 && end === words.length });
    from = end - 1;
  }
  return runs;
}

/** Compared to the end whatever differs, so that the time taken tells nothing. */
function isSameCode(said: string, code: string): boolean {
  let difference = said.length ^ code.length;
  for (let at = 0; at < Math.max(said.length, code.length, 16); at++) {
    difference |= (said.charCodeAt(at) || 0) ^ (code.charCodeAt(at) || 0);
  }
  return difference === 0 && code !== "";
}
