import type { Book } from "../book/book.ts";
import type { Device } from "../model/home.ts";
import { given } from "../source/given.ts";

/** Where a device is spoken to: at a voicepoint of its room, if there is one. */
export function besideOf({ voicepoints }: Book, { room }: Pick<Device, "room">): { at?: string } {
  return given({ at: [...voicepoints.values()].find((each) => each.room === room)?.id });
}
