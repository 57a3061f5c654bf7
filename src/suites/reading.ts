import type { Book } from "../book/book.ts";
import type { Cursor } from "../document/cursor.ts";
import type { StatesDefinition } from "../document/shapes.ts";
import type { Conditions } from "../model/condition.ts";
import type { Device, Nameable } from "../model/home.ts";
import { devicesOf, entityOf, thingIds } from "../model/members.ts";
import { type States, readConditions, readStates } from "../phrasebook/states.ts";

type Properties = Readonly<Record<string, unknown>>;

/** A group, room or zone stands for those of its devices that have what is spoken of. */
export function expandPlaces<T extends string | Properties>(
  book: Book,
  cursor: Cursor<Record<string, T>>,
): Cursor<Record<string, T>> {
  const expanded: Record<string, T> = {};
  const add = (id: string, values: T): void => {
    const before = Object.hasOwn(expanded, id) ? expanded[id] : undefined;
    // A device may be named beside a group that it is in.
    expanded[id] = typeof before === "object" ? Object.assign({}, before, values) : values;
  };
  for (const entry of cursor.entries()) {
    const { id, value: values } = entry;
    const entity = thingAt(book, entry);
    if (!entity) continue;
    if (entity.type === "device") {
      add(id, values);
      continue;
    }
    const members = devicesOf(book, entity);
    if (!areThere(entry, values, members)) continue;
    const able = members.filter(({ properties, actions }) =>
      typeof values === "string"
        ? actions.includes(values)
        : Object.keys(values).every((name) => properties.has(name)),
    );
    for (const device of able) add(device.id, values);
    if (able.length > 0) continue;
    const what = typeof values === "string" ? values : Object.keys(values).join(" and ");
    const message = `nothing in ${id} has ${what}`;
    entry.report("unknown-property", message, "name a device that has it", { at: entry.keyAt });
  }
  return cursor.as(expanded);
}

/** Whether each property, or the action, is one that some device of a place has. */
function areThere(
  entry: Cursor<string | Properties>,
  values: string | Properties,
  members: readonly Device[],
): boolean {
  if (typeof values === "string") {
    const actions = new Set(members.flatMap((device) => device.actions));
    return entry.refers(`action of ${entry.id}`, actions);
  }
  const properties = new Set(members.flatMap((device) => [...device.properties.keys()]));
  const each = entry.as(values).entries();
  const what = `property of ${entry.id}`;
  return each.every((written) => written.refers(what, properties, { on: "key" }));
}

/** What the key of an entry stands for; reported where it is nothing. */
export function thingAt(book: Book, entry: Cursor<unknown>): Nameable | undefined {
  const { id } = entry;
  const found = entityOf(book, id);
  entry.refers("device or group", found ? [id] : thingIds(book), { on: "key" });
  return found;
}

/** States as written, each of a device that there is and can be so. */
export function statesAt(book: Book, cursor: Cursor<StatesDefinition> | undefined): States {
  return readStates(cursor && expandPlaces(book, cursor), book.devices);
}

/** The same for conditions on states. */
export function conditionsAt(book: Book, cursor: Cursor<StatesDefinition> | undefined): Conditions {
  return readConditions(cursor && expandPlaces(book, cursor), book.devices);
}

const sections = {
  voicepoint: "voicepoints",
  person: "people",
  routine: "routines",
  intent: "intents",
} as const;

/** Reports what is named and is not in the home; nothing may be named as well. */
export function checkNamed(
  book: Book,
  what: keyof typeof sections,
  cursor: Cursor<string> | undefined,
): void {
  cursor?.refers(what, book[sections[what]]);
}
