import type { Home } from "../model/home.ts";
import type { Connection } from "../model/outside.ts";
import type { Fragment } from "../model/spoken.ts";
import type { Slot } from "../slot-types/slot.ts";

/** What intents and routines may speak of. */
export interface Scope {
  home: Home;
  fragments: ReadonlyMap<string, Fragment>;
  routines: ReadonlySet<string>;
  people: ReadonlySet<string>;
  voicepoints: ReadonlySet<string>;
  connections: ReadonlyMap<string, Connection>;
}

/** The same with the slots of the one that is read, and the names of those that could not be. */
export interface SlotScope extends Scope {
  slots: ReadonlyMap<string, Slot>;
  unread: ReadonlySet<string>;
}

/** What the replies of one may speak of. */
export function speakableIn({ home, slots, unread }: SlotScope) {
  return { slots: [...slots.keys(), ...unread], devices: home.devices };
}
