import { matchLanguage, packFor } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import { parsePattern } from "../pattern/parse.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Position } from "../source/position.ts";
import { type Context, report } from "./context.ts";
import type { Document, Path } from "./document.ts";
import type { Name, SpokenPattern } from "./model.ts";
import type { SaidDefinition } from "./schema.ts";

/** One text of something said. */
export interface SaidText {
  text: string;
  language: string;
  path: Path;
}

/** Texts without a language are in the phrasebook's first one. */
export function saidTexts(
  context: Context,
  document: Document,
  path: Path,
  said: SaidDefinition | undefined,
): SaidText[] {
  const first = context.languages[0] ?? "en";
  const listed = (texts: string | readonly string[], language: string, under: Path): SaidText[] =>
    typeof texts === "string"
      ? [{ text: texts, language, path: under }]
      : texts.map((text, index) => ({ text, language, path: [...under, index] }));

  if (said === undefined) return [];
  if (typeof said === "string" || Array.isArray(said)) return listed(said, first, path);
  return Object.entries(said).flatMap(([tag, texts]) => {
    const under = [...path, tag];
    const language = homeLanguage(context, tag, document.atKey(under));
    return language === undefined ? [] : listed(texts, language, under);
  });
}

/** The language of the home that a tag means: `en` stands for `en-GB` where that is spoken. */
function homeLanguage(context: Context, tag: string, at: Position): string | undefined {
  const { languages } = context;
  const found = matchLanguage(languages, tag);
  if (found !== undefined && packFor(found)) return found;
  report(
    context,
    "unknown-language",
    at,
    `this home does not speak "${tag}"`,
    `write one of ${languages.join(", ")}, or add ${tag} under languages`,
  );
  return undefined;
}

/** Names and aliases; the id is the name where no other is written. */
export function readNames(
  context: Context,
  entry: { id: string; document: Document; path: Path; at: Position },
  said: { name?: SaidDefinition | undefined; aliases?: SaidDefinition | undefined },
): Name[] {
  const { id, document, path } = entry;
  const read = (key: "name" | "aliases"): Name[] => {
    if (said[key] === undefined) return [];
    return saidTexts(context, document, [...path, key], said[key]).flatMap((text): Name[] => {
      const at = document.at(text.path);
      const words = splitWords(text.text, text.language).map((word) => word.text);
      if (words.length === 0) {
        report(
          context,
          "wrong-name",
          at,
          `"${text.text}" has no word in it`,
          "write a name to say",
        );
        return [];
      }
      return [{ text: text.text, words, language: text.language, alias: key === "aliases", at }];
    });
  };

  const names = read("name");
  if (names.length === 0) {
    const text = id.replaceAll("-", " ");
    const language = context.languages[0] ?? "en";
    const words = splitWords(text, language).map((word) => word.text);
    names.push({ text, words, language, alias: false, at: entry.at });
  }
  return [...names, ...read("aliases")];
}

/** Patterns, each parsed; one that cannot be read is reported at the character that stopped it. */
export function readPatterns(
  context: Context,
  document: Document,
  path: Path,
  said: SaidDefinition | undefined,
): SpokenPattern[] {
  return saidTexts(context, document, path, said).flatMap((text): SpokenPattern[] => {
    if (context.origin === "vocabulary") {
      return [new ShippedPattern(text, document.inside(text.path, 0))];
    }
    const parsed = parsePattern(text.text, text.language);
    if (!parsed.ok) {
      const { message, fix, offset } = parsed.error;
      report(context, "pattern-syntax", document.inside(text.path, offset), message, fix);
      return [];
    }
    const at = document.inside(text.path, 0);
    const { text: written, language } = text;
    return [{ text: written, language, tree: parsed.pattern, origin: context.origin, at }];
  });
}

/**
 * A pattern that comes with Calm Phrase. It is known to be right, and is read when its language is
 * first listened to: most homes are spoken to in one language at a time.
 */
class ShippedPattern implements SpokenPattern {
  readonly text: string;
  readonly language: string;
  readonly origin = "vocabulary";
  readonly at: Position;
  #tree: Pattern | undefined;

  constructor({ text, language }: SaidText, at: Position) {
    this.text = text;
    this.language = language;
    this.at = at;
  }

  get tree(): Pattern {
    if (!this.#tree) {
      const parsed = parsePattern(this.text, this.language);
      this.#tree = parsed.ok ? parsed.pattern : { type: "void", span: [0, 0] };
    }
    return this.#tree;
  }
}
