import { randomFrom } from "../source/random.ts";

/** The same items in an order that a seed decides (Fisher and Yates). */
export function shuffled<Item>(items: readonly Item[], seed: number): Item[] {
  const random = randomFrom(seed);
  const all = [...items];
  for (let last = all.length - 1; last > 0; last--) {
    const other = Math.floor(random() * (last + 1));
    const [one, two] = [all[last], all[other]];
    if (one !== undefined && two !== undefined) [all[last], all[other]] = [two, one];
  }
  return all;
}
