import type { Finding } from "../source/finding.ts";
import { printPosition } from "../source/position.ts";
import { wrap } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** Findings for a terminal, each with its place, what is wrong and what to write. */
export function printFindings(findings: readonly Finding[], paint: Paint): string {
  return findings.map((finding) => printFinding(finding, paint)).join("\n\n");
}

/** What findings can be told together by. */
export type FindingGroup = "rule" | "file";

/** Findings under what they have in common, the largest group first. */
export function printGroups(findings: readonly Finding[], by: FindingGroup, paint: Paint): string {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) {
    const key = by === "rule" ? finding.rule : finding.at.file;
    groups.set(key, [...(groups.get(key) ?? []), finding]);
  }
  return [...groups]
    .sort(([, one], [, other]) => other.length - one.length)
    .map(
      ([key, group]) => `${paint.strong(key)} (${group.length})\n\n${printFindings(group, paint)}`,
    )
    .join("\n\n");
}

function printFinding({ rule, severity, message, fix, at, also }: Finding, paint: Paint): string {
  const colour = { error: paint.bad, warning: paint.warn, note: paint.quiet }[severity];
  const lines = [
    `${paint.strong(printPosition(at))}  ${colour(severity)}  ${paint.quiet(rule)}`,
    wrap(message, 2),
  ];
  if (fix !== undefined) lines.push(paint.good(wrap(`→ ${fix}`, 2)));
  for (const place of also ?? []) lines.push(paint.quiet(`  see ${printPosition(place)}`));
  return lines.join("\n");
}

/** How many findings there are of each severity, in words. */
export function countFindings(findings: readonly Finding[]): string {
  const counts = (["error", "warning", "note"] as const).flatMap((severity) => {
    const count = findings.filter((finding) => finding.severity === severity).length;
    return count === 0 ? [] : [`${count} ${severity}${count === 1 ? "" : "s"}`];
  });
  return counts.length === 0 ? "nothing to mend" : counts.join(", ");
}
