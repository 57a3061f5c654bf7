import { plainForms } from "./accents.ts";
import type { LanguagePack, NumberWords } from "./pack.ts";
import { splitWords } from "./words.ts";

/** A number read from words. */
export interface NumberRead {
  /** Index after the last word of it. */
  end: number;
  value: number;
  /** Said as a part of a whole on its own, such as "half". */
  fraction: boolean;
}

/**
 * Reads a number at `from`, in every length that makes one: "twenty one" is 20 up to its first
 * word and 21 up to its second.
 */
export type NumberReader = (words: readonly string[], from: number) => NumberRead[];

interface Node {
  value?: number;
  next: Map<string, Node>;
}

interface Part {
  end: number;
  value: number;
}

/** A thousand numbers in words are spelled once for a language, and not for each home that speaks it. */
const readers = new WeakMap<LanguagePack, NumberReader>();

/** The reader of a language's numbers: digits, words, and both mixed. */
export function numberReader(pack: LanguagePack): NumberReader {
  let reader = readers.get(pack);
  if (!reader) readers.set(pack, (reader = createNumberReader(pack)));
  return reader;
}

/** How the numbers of a language are spelled, as trees of words. */
interface Spelled {
  cardinals: Node;
  fractions: Node;
}

const spelled = new WeakMap<LanguagePack, Spelled>();

function spelledIn(pack: LanguagePack): Spelled {
  let trees = spelled.get(pack);
  if (!trees) {
    trees = { cardinals: cardinalTree(pack), fractions: fractionTree(pack) };
    spelled.set(pack, trees);
  }
  return trees;
}

/** Every word that is a number or a part of one: "twenty", "half". */
export function numberWords(pack: LanguagePack): Set<string> {
  const words = new Set<string>();
  const gather = ({ next }: Node): void => {
    for (const [word, node] of next) {
      words.add(word);
      gather(node);
    }
  };
  const { cardinals, fractions } = spelledIn(pack);
  gather(cardinals);
  gather(fractions);
  return words;
}

