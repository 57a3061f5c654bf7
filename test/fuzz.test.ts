import { join } from "node:path";
import fc from "fast-check";
import { beforeAll, describe, expect, test } from "vitest";
import { prepareUtterance } from "../src/automaton/utterance.ts";
import { compose, mostComposedSteps } from "../src/hearing/compose/compose.ts";
import { conclude } from "../src/hearing/compose/conclude.ts";
import { engineFor } from "../src/hearing/understand/engine.ts";
import { type Book, readPhrasebook } from "../src/index.ts";
import { splitWords } from "../src/language/words.ts";
import { openPhrasebook } from "../src/node/open.ts";
import { parseLocal } from "../src/time/local.ts";

/** Numbers that look random and are the same for the same seed (xorshift). */
function numbersFrom(seed: number): (below: number) => number {
  let state = seed | 1;
  return (below) => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) % below;
  };
}

const speaker = { room: undefined, context: { language: "en", state: () => ({}) } };

/** How many utterances are tried: a few here, many where `npm run fuzz` asks for them. */
const turns = Number(process.env["UTTERANCES"] ?? 8000);

const vocabulary = (
  "turn switch on off the a kiln vent lamp wheel rack light two and then in ten minutes at half " +
  "past six for until to of everything all lights except window strip set dim percent degrees " +
  "minus point five red warm open close gate lock play jazz radio is are which hour quarter " +
  "tomorrow friday twenty thousand hundred schalte mach den um zehn uhr und danach alles außer"
).split(" ");

const known = [
  "turn off the vent and in ten minutes the wheel lamp",
  "all the lights except the window strip to half",
  "open the gate tomorrow at half past six for an hour and a half",
  "set the cabinet to twenty one point five degrees",
  "mach den Ofenlüfter aus und in zehn Minuten die Scheibenlampe",
];

/** An utterance: words in any order, any characters at all, or a known phrase with a slip in it. */
function utterance(next: (below: number) => number): string {
  const words = (count: number): string[] =>
    Array.from({ length: count }, () => vocabulary[next(vocabulary.length)] ?? "");
  switch (next(4)) {
    case 0:
      return words(1 + next(12)).join(" ");
    case 1:
      return words(1 + next(50)).join(next(5) === 0 ? " and " : " ");
    case 2:
      return String.fromCharCode(
        ...Array.from({ length: next(60) }, () => (next(3) === 0 ? next(65_536) : 32 + next(95))),
      );
    default: {
      const phrase = (known[next(known.length)] ?? "").split(" ");
      phrase.splice(next(phrase.length), next(3), ...words(next(3)));
      return phrase.join(" ");
    }
  }
}

let book: Book;
beforeAll(async () => {
  ({ book } = await openPhrasebook(join(import.meta.dirname, "../demo/oxbow-pottery")));
});

describe("whatever is said", () => {
  test(
    `comes to an outcome within the bound on steps: ${turns} utterances`,
    () => {
      const now = parseLocal("2026-03-02T18:05");
      const engines = book.languages.map((language) => engineFor(book, language));
      fc.assert(
        fc.property(fc.integer(), (seed) => {
          const next = numbersFrom(seed);
          for (let turn = 0; turn < 100; turn++) {
            const text = utterance(next);
            const engine = engines[next(engines.length)];
            if (!engine) throw new Error("there is no engine");
            const { language, lexicon, small } = engine;
            const words = prepareUtterance(
              text,
              splitWords(text, { language: language }),
              lexicon,
              small,
            );
            const { steps, commands } = compose(book, engine, words, { ...speaker, time: now });
            expect(steps).toBeLessThanOrEqual(mostComposedSteps);
            const concluding = { book, language, now, speak: () => "" };
            expect(conclude(concluding, commands).outcome).toBeTypeOf("string");
          }
        }),
        { numRuns: turns / 100 },
      );
    },
    turns * 10,
  );

  test("by way of explanation, too", () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const heard = book.hear(utterance(numbersFrom(seed)), { at: "kiln-shelf" });
        expect(JSON.parse(JSON.stringify(heard))).toEqual(heard);
      }),
      { numRuns: 1000 },
    );
  });
});

const pieces = [
  "(",
  ")",
  "[",
  "]",
  "|",
  "<0-3>",
  "<1->",
  "<2>",
  "$level",
  "$target",
  "$more",
  "/2/",
];
const plain = [
  "kiln",
  "vent",
  "to",
  '"a b"',
  "$NULL",
  "$GARBAGE",
  "$VOID",
  "// x\n",
  "{",
  ";",
  "é",
];

test(
  `whatever is written as a pattern: ${turns / 10} patterns`,
  () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const next = numbersFrom(seed);
        const pattern = (): string =>
          Array.from({ length: 1 + next(14) }, () => {
            const from = next(2) === 0 ? pieces : plain;
            return from[next(from.length)] ?? "";
          }).join(" ");
        const intents = Object.fromEntries(
          Array.from({ length: 50 }, (_, index) => [
            `i-${index}`,
            {
              patterns: pattern(),
              slots: { level: { type: "percent" as const }, target: { type: "target" as const } },
            },
          ]),
        );
        const definition = {
          devices: { vent: { kind: "fan" } },
          fragments: { more: "[much] more" },
          vocabulary: { without: ["all"] },
          intents,
        };
        const home = readPhrasebook([{ path: "home", definition }]);
        const engine = engineFor(home, "en");
        for (let turn = 0; turn < 5; turn++) {
          const text = `${"kiln vent to 5 ".repeat(1 + next(20))}${utterance(next)}`;
          const words = splitWords(text, { language: "en" });
          const said = prepareUtterance(text, words, engine.lexicon, engine.small);
          const { steps } = compose(home, engine, said, speaker);
          expect(steps).toBeLessThanOrEqual(mostComposedSteps);
          expect(home.hear(text).outcome).toBeTypeOf("string");
        }
      }),
      { numRuns: turns / 500 },
    );
  },
  turns * 10,
);
