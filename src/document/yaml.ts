import {
  CORE_SCHEMA,
  EVENT_ID,
  type Event,
  YAMLException,
  constructFromEvents,
  getScalarValue,
  parseEvents,
} from "js-yaml";
import { type LineIndex, indexLines } from "../source/lines.ts";

/** A part of a YAML text, with where it stands. A scalar is what the parser tells of it. */
export type YamlNode = YamlScalar | YamlMap | YamlList;

type YamlScalar = Extract<Event, { type: typeof EVENT_ID.SCALAR }>;

interface YamlMap {
  type: "map";
  start: number;
  /** In the order written; a key may stand twice. */
  entries: YamlEntry[];
  /** The first of each key, where there are more than a few. */
  index?: Map<string, YamlEntry>;
}

interface YamlEntry {
  key: YamlNode;
  /** The key as text; empty for a map or a list. */
  text: string;
  value: YamlNode;
}

interface YamlList {
  type: "list";
  start: number;
  items: YamlNode[];
}

export interface YamlError {
  offset: number;
  message: string;
}

export interface Yaml {
  /** As plain data, by the core schema of YAML 1.2; of two equal keys, the last counts. */
  value: unknown;
  root: YamlNode | undefined;
  /** Whether a key stands more than once in any one map. */
  hasTwins: boolean;
  errors: readonly YamlError[];
  /** Whether parts stand for other parts, so that a few lines can mean very many. */
  hasAliases: boolean;
  /** Keys of top-level sections that could not be read; empty for one whose key cannot be told. */
  lost: readonly string[];
  /** Where a second document of the file begins, which is not read. */
  second?: number;
}

/** Syntax errors that are told of one file. */
const mostErrors = 20;

/**
 * Reads a YAML text with the place of each part. Where a top-level section cannot be read, it is
 * left out and the rest is.
 */
export function readYaml(text: string): Yaml {
  const errors: YamlError[] = [];
  const lost: string[] = [];
  const lines = indexLines(text);
  let readable = text;
  while (errors.length < mostErrors) {
    try {
      const events = parseEvents(readable, {});
      const value = constructFromEvents(events, {
        source: readable,
        schema: CORE_SCHEMA,
        json: true,
      });
      const hasAliases = events.some(({ type }) => type === EVENT_ID.ALIAS);
      const tree = buildTree(events, readable);
      const second = value.length > 1 ? { second: startOfSecond(readable) } : {};
      return { value: value[0], ...tree, errors, hasAliases, lost, ...second };
    } catch (error) {
      if (!(error instanceof YAMLException)) throw error;
      const offset = Math.min(error.mark?.position ?? 0, Math.max(0, text.length - 1));
      errors.push({ offset, message: error.reason });
      const { rest, key } = withoutSection(readable, offset, lines);
      if (rest === readable) break;
      lost.push(key);
      readable = rest;
    }
  }
  const nothing = { value: undefined, root: undefined, hasTwins: false, hasAliases: false };
  return { ...nothing, errors, lost: [""] };
}

