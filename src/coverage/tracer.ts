import type { Witness } from "../model/witness.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import { type Part, partsOf } from "./parts.ts";

/** Who is told which parts take part in each case, and how often in cases that pass and that fail. */
export interface Tracer {
  /** Everything that can take part. */
  all: readonly Part[];
  witness: Witness;
  /** What took part since it was asked last. */
  take: (passed: boolean) => ReadonlySet<Part>;
  /**
   * How much a part goes with failing, from 0 to 1: the measure of Ochiai for the places of faults in
   * programs (Abreu, Zoeteweij and van Gemund, 2007).
   */
  suspicion: (part: Part) => number;
}

export function createTracer(book: Phrasebook): Tracer {
  const parts = new Map<object, Map<string, Part>>();
  const all = partsOf(book);
  for (const part of all) {
    const ways = parts.get(part.key) ?? new Map<string, Part>();
    parts.set(part.key, ways.set(part.way ?? "", part));
  }
  const counts = { passed: new Map<Part, number>(), failed: new Map<Part, number>() };
  let current = new Set<Part>();
  let failures = 0;
  const used = (key: object, way = ""): void => {
    const part = parts.get(key)?.get(way);
    if (part) current.add(part);
  };
  return {
    all,
    witness: {
      used,
      said: (pattern) => {
        used(pattern);
      },
    },
    take(passed) {
      const touched = current;
      current = new Set();
      if (!passed) failures++;
      const into = passed ? counts.passed : counts.failed;
      for (const part of touched) into.set(part, (into.get(part) ?? 0) + 1);
      return touched;
    },
    suspicion(part) {
      const [bad, good] = [counts.failed.get(part) ?? 0, counts.passed.get(part) ?? 0];
      return bad === 0 ? 0 : bad / Math.sqrt(failures * (bad + good));
    },
  };
}
