import * as z from "zod/mini";
import { type Cursor, listOf } from "../document/cursor.ts";
import { reference, references } from "../document/shapes.ts";
import type { Nameable } from "../model/home.ts";
import { isKnown } from "../model/known.ts";
import { devicesOf } from "../model/members.ts";
import { spokenNames } from "../model/names.ts";
import {
  choice,
  nothingToSay,
  optional,
  reference as ruleNamed,
  sequence,
} from "../pattern/build.ts";
import type { Pattern } from "../pattern/tree.ts";
import { given } from "../source/given.ts";
import { need } from "./need.ts";
import { isConnective, nounsOf, placeWords } from "./nouns.ts";
import type { SlotBase, TargetSlot, Writing } from "./slot.ts";

/** A target slot, or one that takes only things of one sort. */
function shapeOf<Type extends string>(type: Type) {
  return z.strictObject({
    type: z.literal(type),
    kind: z.optional(z.union([reference, references])),
    room: z.optional(reference),
    named: z.optional(z.literal(true)),
    narrows: z.optional(reference),
    ...need,
  });
}

const shapes = {
  target: shapeOf("target"),
  device: shapeOf("device"),
  room: shapeOf("room"),
  zone: shapeOf("zone"),
  group: shapeOf("group"),
};

type Written = z.output<(typeof shapes)[keyof typeof shapes]>;

/** Something that has a name; or only a device, room, zone or group. */
export const target = {
  shapes,
  read(cursor: Cursor<Written>, base: SlotBase, rooms: ReadonlySet<string>): TargetSlot {
    const { type, kind, room, named, narrows } = cursor.value;
    const { kinds: known } = cursor.context;
    const kinds = kind === undefined ? undefined : [kind].flat();
    const writtenKind = cursor.given("kind");
    for (const each of writtenKind ? listOf(writtenKind) : []) each.refers("kind", known);
    cursor.given("room")?.refers("room", rooms);
    const sort = type === "target" ? undefined : type;
    return { ...base, fills: "target", ...given({ sort, kinds, room, named, narrows }) };
  },
};

/**
 * All that names something, as `createTargetReader` reads it. Whether what is named can do what is asked
 * stands nowhere here: what cannot is refused in words, and a recogniser that could not hear it would hear
 * something else that can.
 */
export function targetGrammar(writing: Writing, slot: TargetSlot): Pattern {
  const { home, pack, said, define } = writing;
  const rooms: readonly Nameable[] = [...home.rooms.values(), ...home.zones.values()];
  const places = define("places", () => placesGrammar(writing, rooms));
  if (slot.narrows !== undefined) return places;
  const takes = takenBy(writing, slot);
  const named = [...home.devices.values(), ...home.groups.values(), ...rooms].filter(takes);
  const key = targetKey(slot);
  const names = define(`${key}-names`, () =>
    withArticle(writing, namesOf(writing, named) ?? nothingToSay),
  );
  if (slot.sort !== undefined) return names;
  const things = define(`${key}-things`, () => thingsGrammar(writing, { takes, names, places }));
  const { and, except, everything } = pack.targets;
  const join = define("join", () => said([...and, ...except]) ?? nothingToSay);
  const but = said(except);
  const all = sequence(writing.lead && optional(writing.lead), said(everything) ?? nothingToSay);
  return define(key, () =>
    choice([
      sequence(things, optional(sequence(join, ruleNamed(key)))),
      // Nothing is added to everything.
      sequence(all, inPlaces(writing, places), but && optional(sequence(but, ruleNamed(key)))),
    ]),
  );
}

/** Slots that take the same share their rules. */
function targetKey({ sort, kinds = [], room }: TargetSlot): string {
  const narrowed = [...kinds, room, sort];
  return ["target", ...narrowed.filter((part) => part !== undefined)].join("-");
}

/** Whether something can be meant by a slot, whatever is asked of it. */
function takenBy({ home }: Writing, slot: TargetSlot): (entity: Nameable) => boolean {
  return (entity) => {
    if (slot.sort !== undefined && entity.type !== slot.sort) return false;
    return devicesOf(home, entity).some(
      (device) =>
        isKnown(device) &&
        (slot.kinds === undefined || slot.kinds.includes(device.kind)) &&
        (slot.room === undefined || device.room === slot.room),
    );
  };
}

/** "The shop and the yard", and places that have no name of their own: "here", "upstairs". */
function placesGrammar(writing: Writing, rooms: readonly Nameable[]): Pattern {
  const { pack, said, define } = writing;
  const and = define("and", () => said(pack.targets.and) ?? nothingToSay);
  const unnamed = placeWords.filter((sort) => isConnective(writing, sort));
  const place = choice([
    withArticle(writing, namesOf(writing, rooms) ?? nothingToSay),
    said(unnamed.flatMap((sort) => pack.targets[sort])),
  ]);
  return sequence(place, optional(sequence(and, ruleNamed("places"))));
}

/** Where something is, if that is said: "in the shop", "upstairs". */
function inPlaces({ pack, said }: Writing, places: Pattern): Pattern {
  const inWords = said(pack.targets.inPlace);
  return optional(sequence(inWords && optional(inWords), places));
}

/** What things are made of. */
interface Parts {
  takes: (entity: Nameable) => boolean;
  names: Pattern;
  places: Pattern;
}

/** One thing, or several that are named as one: "the lamps in the shop". */
function thingsGrammar(writing: Writing, { takes, names, places }: Parts): Pattern {
  const { home, pack, said } = writing;
  const { all, both, it, here, there, this: pointed } = pack.targets;
  const within = inPlaces(writing, places);
  const taken = new Set([...home.devices.values()].filter(takes).map(({ kind }) => kind));
  const nouns = said(
    nounsOf(writing).flatMap(({ said: text, noun }) => (taken.has(noun.kind) ? text : [])),
  );
  const some = said([...all, ...both, ...pointed]);
  const kinds = nouns && withArticle(writing, nouns);
  const many = some && optional(some);
  const named = choice([
    names,
    kinds && sequence(many, kinds, within),
    kinds && sequence(many, places, kinds),
    said([...it, ...here, ...there]),
  ]);
  return sequence(writing.lead && optional(writing.lead), named);
}

function namesOf(
  { home, language, said }: Writing,
  entities: readonly Nameable[],
): Pattern | undefined {
  const first = home.languages[0] ?? language;
  return said(
    entities.flatMap((entity) => spokenNames(entity, language, first).map(({ text }) => text)),
  );
}

function withArticle({ pack, said, define }: Writing, pattern: Pattern): Pattern {
  const small = said(pack.small);
  return small ? sequence(optional(define("article", () => small)), pattern) : pattern;
}
