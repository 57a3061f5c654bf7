/** Numbers from 0 to below 1 that a seed decides (mulberry32). */
function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

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
