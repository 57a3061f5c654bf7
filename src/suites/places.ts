import { devicesOf } from "../hearing/targets.ts";
import type { Book } from "../home/book.ts";
import { type Context, report } from "../phrasebook/context.ts";
import type { Document, Path } from "../phrasebook/document.ts";

/** What reading a part of a suite needs to know. */
export interface Reading {
  context: Context;
  book: Book;
  document: Document;
}

type Properties = Readonly<Record<string, unknown>>;

/** A group, room or zone stands for those of its devices that have what is spoken of. */
export function expandPlaces<T extends string | Properties>(
  { context, book, document }: Reading,
  path: Path,
  states: Readonly<Record<string, T>>,
): Record<string, T> {
  const expanded: Record<string, T> = {};
  const add = (id: string, values: T): void => {
    const before = Object.hasOwn(expanded, id) ? expanded[id] : undefined;
    // A device may be named beside a group that it is in.
    expanded[id] = typeof before === "object" ? Object.assign({}, before, values) : values;
  };
  for (const [id, values] of Object.entries(states)) {
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
    const fix = "name a device that has it";
    const place = document.atKey([...path, id]);
    report(context, "unknown-property", place, `nothing in ${id} has ${what}`, fix);
  }
  return expanded;
}
