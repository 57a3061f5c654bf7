import type { HomeSnapshot, Keeper, Received, Rest } from "calm-phrase";
import { open } from "lmdb";

/** Where a home is written down, so that it is there again after any stop. */
export interface Store {
  keeper: Keeper;
  /** What was written down, to go on from; nothing in an empty one. */
  snapshot: () => HomeSnapshot | undefined;
  /** Counts an entry of the log, and tells its number; one that comes once more has the same again. */
  count: () => number;
  /** The number of the last entry that somebody outside was told of. */
  told: () => number;
  /** An entry was told outside. */
  tell: (number: number) => void;
  close: () => Promise<void>;
}

type Kept =
  | { base: Rest; /** Entries that the log had by then. */ logged: number }
  | { received: Received }
  | { told: number };

/** @param folder Where it is kept; made where it is not there. */
export function openStore(folder: string): Store {
  const db = open<Kept, string | number>({ path: folder, encoding: "json" });
  const base = (): Extract<Kept, { base: Rest }> | undefined => {
    const kept = db.get("base");
    return kept && "base" in kept ? kept : undefined;
  };
  const told = (): number => {
    const kept = db.get("told");
    return kept && "told" in kept ? kept.told : 0;
  };
  let next = 0;
  while (db.get(next) !== undefined) next++;
  let logged = base()?.logged ?? 0;
  return {
    keeper: {
      rest(rest) {
        // Both in one transaction: a base is never beside what came in before it.
        db.transactionSync(() => {
          for (let at = 0; at < next; at++) db.removeSync(at);
          db.putSync("base", { base: rest, logged });
        });
        next = 0;
      },
      add(received) {
        db.putSync(next, { received });
        next++;
      },
    },
    snapshot() {
      const known = base();
      if (!known) return undefined;
      const since = Array.from({ length: next }, (_, at) => db.get(at)).flatMap((kept) =>
        kept && "received" in kept ? [kept.received] : [],
      );
      return { version: 1, rest: known.base, since };
    },
    count: () => ++logged,
    told,
    tell: (number) => {
      db.putSync("told", { told: number });
    },
    close: () => db.close(),
  };
}
