import { writeFile } from "node:fs/promises";
import { relative } from "node:path";
import type { SourceText } from "../document/document.ts";
import { type Edit, applyEdits, editFor } from "../document/mending.ts";
import type { Paint } from "../reports/paint.ts";
import type { Mendable } from "../reports/sarif.ts";
import { given } from "../source/given.ts";
import { type Finding } from "../source/finding.ts";
import { printPosition } from "../source/position.ts";

/** Characters that are read to find edits for one file: each of them is tried on the whole of it. */
const mostRead = 50_000_000;

/** Findings, each with the edit that mends it where there is one; in a very large file only the first of them. */
export function withEdits(
  findings: readonly Finding[],
  sources: readonly SourceText[],
): Mendable[] {
  const byPath = new Map(sources.map((source) => [source.path, { source, read: 0 }]));
  return findings.map((finding) => {
    const file = finding.remedy && byPath.get(finding.at.file);
    if (!file || file.read > mostRead) return finding;
    file.read += file.source.text.length;
    return { ...finding, ...given({ edit: editFor(finding, file.source) }) };
  });
}

/** Files of a folder, and what is wrong with them. */
export interface Checked {
  folder: string;
  sources: readonly SourceText[];
  findings: readonly Finding[];
}

/** Most times that files are mended: what is mended may bring something else to light. */
const mostRounds = 10;

/**
 * Mends the files of a folder, not those of others that it uses, until there is nothing left to mend.
 *
 * @param check Reads and checks them anew.
 */
export async function mendAll<T extends Checked>(
  check: () => Promise<T>,
): Promise<{ checked: T; mended: Finding[] }> {
  // Edits that touch one another are made one after another, and what they mend is found each time.
  const mended = new Map<string, Finding>();
  let checked = await check();
  for (let round = 0; round < mostRounds; round++) {
    const made = await mendOnce(checked);
    if (made.length === 0) break;
    for (const each of made) mended.set(`${each.rule} ${each.message}`, each);
    checked = await check();
  }
  return { checked, mended: [...mended.values()] };
}

async function mendOnce({ folder, sources, findings }: Checked): Promise<Finding[]> {
  const mended: Finding[] = [];
  const mendable = withEdits(findings, sources);
  for (const { path, text } of sources) {
    if (relative(folder, path).startsWith("..")) continue;
    const own = mendable.filter(({ edit }) => edit?.file === path);
    const edits: Edit[] = own.flatMap(({ edit }) => edit ?? []);
    const after = applyEdits(text, edits);
    if (after === text) continue;
    await writeFile(path, after);
    mended.push(...own);
  }
  return mended;
}

/** What was mended, a line each. */
export function printMended(mended: readonly Finding[], paint: Paint): string {
  const lines = mended.map(({ message, at }) => {
    return `${paint.good("mended")}  ${message}  ${paint.quiet(printPosition(at))}`;
  });
  return lines.join("\n");
}
