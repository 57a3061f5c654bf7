import type { LanguagePack } from "../language/pack.ts";
import { matchLanguage, packFor, packOf } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Name } from "../model/home.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import { parsePattern } from "../pattern/parse.ts";
import type { Pattern } from "../pattern/tree.ts";
import { given } from "../source/given.ts";
import type { Position } from "../source/position.ts";
import type { Context } from "./context.ts";
import type { Cursor } from "./cursor.ts";
import type { SaidDefinition } from "./shapes.ts";

/** One text of something said. */
export interface SaidText {
  text: string;
  language: string;
  cursor: Cursor<string>;
}

/** The language that texts without one are in. */
export function firstLanguage({ languages, packs }: Pick<Context, "languages" | "packs">): string {
  return languages[0] ?? packs[0].language;
}

/** Texts without a language are in the phrasebook's first one. */
export function saidTexts(cursor: Cursor<SaidDefinition> | undefined): SaidText[] {
  if (!cursor) return [];
  const { value, context } = cursor;
  if (typeof value === "string" || Array.isArray(value)) {
    return listed(cursor.as(value), firstLanguage(context));
  }
  return cursor
    .as(value)
    .entries()
    .flatMap((texts) => {
      const language = homeLanguage(texts);
      return language === undefined ? [] : listed(texts, language);
    });
}

function listed(cursor: Cursor<string | string[]>, language: string): SaidText[] {
  const { value } = cursor;
  const each = typeof value === "string" ? [cursor.as(value)] : cursor.as(value).items();
  return each.map((text) => ({ text: text.value, language, cursor: text }));
}

/** The language of the home that a tag means: `en` stands for `en-GB` where that is spoken. */
function homeLanguage(cursor: Cursor<unknown>): string | undefined {
  const { id: tag, context } = cursor;
  const { languages } = context;
  const found = matchLanguage(context, tag);
  if (found !== undefined && packFor(context, found)) return found;
  const fix = `write one of ${languages.join(", ")}, or add ${tag} under languages`;
  const message = `this home does not speak "${tag}"`;
  cursor.report("unknown-language", message, fix, { at: cursor.keyAt });
  return undefined;
}

interface Named {
  name?: SaidDefinition | undefined;
  aliases?: SaidDefinition | undefined;
}

/** Names and aliases; the id is the name where no other is written. */
export function readNames(entry: Cursor<Named>): Name[] {
  const names = readEach(entry.given("name"), false);
  const aliases = readEach(entry.given("aliases"), true);
  if (names.length > 0) return [...names, ...aliases];
  const text = entry.id.replaceAll("-", " ");
  const { context } = entry;
  const language = firstLanguage(context);
  const words = splitWords(text, packOf(context, language)).map((word) => word.text);
  return [{ text, words, language, alias: false, at: entry.keyAt }, ...aliases];
}

function readEach(said: Cursor<SaidDefinition> | undefined, alias: boolean): Name[] {
  return saidTexts(said).flatMap(({ text, language, cursor }): Name[] => {
    const words = splitWords(text, packOf(cursor.context, language)).map((word) => word.text);
    cursor.context.watcher?.({ sees: "name", text, language, place: cursor });
    if (words.length > 0) return [{ text, words, language, alias, at: cursor.at }];
    cursor.report("wrong-name", `"${text}" has no word in it`, "write a name to say");
    return [];
  });
}

/** Patterns, each parsed; one that cannot be read is reported at the character that stopped it. */
export function readPatterns(said: Cursor<SaidDefinition> | undefined): SpokenPattern[] {
  return saidTexts(said).flatMap(({ text, language, cursor }): SpokenPattern[] => {
    const { origin } = cursor.context;
    const pack = packOf(cursor.context, language);
    if (origin === "vocabulary")
      return [new ShippedPattern(text, { language, pack }, cursor.inside(0))];
    const parsed = parsePattern(text, pack);
    seePattern({ text, language, cursor }, parsed.ok ? parsed.pattern : undefined);
    if (parsed.ok) return [{ text, language, tree: parsed.pattern, origin, at: cursor.inside(0) }];
    const { message, fix, offset, mended } = parsed.error;
    const remedy = mended === undefined ? undefined : ({ remedy: "write", text: mended } as const);
    cursor.report("pattern-syntax", message, fix, given({ at: cursor.inside(offset), remedy }));
    return [];
  });
}

function seePattern({ text, language, cursor }: SaidText, tree: Pattern | undefined): void {
  cursor.context.watcher?.({ sees: "pattern", text, language, tree, place: cursor });
}

/**
 * A pattern that comes with Calm Phrase. It is known to be right, and is read when its language is
 * first listened to: most homes are spoken to in one language at a time.
 */
class ShippedPattern implements SpokenPattern {
  readonly text: string;
  readonly language: string;
  readonly origin = "vocabulary";
  readonly isShared = true;
  readonly at: Position;
  readonly #pack: LanguagePack;

  constructor(
    text: string,
    { language, pack }: { language: string; pack: LanguagePack },
    at: Position,
  ) {
    this.text = text;
    this.language = language;
    this.#pack = pack;
    this.at = at;
  }

  get tree(): Pattern {
    return shippedTree(this.text, this.#pack);
  }
}

/**
 * What was read of a language's own patterns: homes that speak it share them, also where they have words of their
 * own in a pack of the same vocabulary.
 */
const shippedTrees = new WeakMap<LanguagePack["vocabulary"], Map<string, Pattern>>();

function shippedTree(text: string, pack: LanguagePack): Pattern {
  const { vocabulary } = pack;
  let trees = shippedTrees.get(vocabulary);
  if (!trees) shippedTrees.set(vocabulary, (trees = new Map<string, Pattern>()));
  let tree = trees.get(text);
  if (!tree) {
    const parsed = parsePattern(text, pack);
    tree = parsed.ok ? parsed.pattern : { type: "void", span: [0, 0] };
    trees.set(text, tree);
  }
  return tree;
}
