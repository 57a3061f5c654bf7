/** Devices and grammars from and to other forms: all that `import` and `export` do, in code. */
export { devicesFromCsv, devicesToCsv } from "./csv.ts";
export { definitionsOf, thingsOf } from "./home-devices.ts";
export { type ThingDescription, devicesFromThings } from "./things.ts";
export type { SkippedPart, Taken } from "./taken.ts";
export { type GrammarRead, readGrammar } from "./read-grammar.ts";
export { definitionFromGrammar } from "./grammar-definition.ts";
export { type GrammarParts, grammarOf } from "../grammar/home-grammar.ts";
export type { Dictionary } from "../sounds/pronounce.ts";
export {
  type RecogniserGrammar,
  type RecogniserOptions,
  recogniserGrammar,
} from "../grammar/recogniser.ts";
export { type JsgfOptions, printJsgf } from "./jsgf.ts";
export {
  type Lexeme,
  type PlsRead,
  type PronunciationLexicon,
  lexiconOf,
  printPls,
  pronunciationsFrom,
  readPls,
  unpronounced,
} from "./lexicon.ts";
export { printSrgsXml } from "./srgs.ts";
export { type Merged, mergeSections, printYaml } from "./merge.ts";
export { type Grammar, type GrammarRule, printGrammar } from "../pattern/grammar.ts";
export type * from "../pattern/tree.ts";
