import { type Book, asBook } from "../book/book.ts";
import type { DeviceDefinition } from "../phrasebook/definition/home.ts";
import { isSource } from "../phrasebook/sources.ts";
import { definitionOf } from "./definition.ts";
import { type ThingDescription, thingFromDevice } from "./things.ts";

/** The devices of a home as they would be written, by their ids. */
export function definitionsOf(given: Book): Record<string, DeviceDefinition> {
  const book = asBook(given);
  const { devices, kinds } = book;
  const written = [...devices]
    .filter(([id]) => !isSource(book, id))
    .map(([id, device]) => [id, definitionOf(device, kinds.get(device.kind))] as const);
  return Object.fromEntries(written);
}

/** The devices of a home as W3C Thing Descriptions, by their ids. */
export function thingsOf(given: Book): Record<string, ThingDescription> {
  const { kinds, bindings, connections } = asBook(given);
  const things = Object.entries(definitionsOf(given)).map(([id, device]) => {
    const binding = bindings.get(id);
    const connection = binding && connections.get(binding.connection);
    const reached = connection && { binding, connection };
    return [id, thingFromDevice(id, device, { kind: kinds.get(device.kind), reached })] as const;
  });
  return Object.fromEntries(things);
}
