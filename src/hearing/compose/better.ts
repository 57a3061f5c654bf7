import type { Reading } from "../understand/evaluate.ts";
import type { Command, Parting } from "./parting.ts";

type ReadingOf = Parting["readingOf"];

export function freeWords(readingOf: ReadingOf, commands: readonly Command[]): number {
  return commands.reduce(
    (sum, { understood }) => sum + (readingOf(understood)?.path.freeWords ?? 0),
    0,
  );
}

/** As readings are ranked: what is the phrasebook's own, then fewer words of free text. */
export function isBetter(
  readingOf: ReadingOf,
  commands: readonly Command[],
  than: readonly Command[],
): boolean {
  const own = (all: readonly Command[]): boolean =>
    all.every(({ understood }) => isOwn(readingOf(understood)));
  if (own(commands) !== own(than)) return own(commands);
  return freeWords(readingOf, commands) < freeWords(readingOf, than);
}

export function isOwn(reading: Reading | undefined): boolean {
  return reading?.pattern.origin === "phrasebook";
}
