import { printPosition } from "../source/position.ts";
import { type Coverage, type CoveredPart, type Share, percentOf } from "../coverage/coverage.ts";
import { pad, shorten } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** Parts that are listed, of which more would hardly be read. */
const mostListed = 40;

/** What suites have touched, for a terminal: shares, then what they have not, the riskiest first. */
export function printCoverage(coverage: Coverage, paint: Paint, isWhole = false): string {
  const { parts, shares, vocabulary } = coverage;
  const untouched = parts.filter(({ hits }) => hits === 0);
  const listed = isWhole ? untouched : untouched.slice(0, mostListed);
  const percent = printPercent(percentOf(coverage));
  const lines = [
    paint.strong(`coverage: ${percent} of ${parts.length} parts`),
    ...shares.map((share) => printShare(share, paint)),
  ];
  if (vocabulary.length > 0) {
    lines.push("", paint.strong("patterns that ship"));
    lines.push(...vocabulary.map((share) => printShare(share, paint)));
  }
  if (untouched.length > 0) lines.push("", paint.strong("no case touches"));
  lines.push(...listed.map((part) => printPart(part, paint)));
  const more = untouched.length - listed.length;
  if (more > 0) lines.push(paint.quiet(`  and ${more} more, in --json`));
  return lines.join("\n");
}

function printShare({ of, touched, all }: Share, paint: Paint): string {
  const share = printPercent((100 * touched) / all).padStart(6);
  const colour = touched === all ? paint.good : paint.warn;
  return `  ${pad(of, 12)} ${colour(share)}  ${touched} of ${all}`;
}

/** A share that is never rounded up to the whole. */
export function printPercent(percent: number): string {
  return `${(Math.floor(percent * 10) / 10).toFixed(1)} %`;
}

function printPart({ sort, of, what, language, at }: CoveredPart, paint: Paint): string {
  const told = language === undefined ? what : `${what} (${language})`;
  const place = paint.quiet(printPosition(at));
  return `  ${paint.warn(pad(sort, 12))} ${paint.name(of)}  ${shorten(told, 60)}  ${place}`;
}
