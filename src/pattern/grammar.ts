import { madeOf } from "../source/wrong-use.ts";
import { referencesOf } from "./references.ts";
import { type PatternError, type Reader, Stop, readChoice, skipGaps, unexpected } from "./parse.ts";
import { printPattern } from "./print.ts";
import { withLegalNames } from "./rule-names.ts";
import type { Pattern } from "./tree.ts";
import { given } from "../source/given.ts";

/** A grammar of the W3C Speech Recognition Grammar Specification 1.0: rules under names. */
export interface Grammar {
  /** BCP 47 tag. */
  language: string;
  /** The rule that is recognised, unless another is asked for. */
  root: string;
  rules: ReadonlyMap<string, GrammarRule>;
}

export interface GrammarRule {
  pattern: Pattern;
  /** Whether other grammars may refer to it (section 3.2). */
  isPublic: boolean;
}

export type GrammarParsed = { ok: true; grammar: Grammar } | { ok: false; error: PatternError };

/** Longest grammar that is read, in UTF-16 code units. */
const longest = 4_000_000;
/** Most rules of a grammar that are read. */
const mostRules = 20_000;

/**
 * Reads a grammar in the ABNF form of SRGS 1.0 (section 4 for what stands before the rules).
 * Semantic tags, metadata, lexicons and languages of parts are passed over.
 */
export function parseGrammar(text: string): GrammarParsed {
  try {
    if (text.length > longest) throw new Stop(longest, "the grammar is too long", "part it");
    return { ok: true, grammar: readGrammar(text) };
  } catch (error) {
    if (error instanceof Stop) return { ok: false, error: error.at };
    throw error;
  }
}

function readGrammar(source: string): Grammar {
  const text = source.startsWith("\uFEFF") ? source.slice(1) : source;
  const header = /^#ABNF\s+1\.0(?:\s+[\w-]+)?\s*;/.exec(text);
  if (!header) {
    throw new Stop(0, "this is no grammar in ABNF form", 'begin it with "#ABNF 1.0 UTF-8;"');
  }
  const declared = readDeclarations(text, header[0].length);
  const reader: Reader = {
    text,
    rules: { language: declared.language },
    at: declared.at,
    depth: 0,
    isGrammar: true,
  };
  const rules = new Map<string, GrammarRule>();
  for (;;) {
    skipGaps(reader);
    if (reader.at >= text.length) break;
    const start = reader.at;
    const { name, rule } = readRule(reader);
    if (rules.has(name)) {
      throw new Stop(start, `the rule $${name} is defined twice`, "give one another name");
    }
    if (rules.size >= mostRules) throw new Stop(start, "there are too many rules", "part it");
    rules.set(name, rule);
  }
  const [first] = rules.keys();
  const root = declared.root ?? first;
  if (root === undefined) {
    throw new Stop(text.length, "the grammar has no rule", 'write one: "public $main = hello;"');
  }
  const grammar = { language: declared.language, root, rules };
  const missing = danglingReference(grammar);
  if (missing !== undefined) {
    const at = Math.max(0, text.indexOf(`$${missing}`));
    throw new Stop(at, `there is no rule $${missing}`, "define it, or refer to another");
  }
  return grammar;
}

/** The declarations of language, root and mode; others are passed over (sections 4.2 to 4.10). */
function readDeclarations(
  text: string,
  from: number,
): { at: number; language: string; root?: string } {
  const declaration =
    /(?:\s|\/\/[^\n]*\n|\/\*[^]*?\*\/)*(language|mode|root|tag-format|base|lexicon|meta|http-equiv)\b((?:"[^"]*"|<[^>]*>|[^";<])*);/y;
  let at = from;
  let language = "en";
  let root: string | undefined;
  for (;;) {
    declaration.lastIndex = at;
    const found = declaration.exec(text);
    if (!found) return { at, language, ...given({ root }) };
    const value = (found[2] ?? "").trim();
    if (found[1] === "language") language = value;
    if (found[1] === "root") root = value.replace(/^\$/, "");
    if (found[1] === "mode" && value !== "voice") {
      const offset = text.indexOf("mode", at);
      throw new Stop(offset, `a grammar of mode "${value}" is not of words`, "write mode voice;");
    }
    at = declaration.lastIndex;
  }
}

function readRule(reader: Reader): { name: string; rule: GrammarRule } {
  const head = /(?:(public|private)\s+)?\$([\p{L}\p{M}\p{N}_-]+)\s*=/uy;
  head.lastIndex = reader.at;
  const found = head.exec(reader.text);
  const name = found?.[2];
  if (name === undefined) {
    throw new Stop(reader.at, "a rule should begin here", "write $name = words;");
  }
  reader.at = head.lastIndex;
  const pattern = readChoice(reader);
  if (reader.text.charAt(reader.at) !== ";") {
    if (reader.at < reader.text.length) return unexpected(reader);
    throw new Stop(reader.at, `the rule $${name} does not end`, 'write ";" after it');
  }
  reader.at++;
  return { name, rule: { pattern, isPublic: found?.[1] === "public" } };
}

/** A name that some rule refers to and no rule has. */
export function danglingReference({ rules }: Grammar): string | undefined {
  for (const { pattern } of rules.values()) {
    for (const { name } of referencesOf(pattern)) if (!rules.has(name)) return name;
  }
  return undefined;
}

/** Writes a grammar in the ABNF form. Reading it back gives the same rules, under legal names. */
export function printGrammar(grammar: Grammar): string {
  return madeOf("grammar", () => printRules(grammar));
}

function printRules(grammar: Grammar): string {
  const { language, root, rules } = withLegalNames(grammar);
  const lines = ["#ABNF 1.0 UTF-8;", `language ${language};`, "mode voice;", `root $${root};`];
  for (const [name, { pattern, isPublic }] of rules) {
    const body =
      pattern.type === "choice" && pattern.options.length > 4
        ? `\n    ${pattern.options.map((option) => printPattern({ ...pattern, options: [option] })).join("\n  | ")}`
        : ` ${printPattern(pattern)}`;
    lines.push("", `${isPublic ? "public " : ""}$${name} =${body};`);
  }
  return `${lines.join("\n")}\n`;
}
