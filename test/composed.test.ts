import { readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, test } from "vitest";
import * as z from "zod/mini";
import { type Effect, type Heard, effectsOf, readPhrasebook } from "../src/index.ts";

/*
 * What is said is made of parts: something to do, a thing, a time, and what people say around it. Parts are written
 * down once for each language, and each comes to the same with every other.
 */

const shape = z.strictObject({
  /** Whole commands, and what is said around them: "{}" stands for one. */
  commands: z.array(z.string()),
  aroundCommands: z.array(z.string()),
  /** The same commands as infinitives. */
  infinitives: z.array(z.string()),
  aroundInfinitives: z.array(z.string()),
  /** What is said around commands that are no orders then, or none that is clear. */
  noOrders: z.array(z.string()),
  noOrdersOfInfinitives: z.array(z.string()),
  /** What things are called, the devices that are meant ("*" for every light), and what is done to them. */
  things: z.array(z.tuple([z.string(), z.string()])),
  aroundThings: z.array(z.string()),
  /** When, as said and as it comes to, beside each of some commands. */
  whens: z.array(z.tuple([z.string(), z.string()])),
  timed: z.array(z.string()),
  /** Other ways to say the same. */
  sayings: z.array(z.tuple([z.string(), z.array(z.string())])),
  questions: z.array(z.string()),
});

const read = (name: string): string => readFileSync(join(import.meta.dirname, name), "utf8");
const book = readPhrasebook([{ path: "home.yaml", text: read("at-practice/home.yaml") }]);
const time = "2026-03-02T18:05";

const lights = [...book.devices.values()].flatMap(({ id, kind }) => (kind === "light" ? id : []));

const languages = ["en", "de", "fr", "es", "it", "nl"];

describe.each(languages)("%s", (language) => {
  const parts = shape.parse(JSON.parse(read(`composed/${language}.json`)));
  const hear = (phrase: string, at: string): Heard => book.hear(phrase, { language, at, time });

  test("whatever is said around a command, it comes to the same", () => {
    const pairs = [
      ...around(parts.aroundCommands, parts.commands),
      ...around(parts.aroundInfinitives, parts.infinitives),
    ];
    const differ = pairs.filter(({ index, phrase }) => {
      const plain = hear(parts.commands[index] ?? "", "sofa");
      expect(plain.outcome).toBe("act");
      return doneBy(hear(phrase, "sofa")) !== doneBy(plain);
    });
    expect(differ.map(({ phrase }) => phrase)).toEqual([]);
  });

  test("what is only to be remembered, or done together, is not done", () => {
    const pairs = [
      ...around(parts.noOrders, parts.commands),
      ...around(parts.noOrdersOfInfinitives, parts.infinitives),
    ];
    const done = pairs.filter(({ phrase }) => hear(phrase, "sofa").outcome === "act");
    expect(done.map(({ phrase }) => phrase)).toEqual([]);
  });

  test("a thing is the same in whatever is said of it", () => {
    const differ = parts.things.flatMap(([thing, ids]) => {
      const meant = ids === "*" ? [...lights].sort().join(" ") : ids;
      return parts.aroundThings.flatMap((frame) => {
        const phrase = frame.replace("{}", thing);
        const heard = hear(phrase, "counter");
        const came = [...new Set(effectsOf(heard).map(({ device }) => device))].sort().join(" ");
        return heard.outcome === "act" && came === meant ? [] : `${phrase}: ${came}`;
      });
    });
    expect(differ).toEqual([]);
  });

  test("a time is the same beside whatever is to be done", () => {
    const differ = parts.whens.flatMap(([when, meant]) =>
      parts.timed.flatMap((command) => {
        const phrase = `${command} ${when}`;
        const [effect] = effectsOf(hear(phrase, "sofa"));
        const came = whenOf(effect);
        return came === meant ? [] : `${phrase}: ${came}`;
      }),
    );
    expect(differ).toEqual([]);
  });

  test("the same is said in many ways", () => {
    const differ = parts.sayings.flatMap(([meant, phrases]) =>
      phrases.flatMap((phrase) => {
        const came = doneBy(hear(phrase, "sofa"));
        return came === meant ? [] : `${phrase}: ${came}`;
      }),
    );
    expect(differ).toEqual([]);
  });

  test("questions are answered", () => {
    const outcomes = parts.questions.map((question) => [question, hear(question, "sofa").outcome]);
    expect(outcomes.filter(([, outcome]) => outcome !== "answer")).toEqual([]);
  });
});

function around(frames: readonly string[], said: readonly string[]) {
  return frames.flatMap((frame) =>
    said.map((words, index) => ({ index, phrase: frame.replace("{}", words) })),
  );
}

/** What is done, whenever that is. */
function doneBy(heard: Heard): string {
  return heard.outcome === "act"
    ? effectsOf(heard).flatMap(written).sort().join(" ")
    : heard.outcome;
}

function written(effect: Effect): string[] {
  const { device } = effect;
  if ("call" in effect) return [`${device}.${effect.call}()`];
  if ("set" in effect)
    return Object.entries(effect.set).map(([name, value]) => `${device}.${name}=${value}`);
  const amounts = "nudge" in effect ? effect.nudge : effect.scale;
  return Object.entries(amounts).map(([name, by]) => `${device}.${name} by ${by}`);
}

function whenOf(effect: Effect | undefined): string {
  return Object.entries(effect?.when ?? {})
    .map(([sort, value]) => `${sort}${String(value).replace(/^.*T/u, "")}`)
    .join(" ");
}
