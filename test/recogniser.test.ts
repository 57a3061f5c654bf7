import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, test } from "vitest";
import { aloud } from "../src/language/aloud.ts";
import { packOf } from "../src/language/packs.ts";
import { phrasesThatAct } from "../src/mishearing/spoken-phrases.ts";
import { openPhrasebook } from "../src/node/open.ts";
import { readSuites } from "../src/suites/read.ts";

/** A grammar as a recogniser's compiler wrote it: what leads from each state to which, by which word. */
interface Compiled {
  count: number;
  start: number;
  final: number;
  arcs: ReadonlyMap<number, readonly { to: number; word: string | undefined }[]>;
}

function compile(jsgf: string): Compiled {
  const out = `${jsgf}.fsg`;
  const told = execFileSync("sphinx_jsgf2fsg", ["-jsgf", jsgf, "-fsg", out], {
    encoding: "utf8",
    stdio: ["ignore", "pipe", "pipe"],
  });
  expect(told).not.toMatch(/ERROR|FATAL/u);
  const arcs = new Map<number, { to: number; word: string | undefined }[]>();
  const numbers = new Map<string, number>();
  for (const line of readFileSync(out, "utf8").split("\n")) {
    const [key = "", from = "", to = "", , word] = line.trim().split(/\s+/u);
    if (key !== "TRANSITION") {
      if (from !== "") numbers.set(key, Number(from));
      continue;
    }
    const state = Number(from);
    arcs.set(state, [...(arcs.get(state) ?? []), { to: Number(to), word }]);
  }
  return {
    count: numbers.get("NUM_STATES") ?? Infinity,
    start: numbers.get("START_STATE") ?? -1,
    final: numbers.get("FINAL_STATE") ?? -1,
    arcs,
  };
}

function takes({ start, final, arcs }: Compiled, words: readonly string[]): boolean {
  const silent = (states: Iterable<number>): Set<number> => {
    const all = new Set(states);
    for (const state of all) {
      for (const { to, word } of arcs.get(state) ?? []) if (word === undefined) all.add(to);
    }
    return all;
  };
  let states = silent([start]);
  for (const said of words) {
    const next = [...states].flatMap((state) =>
      (arcs.get(state) ?? []).flatMap(({ to, word }) => (word === said ? to : [])),
    );
    states = silent(next);
  }
  return states.has(final);
}

const demo = "demo/oxbow-pottery";
const folder = mkdtempSync(join(tmpdir(), "recogniser-"));
const exported = (as: string, path: string, ...more: string[]): string => {
  execFileSync(
    process.execPath,
    ["dist/cli.js", "export", "--in", demo, "--as", as, "--to", path, ...more],
    { stdio: "ignore" },
  );
  return path;
};

describe("the grammar of the demo is taken by a recogniser as it is", () => {
  test("in at most 15,000 states, with every phrase of the suites that acts", async () => {
    const compiled = compile(exported("jsgf", join(folder, "home.jsgf")));
    expect(compiled.count).toBeLessThanOrEqual(15_000);
    const { book, suiteSources } = await openPhrasebook(demo);
    const suites = readSuites(book, suiteSources);
    const pack = packOf(book, "en-GB");
    const acting = phrasesThatAct(book, suites, "en-GB");
    expect(acting.length).toBeGreaterThan(300);
    const missing = acting.filter((text) => !takes(compiled, aloud(text, pack)));
    expect(missing).toEqual([]);
    expect(takes(compiled, ["turn", "the", "kiln", "into", "a", "poem"])).toBe(false);
  });

  test("and of one room in far fewer", () => {
    const small = compile(exported("jsgf", join(folder, "till.jsgf"), "--room", "showroom"));
    expect(takes(small, ["turn", "on", "the", "till", "lamp"])).toBe(true);
    expect(takes(small, ["turn", "on", "the", "wheel", "lamp"])).toBe(false);
  });
});

/** What the W3C publishes with VoiceXML 2.0, of which the elements of SRGS 1.0 are a part. */
const definition = "/usr/share/xml/w3c-sgml-lib/schema/dtd/REC-voicexml20-20040316/vxml.dtd";

test.each(["en-GB", "de-DE"])("in XML it is valid by the definition of the W3C: %s", (language) => {
  const path = exported("srgs-xml", join(folder, `${language}.xml`), "--language", language);
  // Within a document of VoiceXML a grammar has no namespace of its own, and there is only that definition.
  const namespace = ' xmlns="http://www.w3.org/2001/06/grammar"';
  const text = readFileSync(path, "utf8");
  expect(text).toContain(namespace);
  const validate = (source: string) => {
    writeFileSync(path, source);
    return spawnSync("xmllint", ["--noout", "--dtdvalid", definition, path], { encoding: "utf8" });
  };
  const plain = text.replace(namespace, "");
  expect(validate(plain)).toMatchObject({ stderr: "", status: 0 });
  expect(validate(plain.replace("<item", '<item times="2"')).stderr).toContain("validity error");
});