/** Where the marker stands that begins a second document (YAML 1.2, section 9.1.4). */
function startOfSecond(text: string): number {
  const markers = [...text.matchAll(/^(?:---|\.\.\.)(?=\s|$)/gmu)].map(({ index }) => index);
  return (
    markers.find((index) => text.slice(0, index).replace(/^\s*(?:#.*|%.*)?$/gmu, "") !== "") ?? 0
  );
}

/** The key that a section begins with, quoted or not; empty where it begins otherwise. */
function keyOf(line: string): string {
  const found = /^(?:"([^"\\]*)"|'([^']*)'|([^\s:#{["'?&*!|>%@`-][^\s:#]*))\s*:/u.exec(line);
  return found?.[1] ?? found?.[2] ?? found?.[3] ?? "";
}

/** The text with the top-level section around an offset blanked out, so that offsets stay. */
function withoutSection(
  text: string,
  offset: number,
  lines: LineIndex,
): { rest: string; key: string } {
  const isTop = (line: number): boolean => /^[^\s#]/.test(text.slice(lines.start(line)));
  const last = lines.at(text.length).line;
  let first = lines.at(offset).line;
  // An error at the very front of a section comes from the one before it.
  if (isTop(first) && lines.start(first) === offset && first > 1) first--;
  while (first > 1 && !isTop(first)) first--;
  let next = first + 1;
  while (next <= last && (!isTop(next) || lines.start(next) <= offset)) next++;
  const [start, end] = [lines.start(first), lines.start(next)];
  const section = text.slice(start, end);
  const rest = text.slice(0, start) + section.replace(/[^\n]/g, " ") + text.slice(end);
  return { rest, key: keyOf(section) };
}

/** Nested nodes of the parser's flat events; an alias is the node that it stands for. */
function buildTree(
  events: readonly Event[],
  source: string,
): { root: YamlNode | undefined; hasTwins: boolean } {
  const anchors = new Map<string, YamlNode>();
  let hasTwins = false;
  let at = 0;
  const build = (): YamlNode | undefined => {
    const event = events[at++];
    switch (event?.type) {
      case EVENT_ID.SCALAR:
        return anchored(event, event);
      case EVENT_ID.SEQUENCE: {
        const list: YamlList = { type: "list", start: event.start, items: [] };
        anchored(event, list);
        for (let item = build(); item; item = build()) list.items.push(item);
        return list;
      }
      case EVENT_ID.MAPPING: {
        const map: YamlMap = { type: "map", start: event.start, entries: [] };
        anchored(event, map);
        for (let key = build(); key; key = build()) {
          const value = build();
          if (!value) continue;
          const text = key.type === EVENT_ID.SCALAR ? getScalarValue(source, key) : "";
          const entry = { key, text, value };
          if (enter(map, entry)) hasTwins = true;
        }
        return map;
      }
      case EVENT_ID.ALIAS:
        return anchors.get(source.slice(event.anchorStart, event.anchorEnd)) ?? nothing;
      default:
        return undefined;
    }
  };
  const anchored = (
    event: { anchorStart: number; anchorEnd: number },
    node: YamlNode,
  ): YamlNode => {
    if (event.anchorStart >= 0) anchors.set(source.slice(event.anchorStart, event.anchorEnd), node);
    return node;
  };
  if (events[at]?.type === EVENT_ID.DOCUMENT) at++;
  const root = build();
  return { root, hasTwins };
}

const nothing: YamlNode = { type: "list", start: -1, items: [] };

/** Most entries of a map that are looked through one after another. */
const few = 8;

/** Adds an entry to a map; whether its key stands there already. */
function enter(map: YamlMap, entry: YamlEntry): boolean {
  const isSecond = findEntry(map, entry.text) !== undefined;
  map.entries.push(entry);
  if (map.entries.length > few && !map.index) {
    map.index = new Map();
    for (const each of map.entries) if (!map.index.has(each.text)) map.index.set(each.text, each);
  } else if (!isSecond) map.index?.set(entry.text, entry);
  return isSecond;
}

function findEntry({ entries, index }: YamlMap, key: string): YamlEntry | undefined {
  return index ? index.get(key) : entries.find(({ text }) => text === key);
}

/** Where a part starts, as a UTF-16 offset; quotes are outside. Below 0 where it stands nowhere. */
export function startOf(node: YamlNode): number {
  return node.type === EVENT_ID.SCALAR ? node.valueStart : node.start;
}

/** Whether a part is a text that stands in the source as it is read. */
export function isVerbatim(node: YamlNode, source: string): boolean {
  if (node.type !== EVENT_ID.SCALAR || node.valueStart < 0) return false;
  return source.startsWith(getScalarValue(source, node), node.valueStart);
}

/** The key and value under a key of a map, or an item of a list. */
export function childOf(
  node: YamlNode,
  key: PropertyKey,
): { key: YamlNode; value: YamlNode } | undefined {
  if (node.type === "list") {
    const item = node.items[Number(key)];
    return item && { key: item, value: item };
  }
  return node.type === "map" ? findEntry(node, String(key)) : undefined;
}

/** A key that stands more than once in one map, with where it stood first. */
export interface DuplicateKey {
  /** The keys and indexes that lead to it; it is the last of them. */
  path: readonly (string | number)[];
  start: number;
  first: number;
}

/** Keys that stand more than once in one map. */
export function duplicateKeys(root: YamlNode): DuplicateKey[] {
  const found: DuplicateKey[] = [];
  const seen = new Set<YamlNode>();
  const path: (string | number)[] = [];
  const visitAt = (key: string | number, node: YamlNode): void => {
    path.push(key);
    visit(node);
    path.pop();
  };
  const visit = (node: YamlNode): void => {
    if (node.type === EVENT_ID.SCALAR || seen.has(node)) return;
    seen.add(node);
    if (node.type === "list") {
      node.items.forEach((item, index) => {
        visitAt(index, item);
      });
      return;
    }
    for (const entry of node.entries) {
      const { key, text, value } = entry;
      visitAt(text, value);
      const first = findEntry(node, text);
      if (key.type !== EVENT_ID.SCALAR || !first || first === entry) continue;
      found.push({ path: [...path, text], start: startOf(key), first: startOf(first.key) });
    }
  };
  visit(root);
  return found;
}

/** How many nodes a tree has once its aliases are written out; without end for one in itself. */
export function sizeOf(root: YamlNode, most: number): number {
  let size = 0;
  const within = new Set<YamlNode>();
  const visit = (node: YamlNode): void => {
    if (within.has(node)) size = Infinity;
    if (size > most) return;
    size++;
    if (node.type === EVENT_ID.SCALAR) return;
    within.add(node);
    for (const child of node.type === "list" ? node.items : node.entries.map(({ value }) => value))
      visit(child);
    within.delete(node);
  };
  visit(root);
  return size;
}
