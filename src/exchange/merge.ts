import { membersOf, textOf } from "../source/border.ts";
import { madeOf } from "../source/wrong-use.ts";
import { dump } from "js-yaml";
import { sameData } from "../document/data.ts";
import { readYaml } from "../document/yaml.ts";

export type Merged =
  | {
      ok: true;
      text: string;
      /** What was there already and stays as it is: `devices.kiln-vent`. */
      kept: readonly string[];
    }
  | { ok: false; reason: string };

/**
 * Adds sections to the text of a phrasebook file. Nothing that stands there changes, comments
 * included: what has an id that is taken is left out, and told.
 */
export function mergeSections(given: string, sections: Readonly<Record<string, unknown>>): Merged {
  const [text, content] = [textOf(given) ?? "", membersOf(sections)];
  const before = readYaml(text);
  if (before.errors.length > 0 || before.second !== undefined) {
    return { ok: false, reason: "the file is no YAML that can be added to: see calm-phrase check" };
  }
  const there = isMap(before.value) ? before.value : {};
  if (before.value !== undefined && before.value !== null && !isMap(before.value)) {
    return { ok: false, reason: "the file is no map of sections" };
  }
  const kept: string[] = [];
  let merged = text === "" || text.endsWith("\n") ? text : `${text}\n`;
  const wanted: Record<string, unknown> = { ...there };
  for (const [section, entries] of Object.entries(content)) {
    const old = Object.hasOwn(there, section) ? there[section] : undefined;
    if (old === undefined) {
      merged += `${merged === "" ? "" : "\n"}${printYaml({ [section]: entries })}`;
      wanted[section] = entries;
      continue;
    }
    if (!isMap(entries) || (old !== null && !isMap(old))) {
      kept.push(section);
      continue;
    }
    const taken: Readonly<Record<string, unknown>> = old ?? {};
    const added: Record<string, unknown> = {};
    for (const [id, entry] of Object.entries(entries)) {
      if (Object.hasOwn(taken, id)) kept.push(`${section}.${id}`);
      else added[id] = entry;
    }
    if (Object.keys(added).length === 0) continue;
    const next = insertInto(merged, section, added);
    if (next === undefined) {
      const reason = `"${section}" is written on one line: write its entries on lines of their own`;
      return { ok: false, reason };
    }
    merged = next;
    wanted[section] = { ...taken, ...added };
  }
  // Whatever the layout of the file was, what it says has to be what it said and what was added.
  if (!sameData(readYaml(merged).value, wanted)) {
    return { ok: false, reason: "the file is laid out in a way that cannot be added to" };
  }
  return { ok: true, text: merged, kept };
}

/** Writes sections of a phrasebook as YAML. */
export function printYaml(content: object): string {
  return madeOf("data for YAML", () => dump(content, { lineWidth: 100, noRefs: true }));
}

/** Entries after those of a section that is written as a block; undefined where it is not. */
function insertInto(text: string, section: string, entries: object): string | undefined {
  const lines = text.split("\n");
  const isHead = (line: string): boolean =>
    [section, `"${section}"`, `'${section}'`].some((key) =>
      new RegExp(`^${key}\\s*:\\s*(?:#.*)?$`, "u").test(line),
    );
  const head = lines.findIndex(isHead);
  if (head < 0) return undefined;
  let end = head + 1;
  let last = head;
  while (end < lines.length && /^(?:\s|#|$)/u.test(lines[end] ?? "")) {
    // Comments and blank lines before the next section belong to that.
    if (/^\s+[^\s#]/u.test(lines[end] ?? "")) last = end;
    end++;
  }
  const first = lines.slice(head + 1, end).find((line) => /^\s+[^\s#]/u.test(line));
  const indent = /^\s+/u.exec(first ?? "  ")?.[0] ?? "  ";
  const added = printYaml(entries)
    .trimEnd()
    .split("\n")
    .map((line) => (line === "" ? line : indent + line));
  return [...lines.slice(0, last + 1), ...added, ...lines.slice(last + 1)].join("\n");
}

function isMap(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}
