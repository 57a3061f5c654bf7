import { InvalidArgumentError } from "commander";
import { parseDuration } from "../time/duration.ts";
import { isDate, parseLocal } from "../time/local.ts";

/* What stands in arguments and options, read before a command begins. */

export const exportFormats = ["csv", "td", "srgs", "srgs-xml", "jsgf"] as const;
export const importForms = ["csv", "td", "srgs", "srgs-xml"] as const;
export const shells = ["bash", "zsh", "fish"] as const;

export type ExportFormat = (typeof exportFormats)[number];
export type ImportForm = (typeof importForms)[number];

export function timeOf(text: string): string {
  if (parseLocal(text)) return text;
  throw new InvalidArgumentError("Write it as 2026-03-02T18:05.");
}

export function dateOf(text: string): string {
  if (isDate(text)) return text;
  throw new InvalidArgumentError("Write it as 2026-03-02.");
}

export function durationOf(text: string): string {
  if (parseDuration(text) !== undefined) return text;
  throw new InvalidArgumentError("Write it as 30m, 1h 30m or 45s.");
}
