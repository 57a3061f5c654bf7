import type { Costs } from "./costs.ts";
import type { Phone } from "./phones.ts";
import type { Sounds } from "./pronounce.ts";

/** Words as a row of sounds, each as it is usually said. */
export function phonesOf(
  words: readonly string[],
  { waysOf }: Pick<Sounds, "waysOf">,
): readonly Phone[] {
  return words.flatMap((word) => waysOf(word)[0] ?? []);
}

/**
 * How far one row of sounds is from another, in hundredths: the least that it costs to take one for the
 * other (after R. A. Wagner and M. J. Fischer, "The string-to-string correction problem", JACM 21, 1974).
 * `undefined` where it is more than `furthest`.
 */
export function distanceBetween(
  spoken: readonly Phone[],
  heard: readonly Phone[],
  costs: Costs,
  furthest = Infinity,
): number | undefined {
  let row = [0];
  for (const phone of spoken) row.push((row.at(-1) ?? 0) + costs.loss(phone));
  for (const phone of heard) {
    const gain = costs.gain(phone);
    const next = [(row[0] ?? 0) + gain];
    let least = next[0] ?? 0;
    for (const [at, from] of spoken.entries()) {
      const cost = Math.min(
        (row[at + 1] ?? 0) + gain,
        (next[at] ?? 0) + costs.loss(from),
        (row[at] ?? 0) + costs.swap(from, phone),
      );
      next.push(cost);
      if (cost < least) least = cost;
    }
    if (least > furthest) return undefined;
    row = next;
  }
  const total = row.at(-1) ?? 0;
  return total > furthest ? undefined : total;
}
