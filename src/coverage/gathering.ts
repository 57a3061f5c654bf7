import type { Group, Room, Zone } from "../model/home.ts";
import { devicesNamed } from "../model/members.ts";
import type { Phrasebook } from "../phrasebook/model.ts";

/** A group, zone or room, with the ids of all devices that it gathers. */
export interface Gathering {
  entity: Group | Room | Zone;
  members: ReadonlySet<string>;
}

/** All that gathers devices in a home. */
export function gatheringIn(book: Phrasebook): Gathering[] {
  const { groups, zones, rooms } = book;
  return [...groups.values(), ...zones.values(), ...rooms.values()].map((entity) => ({
    entity,
    members: new Set(devicesNamed(book, [entity.id]).map(({ id }) => id)),
  }));
}
