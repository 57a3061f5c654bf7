import { endsFrom } from "../../automaton/chart.ts";
import { buildNetwork } from "../../automaton/network.ts";
import { createSets } from "../../automaton/sets.ts";
import { type Utterance, afterSmall } from "../../automaton/utterance.ts";
import type { LanguagePack } from "../../language/pack.ts";
import { splitWords } from "../../language/words.ts";
import { parsePattern } from "../../pattern/parse.ts";
import type { Pattern } from "../../pattern/tree.ts";
import { recognisePhrases } from "../../slot-types/phrases.ts";
import type { Ground } from "../../slot-types/slot.ts";

/** What is said around commands: who is spoken to, courtesies, and words between two of them. */
export interface Around {
  /** Places after the address and courtesies that open an utterance; 0 among them. */
  starts: (utterance: Utterance) => Set<number>;
  /** Places before the courtesies that close it; the end among them. */
  ends: (utterance: Utterance) => Set<number>;
  /** The place before "or not" at the end, if it is there. */
  orNot: (utterance: Utterance) => number | undefined;
  /** Courtesies of two words or more within it: "mach das Tor hinter mir zu". */
  courtesies: (utterance: Utterance) => { from: number; end: number }[];
  /** Words between commands: where they start and end. */
  joiners: (utterance: Utterance) => { from: number; end: number }[];
}

/** @param address What the home is called when it is spoken to. */
export function createAround(ground: Ground, address: readonly Pattern[]): Around {
  const { pack } = ground;
  const opening = pieces(pack.courtesies.opening, ground, address);
  const first = pieces(pack.courtesies.first, ground);
  const closing = pieces(pack.courtesies.closing, ground, address);
  const endings = pack.orNot.map((said) => splitWords(said, pack).map(({ text }) => text));
  return {
    starts(utterance) {
      const starts = new Set([0, ...first(utterance, 0)]);
      // A set grows while it is walked: courtesies may follow one another.
      for (const start of starts) {
        for (let from = start; from <= afterSmall(utterance, start); from++) {
          for (const end of opening(utterance, from)) starts.add(end);
        }
      }
      return starts;
    },
    ends(utterance) {
      const ends = new Set([utterance.words.length]);
      for (let from = utterance.words.length - 1; from > 0; from--) {
        if (closing(utterance, from).some((end) => isEnd(utterance, end, ends))) ends.add(from);
      }
      return ends;
    },
    orNot({ texts }) {
      const said = endings.find(
        (words) => texts.slice(-words.length).join(" ") === words.join(" "),
      );
      return said && said.length < texts.length ? texts.length - said.length : undefined;
    },
    courtesies(utterance) {
      const found: { from: number; end: number }[] = [];
      for (let from = 1; from < utterance.words.length - 2; from++) {
        const end = Math.max(...closing(utterance, from), from);
        if (end > from + 1 && end < utterance.words.length) found.push({ from, end });
      }
      return found;
    },
    joiners: createJoinerFinder(ground),
  };
}

/** Whether an utterance may end at a place, or after words that are passed over from there on. */
function isEnd(utterance: Utterance, at: number, ends: ReadonlySet<number>): boolean {
  for (let end = at; end <= afterSmall(utterance, at); end++) if (ends.has(end)) return true;
  return false;
}

/** Joiners are the longest that stand at a place: "and then" is one. */
function createJoinerFinder(ground: Ground) {
  const phrases = ground.pack.times.then.map((said) => ({ said, value: true }));
  const find = recognisePhrases(phrases, ground);
  return (utterance: Utterance): { from: number; end: number }[] => {
    const found: { from: number; end: number }[] = [];
    for (let from = 1; from < utterance.numbers.length - 1;) {
      const end = Math.max(from, ...find(utterance, from).map((match) => match.end));
      if (end > from && end < utterance.numbers.length) found.push({ from, end });
      from = Math.max(end, from + 1);
    }
    return found;
  };
}

function parsed(texts: readonly string[], pack: LanguagePack): Pattern[] {
  return texts.flatMap((text) => {
    const result = parsePattern(text, pack);
    return result.ok ? [result.pattern] : [];
  });
}

/** Finds where pieces of speech of the language that start at a place end. */
export function pieces(texts: readonly string[], ground: Ground, more: readonly Pattern[] = []) {
  const { lexicon, refer, pack } = ground;
  const trees = [...more, ...parsed(texts, pack)];
  const network = buildNetwork(
    trees.map((tree) => ({ tree, refer })),
    lexicon,
  );
  const sets = createSets(network);
  return (utterance: Utterance, from: number): number[] =>
    endsFrom(sets, utterance, from).map(({ end }) => end);
}
