import type { SourceText } from "../document/document.ts";
import { type Found, type Placed, beginOf, endOf, foundAt, scalarsOf } from "../document/nodes.ts";
import { type YamlNode, readYaml, startOf } from "../document/yaml.ts";
import { type LineIndex, indexLines } from "../source/lines.ts";
import { withoutQuotes } from "../source/quotes.ts";
import type { Position } from "../source/position.ts";

/** Line and column, from 1. */
export interface Point {
  line: number;
  column: number;
}

/** A stretch of a file; its end is behind it. */
export interface Stretch {
  file: string;
  start: Point;
  end: Point;
}

/** A text whose parts are looked up by their places. */
export interface Parsed {
  path: string;
  text: string;
  value: unknown;
  root: YamlNode | undefined;
  lines: LineIndex;
  hasErrors: boolean;
}

const parsed = new WeakMap<SourceText, Parsed>();

/** A file as YAML; read once. */
export function parseText(file: SourceText): Parsed {
  const known = parsed.get(file);
  if (known) return known;
  const { value, root, errors } = readYaml(file.text);
  const lines = indexLines(file.text);
  const hasErrors = errors.length > 0;
  const made = { path: file.path, text: file.text, value, root, lines, hasErrors };
  parsed.set(file, made);
  return made;
}

/** A file among some, as YAML. */
export function fileIn(
  { files }: { files: readonly SourceText[] },
  path: string,
): Parsed | undefined {
  const file = files.find((each) => each.path === path);
  return file && parseText(file);
}

/** UTF-16 offset of a point; the end of the line for a column behind it. */
export function offsetOf({ lines, text }: Parsed, { line, column }: Point): number {
  const start = lines.start(line);
  const next = lines.start(line + 1);
  const end = next < text.length || text.endsWith("\n") ? Math.max(start, next - 1) : text.length;
  return Math.min(start + column - 1, Math.max(start, end));
}

export function stretchOf({ path, lines }: Parsed, start: number, end: number): Stretch {
  return { file: path, start: lines.at(start), end: lines.at(end) };
}

const scalars = new WeakMap<Parsed, readonly Placed[]>();

/** What stands at an offset, if it is a scalar or a key. */
export function scalarAt(file: Parsed, offset: number): Found | undefined {
  let all = scalars.get(file);
  if (!all) scalars.set(file, (all = file.root ? scalarsOf(file.root, file.text) : []));
  return foundAt(all, offset);
}

/** Where the text of a scalar stands, its quotes left out. */
export function insideOf({ text }: Parsed, node: YamlNode): readonly [start: number, end: number] {
  const end = endOf(node, text);
  const isQuoted = beginOf(node, text) < startOf(node);
  return [startOf(node), isQuoted ? end - 1 : end];
}

/** What is written from a place on: a scalar, or all of the line where none begins there. */
export function writtenAt(file: Parsed, position: Position): readonly [start: number, end: number] {
  const offset = offsetOf(file, position);
  const found = scalarAt(file, offset);
  if (found) return insideOf(file, found.node);
  return [offset, file.lines.start(position.line + 1)];
}

const idLetter = String.raw`[\p{L}\p{N}_-]`;

/**
 * Where an id stands within a stretch of a text, as a word of its own; a slot behind its `$`. What is quoted
 * as said has none.
 */
export function idIn(
  { text }: Parsed,
  id: string,
  [from, to]: readonly [start: number, end: number],
  before = "",
): (readonly [start: number, end: number])[] {
  const escaped = id.replace(/[\\^$.*+?()[\]{}|]/gu, String.raw`\$&`);
  const lead = before === "" ? `(?<!${idLetter})` : `(?<=\\${before})`;
  const form = new RegExp(`${lead}${escaped}(?!${idLetter})`, "gu");
  return [...withoutQuotes(text.slice(from, to)).matchAll(form)].map(({ index }) => {
    return [from + index, from + index + id.length];
  });
}
