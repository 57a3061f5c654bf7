import { mkdirSync } from "node:fs";
import type { HomeSnapshot, Keeper, Received, Rest } from "calm-phrase";
import { open } from "lmdb";

/** Where a home is written down, so that it is there again after any stop. */
export interface Store {
  keeper: Keeper;
  /** What was written down, to go on from; nothing in an empty one. */
  snapshot: () => HomeSnapshot | undefined;
  /** Resolves once all that was written so far is on the disk: what goes out waits for it. */
  saved: () => Promise<void>;
  close: () => Promise<void>;
}

type Kept = { base: Rest } | { received: Received };

/** @param folder Where it is kept; made where it is not there. */
export function openStore(folder: string): Store {
  // What cannot be made is told by the system, and not tried for ever.
  mkdirSync(folder, { recursive: true });
  const db = open<Kept, string | number>({ path: folder, encoding: "json" });
  let next = 0;
  while (db.get(next) !== undefined) next++;
  let last: Promise<unknown> = Promise.resolve();
  return {
    keeper: {
      rest(rest) {
        // All in one transaction: a base is never beside what came in before it.
        const written = next;
        last = db.batch(() => {
          for (let at = 0; at < written; at++) void db.remove(at);
          void db.put("base", { base: rest });
        });
        next = 0;
      },
      add(received) {
        last = db.put(next, { received });
        next++;
      },
    },
    snapshot() {
      const kept = db.get("base");
      if (!kept || !("base" in kept)) return undefined;
      const since = Array.from({ length: next }, (_, at) => db.get(at)).flatMap((each) =>
        each && "received" in each ? [each.received] : [],
      );
      return { version: 1, rest: kept.base, since };
    },
    async saved() {
      await last;
      await db.flushed;
    },
    async close() {
      await last;
      await db.close();
    },
  };
}
