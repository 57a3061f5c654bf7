import { readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type Effect, readPhrasebook } from "../src/index.ts";
import { packOf } from "../src/language/packs.ts";

/* Numbers that are values and numbers that say when stand side by side, and neither takes a part of the other. */

const text = readFileSync(join(import.meta.dirname, "at-annexe/home.yaml"), "utf8");
const book = readPhrasebook([{ path: "home.yaml", text }]);
const time = "2026-03-02T12:05";

/** What is said in each language; numbers are filled in as words. */
const languages = [
  {
    language: "en",
    until: "heating to $value until $hour",
    span: "kettle on from $hour to $end",
    close: "close the blind at $hour",
    half: "heating to $value and a half at $hour",
  },
  {
    language: "de",
    until: "Heizung bis $hour auf $value",
    span: "Wasserkocher von $hour bis $end an",
    close: "mach das Rollo um $hour zu",
    half: "Heizung um $hour auf $valueeinhalb",
  },
  {
    language: "fr",
    until: "le chauffage à $value jusqu'à $hour heures",
    span: "allume la bouilloire de $hour à $end heures",
    close: "ferme le store à $hour heures",
    half: "le chauffage à $value et demi à $hour heures",
  },
  {
    language: "es",
    until: "la calefacción a $value hasta las $hour",
    span: "enciende el hervidor de $hour a $end",
    close: "cierra el estor a las $hour",
    half: "la calefacción a $value y medio a las $hour",
  },
  {
    language: "it",
    until: "il riscaldamento a $value fino alle $hour",
    span: "accendi il bollitore dalle $hour alle $end",
    close: "chiudi la tapparella alle $hour",
    half: "il riscaldamento a $value e mezzo alle $hour",
  },
  {
    language: "nl",
    until: "verwarming op $value tot $hour uur",
    span: "waterkoker aan van $hour tot $end uur",
    close: "doe het rolgordijn om $hour uur dicht",
    half: "verwarming om $hour uur op $value en een half",
  },
] as const;

describe.each(languages)("in $language", ({ language, until, span, close, half }) => {
  const { numbers } = packOf(book, language);
  const heard = (pattern: string, filled: Record<string, number>): readonly Effect[] => {
    const phrase = Object.entries(filled).reduce(
      (said, [name, value]) => said.replace(`$${name}`, numbers.cardinal(value)),
      pattern,
    );
    return book
      .hear(phrase, { language, at: "armchair", time })
      .commands.flatMap((command) => command.effects);
  };
  const hour = fc.integer({ min: 2, max: 11 });
  const warmth = fc.integer({ min: 5, max: 29 });
  const hourOf = (when: string | undefined): number => Number(when?.slice(11, 13)) % 12;

  test("a value is kept until an hour", () => {
    fc.assert(
      fc.property(warmth, hour, (value, end) => {
        const [effect, more] = heard(until, { value, hour: end });
        expect([effect, more]).toMatchObject([
          { device: "heating", set: { target: value } },
          undefined,
        ]);
        expect(hourOf(effect?.when?.until)).toBe(end);
        expect(effect?.when?.at).toBeUndefined();
      }),
    );
  });

  test("a half belongs to the value, whatever hour is said", () => {
    fc.assert(
      fc.property(warmth, hour, (value, start) => {
        const [effect, more] = heard(half, { value, hour: start });
        expect([effect, more]).toMatchObject([
          { device: "heating", set: { target: value + 0.5 } },
          undefined,
        ]);
        expect(hourOf(effect?.when?.at)).toBe(start);
      }),
    );
  });

  test("from one hour to another has a beginning and an end", () => {
    fc.assert(
      fc.property(hour, hour, (start, end) => {
        fc.pre(start !== end);
        const [effect, more] = heard(span, { hour: start, end });
        expect([effect, more]).toMatchObject([
          { device: "kettle", set: { power: "on" } },
          undefined,
        ]);
        expect([effect?.when?.at, effect?.when?.until].map(hourOf)).toEqual([start, end]);
      }),
    );
  });

  test("what is closed at an hour is closed, and not by so much", () => {
    fc.assert(
      fc.property(hour, (start) => {
        const [effect, more] = heard(close, { hour: start });
        expect([effect, more]).toMatchObject([
          { device: "blind", set: { position: 0 } },
          undefined,
        ]);
        expect(hourOf(effect?.when?.at)).toBe(start);
      }),
    );
  });
});
