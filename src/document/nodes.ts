import { EVENT_ID } from "js-yaml";
import { type YamlNode, childOf, startOf } from "./yaml.ts";

/** What stands at a place: the keys that lead to it, itself, and whether it is a key. */
export interface Found {
  path: readonly (string | number)[];
  node: YamlNode;
  isKey: boolean;
}

/** A scalar or a key, and the stretch that it takes up, its quotes among it. */
export interface Placed {
  start: number;
  end: number;
  found: Found;
}

/** Every scalar and key of a text, in the order written. */
export function scalarsOf(root: YamlNode, text: string): Placed[] {
  const all: Placed[] = [];
  const seen = new Set<YamlNode>();
  const add = (node: YamlNode, path: Found["path"], isKey: boolean): void => {
    if (startOf(node) < 0) return;
    all.push({ start: beginOf(node, text), end: endOf(node, text), found: { path, node, isKey } });
  };
  const visit = (node: YamlNode, path: Found["path"]): void => {
    // What stands for another part is written where that stands.
    if (seen.has(node)) return;
    seen.add(node);
    if (node.type === "list") {
      node.items.forEach((item, index) => {
        visit(item, [...path, index]);
      });
    } else if (node.type === "map") {
      for (const { key, text: name, value } of node.entries) {
        const own = [...path, name];
        add(key, own, true);
        visit(value, own);
      }
    } else add(node, path, false);
  };
  visit(root, []);
  return all.sort((one, other) => one.start - other.start);
}

/** The scalar, or the key, that stands at an offset; of two that touch, the first. */
export function foundAt(all: readonly Placed[], offset: number): Found | undefined {
  let [low, high] = [0, all.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((all[middle]?.start ?? 0) <= offset) low = middle + 1;
    else high = middle;
  }
  const [before, last] = [all[low - 2], all[low - 1]];
  if (before && before.end >= offset) return before.found;
  return last && last.end >= offset ? last.found : undefined;
}

/** Where a part ends, its quotes and brackets among it. */
export function endOf(node: YamlNode, text: string): number {
  if (node.type === EVENT_ID.SCALAR) {
    return /["']/u.test(text.charAt(node.valueEnd)) ? node.valueEnd + 1 : node.valueEnd;
  }
  const open = text.charAt(node.start);
  const parts = node.type === "list" ? node.items : node.entries.map(({ value }) => value);
  const last = parts.reduce((end, part) => Math.max(end, endOf(part, text)), node.start);
  if (open !== "{" && open !== "[") return last;
  const close = text.indexOf(open === "{" ? "}" : "]", Math.max(last, node.start));
  return close < 0 ? text.length : close + 1;
}

/** Where a part begins, its quotes among it. */
export function beginOf(node: YamlNode, text: string): number {
  const start = startOf(node);
  const isQuoted = node.type === EVENT_ID.SCALAR && /["']/u.test(text.charAt(start - 1));
  return isQuoted ? start - 1 : start;
}

/** What the keys and indexes of a path lead to. */
export function nodeAt(root: YamlNode, path: Found["path"]): YamlNode | undefined {
  let node: YamlNode | undefined = root;
  for (const key of path) {
    node = node && childOf(node, key)?.value;
  }
  return node;
}
