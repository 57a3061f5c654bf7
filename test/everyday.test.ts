import { readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../src/index.ts";
import type { Effect, Heard } from "../src/index.ts";

/* Everyday phrases of six languages over one home: see scripts/everyday.js. */

const folder = join(import.meta.dirname, "everyday");
const read = (name: string): string => readFileSync(join(folder, name), "utf8");
const book = readPhrasebook([{ path: "home.yaml", text: read("home.yaml") }]);

interface Phrase {
  phrase: string;
  at: string;
  expected: string;
}

function phrases(name: string): Phrase[] {
  const [, ...rows] = read(name).trimEnd().split("\n");
  return rows.map((row) => {
    const [phrase = "", at = "", expected = ""] = row.split("\t");
    return { phrase, at, expected };
  });
}

/** What a phrase does, as the tables write it; the outcome of one that does nothing. */
function told(heard: Heard): string {
  if (heard.outcome !== "act") return heard.outcome;
  const effects = heard.commands.flatMap((command) => command.effects.flatMap(written));
  return effects.sort().join(" ");
}

function written(effect: Effect): string[] {
  const when = Object.entries(effect.when ?? {})
    .map(([key, value]) => `@${key}${String(value).replace(/^.*T/, "")}`)
    .join("");
  const { device } = effect;
  if ("call" in effect) return [`${device}.${effect.call}()${when}`];
  if ("set" in effect) {
    return Object.entries(effect.set).map(([name, value]) => `${device}.${name}=${value}${when}`);
  }
  const [amounts, sign] = "nudge" in effect ? [effect.nudge, "+"] : [effect.scale, "*"];
  return Object.entries(amounts).map(
    ([name, by]) => `${device}.${name}${by > 0 ? sign : ""}${by}${when}`,
  );
}

function judge({ phrase, at, expected }: Phrase, language: string): "right" | "miss" | "wrong" {
  const heard = book.hear(phrase, { at, language, time: "2026-03-02T18:05" });
  const came = told(heard);
  // What is forbidden, told, supposed or asked about comes to no act.
  const isRight = expected === "nothing" ? heard.outcome !== "act" : came === expected;
  if (isRight) return "right";
  return heard.outcome === "act" ? "wrong" : "miss";
}

describe.each([
  ["en", 0.95],
  ["de", 0.92],
  ["fr", 0.92],
  ["es", 0.92],
  ["it", 0.92],
  ["nl", 0.92],
])("what people say every day: %s", (language, least) => {
  test.each(["tsv", "aside.tsv"])("%s", (part) => {
    const all = phrases(`${language}.${part}`);
    const came = all.map((each) => ({ ...each, came: judge(each, language) }));
    expect(came.filter((each) => each.came === "wrong")).toEqual([]);
    const right = came.filter((each) => each.came === "right").length;
    expect(right / all.length).toBeGreaterThanOrEqual(least);
  });
});
