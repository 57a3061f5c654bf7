import type { SpokenPattern } from "../model/spoken.ts";
import type { Witness } from "../model/witness.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Intent, Phrasebook } from "../phrasebook/model.ts";
import { referIn, tellParts } from "./pattern-parts.ts";

/** What was used of a phrasebook, and how often. */
export interface Uses {
  witness: Witness;
  count: (part: object, way?: string) => number;
}

/** Which intent each pattern of a phrasebook says. */
export type Owners = ReadonlyMap<SpokenPattern, Intent>;

export function ownersIn(book: Phrasebook): Owners {
  return new Map(
    [...book.intents.values()].flatMap((intent) =>
      intent.patterns.map((pattern) => [pattern, intent] as const),
    ),
  );
}

/** A witness that counts. */
export function collectUses(book: Phrasebook, owners = ownersIn(book)): Uses {
  const uses = new Map<object, Map<string, number>>();
  const numbers = new Map<Pattern, number>();
  const ways = new Map<SpokenPattern, Set<string>>();
  const used = (part: object, way = ""): void => {
    const counts = uses.get(part);
    if (counts) counts.set(way, (counts.get(way) ?? 0) + 1);
    else uses.set(part, new Map([[way, 1]]));
  };
  return {
    witness: {
      used,
      said(pattern, leaves) {
        used(pattern);
        const intent = owners.get(pattern);
        if (!intent || pattern.origin !== "phrasebook") return;
        // A way that was gone before touches nothing new.
        let way = "";
        for (const leaf of leaves) {
          const number = numbers.get(leaf) ?? numbers.size;
          numbers.set(leaf, number);
          way += `${number} `;
        }
        const known = ways.get(pattern) ?? new Set<string>();
        ways.set(pattern, known);
        if (known.has(way)) return;
        known.add(way);
        const counts = new Map<Pattern, number>();
        for (const leaf of leaves) counts.set(leaf, (counts.get(leaf) ?? 0) + 1);
        tellParts(pattern.tree, counts, referIn(book, intent, pattern.language), used);
      },
    },
    count: (part, way = "") => uses.get(part)?.get(way) ?? 0,
  };
}
