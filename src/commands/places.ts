import type { Device } from "../model/home.ts";
import { deviceIndex } from "../model/device-index.ts";
import { isKnown } from "../model/known.ts";
import { devicesOf } from "../model/members.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { PlaceExpression } from "../slot-types/expression.ts";

/** Where a speaker stands, and what was spoken of last. */
interface Standing {
  room: string | undefined;
  it?: readonly string[] | undefined;
}

/** The devices of a place; all of them without one. */
export function devicesIn(
  book: Phrasebook,
  place: PlaceExpression | undefined,
  speaker: Standing,
): Device[] {
  const { all, inRoom } = deviceIndex(book);
  if (place === undefined || place === "everywhere") return [...all];
  if (place === "here") return speaker.room === undefined ? [] : [...inRoom(speaker.room)];
  if (place === "outside" || place === "inside") {
    const isOutside = ({ room = "" }: Device): boolean => book.rooms.get(room)?.outside === true;
    return all.filter((device) => isOutside(device) === (place === "outside"));
  }
  if (place === "there") {
    const rooms = new Set(spokenOf(book, speaker).flatMap(({ room }) => room ?? []));
    return all.filter(({ room }) => room !== undefined && rooms.has(room));
  }
  return [...new Set(place.flatMap(({ entity }) => devicesOf(book, entity)))];
}

/** The devices that were spoken of last. */
export function spokenOf(book: Phrasebook, { it = [] }: Standing): Device[] {
  return it.flatMap((id) => book.devices.get(id) ?? []).filter(isKnown);
}
