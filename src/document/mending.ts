import type { Finding, Remedy } from "../source/finding.ts";
import { indexLines } from "../source/lines.ts";
import { madeOf } from "../source/wrong-use.ts";
import type { SourceText } from "./document.ts";
import { renamed, replaced, without } from "./data.ts";
import { type Found, beginOf, endOf, foundAt, nodeAt, scalarsOf } from "./nodes.ts";
import { type YamlNode, readYaml } from "./yaml.ts";

/** A change of one stretch of a file; lines and columns count from 1, and the end is behind it. */
export interface Edit {
  file: string;
  start: { line: number; column: number };
  end: { line: number; column: number };
  /** What stands there then. */
  text: string;
}

/** A stretch of a text, and what comes in its place. */
interface Splice {
  start: number;
  end: number;
  text: string;
}

/**
 * The edit that mends a finding in the file that it is in; undefined where it has no remedy, or the file is
 * laid out in a way in which it cannot be done without changing anything else.
 */
export function editFor(finding: Finding, source: SourceText): Edit | undefined {
  return madeOf("finding", () => {
    const { remedy, at } = finding;
    if (!remedy || at.line < 1 || at.file !== source.path) return undefined;
    const lines = indexLines(source.text);
    const splice = spliceFor(source.text, lines.start(at.line) + at.column - 1, remedy);
    if (!splice) return undefined;
    const [start, end] = [lines.at(splice.start), lines.at(splice.end)];
    return { file: source.path, start, end, text: splice.text };
  });
}

/** A text with edits made in it; of edits that touch one another the first counts. */
export function applyEdits(text: string, edits: readonly Edit[]): string {
  return madeOf("list of edits", () => {
    const lines = indexLines(text);
    const offset = ({ line, column }: Edit["start"]): number => lines.start(line) + column - 1;
    const splices = edits.map((edit): Splice => {
      return { start: offset(edit.start), end: offset(edit.end), text: edit.text };
    });
    let from = 0;
    let made = "";
    for (const each of splices.sort((one, other) => one.start - other.start)) {
      if (each.start < from) continue;
      made += text.slice(from, each.start) + each.text;
      from = each.end;
    }
    return made + text.slice(from);
  });
}

function spliceFor(text: string, offset: number, remedy: Remedy): Splice | undefined {
  const { root, value, errors } = readYaml(text);
  const found = root && foundAt(scalarsOf(root, text), offset);
  if (!found || errors.length > 0) return undefined;
  const { path, node, isKey } = found;
  if (isKey && remedy.remedy === "write") {
    // A key that is there already has a value of its own.
    const siblings = nodeAt(root, path.slice(0, -1));
    if (indexOf(siblings, remedy.text) >= 0) return undefined;
  }
  const { tries, wanted } =
    remedy.remedy === "take out"
      ? takenOut(text, root, value, path)
      : {
          tries: written(text, node, remedy.text),
          wanted: isKey ? renamed(value, path, remedy.text) : replaced(value, path, remedy.text),
        };
  // Whatever the layout of the file is, what it says has to be what it said, but for the remedy.
  const told = JSON.stringify(wanted);
  return tries.find((splice) => {
    const after = readYaml(text.slice(0, splice.start) + splice.text + text.slice(splice.end));
    return after.errors.length === 0 && JSON.stringify(after.value) === told;
  });
}

/** A scalar in other words: quoted as it was, or as it has to be. */
function written(text: string, node: YamlNode, words: string): Splice[] {
  const [start, end] = [beginOf(node, text), endOf(node, text)];
  const quote = /["']/u.exec(text.charAt(start))?.[0] ?? "";
  const ways = [`${quote}${words}${quote}`, words, JSON.stringify(words)];
  return ways.map((each) => ({ start, end, text: each }));
}

/** Ways to take out an item or entry, with what would be left empty by that. */
function takenOut(text: string, root: YamlNode, value: unknown, path: Found["path"]) {
  let last = path;
  while (last.length > 1 && partsOf(nodeAt(root, last.slice(0, -1))).length === 1) {
    last = last.slice(0, -1);
  }
  const parent = nodeAt(root, last.slice(0, -1));
  const parts = partsOf(parent);
  const index = parent?.type === "list" ? Number(last.at(-1)) : indexOf(parent, last.at(-1));
  const part = parts[index];
  const wanted = without(value, last);
  if (!part) return { tries: [], wanted };
  const [start, end] = [beginOf(part.first, text), endOf(part.last, text)];
  const [before, after] = [parts[index - 1], parts[index + 1]];
  const tries: Splice[] = [];
  // On one line: with the comma behind it, or before it.
  if (after) tries.push({ start, end: beginOf(after.first, text), text: "" });
  if (before) tries.push({ start: endOf(before.last, text), end, text: "" });
  // On lines of its own.
  const line = text.lastIndexOf("\n", start - 1) + 1;
  const next = text.indexOf("\n", end);
  const whole = { start: line, end: next < 0 ? text.length : next + 1, text: "" };
  return { tries: /^[\s-]*$/u.test(text.slice(line, start)) ? [whole, ...tries] : tries, wanted };
}

/** The items or entries of a part, each from its first node to its last. */
function partsOf(node: YamlNode | undefined): { first: YamlNode; last: YamlNode }[] {
  if (node?.type === "list") return node.items.map((item) => ({ first: item, last: item }));
  if (node?.type !== "map") return [];
  return node.entries.map(({ key, value }) => ({ first: key, last: value }));
}

function indexOf(node: YamlNode | undefined, key: unknown): number {
  return node?.type === "map" ? node.entries.findIndex(({ text }) => text === key) : -1;
}
