import { entityOf } from "../model/members.ts";
import { nameIn } from "../model/names.ts";
import type { Speech } from "./speech.ts";

/** Names that are listed; more devices are counted. */
const mostNamed = 3;

/** Devices by their names, or by how many there are: "five lights". */
export function countDevices(speech: Speech, ids: readonly string[]): string {
  const { book, pack } = speech;
  if (ids.length <= mostNamed) return namesOf(speech, ids);
  const [kind, other] = new Set(ids.map((id) => book.devices.get(id)?.kind ?? ""));
  const noun = other === undefined ? pack.kinds[kind ?? ""]?.many[0] : undefined;
  return `${pack.numbers.cardinal(ids.length)} ${noun ?? pack.replies.devices}`;
}

/** Devices by their names. */
export function namesOf(
  { book, language }: Pick<Speech, "book" | "language">,
  ids: readonly string[],
): string {
  const names = ids.map((id) => nameOf({ book, language }, id));
  return new Intl.ListFormat(language, { type: "conjunction" }).format(names);
}

/** What something of an id is called; the id where it is called nothing. */
export function nameOf({ book, language }: Pick<Speech, "book" | "language">, id: string): string {
  const entity = entityOf(book, id);
  return (entity && nameIn(book, entity, language)) ?? id;
}
