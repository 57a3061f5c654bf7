/** A queue by small whole numbers, the lowest first (after R. B. Dial, 1969). */
export interface Buckets<Item> {
  push: (priority: number, item: Item) => void;
  pop: () => Item | undefined;
}

/** @param size One more than the highest priority. */
export function createBuckets<Item>(size: number): Buckets<Item> {
  const buckets: Item[][] = Array.from({ length: size }, () => []);
  let lowest = 0;
  return {
    push(priority, item) {
      buckets[priority]?.push(item);
      if (priority < lowest) lowest = priority;
    },
    pop() {
      for (; lowest < size; lowest++) {
        const item = buckets[lowest]?.pop();
        if (item !== undefined) return item;
      }
      return undefined;
    },
  };
}
