/**
 * The sounds of speech that are told apart here, with what they are made of: symbols and features are
 * those of the International Phonetic Alphabet (chart of 2020).
 */
export type Phone = Consonant | Vowel;

export interface Consonant {
  sort: "consonant";
  /** In IPA. */
  symbol: string;
  manner: Manner;
  place: Place;
  voiced: boolean;
  /** Whether it closes its syllable. */
  closing: boolean;
  /** Whether it stands between the consonant that its syllable begins with and the vowel. */
  second: boolean;
}

export interface Vowel {
  sort: "vowel";
  /** In IPA, with its length but without its stress. */
  symbol: string;
  /** Where the tongue is first, and where it goes in a diphthong. */
  from: Mouth;
  to: Mouth;
  long: boolean;
  nasal: boolean;
  stressed: boolean;
}

/** Marks a vowel as nasal. */
const tilde = "\u0303";

/** Where a vowel is made: 0 close to 6 open, 0 front to 4 back. */
export interface Mouth {
  height: number;
  back: number;
  round: boolean;
}

/** How the air is let through, from the most closed to the most open. */
export const manners = [
  "stop",
  "affricate",
  "fricative",
  "nasal",
  "lateral",
  "trill",
  "glide",
] as const;
export type Manner = (typeof manners)[number];

/** Where it is held back, from the lips to the throat. */
export const places = [
  "bilabial",
  "labiodental",
  "dental",
  "alveolar",
  "postalveolar",
  "palatal",
  "velar",
  "uvular",
  "glottal",
] as const;
export type Place = (typeof places)[number];

type Row = readonly [symbols: string, manner: Manner, place: Place];

/** Of each pair, the first is voiceless. */
const pairs: readonly Row[] = [
  ["p b", "stop", "bilabial"],
  ["t d", "stop", "alveolar"],
  ["k ɡ", "stop", "velar"],
  ["pf -", "affricate", "labiodental"],
  ["ts dz", "affricate", "alveolar"],
  ["tʃ dʒ", "affricate", "postalveolar"],
  ["- β", "fricative", "bilabial"],
  ["f v", "fricative", "labiodental"],
  ["θ ð", "fricative", "dental"],
  ["s z", "fricative", "alveolar"],
  ["ʃ ʒ", "fricative", "postalveolar"],
  ["ç ʝ", "fricative", "palatal"],
  ["x ɣ", "fricative", "velar"],
  ["χ ʁ", "fricative", "uvular"],
  ["h ɦ", "fricative", "glottal"],
  ["- m", "nasal", "bilabial"],
  ["- n", "nasal", "alveolar"],
  ["- ɲ", "nasal", "palatal"],
  ["- ŋ", "nasal", "velar"],
  ["- l", "lateral", "alveolar"],
  ["- ʎ", "lateral", "palatal"],
  ["- r", "trill", "alveolar"],
  ["- ɾ", "trill", "alveolar"],
  ["- ʋ", "glide", "labiodental"],
  ["- ɹ", "glide", "alveolar"],
  ["- j", "glide", "palatal"],
  ["- ɥ", "glide", "palatal"],
  ["- w", "glide", "velar"],
];

const mouths: Readonly<Record<string, readonly [height: number, back: number, round: 0 | 1]>> = {
  i: [0, 0, 0],
  y: [0, 0, 1],
  u: [0, 4, 1],
  ɪ: [1, 1, 0],
  ʏ: [1, 1, 1],
  ʊ: [1, 3, 1],
  e: [2, 0, 0],
  ø: [2, 0, 1],
  o: [2, 4, 1],
  ə: [3, 2, 0],
  ɛ: [4, 0, 0],
  œ: [4, 0, 1],
  ɜ: [4, 2, 0],
  ʌ: [4, 3, 0],
  ɔ: [4, 4, 1],
  æ: [5, 0, 0],
  ɐ: [5, 2, 0],
  a: [6, 1, 0],
  ɑ: [6, 4, 0],
  ɒ: [6, 4, 1],
};

const consonants = new Map<string, Consonant>(
  pairs.flatMap(([symbols, manner, place]) =>
    symbols.split(" ").flatMap((symbol, index): [string, Consonant][] =>
      symbol === "-"
        ? []
        : [
            [
              symbol,
              {
                sort: "consonant",
                symbol,
                manner,
                place,
                voiced: index === 1,
                closing: false,
                second: false,
              },
            ],
          ],
    ),
  ),
);

/** The same consonants where they close a syllable. */
const closing = new Map(
  [...consonants.values()].map((each): [Consonant, Consonant] => [
    each,
    { ...each, closing: true },
  ]),
);

/** The same consonants after another one that their syllable begins with. */
const seconds = new Map(
  [...consonants.values()].map((each): [Consonant, Consonant] => [each, { ...each, second: true }]),
);

/**
 * A word in which the consonants that close a syllable are known for that: all after the last vowel, and those
 * between vowels that do not begin the next syllable, which one does, or two of which the second is a liquid
 * or a glide.
 */
export function inSyllables(word: readonly Phone[]): Phone[] {
  const last = word.findLastIndex(({ sort }) => sort === "vowel");
  const first = word.findIndex(({ sort }) => sort === "vowel");
  return word.map((phone, at) => {
    if (phone.sort === "vowel") return phone;
    const [next, after] = [word[at + 1], word[at + 2]];
    const isSecond = word[at - 1]?.sort === "consonant" && next?.sort === "vowel";
    if (isSecond && (at < first || isLiquid(phone))) return seconds.get(phone) ?? phone;
    if (at < first) return phone;
    const begins =
      next?.sort === "vowel" ||
      (next && isLiquid(next) && !isLiquid(phone) && after?.sort === "vowel");
    return at < last && begins ? phone : (closing.get(phone) ?? phone);
  });
}

