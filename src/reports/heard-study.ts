import type { HeardCluster, HeardStudy } from "../mishearing/heard-study.ts";
import type { PasteTried } from "../mishearing/pastes.ts";
import { printPosition } from "../source/position.ts";
import { shorten, width } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** Phrases of one group that are told. */
const mostTold = 4;

/** What a log of what was heard comes to now: what is not understood first, the largest group first. */
export function printHeardStudy(study: HeardStudy, paint: Paint): string {
  const { understood, changed, unknown } = study;
  const lines = [
    ...unknown.map((cluster, index) => printCluster(cluster, index + 1, paint)),
    ...(changed.length > 0 ? [paint.strong("Comes to something else than it did then"), ""] : []),
    ...changed.map(({ entry, now }) =>
      [
        `  “${shorten(entry.text, 60)}”  ${paint.quiet(printPosition(entry.position))}`,
        `    then ${shorten(entry.did ?? "", width - 10)}`,
        `    now  ${shorten(now, width - 10)}`,
        "",
      ].join("\n"),
    ),
  ];
  const missed = unknown.reduce((sum, { count }) => sum + count, 0);
  const summary = `${understood} understood, ${missed} not, in ${unknown.length} groups, ${changed.length} otherwise than then`;
  return [...lines, missed > 0 ? paint.warn(summary) : paint.good(summary)].join("\n");
}

function printCluster(
  { texts, count, nearly, add, language }: HeardCluster,
  number: number,
  paint: Paint,
): string {
  const times = count === 1 ? "once" : `${count} times`;
  const told = texts.slice(0, mostTold).map(({ text, count: often, entry }) => {
    const how = often > 1 ? ` ${often} times` : "";
    return `  “${shorten(text, 60)}”${paint.quiet(`${how}  ${printPosition(entry.position)}`)}`;
  });
  const more = texts.length - told.length;
  return [
    `${paint.strong(`${number}  ${times}, ${language}`)}${nearly === undefined ? "" : paint.quiet(`  nearly ${shorten(nearly, 60)}`)}`,
    ...told,
    ...(more > 0 ? [paint.quiet(`  and ${more} more`)] : []),
    ...(add ? printAddition(add, paint) : [paint.quiet("  nothing to add is near it")]),
    "",
  ].join("\n");
}

function printAddition({ yaml, how, becomes, failing }: PasteTried, paint: Paint): string[] {
  const tried =
    becomes === undefined
      ? []
      : [`  then ${shorten(becomes.join("; "), width - 20)}${effectOn(failing ?? 0)}`];
  return [`  ${how}:`, ...yaml.split("\n").map((line) => `    ${paint.good(line)}`), ...tried];
}

function effectOn(failing: number): string {
  if (failing === 0) return ", and all suites pass as before";
  return failing === 1 ? ", and 1 case fails" : `, and ${failing} cases fail`;
}
