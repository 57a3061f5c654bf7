/** The words in which two phrases differ, those at several places apart by "…". */
export interface Differing {
  spoken: string;
  taken: string;
}

/**
 * Tells the words in which two phrases differ.
 *
 * @param weak Words that are told only where no others differ: "the" beside "off" says nothing.
 */
export function differenceOf(one: string, other: string, weak: ReadonlySet<string>): Differing {
  const [first, second] = [one.split(" "), other.split(" ")];
  const parts: [string[], string[]][] = [[[], []]];
  let [i, j] = [0, 0];
  for (const [at, to] of commonWords(first, second)) {
    parts.at(-1)?.[0].push(...first.slice(i, at));
    parts.at(-1)?.[1].push(...second.slice(j, to));
    [i, j] = [at + 1, to + 1];
    if (parts.at(-1)?.some((words) => words.length > 0)) parts.push([[], []]);
  }
  parts.at(-1)?.[0].push(...first.slice(i));
  parts.at(-1)?.[1].push(...second.slice(j));
  // "pm" and "p m" are no difference to the ear.
  const told = parts.filter(([some, others]) => some.join("") !== others.join(""));
  const strong = (words: readonly string[]): readonly string[] => {
    const first = words.findIndex((word) => !weak.has(word));
    const last = words.findLastIndex((word) => !weak.has(word));
    return first < 0 ? words : words.slice(first, last + 1);
  };
  const joined = (side: 0 | 1): string =>
    told.map((part) => strong(part[side]).join(" ")).join(" … ");
  return { spoken: joined(0), taken: joined(1) };
}

/** Indexes of the words of a longest common subsequence (J. W. Hunt and M. D. McIlroy, 1976). */
function commonWords(first: readonly string[], second: readonly string[]): [number, number][] {
  const lengths = Array.from({ length: first.length + 1 }, () =>
    new Array<number>(second.length + 1).fill(0),
  );
  const at = (i: number, j: number): number => lengths[i]?.[j] ?? 0;
  for (let i = first.length - 1; i >= 0; i--) {
    for (let j = second.length - 1; j >= 0; j--) {
      const row = lengths[i];
      if (!row) continue;
      row[j] = first[i] === second[j] ? at(i + 1, j + 1) + 1 : Math.max(at(i + 1, j), at(i, j + 1));
    }
  }
  const common: [number, number][] = [];
  for (let i = 0, j = 0; i < first.length && j < second.length;) {
    if (first[i] === second[j]) common.push([i++, j++]);
    else if (at(i + 1, j) >= at(i, j + 1)) i++;
    else j++;
  }
  return common;
}
