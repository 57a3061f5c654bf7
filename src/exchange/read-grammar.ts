import { type Grammar, parseGrammar } from "../pattern/grammar.ts";
import { textOf } from "../source/border.ts";
import { parseSrgsXml } from "./srgs.ts";

/** A grammar, or what is wrong with it. */
export type GrammarRead =
  | { ok: true; grammar: Grammar }
  | { ok: false; error: { message: string; fix: string; line?: number } };

/** Reads a grammar of SRGS 1.0, in its ABNF form or its XML form. */
export function readGrammar(given: string): GrammarRead {
  const text = textOf(given) ?? "";
  if (text.trimStart().startsWith("<")) return parseSrgsXml(text);
  const parsed = parseGrammar(text);
  if (parsed.ok) return parsed;
  const { message, fix, offset } = parsed.error;
  return { ok: false, error: { message, fix, line: text.slice(0, offset).split("\n").length } };
}
