import { readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { type Grammar, parseGrammar, printGrammar } from "../pattern/grammar.ts";
import { phrases } from "../pattern/phrases.ts";
import type { Pattern } from "../pattern/tree.ts";
import { grammarOf } from "../grammar/home-grammar.ts";
import { printJsgf } from "./jsgf.ts";
import { parseSrgsXml, printSrgsXml } from "./srgs.ts";

const span = [0, 0] as const;
const word = fc.constantFrom("clay", "glaze", "kiln", "wheel", "slip", "don't", "42");

/** Patterns of every form, over three rules that refer to each other without circles. */
const { pattern } = fc.letrec<{ pattern: Pattern }>((tie) => ({
  pattern: fc.oneof(
    { depthSize: "small", withCrossShrink: true },
    fc.array(word, { minLength: 1, maxLength: 2 }).map((words): Pattern => {
      return { type: "words", words, span };
    }),
    fc.constant<Pattern>({ type: "nothing", span }),
    fc.constantFrom("a", "b").map((name): Pattern => ({ type: "reference", name, span })),
    fc.array(tie("pattern"), { minLength: 2, maxLength: 3 }).map((items): Pattern => {
      return { type: "sequence", items, span };
    }),
    fc
      .array(fc.tuple(tie("pattern"), fc.option(fc.integer({ min: 1, max: 9 }))), {
        minLength: 1,
        maxLength: 3,
      })
      .map((options): Pattern => {
        return {
          type: "choice",
          options: options.map(([inner, weight]) =>
            weight === null ? { pattern: inner } : { pattern: inner, weight },
          ),
          span,
        };
      }),
    fc
      .tuple(tie("pattern"), fc.constantFrom([0, 1], [2, 2], [1, 2], [0, Infinity], [1, Infinity]))
      .map(([item, [minimum = 0, maximum = 1]]): Pattern => {
        return { type: "repeat", item, minimum, maximum, span };
      }),
  ),
}));

const grammars: fc.Arbitrary<Grammar> = pattern.map((root) => ({
  language: "en",
  root: "main",
  rules: new Map([
    ["main", { pattern: root, isPublic: true }],
    ["a", { pattern: { type: "words", words: ["potter's", "wheel"], span }, isPublic: false }],
    ["b", { pattern: { type: "reference", name: "a", span }, isPublic: false }],
  ]),
}));

/** The first phrases of a grammar, as texts. */
function said({ rules, root }: Grammar): string[] {
  const found: string[] = [];
  const resolve = (name: string) => rules.get(name)?.pattern;
  for (const words of phrases({ type: "reference", name: root, span }, resolve)) {
    found.push(words.join(" "));
    if (found.length >= 300) break;
  }
  return found;
}

describe("a grammar that is written and read back makes the same phrases", () => {
  test("in the ABNF form", () => {
    fc.assert(
      fc.property(grammars, (grammar) => {
        const parsed = parseGrammar(printGrammar(grammar));
        expect(parsed.ok && said(parsed.grammar)).toEqual(said(grammar));
      }),
      { numRuns: 500 },
    );
  });

  test("in the XML form", () => {
    fc.assert(
      fc.property(grammars, (grammar) => {
        const parsed = parseSrgsXml(printSrgsXml(grammar));
        expect(parsed.ok && said(parsed.grammar)).toEqual(said(grammar));
      }),
      { numRuns: 500 },
    );
  });
});

/** One phrase of a grammar at its shortest, each choice made by the next of some numbers. */
function sample({ rules, root }: Grammar, next: (below: number) => number): string[] {
  const walk = (item: Pattern): string[] | undefined => {
    switch (item.type) {
      case "words":
        return [...item.words];
      case "nothing":
        return [];
      case "void":
        return undefined;
      case "garbage":
        return ["pottery", "songs"];
      case "reference": {
        const rule = rules.get(item.name);
        return rule && walk(rule.pattern);
      }
      case "sequence": {
        const parts = item.items.map(walk);
        return parts.some((part) => part === undefined)
          ? undefined
          : parts.flatMap((part) => part ?? []);
      }
      case "choice": {
        const first = next(item.options.length);
        for (let turn = 0; turn < item.options.length; turn++) {
          const option = item.options[(first + turn) % item.options.length];
          const words = option && walk(option.pattern);
          if (words) return words;
        }
        return undefined;
      }
      case "repeat": {
        // What may be left out is: a comma, a second target, another time.
        const parts = Array.from({ length: item.minimum }, () => walk(item.item));
        if (!parts.some((part) => part === undefined)) return parts.flatMap((part) => part ?? []);
        return item.minimum === 0 ? [] : undefined;
      }
    }
  };
  return walk({ type: "reference", name: root, span }) ?? [];
}

const demo = ["home.yaml", "intents.yaml"].map((path) => {
  const folder = join(import.meta.dirname, "../../demo/oxbow-pottery");
  return { path, text: readFileSync(join(folder, path), "utf8") };
});
const six = join(import.meta.dirname, "../../test/languages/home.yaml");

const withoutBars = (text: string): string => text.replaceAll("voice: barred", "voice: free");

describe("everything sayable in a home, as a grammar", () => {
  const homes = [
    // A phrase that names only what voice is barred from is unknown, as it should be.
    ["demo", readPhrasebook(demo.map(({ path, text }) => ({ path, text: withoutBars(text) })))],
    ["six languages", readPhrasebook([{ path: "home.yaml", text: readFileSync(six, "utf8") }])],
  ] as const;
  const cases = homes.flatMap(([name, book]) =>
    book.languages.map((language) => [name, language, book] as const),
  );

  test.each(cases)("has plain phrases that are all understood: %s, %s", (_, language, book) => {
    const grammar = grammarOf(book, language);
    // "Loft radio" is one name, and never the loft and what follows.
    const names = [...book.devices.values(), ...book.rooms.values()]
      .flatMap((entity) => entity.names)
      .map(({ words }) => words.join(" "));
    const swallowing = names.filter((name) => names.some((other) => name.startsWith(`${other} `)));
    fc.assert(
      fc.property(fc.array(fc.nat(), { minLength: 60, maxLength: 60 }), (choices) => {
        let at = 0;
        const next = (below: number): number => (choices[at++ % 60] ?? 0) % Math.max(1, below);
        const phrase = sample({ ...grammar, root: "command" }, next).join(" ");
        if (swallowing.some((name) => phrase.includes(name))) return;
        const it = [[...book.devices.keys()][0] ?? ""];
        const { outcome } = book.hear(phrase, { language, time: "2026-03-02T18:05", it });
        expect(outcome === "unknown" ? phrase : outcome).toBe(outcome);
      }),
      { numRuns: 1000 },
    );
  });

  test("holds every name and is read back in both forms", () => {
    const [, book] = homes[0];
    const grammar = grammarOf(book, "en-GB");
    const text = printGrammar(grammar);
    expect(text).toContain("rack light two");
    expect(parseGrammar(text)).toMatchObject({ ok: true });
    expect(parseSrgsXml(printSrgsXml(grammar))).toMatchObject({ ok: true });
  });
});

test("JSGF has counts written out and tells where free words are lost", () => {
  const parsed = parseGrammar(
    '#ABNF 1.0 UTF-8; root $main; public $main = play ($GARBAGE | "don\'t") now<2-3> [$b]; $b = a<1-> | $NULL;',
  );
  if (!parsed.ok) throw new Error(parsed.error.message);
  const { text, withoutFreeWords } = printJsgf(parsed.grammar);
  expect(text).toContain("public <main> = play (don't) ((now) (now) [now]) [<b>];");
  expect(text).toContain("<b> = (a)+ | <NULL>;");
  expect(withoutFreeWords).toEqual(["main"]);
  const free = printJsgf(parsed.grammar, { anyWords: ["maybe", "if"] });
  expect(free.text).toContain("public <main> = play (<any-words> | don't) ((now)");
  expect(free.text).toContain("<any-words> = (maybe | if)+;");
  expect(free.withoutFreeWords).toEqual([]);
});

test("semantic tags, languages and metadata of a grammar are passed over", () => {
  const parsed = parseGrammar(`#ABNF 1.0 UTF-8;
    language de-DE; mode voice; root $start; tag-format <semantics/1.0>;
    meta "author" is "Oxbow; Pottery";
    /** A rule. */
    public $start = (bitte!de-DE | $NULL) {out = 1} Ofen {!{ x = "}" }!} [an];`);
  expect(parsed.ok && said(parsed.grammar)).toEqual([
    "bitte ofen",
    "bitte ofen an",
    "ofen",
    "ofen an",
  ]);
});

describe("what is wrong with a grammar is told", () => {
  test.each([
    ["hello", "this is no grammar in ABNF form"],
    ["#ABNF 1.0; $a = $b;", "there is no rule $b"],
    ["#ABNF 1.0; $a = x; $a = y;", "the rule $a is defined twice"],
    ["#ABNF 1.0; $a = x", "the rule $a does not end"],
    ["#ABNF 1.0; mode dtmf; $a = x;", 'a grammar of mode "dtmf" is not of words'],
    ["#ABNF 1.0; $a = $<other.gram#x>;", "a pattern cannot refer to another grammar"],
  ])("%s", (text, message) => {
    const parsed = parseGrammar(text);
    expect(!parsed.ok && parsed.error.message).toBe(message);
  });

  test.each([
    ["<grammar>", "this is no XML"],
    ["<x/>", "there is no grammar element"],
    ["<grammar><rule id='a'><ruleref uri='#b'/></rule></grammar>", 'there is no rule "b"'],
    ["<grammar><rule id='a'><ruleref uri='b.grxml'/></rule></grammar>", "refers to another one"],
    ["<grammar><rule id='a'><b/></rule></grammar>", "<b> has no place in a rule"],
    ["<grammar><rule id='a'><item repeat='x'>y</item></rule></grammar>", '"x" is no repeat'],
  ])("%s", (text, message) => {
    const parsed = parseSrgsXml(text);
    expect(!parsed.ok && parsed.error.message).toContain(message);
  });

  test("and no text makes reading throw", () => {
    const pieces = fc.constantFrom(
      "<grammar",
      ">",
      "<rule id='a'>",
      "</rule>",
      "$a",
      "=",
      ";",
      "(",
      "{",
      "x",
    );
    fc.assert(
      fc.property(fc.array(fc.oneof(pieces, fc.string())), (parts) => {
        expect(typeof parseGrammar(`#ABNF 1.0;${parts.join("")}`).ok).toBe("boolean");
        expect(typeof parseSrgsXml(parts.join("")).ok).toBe("boolean");
      }),
    );
  });
});
