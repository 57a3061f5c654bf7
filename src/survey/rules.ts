import type { Book } from "../book/book.ts";
import type { Finding } from "../source/finding.ts";
import { nearest } from "../source/nearest.ts";

/** Rules of what is allowed and yet likely to disappoint: a phrasebook may weigh or silence each. */
export const checkRules = [
  "address-idle",
  "address-keyed",
  "alias-dead",
  "ask-idle",
  "default-outside",
  "empty-group",
  "intent-idle",
  "missing-name",
  "missing-pattern",
  "name-clash",
  "name-is-phrase",
  "no-code",
  "no-room",
  "not-bound",
  "pattern-courtesy",
  "pattern-empty",
  "pattern-greedy",
  "pattern-loses",
  "pattern-overlap",
  "pattern-when",
  "phrase-taken",
  "range-backwards",
  "routine-circle",
  "routine-never-runs",
  "routines-oppose",
  "spoken-trigger",
  "step-unable",
  "trigger-dead",
  "trusted",
  "unguarded",
  "value-clash",
  "wait-in-ask",
] as const;

const known: ReadonlySet<string> = new Set(checkRules);

/** Findings as a phrasebook weighs them; those of rules that it silences are left out. */
export function weighed({ checks }: Book, findings: readonly Finding[]): Finding[] {
  if (checks.size === 0) return [...findings];
  return findings.flatMap((finding) => {
    const weight = checks.get(finding.rule)?.weight;
    if (weight === "off") return [];
    return weight === undefined ? finding : { ...finding, severity: weight };
  });
}

/** Weights for rules that there are not. */
export function checkWeights({ checks }: Book): Finding[] {
  return [...checks].flatMap(([rule, { at }]): Finding[] => {
    if (known.has(rule)) return [];
    const near = nearest(rule, checkRules);
    const message = `no check has the rule "${rule}"`;
    const fix = near ? `write ${near}` : `write one of ${checkRules.join(", ")}`;
    return [{ rule: "unknown-reference", severity: "error", message, fix, at }];
  });
}
