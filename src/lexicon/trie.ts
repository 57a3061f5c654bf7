/**
 * Word sequences and what they stand for. All edges are in one hash table of integers, so that ten
 * thousand names cost a few hundred kilobytes and a step costs the same among ten as among ten
 * thousand.
 */
export interface Trie<T> {
  /** The words that sequences begin with. */
  firsts: () => Iterable<number>;
  insert: (words: readonly number[], value: T) => void;
  /** Calls back for every sequence that starts at `from`, shortest first. */
  match: (
    words: ArrayLike<number>,
    from: number,
    found: (end: number, values: T[]) => void,
  ) => void;
}

const free = -1;

export function createTrie<T>(): Trie<T> {
  let capacity = 64;
  let edges = 0;
  let nodes = 1;
  // Three integers an edge: the node it leaves, its word, the node it enters.
  let table = new Int32Array(capacity * 3).fill(free);
  const values = new Map<number, T[]>();
  const first = new Set<number>();

  const slotOf = (node: number, word: number): number => {
    let slot = (Math.imul(node, 0x9e3779b1) ^ Math.imul(word, 0x85ebca6b)) >>> 0;
    slot = ((slot ^ (slot >>> 15)) & (capacity - 1)) * 3;
    while (table[slot] !== free && (table[slot] !== node || table[slot + 1] !== word)) {
      slot += 3;
      if (slot === table.length) slot = 0;
    }
    return slot;
  };

  const write = (slot: number, from: number, word: number, to: number): void => {
    table[slot] = from;
    table[slot + 1] = word;
    table[slot + 2] = to;
  };

  const grow = (): void => {
    const old = table;
    capacity *= 2;
    table = new Int32Array(capacity * 3).fill(free);
    for (let at = 0; at < old.length; at += 3) {
      const node = old[at] ?? free;
      if (node === free) continue;
      const word = old[at + 1] ?? free;
      write(slotOf(node, word), node, word, old[at + 2] ?? free);
    }
  };

  return {
    firsts: () => first,
    insert(words, value) {
      let node = 0;
      if (words[0] !== undefined) first.add(words[0]);
      for (const word of words) {
        if ((edges + 1) * 2 > capacity) grow();
        const slot = slotOf(node, word);
        if (table[slot] === free) {
          write(slot, node, word, nodes);
          nodes++;
          edges++;
        }
        node = table[slot + 2] ?? 0;
      }
      const held = values.get(node);
      if (held) held.push(value);
      else values.set(node, [value]);
    },
    match(words, from, found) {
      let node = 0;
      for (let at = from; at < words.length; at++) {
        const slot = slotOf(node, words[at] ?? free);
        if (table[slot] === free) return;
        node = table[slot + 2] ?? 0;
        const held = values.get(node);
        if (held) found(at + 1, held);
      }
    },
  };
}
