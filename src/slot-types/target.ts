import * as z from "zod/mini";
import { type Cursor, listOf } from "../document/cursor.ts";
import { reference, references } from "../document/shapes.ts";
import type { Device, Nameable } from "../model/home.ts";
import { devicesOf } from "../model/members.ts";
import { spokenNames } from "../model/names.ts";
import { choice, nothingToSay, optional, sequence } from "../pattern/build.ts";
import type { Pattern } from "../pattern/tree.ts";
import { given } from "../source/given.ts";
import { need } from "./need.ts";
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

/** The devices that can fill a target slot, given what is asked of them, under a name for that. */
export interface Able {
  key: string;
  devices: readonly Device[];
}

/** The names, kinds and places that can fill a target slot. */
export function targetGrammar(writing: Writing, slot: TargetSlot, able: Able): Pattern {
  const { home, pack, language, said, define } = writing;
  const inPlace = said(pack.targets.inPlace);
  const preposition = inPlace && define("in-place", () => inPlace);
  const places: Nameable[] = [...home.rooms.values(), ...home.zones.values()];
  if (slot.narrows !== undefined) {
    const all = define("place", () => choice([namesOf(writing, places)]));
    return withArticle(writing, all);
  }
  const ids = new Set(able.devices.map(({ id }) => id));
  return define(able.key, () => {
    const isAble = (entity: Nameable): boolean =>
      (slot.sort === undefined || entity.type === slot.sort) &&
      devicesOf(home, entity).some(({ id }) => ids.has(id));
    const entities: Nameable[] = [
      ...home.devices.values(),
      ...home.groups.values(),
      ...(slot.named ? [] : places),
    ];
    const one = define(`${able.key}-one`, () =>
      withArticle(writing, namesOf(writing, entities.filter(isAble)) ?? nothingToSay),
    );
    if (slot.sort !== undefined) return one;
    const and = define("and", () => said(pack.targets.and) ?? nothingToSay);
    const listed = sequence(one, optional(sequence(and, one)));
    const kinds = [...new Set(able.devices.map(({ kind }) => kind))].map((kind) => {
      const own = home.kindNouns.filter(
        (noun) => noun.kind === kind && noun.many && noun.language === language,
      );
      const nouns = said([...(pack.kinds[kind]?.many ?? []), ...own.map(({ text }) => text)]);
      if (!nouns) return undefined;
      // Devices of another kind, or ones that voice is barred from, make no place for these.
      const holders = able.devices.filter((device) => device.kind === kind);
      const placed = namesOf(
        writing,
        places.filter((place) => devicesOf(home, place).some((each) => holders.includes(each))),
      );
      const inIt =
        placed && preposition && optional(sequence(preposition, withArticle(writing, placed)));
      return sequence(nouns, inIt);
    });
    if (kinds.every((kind) => kind === undefined)) return listed;
    const all = said(pack.targets.all);
    const ofKinds = define(`${able.key}-kinds`, () =>
      sequence(all && optional(define("all", () => all)), withArticle(writing, choice(kinds))),
    );
    const everything = slot.named ? undefined : said(pack.targets.everything);
    return choice([listed, ofKinds, everything]);
  });
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
