import fc from "fast-check";
import { expect, test } from "vitest";
import { readPhrasebook } from "../../book/read.ts";
import { phrases } from "../../pattern/phrases.ts";

const text = `languages: [en-GB]
rooms: { kiln-room: {}, showroom: {} }
devices:
  kiln-vent: { kind: fan, room: kiln-room, aliases: extractor }
  wheel-lamp: { kind: light, room: kiln-room }
  plinth-spots: { kind: light, room: showroom, properties: [colour] }
  courtyard-gate: { kind: gate }
  drying-cabinet: { kind: heater, room: kiln-room }
`;
const book = readPhrasebook([{ path: "home.yaml", text }]);

const names = ["kiln vent", "wheel lamp", "plinth spots", "courtyard gate", "drying cabinet"];
const samples = new Map([
  ["target", names],
  ["percent", ["forty", "25 percent"]],
  ["temperature", ["forty degrees"]],
  ["colour", ["teal"]],
]);

/** Phrases of the vocabulary that are understood, of three words or more. */
const understood = [...book.intents.values()].flatMap((intent) =>
  intent.patterns.flatMap(({ tree }) => {
    const made: string[] = [];
    for (const name of names) {
      const resolve = (reference: string) => {
        const slot = intent.slots.get(reference);
        const text = reference === "target" ? name : samples.get(slot?.type ?? "")?.[0];
        return text === undefined
          ? undefined
          : ({ type: "words", words: text.split(" "), span: [0, 0] } as const);
      };
      const [phrase] = phrases(tree, resolve);
      const text = phrase?.join(" ") ?? "";
      const isHeard = phrase && phrase.length > 2 && book.hear(text).outcome !== "unknown";
      if (isHeard) made.push(text);
    }
    return made;
  }),
);

/** A slip of one word: a letter dropped, doubled or changed, or another word altogether. */
const slip = fc.oneof(
  fc.nat(20).map((at) => (word: string) => {
    const place = at % word.length;
    return word.slice(0, place) + word.slice(place + 1);
  }),
  fc.nat(20).map((at) => (word: string) => {
    const place = at % word.length;
    return `${word.slice(0, place)}q${word.slice(place + 1)}`;
  }),
  fc.constantFrom("zebra", "wubble", "quince").map((other) => () => other),
);

test("a phrase one word away from a known one has that word named first, in 95 of 100", () => {
  expect(understood.length).toBeGreaterThan(150);
  let tried = 0;
  let named = 0;
  fc.assert(
    fc.property(fc.constantFrom(...understood), fc.nat(9), slip, (phrase, place, change) => {
      const words = phrase.split(" ");
      const index = place % words.length;
      const wrong = change(words[index] ?? "");
      if (wrong === "" || words.includes(wrong)) return;
      words[index] = wrong;
      const heard = book.hear(words.join(" "));
      if (heard.outcome !== "unknown") return;
      tried++;
      if (book.why(heard).nearest[0]?.words.split(" ").includes(wrong)) named++;
    }),
    { numRuns: 1500, seed: 11 },
  );
  expect(tried).toBeGreaterThan(500);
  expect(named / tried).toBeGreaterThanOrEqual(0.95);
});

/** Misses of which the advice is taken; many take a while, since each makes another home. */
const advices = Number(process.env["ADVICES"] ?? 40);

test("advice that is taken makes the phrase come to what it names, and is no new problem", () => {
  const taken = new Set<string>();
  fc.assert(
    fc.property(fc.constantFrom(...understood), fc.nat(9), slip, (phrase, place, change) => {
      const words = phrase.split(" ");
      const index = place % words.length;
      words[index] = change(words[index] ?? "") || "zebra";
      const said = words.join(" ");
      const heard = book.hear(said);
      if (heard.outcome !== "unknown" || taken.size >= advices) return;
      for (const { paste, expected, miss } of book.why(heard).nearest) {
        if (!paste || taken.has(paste.yaml)) continue;
        taken.add(paste.yaml);
        const mended = readPhrasebook([{ path: "home.yaml", text: pasted(paste.yaml) }]);
        expect(mended.problems).toEqual([]);
        const again = mended.hear(said);
        expect([said, paste.yaml, again.outcome]).not.toContain("unknown");
        const named = names.find((name) => expected.includes(name))?.replaceAll(" ", "-");
        if (miss === "name" && named) expect(again.about).toContain(named);
      }
    }),
    { numRuns: 4 * advices, seed: 7 },
  );
  expect(taken.size).toBeGreaterThanOrEqual(Math.min(advices, 30));
});

/** The home with what was pasted in its place. */
function pasted(yaml: string): string {
  const [section = "", ...rest] = yaml.split("\n");
  if (section !== "devices:") return `${text}${yaml}\n`;
  const [id = "", aliases = ""] = rest.map((line) => line.trim());
  const list = aliases.replace("aliases: ", "");
  return text.replace(new RegExp(`( {2}${id} \\{ )(.*) \\}`), (_, start: string, held: string) =>
    held.includes("aliases: ")
      ? `${start}${held.replace(/aliases: (\w+)/, `aliases: [$1, ${list.slice(1)}`)} }`
      : `${start}${held}, ${aliases} }`,
  );
}

test("a name that is spelled otherwise and sounds the same is the nearest", () => {
  const [first] = book.why(book.hear("turn on the ekstrakter")).nearest;
  expect(first).toMatchObject({ words: "ekstrakter", expected: ["extractor"] });
  expect(first?.message).toBe(
    'nothing is called "ekstrakter"; it sounds like "extractor" (device kiln-vent)',
  );
});

test("of several commands the one that fails is explained, without what says when", () => {
  const both = book.why(book.hear("turn on the kiln vent and opne the courtyard gate")).nearest;
  expect(both[0]).toMatchObject({ words: "opne", expected: ["open"] });
  const later = book.why(book.hear("in ten minutes trun on the kiln vent")).nearest;
  expect(later[0]).toMatchObject({ words: "trun", expected: ["turn"] });
});

test.each(["", "…", "?!", "  "])("nothing comes near to nothing: “%s”", (said) => {
  expect(book.why(book.hear(said)).nearest).toEqual([]);
});

test("a name that voice is barred from is not advised to mean anything else", () => {
  const kettle = "  kettle: { kind: plug, voice: barred }\n  floor: { kind: thermostat }\n";
  const barred = readPhrasebook([{ path: "home.yaml", text: text + kettle }]);
  const why = barred.why(barred.hear("turn on the kettle"));
  expect(why.barred).toMatchObject([{ device: "kettle" }]);
  expect(why.nearest.flatMap(({ paste }) => paste ?? [])).toEqual([]);
});
