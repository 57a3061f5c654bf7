import type { Device, Name } from "../model/home.ts";
import { type Book, asBook, rebound } from "./book.ts";

/** The same phrasebook with another device in the place of one: to see what would come of it. */
export function withDevice(of: Book, device: Device): Book {
  const book = asBook(of);
  const devices = new Map(book.devices).set(device.id, device);
  // What was compiled of its patterns holds its names as well.
  return rebound({ ...book, devices, intents: new Map(book.intents) });
}

/** A device without one of its names, and with others. */
export function renamed(device: Device, without: Name | undefined, more: readonly Name[]): Device {
  return { ...device, names: [...device.names.filter((name) => name !== without), ...more] };
}
