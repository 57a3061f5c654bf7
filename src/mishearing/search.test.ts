import fc from "fast-check";
import { expect, test } from "vitest";
import { dictionary } from "cmu-pronouncing-dictionary";
import { readPhrasebook } from "../book/read.ts";
import { automataOf } from "../grammar/automata.ts";
import { choice, optional, reference, sequence, words } from "../pattern/build.ts";
import { countPhrases, phrases } from "../pattern/phrases.ts";
import type { Grammar } from "../pattern/grammar.ts";
import type { Pattern } from "../pattern/tree.ts";
import { distanceBetween } from "../sounds/distance.ts";
import type { Phone } from "../sounds/phones.ts";
import type { Sounds } from "../sounds/pronounce.ts";
import { latticeOf, mostMadeUp } from "./lattice.ts";
import { machineOf } from "./machine.ts";
import { searchNearest } from "./search.ts";
import { soundsIn } from "./sounds-in.ts";
import { vocabularyOf } from "./vocabulary.ts";

const home = [{ path: "home.yaml", text: "devices: { a: { kind: light, name: lamp } }" }];
const sounds = soundsIn(readPhrasebook(home), "en", dictionary);

const word = fc.constantFrom(
  "on",
  "off",
  "the",
  "a",
  "lock",
  "unlock",
  "till",
  "kiln",
  "two",
  "ten",
);
const { pattern } = fc.letrec<{ pattern: Pattern }>((tie) => ({
  pattern: fc.oneof(
    { maxDepth: 3 },
    word.map((text) => words(text)),
    fc.array(tie("pattern"), { minLength: 2, maxLength: 3 }).map((items) => sequence(...items)),
    fc.array(tie("pattern"), { minLength: 2, maxLength: 3 }).map(choice),
    tie("pattern").map(optional),
  ),
}));

/** A grammar of four rules, the first of which holds the others together. */
const grammar = fc
  .tuple(pattern, pattern, pattern, fc.boolean())
  .map(([first, second, between, isFirst]): Grammar => {
    const [one, other] = isFirst ? ["one", "other"] : ["other", "one"];
    const main = sequence(
      optional(words("the")),
      reference(one),
      reference("between"),
      reference(other),
    );
    return {
      language: "en",
      root: "main",
      rules: new Map(
        Object.entries({ main, one: first, between, other: second }).map(([name, tree]) => [
          name,
          { pattern: tree, isPublic: true },
        ]),
      ),
    };
  });

/** The least that it costs to take sounds for words, by trying every way to part them. */
function costOf(spoken: readonly string[], heard: readonly string[], { costs, waysOf }: Sounds) {
  const phones: Phone[] = [];
  const weakEnds = new Map<number, number>();
  for (const said of spoken) {
    const from = phones.length;
    phones.push(...(waysOf(said)[0] ?? []));
    if (costs.weak.has(said)) weakEnds.set(from, phones.length);
  }
  const known = new Map<string, number>();
  const least = (at: number, index: number): number => {
    const key = `${at} ${index}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    known.set(key, Infinity);
    const said = heard[index];
    let best = said === undefined && at === phones.length ? 0 : Infinity;
    const weakEnd = weakEnds.get(at);
    if (weakEnd !== undefined) best = Math.min(best, costs.weakLoss + least(weakEnd, index));
    if (said !== undefined) {
      if (costs.weak.has(said)) best = Math.min(best, costs.weakGain + least(at, index + 1));
      for (const way of waysOf(said)) {
        for (let end = at; end <= phones.length; end++) {
          if (end === at && way.length > mostMadeUp) continue;
          const cost = distanceBetween(phones.slice(at, end), way, costs) ?? Infinity;
          best = Math.min(best, cost + least(end, index + 1));
        }
      }
    }
    known.set(key, best);
    return best;
  };
  return least(0, 0);
}

/** The words of a phrase that make a difference. */
function content(said: readonly string[]): string {
  return said.filter((text) => !sounds.costs.weak.has(text)).join(" ");
}

/** Phrases of a grammar that are tried one by one. */
const mostTried = 200;

test("what is told is what trying every phrase tells, the nearest of those that mean the same", () => {
  const furthest = 150;
  const spoken = fc.array(word, { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(grammar, spoken, (made, said) => {
      const main = made.rules.get("main")?.pattern;
      if (!main) throw new Error("there is no main rule");
      const ruleOf = (name: string) => made.rules.get(name)?.pattern;
      // Each is tried by itself, which takes its time.
      fc.pre(countPhrases(main, ruleOf) <= mostTried);
      const automata = automataOf(made, {
        partOf: () => undefined,
        isStep: (_rule, within) => within === "main",
      });
      const vocabulary = vocabularyOf(automata, sounds);
      const rules = { outer: new Set(["main"]), idle: new Set<string>() };
      const machine = machineOf(automata, { vocabulary, sounds }, rules);
      const lattice = latticeOf(said, { sounds, vocabulary, furthest });
      const found = new Map<string, number>();
      const options = { costs: sounds.costs, vocabulary, furthest, mostSteps: 1e6 };
      const end = searchNearest(machine, lattice, options, ({ phrase, distance }) => {
        const key = content(phrase.split(" "));
        if (!found.has(key)) found.set(key, distance);
        return true;
      });
      const tried = new Map<string, number>();
      for (const phrase of phrases(main, ruleOf)) {
        const cost = costOf(said, phrase, sounds);
        const key = content(phrase);
        if (cost <= furthest && cost < (tried.get(key) ?? Infinity)) tried.set(key, cost);
      }
      expect(end.isExhaustive).toBe(true);
      expect(Object.fromEntries(found)).toEqual(Object.fromEntries(tried));
    }),
    { numRuns: 120 },
  );
});
