import { InvalidArgumentError } from "commander";
import { parseDuration } from "../time/duration.ts";
import { isDate, parseLocal } from "../time/local.ts";

/* What stands in arguments and options, read before a command begins. */

export const exportFormats = ["csv", "td", "srgs", "srgs-xml", "jsgf", "pls"] as const;
export const importForms = ["csv", "td", "srgs", "srgs-xml", "pls"] as const;
export const shells = ["bash", "zsh", "fish"] as const;

export const reportForms = ["junit", "tap", "json", "markdown", "html", "lcov"] as const;

export const sheetForms = ["markdown", "html", "csv"] as const;

export type ReportForm = (typeof reportForms)[number];

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

/** A whole number that an option is. */
export function countOf(text: string): number {
  if (/^\d+$/.test(text)) return Number(text);
  throw new InvalidArgumentError("Write a whole number.");
}

/** Whole numbers from one to another, such as 5-30. */
export function rangeOf(text: string): { least: number; most: number } {
  const [, least, most] = /^(\d+)-(\d+)$/.exec(text) ?? [];
  const range = { least: Number(least), most: Number(most) };
  if (least !== undefined && range.least <= range.most && range.most <= 1000) return range;
  throw new InvalidArgumentError("Write the least and the most, such as 5-30.");
}

/** A number that need not be whole, such as 1.2. */
export function amountOf(text: string): number {
  if (/^\d+(?:\.\d+)?$/.test(text)) return Number(text);
  throw new InvalidArgumentError("Write a number, such as 1.2.");
}

/** Whole numbers, each of them one more that an option is given. */
export function listOf(text: string, before: number[] = []): number[] {
  return [...before, someOf(text)];
}

/** How many there are to be of something, of which there has to be one. */
export function someOf(text: string): number {
  const count = countOf(text);
  if (count > 0) return count;
  throw new InvalidArgumentError("Write a whole number, 1 or more.");
}

export function shardOf(text: string): { part: number; of: number } {
  const [, part, of] = /^(\d+)\/(\d+)$/.exec(text) ?? [];
  const shard = { part: Number(part), of: Number(of) };
  if (shard.part >= 1 && shard.part <= shard.of) return shard;
  throw new InvalidArgumentError("Write which part of how many, such as 2/4.");
}

/** One more report: its form, and the file that it goes to. */
export function reportOf(
  text: string,
  before: { form: ReportForm; path: string }[] = [],
): { form: ReportForm; path: string }[] {
  const at = text.indexOf("=");
  const form = reportForms.find((each) => each === text.slice(0, at));
  if (form && at < text.length - 1) return [...before, { form, path: text.slice(at + 1) }];
  throw new InvalidArgumentError(
    `Write a form and a file, such as junit=results.xml; forms are ${reportForms.join(", ")}.`,
  );
}
