import type { Automata } from "../grammar/automata.ts";
import type { Phone } from "../sounds/phones.ts";
import type { Sounds } from "../sounds/pronounce.ts";

/** All words of a grammar by how they sound, as a tree: words that begin alike are gone through once. */
export interface Vocabulary {
  words: readonly string[];
  /** The number of a word; undefined for one without a sound. */
  numberOf: (word: string) => number | undefined;
  root: SoundNode;
  /** The sounds that there are in them. */
  phones: readonly Phone[];
}

export interface SoundNode {
  /** By the number of the sound. */
  next: { sound: number; node: SoundNode }[];
  /** Words that are complete here. */
  words: number[];
}

/** @param more Words that are in no grammar. */
export function vocabularyOf(
  { rules }: Automata,
  sounds: Sounds,
  more: Iterable<string> = [],
): Vocabulary {
  const words: string[] = [];
  const numbers = new Map<string, number>();
  const root: SoundNode = { next: [], words: [] };
  const phones = new Map<Phone, number>();
  const add = (word: string): void => {
    if (numbers.has(word)) return;
    const ways = sounds.waysOf(word).filter((way) => way.length > 0);
    if (ways.length === 0) return;
    numbers.set(word, words.length);
    for (const way of ways) insert(way, words.length);
    words.push(word);
  };
  for (const { states } of rules.values()) {
    for (const { arcs } of states) {
      for (const arc of arcs) if (arc.say === "word") add(arc.word);
    }
  }
  for (const word of more) add(word);
  return { words, numberOf: (word) => numbers.get(word), root, phones: [...phones.keys()] };

  function insert(way: readonly Phone[], word: number): void {
    let node = root;
    for (const phone of way) {
      const sound = phones.get(phone) ?? phones.size;
      phones.set(phone, sound);
      let step = node.next.find((each) => each.sound === sound);
      if (!step) node.next.push((step = { sound, node: { next: [], words: [] } }));
      node = step.node;
    }
    node.words.push(word);
  }
}
