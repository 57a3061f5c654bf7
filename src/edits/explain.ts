import { thingsOf } from "../model/members.ts";
import type { Book } from "../book/book.ts";
import { describeOutcome } from "../commands/describe.ts";
import { sortOfFile } from "../suites/sources.ts";
import type { Sighting } from "../document/sightings.ts";
import { countPhrases, phrases } from "../pattern/phrases.ts";
import type { Pattern } from "../pattern/tree.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import type { Position } from "../source/position.ts";
import { describeEntity } from "./describe.ts";
import type { Entity } from "./entities.ts";
import { schemaOf } from "./kinds-of-files.ts";
import { descriptionAt } from "./schema.ts";
import {
  type Parsed,
  type Stretch,
  insideOf,
  offsetOf,
  fileIn,
  scalarAt,
  stretchOf,
} from "./texts.ts";
import { meantAt } from "./uses.ts";
import { type Workspace, keptOf, asked } from "./workspace.ts";

/** What stands at a place, for somebody who points at it. */
export interface Explanation {
  at: Stretch;
  title: string;
  lines: readonly string[];
  /** The pattern that stands there, to be drawn. */
  pattern?: Pattern;
  /** The thing with an id that is meant there. */
  entity?: Entity;
}

/**
 * Tells what stands at a place: what an id is, what a pattern can say, what a name or a phrase comes to,
 * what a key is for.
 */
export function explainAt(workspace: Workspace, place: Position): Explanation | undefined {
  return asked(workspace, "place", () => {
    const file = fileIn(workspace, place.file);
    if (!file) return undefined;
    const meant = meantAt(workspace, place);
    if (meant) {
      const { entity, at } = meant;
      const { title, lines } = describeEntity(workspace.book, entity);
      return { at, title: `${entity.id}: ${title}`, lines, entity };
    }
    const found = scalarAt(file, offsetOf(file, place));
    if (!found) return undefined;
    const inside = insideOf(file, found.node);
    const at = stretchOf(file, ...inside);
    if (!found.isKey) {
      const seen = sightingsAt(workspace, file, inside);
      const pattern = seen.find((each) => each.sees === "pattern");
      if (pattern) return { at, ...explainPattern(workspace, file, pattern) };
      const name = seen.find((each) => each.sees === "name");
      if (name) return { at, ...explainName(workspace.book, name) };
      const value = seen.find((each) => each.sees === "value");
      if (value) return { at, title: value.what, lines: [value.allowed] };
    }
    const root = schemaOf(workspace, file.path);
    const description = root && descriptionAt(root, file.value, found.path);
    if (description === undefined || !found.isKey) return undefined;
    return { at, title: String(found.path.at(-1)), lines: [description] };
  });
}

function sightingsAt(
  workspace: Workspace,
  file: Parsed,
  [start, end]: readonly [number, number],
): Sighting[] {
  return keptOf(workspace).sightings.filter(({ place }) => {
    const { at } = place;
    if (at.file !== file.path || at.line === 0) return false;
    const offset = offsetOf(file, at);
    return offset >= start - 1 && offset < Math.max(end, start + 1);
  });
}

/** Phrases of a pattern that are shown. */
const mostShown = 8;

function explainPattern(
  workspace: Workspace,
  { path }: Parsed,
  { text, tree, language }: Extract<Sighting, { sees: "pattern" }>,
): Omit<Explanation, "at"> {
  if (!tree) return { title: "a pattern that cannot be read", lines: [] };
  const { book } = workspace;
  const resolve = (name: string): Pattern => {
    const span = [0, 0] as const;
    return (
      fragmentTree(book.fragments.get(name), language) ?? {
        type: "words",
        words: [`‹${name}›`],
        span,
      }
    );
  };
  const count = countPhrases(tree, resolve);
  const shown: string[] = [];
  for (const words of phrases(tree, resolve)) {
    if (shown.length >= mostShown) break;
    shown.push(words.join(" "));
  }
  const isHeard = sortOfFile(path) !== "phrasebook" && count === 1;
  if (isHeard) return explainPhrase(book, text, language);
  const more = count > shown.length ? [`and ${count - shown.length} more`] : [];
  const title = count === 1 ? "says one phrase" : `says ${count} phrases`;
  return { title, lines: [...shown, ...more], pattern: tree };
}

function explainPhrase(book: Book, text: string, language: string): Omit<Explanation, "at"> {
  const heard = book.hear(text, { language });
  const reply = book.reply(heard);
  const lines = [describeOutcome(heard), ...(reply === "" ? [] : [`“${reply}”`])];
  return { title: `“${text}” comes to ${heard.outcome}`, lines };
}

/** What a name stands for: everything that bears it in its language. */
function explainName(
  book: Book,
  { text, language }: Extract<Sighting, { sees: "name" }>,
): Omit<Explanation, "at"> {
  const wanted = text.toLowerCase();
  const bearers = thingsOf(book).filter(({ names }) =>
    names.some((name) => name.language === language && name.text.toLowerCase() === wanted),
  );
  const lines = bearers.map(
    ({ type, id }) => `${id}: ${describeEntity(book, { sort: type, id }).title}`,
  );
  return { title: `“${text}” in ${language}`, lines };
}
