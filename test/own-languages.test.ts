import { describe, expect, test } from "vitest";
import { createReader, readPhrasebook, WrongUse } from "../src/index.ts";
import { grammarOf, printGrammar } from "../src/exchange/index.ts";
import { checkPhrasebook } from "../src/survey/check.ts";
import { english } from "../src/language/english.ts";
import { german } from "../src/language/german.ts";
import type { OwnSlotType } from "../src/model/own-slot-type.ts";

const shelfMark: OwnSlotType = {
  name: "shelf-mark",
  recognise(words, from) {
    const [letter = "", number = ""] = words.slice(from, from + 2);
    const isMark = /^[a-f]$/.test(letter) && /^\d+$/.test(number);
    return isMark ? [{ end: from + 2, value: letter.toUpperCase() + number }] : [];
  },
  samples: () => ["b 12"],
  phrases: () => ["(a | b) (1 | 2)"],
};

const text = `
intents:
  find: { patterns: "find $mark", slots: { mark: { type: own, of: shelf-mark } }, reply: "ok" }
`;
const source = [{ path: "home.yaml", text }];

describe("a slot type of the application's own", () => {
  const read = createReader({ languages: [english], slotTypes: [shelfMark] });
  const book = read(source);

  test("is read, heard, checked and exported like those that ship", () => {
    expect(book.problems).toEqual([]);
    expect(book.hear("please find b 12").commands[0]?.slots).toMatchObject({
      mark: { value: "B12", words: "b 12" },
    });
    expect(book.hear("find z 12").outcome).toBe("unknown");
    expect(checkPhrasebook(book).map(({ rule }) => rule)).toEqual([]);
    expect(printGrammar(grammarOf(book))).toMatch(
      /^\$own_?shelf_?mark = \(a \| b\) \(one \| two\);$/mu,
    );
  });

  test("is a finding where the application has none of that name", () => {
    expect(readPhrasebook(source).problems).toMatchObject([
      { rule: "unknown-reference", at: { file: "home.yaml", line: 3 } },
    ]);
  });

  test.each<[string, OwnSlotType["recognise"]]>([
    [
      "throws",
      () => {
        throw new Error("no");
      },
    ],
    ["finds what is no value", () => [{ end: 2, value: {} as unknown as string }]],
    ["ends before it begins", (_, from) => [{ end: from, value: 1 }]],
    ["ends past the last word", () => [{ end: 99, value: 1 }]],
  ])("takes nothing where its function %s", (_, recognise) => {
    const broken = createReader({
      languages: [english],
      slotTypes: [{ ...shelfMark, recognise }],
    })(source);
    expect(broken.hear("find b 12").outcome).toBe("unknown");
  });
});

describe("languages are what a reader is made with", () => {
  test("one that it was not made with is a finding", () => {
    const read = createReader({ languages: [german] });
    const book = read([{ path: "a.yaml", text: "languages: [en-GB]" }]);
    expect(book.problems).toMatchObject([{ rule: "unknown-language", fix: "write one of de" }]);
    expect(book.languages).toEqual(["de"]);
  });

  test("one of the application's own is spoken", () => {
    const { conversation, targets } = english;
    const northern = {
      ...english,
      language: "nx",
      name: "Northern",
      targets: { ...targets, everything: ["t'lot"] },
      conversation: { ...conversation, yes: ["aye"] },
    };
    const read = createReader({ languages: [northern] });
    const home = "languages: [nx]\ndevices: { lamp: { kind: light } }";
    const book = read([{ path: "a.yaml", text: home }]);
    expect(book.problems).toEqual([]);
    expect(book.hear("turn t'lot on")).toMatchObject({
      outcome: "act",
      commands: [{ effects: [{ device: "lamp", set: { power: "on" } }] }],
    });
  });

  test.each<[string, unknown]>([
    ["none", {}],
    ["an empty list", { languages: [] }],
    ["what is no pack", { languages: ["en"] }],
    ["what is no slot type", { languages: [english], slotTypes: [{ name: "x" }] }],
  ])("%s is told as wrong use", (_, options) => {
    expect(() => {
      Reflect.apply(createReader, undefined, [options]);
    }).toThrow(WrongUse);
  });
});
