import type { DeviceDefinition } from "../phrasebook/definition/home.ts";
import type { BindingDefinition, ConnectionDefinition } from "../phrasebook/definition/outside.ts";

/** Devices taken from another format, and what could not be taken. */
export interface Taken {
  devices: Record<string, DeviceDefinition>;
  /** What they are reached over and how, where that is told. */
  connections?: Record<string, ConnectionDefinition>;
  bindings?: Record<string, BindingDefinition>;
  skipped: readonly SkippedPart[];
}

/** Something that was left out of what was taken, and why. */
export interface SkippedPart {
  /** Where it stood: a file and line, or a part of a document. */
  where: string;
  reason: string;
}

/** An id made of a text: lower case, hyphens between words. */
export function idFrom(text: string): string {
  return text
    .normalize("NFKC")
    .toLocaleLowerCase("en")
    .replace(/[^\p{Ll}\p{Lo}\p{N}]+/gu, "-")
    .replace(/^-+|-+$/g, "");
}
