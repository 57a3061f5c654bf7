// Speaks phrases of the demo's suites with a synthetic voice and recognises them with the exported grammar.
// It needs Debian's flite, pocketsphinx and pocketsphinx-en-us, and proves nothing about people in rooms:
// see docs/mishearing.md for what it does and does not show.
import { execFileSync } from "node:child_process";
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { dictionary } from "cmu-pronouncing-dictionary";
import { describeOutcome, readSuites } from "../dist/index.js";
import { lexiconOf, printJsgf, recogniserGrammar, unpronounced } from "../dist/exchange.js";
import { judge } from "../dist/mishearing.js";
import { openPhrasebook } from "../dist/node.js";

const count = Number(process.env.PHRASES ?? 100);
const voice = process.env.VOICE ?? "slt";
const model = "/usr/share/pocketsphinx/model/en-us";
const home = process.env.HOME_FOLDER ?? "demo/oxbow-pottery";
const language = "en-GB";

const { book, suiteSources } = await openPhrasebook(home);
const { suites } = readSuites(book, suiteSources);
const cases = suites
  .flatMap((suite) => suite.cases)
  .filter((each) => !("problem" in each) && !each.script && each.language === language);
const heardIn = ({ at, time }, phrase) =>
  book.hear(phrase, { language, ...(at ? { at } : {}), ...(time ? { time } : {}) });
const acting = new Set(["act", "confirm", "code", "answer"]);
const said = [...new Map(cases.map((each) => [each.phrase.toLowerCase(), each])).values()].filter(
  (each) => acting.has(heardIn(each, each.phrase).outcome),
);
const step = Math.max(1, said.length / count);
const chosen = Array.from(
  { length: Math.min(count, said.length) },
  (_, index) => said[Math.floor(index * step)],
);

const folder = mkdtempSync(join(tmpdir(), "speech-"));
const favour = cases
  .filter((each) => acting.has(heardIn(each, each.phrase).outcome))
  .map(({ phrase }) => ({ phrase }));
const { grammar, otherWords } = recogniserGrammar(book, { language, favour });
const own = readFileSync(join(model, "cmudict-en-us.dict"), "utf8");
const known = Object.fromEntries(own.split("\n").map((line) => [line.split(" ")[0], ""]));
const anyWords = otherWords.filter((word) => Object.hasOwn(known, word));
writeFileSync(join(folder, "home.jsgf"), printJsgf(grammar, { anyWords }).text);
writeFileSync(join(folder, "home.dict"), recognisersDictionary(grammar));

mkdirSync(join(folder, "wav"));
chosen.forEach(({ phrase }, index) => {
  execFileSync("flite", ["-voice", voice, "-t", phrase, "-o", join(folder, "wav", `${index}.wav`)]);
});
writeFileSync(join(folder, "list"), chosen.map((_, index) => index).join("\n"));
const begun = performance.now();
execFileSync(
  "pocketsphinx_batch",
  [
    ...["-hmm", join(model, "en-us"), "-dict", join(folder, "home.dict")],
    ...["-jsgf", join(folder, "home.jsgf"), "-adcin", "yes", "-adchdr", "44"],
    ...["-cepdir", join(folder, "wav"), "-cepext", ".wav", "-ctl", join(folder, "list")],
    ...["-hyp", join(folder, "heard")],
  ],
  { stdio: "ignore" },
);
const seconds = (performance.now() - begun) / 1000;

const counts = { same: 0, harmless: 0, wrong: 0, unsafe: 0 };
readFileSync(join(folder, "heard"), "utf8")
  .trimEnd()
  .split("\n")
  .forEach((line, index) => {
    const text = line.replace(/\s*\(\S+ -?\d+\)$/u, "").trim();
    const each = chosen[index];
    const meant = heardIn(each, each.phrase);
    const taken = heardIn(each, text);
    const { verdict } = judge(book, meant, taken);
    counts[verdict]++;
    if (verdict !== "same") {
      console.log(`${verdict.padEnd(8)}  ${each.phrase}  →  ${text}  (${describeOutcome(taken)})`);
    }
  });
console.log(
  `${chosen.length} phrases by the voice ${voice}, recognised in ${seconds.toFixed(1)} s:`,
);
console.log(
  `${counts.same} the same, ${counts.harmless} harmless, ${counts.wrong} wrong, ${counts.unsafe} unsafe`,
);

/** The recogniser's own dictionary, and the words of the home that it does not know. */
function recognisersDictionary(of) {
  const words = unpronounced(book, of, known);
  const sounds = new Map(
    lexiconOf(book, language, dictionary, words).lexemes.map(({ word, pronunciations }) => [
      word,
      pronunciations[0],
    ]),
  );
  const more = words.map((word) => `${word} ${arpabetOf(sounds.get(word) ?? "")}`);
  return `${own.trimEnd()}\n${more.join("\n")}\n`;
}

/** IPA as the recogniser's model has it. */
function arpabetOf(ipa) {
  const symbols = {
    ...{ tʃ: "CH", dʒ: "JH", aɪ: "AY", aʊ: "AW", ɔɪ: "OY", eɪ: "EY", oʊ: "OW", iː: "IY", uː: "UW" },
    ...{ p: "P", b: "B", t: "T", d: "D", k: "K", ɡ: "G", f: "F", v: "V", θ: "TH", ð: "DH", s: "S" },
    ...{
      z: "Z",
      ʃ: "SH",
      ʒ: "ZH",
      h: "HH",
      m: "M",
      n: "N",
      ŋ: "NG",
      l: "L",
      ɹ: "R",
      w: "W",
      j: "Y",
    },
    ...{ i: "IY", ɪ: "IH", e: "EY", ɛ: "EH", æ: "AE", a: "AA", ɑ: "AA", ɔ: "AO", o: "OW", ʊ: "UH" },
    ...{ u: "UW", ʌ: "AH", ə: "AH", ɜ: "ER", ɒ: "AA" },
  };
  const text = ipa.replaceAll(/[ˈ/]/gu, "");
  const found = [];
  for (let at = 0; at < text.length;) {
    const symbol = [text.slice(at, at + 2), text.slice(at, at + 1)].find((each) => each in symbols);
    if (symbol) found.push(symbols[symbol]);
    at += symbol?.length ?? 1;
  }
  return found.join(" ");
}
