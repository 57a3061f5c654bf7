import { dump } from "js-yaml";
import { type Edit, applyEdits } from "../document/mending.ts";
import type { Path } from "../document/document.ts";
import { beginOf, endOf, nodeAt } from "../document/nodes.ts";
import { replaced, sameData } from "../document/data.ts";
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
  const before = typeof written === "object" && written !== null ? written : {};
  const wanted = replaced(value, path, { ...before, ...added });
  if (node.type === "map" && text.charAt(start) === "{") {
    const isEmpty = node.entries.length === 0;
    return proved(file, { at: start + 1, text: isEmpty ? ` ${inside} ` : ` ${inside},` }, wanted);
  }
  if (node.type === "map") {
    const margin = `\n${" ".repeat(file.lines.at(start).column - 1)}`;
    const lines = dump(added).trim().split("\n");
    return proved(file, { at: start, text: lines.join(margin) + margin }, wanted);
  }
  if (written !== null && written !== undefined) return undefined;
  const colon = text.indexOf(":", endOf(key, text));
  return proved(file, { at: colon + 1, text: ` { ${inside} }` }, wanted);
}

/** The edit by which a file says what is wanted, if it does then. */
function proved(file: Parsed, way: Way, wanted: unknown): Edit | undefined {
  const edit = { ...stretchOf(file, way.at, way.at), text: way.text };
  const after = readYaml(applyEdits(file.text, [edit]));
  return after.errors.length === 0 && sameData(after.value, wanted) ? edit : undefined;
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
  return way && proved(file, way, replaced(value, path, there.toSpliced(before, 0, item)));
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
