import type { Turn } from "../home/converse.ts";

/** What the command's exit code says. */
export const exit = {
  /** As expected. */
  fine: 0,
  /** Findings, failures, or a phrase that does nothing. */
  failed: 1,
  /** Wrong use of the command. */
  wrongUse: 2,
} as const;

/** Wrong use, told to a person in one line and what to do. */
export class WrongUse extends Error {}

/** Whether something came of what was said. */
export function isDone(outcome: Turn["outcome"]): boolean {
  return outcome === "act" || outcome === "answer";
}
