import { type Node, type Pair, LineCounter, isMap, isScalar, isSeq, parseDocument } from "yaml";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import type { PhrasebookDefinition } from "./schema.ts";

/** One file of a phrasebook or a suite, as text. */
export interface SourceText {
  /** Shown in findings; its ending tells a suite (`.suite.yaml`) from a phrasebook. */
  path: string;
  text: string;
}

/** A phrasebook written in TypeScript. */
export interface SourceDefinition {
  path: string;
  definition: PhrasebookDefinition;
}

export type Source = SourceText | SourceDefinition;

/** Keys and list indexes that lead from the top of a document to a value in it. */
export type Path = readonly PropertyKey[];

/** A value, and where each part of it was written. */
export interface Document {
  path: string;
  value: unknown;
  /** Whether the text is no YAML in places, so that the value holds what nobody wrote. */
  broken: boolean;
  /** Where the value at a path starts, or its nearest ancestor that was written down. */
  at: (path: Path) => Position;
  /** Where the key at the end of a path starts. */
  atKey: (path: Path) => Position;
  /** Where a character of the text at a path stands, as nearly as its quoting allows. */
  inside: (path: Path, offset: number) => Position;
}

/** Most aliases that are followed, so that a small file cannot grow without bound. */
const mostAliases = 1000;

/** Reads a YAML 1.2 file. What can be read is kept even when other parts cannot. */
export function readDocument(source: Source, findings: Finding[]): Document {
  if ("definition" in source) return definitionDocument(source);
  const lines = new LineCounter();
  const { path: file, text } = source;
  const parsed = parseDocument(text, {
    lineCounter: lines,
    prettyErrors: false,
    logLevel: "silent",
  });

  const position = (offset: number): Position => {
    const { line, col } = lines.linePos(offset);
    return { file, line: Math.max(line, 1), column: Math.max(col, 1) };
  };
  for (const { code, message, pos } of parsed.errors) {
    const [what = message] = message.split("\n");
    const advice = syntaxAdvice[code];
    findings.push({
      rule: code === "DUPLICATE_KEY" ? "defined-twice" : "yaml-syntax",
      severity: "error",
      message: code === "DUPLICATE_KEY" ? "the same key stands twice in one map" : what,
      ...(advice === undefined ? {} : { fix: advice }),
      at: position(pos[0]),
    });
  }

  let value: unknown;
  try {
    value = parsed.toJS({ maxAliasCount: mostAliases });
  } catch (error) {
    findings.push({
      rule: "yaml-syntax",
      severity: "error",
      message: `the file cannot be expanded: ${(error as Error).message}`,
      fix: "write repeated parts as fragments instead of YAML aliases",
      at: { file, line: 1, column: 1 },
    });
  }

  const find = createFinder(parsed.contents);
  const startOf = (node: Node | null | undefined): number | undefined => node?.range?.[0];
  const at = (path: Path): Position => {
    for (let length = path.length; length >= 0; length--) {
      const found = find(path.slice(0, length));
      const start = startOf(found?.value) ?? startOf(found?.key);
      if (start !== undefined) return position(start);
    }
    return { file, line: 1, column: 1 };
  };
  return {
    path: file,
    value,
    broken: parsed.errors.some(({ code }) => code !== "DUPLICATE_KEY"),
    at,
    atKey: (path) => {
      const start = startOf(find(path)?.key);
      return start === undefined ? at(path) : position(start);
    },
    inside: (path, offset) => {
      const node = find(path)?.value;
      if (!isScalar(node) || !node.range || typeof node.value !== "string") return at(path);
      const written = text.slice(node.range[0], node.range[1]);
      const shift = written.indexOf(node.value);
      return position(node.range[0] + (shift < 0 ? 0 : shift + offset));
    },
  };
}

/** The keys of the map at a path as written, those of entries that could not be read included. */
export function writtenKeys({ value }: Document, path: Path): string[] {
  let at: unknown = value;
  for (const key of path) {
    if (typeof at !== "object" || at === null || !Object.hasOwn(at, key)) return [];
    at = (at as Record<PropertyKey, unknown>)[key];
  }
  return typeof at === "object" && at !== null ? Object.keys(at) : [];
}

const syntaxAdvice: Readonly<Record<string, string>> = {
  DUPLICATE_KEY: "keep one of them, or join what they say",
  TAB_AS_INDENT: "indent with spaces",
  BAD_INDENT: "line it up with its neighbours",
  MISSING_CHAR: "write the missing character; texts with : # [ ] { } need quotes",
  MULTILINE_IMPLICIT_KEY: "write a colon after the key, or quote the text",
  BLOCK_AS_IMPLICIT_KEY: "put the inner map on lines of its own, or quote the text",
  BAD_SCALAR_START: "quote the text",
  UNEXPECTED_TOKEN: "quote the text, or remove what does not belong",
};

interface Found {
  key?: Node;
  value?: Node | null;
}

/** Finds nodes by path, indexing each map once: a long section is searched thousands of times. */
function createFinder(root: Node | null): (path: Path) => Found | undefined {
  const indexes = new WeakMap<object, Map<string, Pair>>();
  const child = (node: Node | null | undefined, key: PropertyKey): Found | undefined => {
    if (isMap(node)) {
      let index = indexes.get(node);
      if (!index) {
        index = new Map();
        for (const pair of node.items) {
          const name = isScalar(pair.key) ? String(pair.key.value) : "";
          if (!index.has(name)) index.set(name, pair);
        }
        indexes.set(node, index);
      }
      const pair = index.get(String(key));
      return pair && { key: pair.key as Node, value: pair.value as Node | null };
    }
    if (isSeq(node)) {
      const item = node.items[Number(key)] as Node | undefined;
      return item && { key: item, value: item };
    }
    return undefined;
  };
  return (path) => {
    let found: Found | undefined = { value: root };
    for (const key of path) {
      found = child(found.value, key);
      if (!found) return undefined;
    }
    return found;
  };
}

/** A definition has no lines; its path in the object takes their place. */
function definitionDocument({ path: file, definition }: SourceDefinition): Document {
  const at = (path: Path): Position => {
    const place = path.map(String).join(".");
    return { file: place === "" ? file : `${file}#${place}`, line: 1, column: 1 };
  };
  return { path: file, value: definition, broken: false, at, atKey: at, inside: at };
}
