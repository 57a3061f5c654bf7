import type { Turn } from "../home/conversation/turns.ts";

/** What the command's exit code says. */
export const exit = {
  /** As expected. */
  fine: 0,
  /** Findings, failures, or a phrase that does nothing. */
  failed: 1,
  /** Wrong use of the command. */
  wrongUse: 2,
} as const;

/** Whether something came of what was said. */
export function isDone(outcome: Turn["outcome"]): boolean {
  return outcome === "act" || outcome === "answer";
}
