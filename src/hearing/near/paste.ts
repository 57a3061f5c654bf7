import { fragmentOf, ruleOf, spanOf } from "../../automaton/network.ts";
import { splitWords } from "../../language/words.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import type { Holder } from "../../slot-types/expression.ts";
import { printPosition } from "../../source/position.ts";
import type { Engine } from "../understand/engine.ts";

/** YAML that makes a phrase understood, ready to paste, and what to do with it. */
export interface Paste {
  yaml: string;
  how: string;
}

const sections = { device: "devices", group: "groups", room: "rooms", zone: "zones" } as const;

/** An alias for something. */
export function aliasPaste(
  book: Phrasebook,
  { entity }: Holder,
  words: string,
  language: string,
): Paste {
  const said = words.toLocaleLowerCase(language);
  const list = `[${quoted(said)}]`;
  const isFirst = book.languages[0] === language;
  const aliases = isFirst ? list : `{ ${language}: ${list} }`;
  return {
    yaml: `${sections[entity.type]}:\n  ${entity.id}:\n    aliases: ${aliases}`,
    how: `add this alias to ${entity.id}, ${printPosition(entity.at)}`,
  };
}

/** The pattern with the words let in, if they concern its own text and not that of a fragment. */
export function patternPaste(
  engine: Engine,
  miss: "extra" | "missing" | "word",
  state: number,
  words: string,
): Paste | undefined {
  const { network } = engine;
  const rule = engine.rules[ruleOf(network, state)];
  if (!rule || fragmentOf(network, state) !== undefined) return undefined;
  const { text, at } = rule.pattern;
  const [start, end] = spanOf(network, state);
  const written = text.slice(start, end);
  const said = splitWords(words, engine.pack)
    .map((word) => word.text)
    .join(" ");
  const both = `${written} | ${said}`;
  const either = isAlternative(text, start, end) ? both : `(${both})`;
  const piece = { extra: `${written} [${said}]`, missing: `[${written}]`, word: either }[miss];
  const pattern = text.slice(0, start) + piece + text.slice(end);
  return {
    yaml: `intents:\n  ${rule.intent.id}:\n    patterns:\n      - ${quoted(pattern)}`,
    how: `put this pattern in the place of the one at ${printPosition(at)}`,
  };
}

/** A pattern to add to an intent that ships: the phrase itself, with what is the matter let in. */
export function phrasePaste(id: string, tokens: readonly string[]): Paste {
  return {
    yaml: `intents:\n  ${id}:\n    adds: true\n    patterns:\n      - ${quoted(tokens.join(" "))}`,
    how: `add this pattern to ${id}, which comes with Calm Phrase`,
  };
}

/** Whether a stretch of a pattern is a whole alternative, so that another may stand beside it. */
function isAlternative(text: string, start: number, end: number): boolean {
  const before = text.slice(0, start).trimEnd().at(-1) ?? "|";
  const after = text.slice(end).trimStart().at(0) ?? "|";
  return "|([".includes(before) && "|)]".includes(after);
}

/** As a YAML flow scalar, quoted where YAML would read it as something else. */
function quoted(text: string): string {
  return /^[\p{L}][\p{L}\p{N} '-]*$/u.test(text) ? text : JSON.stringify(text);
}
