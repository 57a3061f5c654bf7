import type { Coverage, CoveredPart } from "../coverage/coverage.ts";

/**
 * Coverage in the LCOV form, over the lines of the phrasebook's files: a line was reached when a part on
 * it was touched, and each part on it is a branch.
 */
export function lcovReport({ parts }: Pick<Coverage, "parts">): string {
  const files = new Map<string, Map<number, CoveredPart[]>>();
  for (const part of parts) {
    const { file, line } = part.at;
    const lines = files.get(file) ?? new Map<number, CoveredPart[]>();
    files.set(file, lines);
    lines.set(line, [...(lines.get(line) ?? []), part]);
  }
  const sections = [...files].sort(([a], [b]) => (a < b ? -1 : 1));
  return sections.map(([file, lines]) => sectionOf(file, lines)).join("");
}

function sectionOf(file: string, lines: ReadonlyMap<number, readonly CoveredPart[]>): string {
  const inOrder = [...lines].sort(([a], [b]) => a - b);
  const branches = inOrder.flatMap(([line, parts]) =>
    parts.map(({ hits }, index) => ({ line, index, hits })),
  );
  const reached = inOrder.map(([line, parts]) => ({
    line,
    hits: parts.reduce((sum, { hits }) => sum + hits, 0),
  }));
  return [
    "TN:",
    `SF:${file}`,
    ...branches.map(({ line, index, hits }) => `BRDA:${line},0,${index},${hits}`),
    `BRF:${branches.length}`,
    `BRH:${branches.filter(({ hits }) => hits > 0).length}`,
    ...reached.map(({ line, hits }) => `DA:${line},${hits}`),
    `LF:${reached.length}`,
    `LH:${reached.filter(({ hits }) => hits > 0).length}`,
    "end_of_record",
    "",
  ].join("\n");
}
