import { dump } from "js-yaml";
import { type Edit, applyEdits } from "../document/mending.ts";
import type { Path } from "../document/document.ts";
import { beginOf, endOf, nodeAt } from "../document/nodes.ts";
import { valueAt } from "../document/value-at.ts";
import { type YamlNode, readYaml, startOf } from "../document/yaml.ts";
import { type Parsed, stretchOf } from "./texts.ts";

type Added = Readonly<Record<string, unknown>>;

/**
 * The edit that adds keys to the map at a path, before those that it has; undefined where there is no
 * such map, or the file is laid out in a way in which it cannot be done without changing anything else.
 */
export function entryAdded(file: Parsed, path: Path, added: Added): Edit | undefined {
  const { root, text, value } = file;
  const parent = root && nodeAt(root, path.slice(0, -1).map(String));
  if (!root || parent?.type !== "map") return undefined;
  const entry = parent.entries.find((each) => each.text === String(path.at(-1)));
  if (!entry) return undefined;
  const written = valueAt(value, path);
  const { value: node, key } = entry;
  const start = startOf(node);
  const inside = dump(added, { flowLevel: 0 }).trim().slice(1, -1).trim();
  const ways: { at: number; text: string }[] = [];
  if (node.type === "map" && text.charAt(start) === "{") {
    const isEmpty = node.entries.length === 0;
    ways.push({ at: start + 1, text: isEmpty ? ` ${inside} ` : ` ${inside},` });
  } else if (node.type === "map") {
    const indent = file.lines.at(start).column - 1;
    const lines = dump(added).trim().split("\n");
    const margin = `\n${" ".repeat(indent)}`;
    ways.push({ at: start, text: lines.join(margin) + margin });
  } else if (written === null || written === undefined) {
    const colon = text.indexOf(":", endOf(key, text));
    ways.push({ at: colon + 1, text: ` { ${inside} }` });
  }
  const wanted = withAdded(value, path, added);
  return ways
    .map((way) => ({ ...stretchOf(file, way.at, way.at), text: way.text }))
    .find((edit) => {
      const after = readYaml(applyEdits(text, [edit]));
      return after.errors.length === 0 && sameData(after.value, wanted);
    });
}

/**
 * The edit that adds an item to the list at a path of keys, before one that it has or at its end; undefined
 * where there is no such list, or the file is laid out in a way in which it cannot be done.
 */
export function itemAdded(
  file: Parsed,
  path: Path,
  item: unknown,
  before = Infinity,
): Edit | undefined {
  const { root, text, value } = file;
  const node = root && nodeAt(root, path.map(String));
  const there = valueAt(value, path);
  if (node?.type !== "list" || !Array.isArray(there)) return undefined;
  const [first] = node.items;
  const next = node.items[before];
  const isFlow = text.charAt(node.start) === "[";
  const way = isFlow
    ? inBrackets(file, node, item, next)
    : first && onLines(file, { first, next, end: endOf(node, text) }, item);
  if (!way) return undefined;
  const wanted = replaced(value, path, there.toSpliced(before, 0, item));
  const edit = { ...stretchOf(file, way.at, way.at), text: way.text };
  const after = readYaml(applyEdits(text, [edit]));
  return after.errors.length === 0 && sameData(after.value, wanted) ? edit : undefined;
}

interface Way {
  at: number;
  text: string;
}

function inBrackets(
  { text }: Parsed,
  node: YamlNode,
  item: unknown,
  next: YamlNode | undefined,
): Way {
  const flow = dump(item, { flowLevel: 0, lineWidth: -1 }).trim();
  if (next) return { at: beginOf(next, text), text: `${flow}, ` };
  const isEmpty = node.type === "list" && node.items.length === 0;
  return { at: endOf(node, text) - 1, text: isEmpty ? flow : `, ${flow}` };
}

function onLines(
  file: Parsed,
  { first, next, end }: { first: YamlNode; next: YamlNode | undefined; end: number },
  item: unknown,
): Way {
  const { text, lines } = file;
  const dash = text.lastIndexOf("-", startOf(first));
  const indent = " ".repeat(lines.at(dash).column - 1);
  const dumped = dump([item], { flowLevel: 3, lineWidth: 100 }).trimEnd();
  const written = dumped.split("\n").map((line) => indent + line);
  const line = next && lines.start(lines.at(text.lastIndexOf("-", startOf(next))).line);
  if (line !== undefined) return { at: line, text: `${written.join("\n")}\n` };
  const after = text.indexOf("\n", end);
  return after < 0
    ? { at: text.length, text: `\n${written.join("\n")}\n` }
    : { at: after + 1, text: `${written.join("\n")}\n` };
}

function withAdded(value: unknown, path: Path, added: Added): unknown {
  const there = valueAt(value, path);
  const before = typeof there === "object" && there !== null ? there : {};
  return replaced(value, path, { ...before, ...added });
}

/** A copy of data with something else at a path. */
function replaced(value: unknown, path: Path, by: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return by;
  if (typeof value !== "object" || value === null) return value;
  const entries = Object.entries(value).map(([name, each]: [string, unknown]) => {
    return [name, name === String(key) ? replaced(each, rest, by) : each] as const;
  });
  return Array.isArray(value) ? entries.map(([, each]) => each) : Object.fromEntries(entries);
}

/** Whether two values say the same, in whatever order their keys are. */
function sameData(one: unknown, other: unknown): boolean {
  return JSON.stringify(sorted(one)) === JSON.stringify(sorted(other));
}

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== "object" || value === null) return value;
  const entries = Object.entries(value).map(([key, each]: [string, unknown]) => {
    return [key, sorted(each)] as const;
  });
  return Object.fromEntries(entries.sort(([a], [b]) => (a < b ? -1 : 1)));
}
