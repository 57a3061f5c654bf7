import type { Device, Name, Nameable } from "../model/home.ts";
import { type Book, asBook, rebound } from "./book.ts";

/** The same phrasebook with another device in the place of one: to see what would come of it. */
export function withDevice(of: Book, device: Device): Book {
  const book = asBook(of);
  return renewed({ ...book, devices: new Map(book.devices).set(device.id, device) });
}

/** The same phrasebook in which something is called otherwise. */
export function withNames(of: Book, entity: Nameable, names: readonly Name[]): Book {
  const book = asBook(of);
  switch (entity.type) {
    case "device":
      return withDevice(book, { ...entity, names });
    case "group":
      return renewed({
        ...book,
        groups: new Map(book.groups).set(entity.id, { ...entity, names }),
      });
    case "room":
      return renewed({ ...book, rooms: new Map(book.rooms).set(entity.id, { ...entity, names }) });
    case "zone":
      return renewed({ ...book, zones: new Map(book.zones).set(entity.id, { ...entity, names }) });
  }
}

/** What was compiled of its patterns holds its names as well. */
function renewed(book: Book): Book {
  return rebound({ ...book, intents: new Map(book.intents) });
}
