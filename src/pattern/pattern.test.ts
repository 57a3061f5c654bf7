import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyPattern } from "../../test/support/patterns.ts";
import { parsePattern } from "./parse.ts";
import { countPhrases, phrases } from "./phrases.ts";
import { printPattern } from "./print.ts";
import type { Pattern } from "./tree.ts";

const none = () => undefined;

function made(text: string, most = 50): string[] {
  const parsed = parsePattern(text, { language: "en" });
  if (!parsed.ok) throw new Error(parsed.error.message);
  return [...phrases(parsed.pattern, none)].slice(0, most).map((words) => words.join(" "));
}

describe("a pattern makes phrases", () => {
  test.each<[string, string[]]>([
    ["turn on", ["turn on"]],
    ["turn (on | off)", ["turn on", "turn off"]],
    ["[please] go", ["go", "please go"]],
    ["very<1-3>", ["very", "very very", "very very very"]],
    ["tick<2>", ["tick tick"]],
    ["up<0->", ["", "up"]],
    ['"half past" two', ["half past two"]],
    ["(/2/ on | /1.5/ off)", ["on", "off"]],
    ["go // to the end of the line\n on", ["go on"]],
    ["go /* or stay */ on", ["go on"]],
    ["thirty-five 60%", ["thirty five 60 %"]],
    ["on $NULL", ["on"]],
    ["on | $VOID", ["on"]],
    ["a | b c | [d]", ["a", "b c", "", "d"]],
  ])("%s", (text, expected) => {
    expect(made(text)).toEqual(expected);
  });
});

describe("a pattern that cannot be read says where and what to write", () => {
  test.each<[string, number, RegExp, RegExp]>([
    ["turn (on", 5, /not closed/, /"\)"/],
    ["turn on)", 7, /closes nothing/, /"\("/],
    ["[a)", 2, /closes nothing/, /"\("/],
    ["", 0, /empty/, /word/],
    ["a | | b", 4, /no word here/, /\$NULL/],
    ["on $", 3, /no name/, /\$name/],
    ["a {tag}", 2, /tags/, /do/],
    ["hello!en-GB", 5, /language/, /under that language/],
    ["a<3-1>", 1, /backwards/, /<1-3>/],
    ["a<1-1000000>", 1, /at most/, /<1->/],
    ["a<x>", 1, /counts/, /<2>/],
    ["<2>", 0, /nothing to repeat/, /after/],
    ['say "half', 4, /does not end/, /quote/],
    ["a /2/ b", 2, /front/, /\(\/2\/ one/],
    ["/0/ a", 0, /more than 0/, /\/1\//],
    ["$<http://example.com>", 0, /another grammar/, /fragments/],
    ["a ... b", 2, /never heard/, /leave it out/],
    ["(".repeat(80), 60, /deep/, /fragments/],
  ])("%s", (text, offset, message, fix) => {
    const parsed = parsePattern(text, { language: "en" });
    expect(parsed).toMatchObject({ ok: false, error: { offset } });
    if (parsed.ok) return;
    expect(parsed.error.message).toMatch(message);
    expect(parsed.error.fix).toMatch(fix);
  });

  test("and no text at all makes it throw", () => {
    const pieces = fc.constantFrom(...'()[]<>|$"/*{}!= a1-\n'.split(""));
    fc.assert(
      fc.property(fc.oneof(fc.string({ unit: "binary" }), fc.string({ unit: pieces })), (text) => {
        expect(parsePattern(text, { language: "en" })).toHaveProperty("ok");
      }),
      { numRuns: 2000 },
    );
  });
});

test("printing a pattern and reading it back makes the same phrases", () => {
  fc.assert(
    fc.property(anyPattern, (pattern) => {
      const parsed = parsePattern(printPattern(pattern), { language: "en" });
      expect(parsed).toHaveProperty("ok", true);
      if (!parsed.ok) return;
      const first = (tree: Pattern): string[] => {
        const found: string[] = [];
        for (const words of phrases(tree, none)) {
          if (found.push(words.join(" ")) === 200) break;
        }
        return found;
      };
      expect(first(parsed.pattern)).toEqual(first(pattern));
      expect(printPattern(parsed.pattern)).toBe(printPattern(pattern));
    }),
  );
});

test("the count of phrases is the number of phrases made", () => {
  fc.assert(
    fc.property(anyPattern, (pattern) => {
      const count = countPhrases(pattern, none);
      fc.pre(count < 5000);
      expect([...phrases(pattern, none)]).toHaveLength(count);
    }),
  );
});
