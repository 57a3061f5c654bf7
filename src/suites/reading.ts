import type { Book } from "../book/book.ts";
import type { Cursor } from "../document/cursor.ts";
import type { StatesDefinition } from "../document/shapes.ts";
import type { Conditions } from "../model/condition.ts";
import { devicesOf } from "../model/members.ts";
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
    const entity = book.groups.get(id) ?? book.rooms.get(id) ?? book.zones.get(id);
    if (!entity || book.devices.has(id)) {
      add(id, values);
      continue;
    }
    const able = devicesOf(book, entity).filter(({ properties, actions }) =>
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
  const known = book[sections[what]];
  if (cursor && !known.has(cursor.value)) cursor.unknown(what, cursor.value, known.keys());
}

/** One text, or each of several. */
export function listOf(cursor: Cursor<string | string[]>): Cursor<string>[] {
  const { value } = cursor;
  return typeof value === "string" ? [cursor.as(value)] : cursor.as(value).items();
}
