import { WrongUse } from "../source/wrong-use.ts";
import { type Selection, chooseCases } from "../suites/select.ts";
import type { Suite } from "../suites/suite.ts";

/** What cases can be chosen by, one way at a time. */
type Way = "only" | "tags" | "languages";

/** What is said where nothing is found, and what there is instead. */
const ways: Record<Way, { none: string; offered: (suite: Suite) => readonly string[] }> = {
  only: {
    none: "no suite or case is called",
    offered: ({ name, cases }) => [
      name,
      ...cases.flatMap((each) => ("problem" in each ? [] : (each.name ?? []))),
    ],
  },
  tags: {
    none: "no case is tagged",
    offered: ({ cases }) => cases.flatMap((each) => ("problem" in each ? [] : (each.tags ?? []))),
  },
  languages: {
    none: "no case is in the language",
    offered: ({ cases }) => cases.flatMap((each) => ("problem" in each ? [] : each.language)),
  },
};

/** What was asked for in one way, how much of it there is by itself, and what else there is. */
export interface Choice {
  way: Way;
  wanted: readonly string[];
  found: number;
  offered: Set<string>;
}

/** The ways in which a selection asks for cases. */
export function choicesOf(selection: Pick<Selection, Way>): Choice[] {
  const choices: Choice[] = [];
  for (const way of ["only", "tags", "languages"] as const) {
    const wanted = selection[way];
    if (wanted) choices.push({ way, wanted, found: 0, offered: new Set() });
  }
  return choices;
}

/** Takes up what the suites of one more home have of each choice. */
export function addOffers(choices: readonly Choice[], suites: readonly Suite[]): void {
  for (const choice of choices) {
    choice.found += chooseCases(suites, { [choice.way]: choice.wanted }).cases.length;
    for (const each of suites.flatMap(ways[choice.way].offered)) choice.offered.add(each);
  }
}

/**
 * Tells which choice nothing answers to.
 *
 * @throws WrongUse where there is one, since a run of nothing would pass.
 */
export function refuseEmpty(choices: readonly Choice[]): void {
  const empty = choices.find(({ found }) => found === 0);
  if (!empty) return;
  const quoted = (words: Iterable<string>): string[] => [...words].map((word) => `"${word}"`);
  const wanted = quoted(empty.wanted).join(" or ");
  const offered = quoted(empty.offered).join(", ");
  const rest = offered === "" ? "there is none at all" : `there are ${offered}`;
  throw new WrongUse(`${ways[empty.way].none} ${wanted}: ${rest}`);
}
