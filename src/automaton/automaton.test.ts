import fc from "fast-check";
import { expect, test } from "vitest";
import { anyPattern, anyPhrase } from "../../test/support/patterns.ts";
import { splitWords } from "../language/words.ts";
import { createLexicon } from "../lexicon/lexicon.ts";
import { createTrie } from "../lexicon/trie.ts";
import type { Pattern } from "../pattern/tree.ts";
import { runAutomaton } from "./chart.ts";
import { buildNetwork } from "./network.ts";
import { findPaths } from "./paths.ts";
import { createSets } from "./sets.ts";
import { prepareUtterance } from "./utterance.ts";

/** Where a pattern can end when it begins at `from`, by trying everything. */
function naiveEnds(pattern: Pattern, words: readonly string[], from: number): Set<number> {
  switch (pattern.type) {
    case "words": {
      const fits = pattern.words.every((word, index) => words[from + index] === word);
      return new Set(fits ? [from + pattern.words.length] : []);
    }
    case "sequence":
      return pattern.items.reduce(
        (ends, item) => new Set([...ends].flatMap((end) => [...naiveEnds(item, words, end)])),
        new Set([from]),
      );
    case "choice":
      return new Set(
        pattern.options.flatMap((option) => [...naiveEnds(option.pattern, words, from)]),
      );
    case "repeat": {
      const all = new Set<number>();
      let ends = new Set([from]);
      const most = Math.min(pattern.maximum, pattern.minimum + words.length + 1);
      for (let times = 0; times <= most; times++) {
        if (times >= pattern.minimum) for (const end of ends) all.add(end);
        ends = new Set([...ends].flatMap((end) => [...naiveEnds(pattern.item, words, end)]));
      }
      return all;
    }
    default:
      throw new Error(`not in these patterns: ${pattern.type}`);
  }
}

function accepted(patterns: readonly Pattern[], phrase: readonly string[]): number[] {
  const lexicon = createLexicon();
  const network = buildNetwork(
    patterns.map((tree) => ({ tree, refer: () => undefined })),
    lexicon,
  );
  const text = phrase.join(" ");
  const utterance = prepareUtterance(
    text,
    splitWords(text, { language: "en" }),
    lexicon,
    new Set(),
  );
  const starts = new Set([0]);
  const ends = new Set([phrase.length]);
  const chart = runAutomaton(createSets(network), [], utterance, starts);
  const { found } = findPaths(network, chart, utterance, { starts, ends });
  return found.map(({ rule }) => rule).sort((a, b) => a - b);
}

test("the automaton agrees with trying everything", () => {
  fc.assert(
    fc.property(
      fc.array(anyPattern, { minLength: 1, maxLength: 4 }),
      anyPhrase,
      (patterns, phrase) => {
        fc.pre(phrase.length > 0);
        const expected = patterns.flatMap((pattern, rule) =>
          naiveEnds(pattern, phrase, 0).has(phrase.length) ? [rule] : [],
        );
        expect(accepted(patterns, phrase)).toEqual(expected);
      },
    ),
    { numRuns: 3000 },
  );
});

test("a trie finds every sequence that starts at a place, shortest first", () => {
  const sequence = fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(fc.array(sequence, { maxLength: 200 }), sequence, (sequences, text) => {
      const trie = createTrie<number>();
      sequences.forEach((words, index) => {
        trie.insert(words, index);
      });
      const found: [number, number[]][] = [];
      trie.match(text, 0, (end, values) => found.push([end, values]));
      const expected = text.flatMap((_, last): [number, number[]][] => {
        const key = text.slice(0, last + 1).join();
        const values = sequences.flatMap((words, index) => (words.join() === key ? [index] : []));
        return values.length > 0 ? [[last + 1, values]] : [];
      });
      expect(found).toEqual(expected);
    }),
  );
});
