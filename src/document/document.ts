import type { Finding } from "../source/finding.ts";
import { membersOf, textOf } from "../source/border.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { valueAt } from "./value-at.ts";
import { indexLines } from "../source/lines.ts";
import type { Position } from "../source/position.ts";
import {
  type YamlNode,
  childOf,
  duplicateKeys,
  isVerbatim,
  readYaml,
  sizeOf,
  startOf,
} from "./yaml.ts";

/** One file of a phrasebook or a suite, as text. */
export interface SourceText {
  /** Shown in findings; its ending tells a suite (`.suite.yaml`) from a phrasebook. */
  path: string;
  text: string;
}

/** What a file would hold, written in TypeScript. */
export interface SourceDefinition<Definition = unknown> {
  path: string;
  definition: Definition;
}

export type Source<Definition = unknown> = SourceText | SourceDefinition<Definition>;

/**
 * Sources as somebody passes them who need not have read their type.
 *
 * @throws WrongUse for what is no list.
 */
export function readGiven(sources: unknown): Source[] {
  if (!Array.isArray(sources)) throw new WrongUse("pass a list of sources: [{ path, text }]");
  return sources.map((source: unknown, index): Source => {
    const { path, text, definition } = membersOf(source);
    const name = textOf(path) ?? `source ${index + 1}`;
    if (typeof text === "string") return { path: name, text };
    // Whatever it is, it is held against the schema of a phrasebook.
    return { path: name, definition };
  });
}

/** The texts among sources that somebody passed. */
export function readTexts(sources: unknown): SourceText[] {
  return readGiven(sources).filter((source) => "text" in source);
}

/** Keys and list indexes that lead from the top of a document to a value in it. */
export type Path = readonly PropertyKey[];

/** A value, and where each part of it was written. */
export interface Document {
  path: string;
  value: unknown;
  /** Whether the text is no YAML in places, so that the value holds what nobody wrote. */
  broken: boolean;
  /** What was left out because it is no YAML, stands twice, or is more than is read. */
  lost: readonly Path[];
  /** Takes an item out of a list, so that the items after it keep their places. */
  drop: (path: Path) => void;
  /** A path in what is left, as it leads in what was written. */
  written: (path: Path) => Path;
  /** Where the value at a path starts, or its nearest ancestor that was written down. */
  at: (path: Path) => Position;
  /** Where the key at the end of a path starts. */
  atKey: (path: Path) => Position;
  /** Where a character of the text at a path stands, as nearly as its quoting allows. */
  inside: (path: Path, offset: number) => Position;
}

/** Most nodes of a file once its aliases are written out: a small file cannot grow without bound. */
const mostNodes = 2_000_000;

/** Reads a YAML 1.2 file. What can be read is kept even when other parts cannot. */
export function readDocument(source: Source, findings: Finding[]): Document {
  if ("definition" in source) {
    return definitionDocument(source.path, source.definition, findings);
  }
  const { path: file, text } = source;
  const lines = indexLines(text);
  const position = (offset: number): Position => ({ file, ...lines.at(Math.max(0, offset)) });
  const report = (rule: string, offset: number, message: string, fix: string): void => {
    findings.push({ rule, severity: "error", message, fix, at: position(offset) });
  };

  const { value, root, hasTwins, errors, hasAliases, lost, second } = readYaml(text);
  for (const { offset, message } of errors) {
    const fix = "mind indentation and brackets, and quote texts that have : # [ ] { } in them";
    report("yaml-syntax", offset, `this is no YAML: ${message}`, fix);
  }
  if (second !== undefined) {
    const fix = "keep one document in a file: take the --- out, or make a file of each";
    report("yaml-syntax", second, "a second document begins here, and is not read", fix);
  }
  const size = hasAliases && root !== undefined ? sizeOf(root, mostNodes) : 0;
  const isTooLarge = size > mostNodes;
  const twice = isTooLarge || !root || !hasTwins ? [] : duplicateKeys(root);
  if (isTooLarge) {
    const fix = "write repeated parts as fragments instead of YAML aliases";
    const what =
      size === Infinity
        ? "a part holds itself"
        : "written out, the aliases make the file too large";
    report("yaml-syntax", 0, what, fix);
  }
  for (const { path, start, first } of twice) {
    findings.push({
      rule: "defined-twice",
      severity: "error",
      message: `"${path.at(-1) ?? ""}" stands twice in one map`,
      fix: "keep one of them, or join what they say",
      at: position(start),
      also: [position(first)],
    });
  }
  const isAllLost = isTooLarge || second !== undefined;
  return {
    path: file,
    value: isTooLarge ? undefined : value,
    broken: errors.length > 0 || isTooLarge,
    lost: [
      ...(isAllLost ? [[]] : []),
      ...lost.map((key) => (key === "" ? [] : [key])),
      ...twice.map(({ path }) => path),
    ],
    ...places(root, text, position),
  };
}