function createNumberReader(pack: LanguagePack): NumberReader {
  const data = pack.numbers;
  const { cardinals, fractions } = spelledIn(pack);
  const minus = new Set(["-", ...data.minus]);
  const point = new Set(data.point);
  const joiners = new Set(data.fractionJoiners);

  const digits = (words: readonly string[], from: number): Part[] => {
    const value = readDigits(words[from] ?? "", data.decimalSign);
    return value === undefined ? [] : [{ end: from + 1, value }];
  };

  const small = (words: readonly string[], from: number): Part[] => {
    const found = walk(cardinals, words, from);
    for (const { value: part, ending } of data.fractionEndings) {
      const word = words[from] ?? "";
      if (!word.endsWith(ending) || word === ending) continue;
      const whole = walk(cardinals, [word.slice(0, -ending.length)], 0)[0];
      if (whole) found.push({ end: from + 1, value: whole.value + part });
    }
    return found;
  };

  /** Thousands in one word with what they count, and what follows them within it or after it. */
  const joined = (words: readonly string[], from: number): Part[] => {
    const word = words[from] ?? "";
    const end = from + 1;
    const { word: thousand, one } = data.thousand;
    const found: Part[] = [];
    const withRest = (value: number, rest: string, below: number): void => {
      if (rest !== "") {
        const low = walk(cardinals, [rest], 0)[0]?.value;
        if (low !== undefined && low < below) found.push({ end, value: value + low });
        return;
      }
      found.push({ end, value });
      for (const low of small(words, end)) {
        if (low.value > 0 && low.value < below) {
          found.push({ end: low.end, value: value + low.value });
        }
      }
    };
    const cut = data.thousand.joined ? word.indexOf(thousand) : -1;
    if (data.thousand.joined && word.startsWith(one)) withRest(1000, word.slice(one.length), 1000);
    else if (cut > 0) {
      const high = walk(cardinals, [word.slice(0, cut)], 0)[0]?.value;
      if (high !== undefined) withRest(high * 1000, word.slice(cut + thousand.length), 1000);
    }
    for (const hundred of data.hundreds) {
      if (!word.endsWith(hundred)) continue;
      const high = walk(cardinals, [word.slice(0, -hundred.length)], 0)[0]?.value ?? 0;
      if (high > 10 && high < 100) withRest(high * 100, "", 100);
    }
    return found;
  };

  const thousands = (words: readonly string[], high: Part): Part[] => {
    if (data.thousand.joined || words[high.end] !== data.thousand.word) return [];
    if (!Number.isInteger(high.value)) return [];
    const value = high.value * 1000;
    const found = [{ end: high.end + 1, value }];
    let next = high.end + 1;
    if (data.optional.includes(words[next] ?? "")) next++;
    for (const low of small(words, next)) {
      if (low.value > 0) found.push({ end: low.end, value: value + low.value });
    }
    return found;
  };

  const decimals = (words: readonly string[], whole: Part): Part[] => {
    if (!point.has(words[whole.end] ?? "") || !Number.isInteger(whole.value)) return [];
    const found: Part[] = [];
    let text = "";
    let at = whole.end + 1;
    for (;;) {
      const options = [...walk(cardinals, words, at), ...plainDigits(words, at)];
      for (const option of options) {
        found.push({ end: option.end, value: Number(`${whole.value}.${text}${option.value}`) });
      }
      const single = options.find((option) => option.end === at + 1 && option.value < 10);
      if (!single || text.length > 8) return found;
      text += String(single.value);
      at = single.end;
    }
  };

  const withFraction = (words: readonly string[], whole: Part): Part[] => {
    if (!Number.isInteger(whole.value)) return [];
    const skip = joiners.has(words[whole.end] ?? "") ? 1 : 0;
    const bare = /^\d+⁄\d+$/.test(words[whole.end] ?? "");
    if (skip === 0 && !bare) return [];
    return readFractions(words, whole.end + skip)
      .filter((part) => part.value < 1)
      .map((part) => ({ end: part.end, value: whole.value + part.value }));
  };

  const readFractions = (words: readonly string[], from: number): Part[] => {
    const sign = /^(\d+)⁄(\d+)$/.exec(words[from] ?? "");
    if (sign) return [{ end: from + 1, value: Number(sign[1]) / Number(sign[2]) }];
    return walk(fractions, words, from);
  };

  /** Most words begin no number, which their spelling tells. */
  const mayBegin = (word: string): boolean => {
    const code = word.charCodeAt(0);
    if (code >= 48 && code <= 57) return true;
    if (cardinals.next.has(word) || fractions.next.has(word) || minus.has(word)) return true;
    if (word.includes(data.thousand.word) || word.startsWith(data.thousand.one)) return true;
    if (data.hundreds.some((hundred) => word.endsWith(hundred))) return true;
    return data.fractionEndings.some(({ ending }) => word.endsWith(ending));
  };

  return (words, from) => {
    if (!mayBegin(words[from] ?? "")) return [];
    const negative = minus.has(words[from] ?? "");
    const start = negative ? from + 1 : from;
    const wholes = [...digits(words, start), ...small(words, start), ...joined(words, start)];
    const larger = wholes.flatMap((part) => thousands(words, part));
    const all = [...wholes, ...larger];
    if (!data.thousand.joined && words[start] === data.thousand.word) {
      all.push(...thousands(words, { end: start, value: 1 }));
    }
    const exact = all.flatMap((part) => [
      part,
      ...decimals(words, part),
      ...withFraction(words, part),
    ]);
    const sign = negative ? -1 : 1;
    const found = exact.map(({ end, value }) => ({ end, value: sign * value, fraction: false }));
    for (const { end, value } of readFractions(words, start)) {
      if (!found.some((other) => other.end === end)) {
        found.push({ end, value: sign * value, fraction: true });
      }
    }
    return found;
  };
}

