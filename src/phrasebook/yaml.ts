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

/** A part of a YAML text, with where it stands. */
export type YamlNode = YamlScalar | YamlMap | YamlList;

interface YamlScalar {
  type: "scalar";
  /** UTF-16 offsets; quotes are outside. */
  start: number;
  end: number;
  text: string;
}

interface YamlMap {
  type: "map";
  start: number;
  /** In the order written; a key may stand twice. */
  entries: { key: YamlNode; value: YamlNode }[];
  /** The first of each key, made when first needed. */
  index?: Map<string, { key: YamlNode; value: YamlNode }>;
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
  errors: readonly YamlError[];
  /** Whether parts stand for other parts, so that a few lines can mean very many. */
  hasAliases: boolean;
}

/** Syntax errors that are told of one file. */
const mostErrors = 20;

/**
 * Reads a YAML text with the place of each part. Where a top-level section cannot be read, it is
 * left out and the rest is.
 */
export function readYaml(text: string): Yaml {
  const errors: YamlError[] = [];
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
      return { value: value[0], root: buildTree(events, readable), errors, hasAliases };
    } catch (error) {
      if (!(error instanceof YAMLException)) throw error;
      const offset = Math.min(error.mark?.position ?? 0, Math.max(0, text.length - 1));
      errors.push({ offset, message: error.reason });
      const rest = withoutSection(readable, offset, lines);
      if (rest === readable) break;
      readable = rest;
    }
  }
  return { value: undefined, root: undefined, errors, hasAliases: false };
}

/** The text with the top-level section around an offset blanked out, so that offsets stay. */
function withoutSection(text: string, offset: number, lines: LineIndex): string {
  const isTop = (line: number): boolean => /^[^\s#]/.test(text.slice(lines.start(line)));
  const last = lines.at(text.length).line;
  let first = lines.at(offset).line;
  // An error at the very front of a section comes from the one before it.
  if (isTop(first) && lines.start(first) === offset && first > 1) first--;
  while (first > 1 && !isTop(first)) first--;
  let next = first + 1;
  while (next <= last && (!isTop(next) || lines.start(next) <= offset)) next++;
  const [start, end] = [lines.start(first), lines.start(next)];
  return text.slice(0, start) + text.slice(start, end).replace(/[^\n]/g, " ") + text.slice(end);
}

/** Nested nodes of the parser's flat events; an alias is the node that it stands for. */
function buildTree(events: readonly Event[], source: string): YamlNode | undefined {
  const anchors = new Map<string, YamlNode>();
  let at = 0;
  const build = (): YamlNode | undefined => {
    const event = events[at++];
    switch (event?.type) {
      case EVENT_ID.SCALAR: {
        const { valueStart: start, valueEnd: end } = event;
        const text = start < 0 ? "" : getScalarValue(source, event);
        return anchored(event, { type: "scalar", start, end, text });
      }
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
          if (value) map.entries.push({ key, value });
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
  return build();
}

const nothing: YamlNode = { type: "scalar", start: -1, end: -1, text: "" };

/** The key and value under a key of a map, or an item of a list. */
export function childOf(
  node: YamlNode,
  key: PropertyKey,
): { key: YamlNode; value: YamlNode } | undefined {
  if (node.type === "list") {
    const item = node.items[Number(key)];
    return item && { key: item, value: item };
  }
  if (node.type !== "map") return undefined;
  if (!node.index) {
    node.index = new Map();
    for (const entry of node.entries) {
      const text = entry.key.type === "scalar" ? entry.key.text : "";
      if (!node.index.has(text)) node.index.set(text, entry);
    }
  }
  return node.index.get(String(key));
}

/** Keys that stand more than once in one map, each with where it stood first. */
export function duplicateKeys(root: YamlNode): { text: string; start: number; first: number }[] {
  const found: { text: string; start: number; first: number }[] = [];
  const seen = new Set<YamlNode>();
  const visit = (node: YamlNode): void => {
    if (node.type === "scalar" || seen.has(node)) return;
    seen.add(node);
    if (node.type === "list") {
      node.items.forEach(visit);
      return;
    }
    const starts = new Map<string, number>();
    for (const { key, value } of node.entries) {
      visit(value);
      if (key.type !== "scalar") continue;
      const first = starts.get(key.text);
      if (first === undefined) starts.set(key.text, key.start);
      else found.push({ text: key.text, start: key.start, first });
    }
  };
  visit(root);
  return found;
}

/** How many nodes a tree has once its aliases are written out, or more than `most`. */
export function sizeOf(root: YamlNode, most: number): number {
  let size = 0;
  const visit = (node: YamlNode): void => {
    if (size > most) return;
    size++;
    if (node.type === "list") node.items.forEach(visit);
    if (node.type === "map")
      node.entries.forEach(({ value }) => {
        visit(value);
      });
  };
  visit(root);
  return size;
}