/** Finds where the parts of a document stand. */
function places(
  root: YamlNode | undefined,
  text: string,
  position: (offset: number) => Position,
): Pick<Document, "at" | "atKey" | "inside" | "drop" | "written"> {
  const { written, drop } = createDrops();
  const find = (path: Path): { key?: YamlNode; value: YamlNode } | undefined => {
    let found: { key?: YamlNode; value: YamlNode } | undefined = root && { value: root };
    for (const key of written(path)) found = found && childOf(found.value, key);
    return found;
  };
  const at = (path: Path): Position => {
    for (let length = path.length; length >= 0; length--) {
      const found = find(path.slice(0, length));
      // An empty value stands nowhere; its key does.
      if (!found) continue;
      const start = startOf(found.value);
      if (start >= 0) return position(withQuote(text, start));
      if (found.key) return position(withQuote(text, startOf(found.key)));
    }
    return position(0);
  };
  return {
    at,
    drop,
    written,
    atKey: (path) => {
      const key = find(path)?.key;
      return key ? position(withQuote(text, startOf(key))) : at(path);
    },
    inside: (path, offset) => {
      const node = find(path)?.value;
      if (!node || node.type === "map" || node.type === "list" || startOf(node) < 0)
        return at(path);
      return position(startOf(node) + (isVerbatim(node, text) ? offset : 0));
    },
  };
}

/** Keeps which items were taken out of lists, to tell where those after them were written. */
function createDrops(): { written: (path: Path) => Path; drop: Document["drop"] } {
  const dropped = new Map<string, number[]>();
  const keyOf = (path: Path): string => JSON.stringify(path.map(String));
  const written = (path: Path): Path => {
    if (dropped.size === 0) return path;
    const place: PropertyKey[] = [];
    for (const key of path) {
      let index = key;
      for (const gone of typeof key === "number" ? (dropped.get(keyOf(place)) ?? []) : []) {
        if (typeof index === "number" && gone <= index) index++;
      }
      place.push(index);
    }
    return place;
  };
  return {
    written,
    drop(path) {
      const place = written(path);
      const index = place.at(-1);
      if (typeof index !== "number") return;
      const list = keyOf(place.slice(0, -1));
      dropped.set(
        list,
        [...(dropped.get(list) ?? []), index].sort((a, b) => a - b),
      );
    },
  };
}

/** A quoted text begins at its quote. */
function withQuote(text: string, start: number): number {
  const before = text.charAt(start - 1);
  return before === '"' || before === "'" ? start - 1 : start;
}

/** The keys of the map at a path as written, those of entries that could not be read included. */
export function writtenKeys({ value }: Document, path: Path): string[] {
  const at = valueAt(value, path);
  return typeof at === "object" && at !== null ? Object.keys(at) : [];
}

/** A definition has no lines; its path in the object takes their place. */
export function definitionDocument(
  file: string,
  definition: unknown,
  findings: Finding[],
): Document {
  const { written, drop } = createDrops();
  const at = (path: Path): Position => {
    const place = written(path).map(String).join(".");
    return { file: place === "" ? file : `${file}#${place}`, line: 0, column: 0 };
  };
  const places = { drop, written, at, atKey: at, inside: at };
  if (!holdsItself(definition)) {
    return { path: file, value: definition, broken: false, lost: [], ...places };
  }
  const fix = "write maps and lists that end";
  const message = "a part holds itself";
  findings.push({ rule: "wrong-value", severity: "error", message, fix, at: at([]) });
  return { path: file, value: undefined, broken: true, lost: [[]], ...places };
}

/** Deepest that maps and lists of a definition may hold one another. */
const deepest = 200;

function holdsItself(value: unknown, depth = 0): boolean {
  if (typeof value !== "object" || value === null) return false;
  return depth > deepest || Object.values(value).some((each) => holdsItself(each, depth + 1));
}
