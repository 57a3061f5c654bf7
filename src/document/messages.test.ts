import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { simulate } from "../home/simulated/simulate.ts";

const read = (reply: string) =>
  readPhrasebook([
    {
      path: "a.yaml",
      text: JSON.stringify({
        languages: ["en-GB", "de-DE"],
        devices: { lamp: { kind: "light" } },
        intents: {
          go: {
            patterns: { en: "go [$mood] [$level]", de: "los [$mood]" },
            slots: {
              mood: {
                type: "choice",
                values: {
                  calm: { en: "calm | quiet", de: "ruhig" },
                  loud: { en: "loud", de: "laut" },
                },
                default: "calm",
              },
              level: { type: "percent", optional: true },
            },
            do: { set: { lamp: { power: "on" } } },
            reply: { en: reply, de: reply },
          },
        },
      }),
    },
  ]);

describe("a reply that cannot be used is a finding, and its source is never said", () => {
  test.each([
    ["{$mood", /cannot be read/],
    ["{$mood :strng}", /no function :strng/],
    ["{$level :datetime}", /no function :datetime/],
    [".input {$mood :string} .match $mood calm {{a}}", /missing fallback/],
    [".input {$mood :string} .match $mood calm {{a}} calm {{b}} * {{c}}", /duplicate variant/],
    [".input {$mood :string} .match $mood calm loud {{a}} * {{c}}", /key mismatch/],
    [".local $a = {1} .match $a 1 {{a}} * {{b}}", /missing selector annotation/],
    [".input {$mood :string} .input {$mood :string} {{a}}", /duplicate declaration/],
    ["{$level :number style=percent style=percent}", /duplicate-option/],
  ])("%s", (reply, message) => {
    const book = read(reply);
    expect(
      book.problems.filter(({ severity }) => severity === "error").map((each) => each.message),
    ).toEqual(expect.arrayContaining([expect.stringMatching(message)]));
    expect(book.reply(book.hear("go"))).toBe("Done.");
  });
});

test("what was not said is left out, and not told as it is written", () => {
  const book = read("Lamp at {$level} percent.");
  expect(book.reply(book.hear("go"))).toBe("Lamp at percent.");
  expect(book.reply(book.hear("go 40 percent"))).toBe("Lamp at 40 percent.");
});

describe("a choice is selected by its value and told by its word, in every language", () => {
  const reply = ".input {$mood :string} .match $mood calm {{[calm] {$mood}}} * {{[other] {$mood}}}";
  test.each([
    ["go quiet", "en-GB", "[calm] quiet"],
    ["go loud", "en-GB", "[other] loud"],
    ["go", "en-GB", "[calm] calm"],
    ["los ruhig", "de-DE", "[calm] ruhig"],
    ["los laut", "de-DE", "[other] laut"],
    ["los", "de-DE", "[calm] ruhig"],
  ])("%s (%s)", (phrase, language, said) => {
    const book = read(reply);
    expect(book.problems).toEqual([]);
    expect(book.reply(book.hear(phrase, { language }))).toBe(said);
    expect(simulate(book).converse({ language }).say(phrase).reply).toBe(said);
  });
});
