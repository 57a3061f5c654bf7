import { devicesOf } from "../commands/members.ts";
import type { Book } from "../book/book.ts";
import type { Conditions } from "../phrasebook/condition.ts";
import { type Context, report, reportUnknown } from "../phrasebook/context.ts";
import type { Document, Path } from "../phrasebook/document.ts";
import type { StatesDefinition } from "../phrasebook/schema.ts";
import type { Position } from "../source/position.ts";
import { type States, readConditions, readStates } from "../phrasebook/states.ts";

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

/** States as written, each of a device that there is and can be so. */
export function statesAt(reading: Reading, path: Path, written: StatesDefinition): States {
  const { context, book, document } = reading;
  const expanded = expandPlaces(reading, path, written);
  return readStates(context, document, path, expanded, book.devices);
}

/** The same for conditions on states. */
export function conditionsAt(reading: Reading, path: Path, written: StatesDefinition): Conditions {
  const { context, book, document } = reading;
  const expanded = expandPlaces(reading, path, written);
  return readConditions(context, document, path, expanded, book.devices);
}

const sections = {
  voicepoint: "voicepoints",
  person: "people",
  routine: "routines",
  intent: "intents",
} as const;

/** Reports what is named and is not in the home; nothing may be named as well. */
export function checkNamed(
  { context, book }: Reading,
  at: () => Position,
  what: keyof typeof sections,
  id: string | undefined,
): void {
  const known = book[sections[what]];
  if (id !== undefined && !known.has(id)) reportUnknown(context, at(), what, id, known.keys());
}