function plainDigits(words: readonly string[], from: number): Part[] {
  const word = words[from] ?? "";
  return /^\d+$/.test(word) ? [{ end: from + 1, value: Number(word) }] : [];
}

/**
 * A number in digits. The language's decimal sign is a decimal sign; the other one groups
 * thousands when three digits follow it, and is taken for a decimal sign otherwise.
 */
function readDigits(word: string, decimalSign: "." | ","): number | undefined {
  if (/^\d+$/.test(word)) return Number(word);
  const other = decimalSign === "." ? "," : ".";
  const grouped = word.split(other);
  const [first = "", ...rest] = grouped;
  const last = rest.at(-1)?.split(decimalSign)[0] ?? "";
  const isGrouped =
    rest.length > 0 &&
    /^\d{1,3}$/.test(first) &&
    [...rest.slice(0, -1), last].every((group) => /^\d{3}$/.test(group));
  const plain = isGrouped ? grouped.join("") : word;
  return /^\d+[.,]\d+$/.test(plain)
    ? Number(plain.replace(",", "."))
    : /^\d+$/.test(plain)
      ? Number(plain)
      : undefined;
}

function cardinalTree(pack: LanguagePack): Node {
  const { numbers: data } = pack;
  const root: Node = { next: new Map() };
  for (let value = 0; value < 1000; value++) {
    for (const spelling of cardinalsOf(value, data)) {
      const words = splitWords(spelling, pack).map((word) => word.text);
      insert(root, words, value);
      const short = words.filter((word) => !data.optional.includes(word));
      if (short.length < words.length) insert(root, short, value);
      for (const plain of plainOf(words)) insert(root, plain, value);
    }
  }
  if (data.pairs) insertPairs(root, pack);
  return root;
}

/** Longest number word that is not heard without its accents: Dutch "een" is an article. */
const shortestPlain = 3;

/** The same without accents. */
function plainOf(words: readonly string[]): string[][] {
  const [longest = ""] = [...words].sort((one, other) => other.length - one.length);
  const [first, ...more] = plainForms(longest);
  if (first === undefined || longest.length <= shortestPlain) return [];
  return [first, ...more].map((plain) => words.map((word) => (word === longest ? plain : word)));
}

/** "Two thirty", and "twenty seven hundred". */
function insertPairs(root: Node, pack: LanguagePack): void {
  const { cardinal, hundreds } = pack.numbers;
  const wordsOf = (text: string): string[] => splitWords(text, pack).map((word) => word.text);
  for (let low = 10; low < 100; low++) {
    const rest = wordsOf(cardinal(low));
    for (let high = 1; high < 10; high++) {
      insert(root, [...wordsOf(cardinal(high)), ...rest], high * 100 + low);
    }
    for (const hundred of hundreds) insert(root, [...rest, hundred], low * 100);
  }
}

/** All ways to say a whole number from 0 to 999, the usual one first. */
export function cardinalsOf(value: number, { cardinal, respelled }: NumberWords): string[] {
  const written = cardinal(value);
  const others = respelled.flatMap(([from, to]) =>
    written.includes(from) ? written.replace(from, to) : [],
  );
  return [written, ...others];
}

function fractionTree(pack: LanguagePack): Node {
  const root: Node = { next: new Map() };
  for (const { value, said } of pack.numbers.fractions) {
    for (const text of said) {
      insert(
        root,
        splitWords(text, pack).map((word) => word.text),
        value,
      );
    }
  }
  return root;
}

function insert(root: Node, words: readonly string[], value: number): void {
  let node = root;
  for (const word of words) {
    let next = node.next.get(word);
    if (!next) node.next.set(word, (next = { next: new Map() }));
    node = next;
  }
  node.value ??= value;
}

function walk(root: Node, words: readonly string[], from: number): Part[] {
  const found: Part[] = [];
  let node: Node | undefined = root;
  for (let at = from; at < words.length; at++) {
    node = node.next.get(words[at] ?? "");
    if (!node) break;
    if (node.value !== undefined) found.push({ end: at + 1, value: node.value });
  }
  return found;
}
