import { madeOf } from "../source/wrong-use.ts";
import type { Grammar } from "../pattern/grammar.ts";
import { printPattern } from "../pattern/print.ts";
import { referencesOf } from "../pattern/references.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { PhrasebookDefinition } from "../phrasebook/definition/phrasebook.ts";

/**
 * A grammar as a phrasebook: its root and its public rules as intents, all other rules as
 * fragments. What the intents do is left to be written.
 */
export function definitionFromGrammar(grammar: Grammar): PhrasebookDefinition {
  return madeOf("grammar", () => define(grammar));
}

function define({ language, root, rules }: Grammar): PhrasebookDefinition {
  const fragments: Record<string, string | string[]> = {};
  const intents: NonNullable<PhrasebookDefinition["intents"]> = {};
  const isIntent = (name: string, isPublic: boolean): boolean => isPublic || name === root;
  const used = new Set([...rules.values()].flatMap(({ pattern }) => usedIn(pattern)));
  for (const [name, { pattern, isPublic }] of rules) {
    const patterns =
      pattern.type === "choice" ? pattern.options.map((option) => option.pattern) : [pattern];
    if (isIntent(name, isPublic)) {
      intents[idOf(name, intents)] = { patterns: patterns.map(printPattern) };
    }
    const texts = patterns.map(printPattern);
    if (!isIntent(name, isPublic) || used.has(name)) {
      fragments[name] = texts.length === 1 ? (texts[0] ?? "") : texts;
    }
  }
  return {
    languages: [language],
    ...(Object.keys(fragments).length > 0 ? { fragments } : {}),
    intents,
  };
}

function usedIn(pattern: Pattern): string[] {
  return referencesOf(pattern).map(({ name }) => name);
}

/** An id is in lower case with hyphens, and no other rule's. */
function idOf(name: string, taken: Readonly<Record<string, unknown>>): string {
  const plain =
    name
      .replace(/(\p{Ll})(\p{Lu})/gu, "$1-$2")
      .toLocaleLowerCase("en")
      .replace(/[^\p{Ll}\p{Lo}\p{N}]+/gu, "-")
      .replace(/^-|-$/g, "") || "rule";
  let id = plain;
  for (let count = 2; id in taken; count++) id = `${plain}-${count}`;
  return id;
}