function isLiquid(phone: Phone): boolean {
  return phone.sort === "consonant" && ["lateral", "trill", "glide"].includes(phone.manner);
}

/** Diphthongs that are one sound. */
const diphthongs = ["aɪ", "aʊ", "ɔɪ", "ɔʏ", "eɪ", "oʊ", "əʊ", "ɛi", "œy", "ʌu"];

const vowels = new Map<string, Vowel>();

/** Every symbol once, so that sounds may be compared by what they are. */
function vowel(symbols: string, long: boolean, nasal: boolean, stressed: boolean): Vowel {
  const key = `${stressed ? "ˈ" : ""}${symbols}${nasal ? tilde : ""}${long ? "ː" : ""}`;
  const known = vowels.get(key);
  if (known) return known;
  const [first = "", last = first] = symbols;
  const made: Vowel = {
    sort: "vowel",
    symbol: key.replace("ˈ", ""),
    from: mouthOf(first),
    to: mouthOf(last),
    long,
    nasal,
    stressed,
  };
  vowels.set(key, made);
  return made;
}

function mouthOf(symbol: string): Mouth {
  const [height, back, round] = mouths[symbol] ?? [3, 2, 0];
  return { height, back, round: round === 1 };
}

/** The same vowel with the main stress, or without. */
export function withStress(phone: Vowel, stressed: boolean): Vowel {
  const symbols = phone.symbol.replaceAll(tilde, "").replaceAll("ː", "");
  return vowel(symbols, phone.long, phone.nasal, stressed);
}

/** Other ways to write what is one sound here. */
const spelled: Readonly<Record<string, string>> = {
  g: "ɡ",
  t͡s: "ts",
  d͡z: "dz",
  t͡ʃ: "tʃ",
  d͡ʒ: "dʒ",
  p͡f: "pf",
  ʧ: "tʃ",
  ʤ: "dʒ",
  ʦ: "ts",
  ʣ: "dz",
  ɫ: "l",
  ʀ: "ʁ",
  ɚ: "ə",
  ɝ: "ɜ",
  ɘ: "ə",
  ɵ: "ə",
  ɨ: "ɪ",
  ɯ: "u",
  ɤ: "o",
};

/** Marks that tell nothing that is told apart here: syllables, ties, aspiration, half length. */
const passed = new Set(
  " .‿|ˌʰʲʷˑ\u0329\u032f\u0325\u032c\u032a\u033a\u031d\u031e\u0320\u031f\u035c\u0361\t\n",
);

export type IpaRead =
  | { ok: true; phones: readonly Phone[] }
  /** `at` is a UTF-16 offset. */
  | { ok: false; at: number; symbol: string };

const known: readonly string[] = [
  ...Object.keys(spelled),
  ...diphthongs,
  ...consonants.keys(),
  ...Object.keys(mouths),
].sort((one, other) => other.length - one.length);

/**
 * Reads a pronunciation in the International Phonetic Alphabet: `ˈkɪln rum`. Stress falls on the next
 * vowel after its mark.
 */
export function readIpa(written: string): IpaRead {
  const text = written.normalize("NFD").replaceAll("c\u0327", "ç");
  const phones: Phone[] = [];
  let stressed = false;
  let at = 0;
  while (at < text.length) {
    const mark = text.charAt(at);
    if (mark === "ˈ" || mark === "'") {
      stressed = true;
      at++;
      continue;
    }
    if (passed.has(mark)) {
      at++;
      continue;
    }
    const found = known.find((symbol) => text.startsWith(symbol, at));
    if (found === undefined) return { ok: false, at, symbol: mark };
    at += found.length;
    const symbol = spelled[found] ?? found;
    const consonant = consonants.get(symbol);
    if (consonant) {
      // A consonant that is held longer is told from none here.
      if (text.charAt(at) === "ː") at++;
      phones.push(consonant);
      continue;
    }
    let long = false;
    let nasal = false;
    for (; text.charAt(at) === "ː" || text.charAt(at) === tilde; at++) {
      if (text.charAt(at) === "ː") long = true;
      else nasal = true;
    }
    phones.push(vowel(symbol, long, nasal, stressed));
    stressed = false;
  }
  return { ok: true, phones };
}

/** Writes sounds in the International Phonetic Alphabet, the stress before the syllable that has it. */
export function printIpa(phones: readonly Phone[]): string {
  const parts: string[] = [];
  const first = phones.findIndex(({ sort }) => sort === "vowel");
  let before = "";
  phones.forEach((phone, index) => {
    const { symbol } = phone;
    // "a" and "ɪ" after each other are not the diphthong.
    const isOne = known.some((each) => isLonger(each, before, symbol));
    parts.push(`${isOne ? "." : ""}${symbol}`);
    before = symbol;
    if (phone.sort !== "vowel" || !phone.stressed) return;
    const onset = index === first ? 0 : phones[index - 1]?.sort === "consonant" ? index - 1 : index;
    parts[onset] = `ˈ${parts[onset] ?? ""}`;
  });
  return parts.join("");
}

/** Whether two symbols side by side begin as a longer one. */
function isLonger(symbol: string, before: string, after: string): boolean {
  return symbol.length > before.length && before !== "" && (before + after).startsWith(symbol);
}
