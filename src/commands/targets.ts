import type { StatesOf } from "./states.ts";
import type { Device, Nameable } from "../model/home.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { TargetSlot } from "../slot-types/slot.ts";
import type { LocalTime } from "../time/local.ts";
import { devicesIn, spokenOf } from "./places.ts";
import { deviceIndex } from "../model/device-index.ts";
import type { TargetExpression } from "../slot-types/expression.ts";
import type { Narrowing } from "../slot-types/narrowing.ts";
import { askedKey, remembered } from "./remembered.ts";
import {
  bulkOf,
  firstUnable,
  joinedOf,
  kindOf,
  none,
  optionOf,
  sortDevices,
  unfit,
} from "./gather.ts";
import type { Devices, Resolved, TargetAsked } from "./resolved.ts";
import type { ComputeContext } from "./compute.ts";
import { devicesOf } from "../model/members.ts";
import type { Reason } from "../model/reason.ts";

/** Where the speaker stands. */
export interface Speaker {
  room: string | undefined;
  /** What functions that compute steps are given, beside slots. */
  context: ComputeContext;
  /** What properties were before they were off. */
  lastOn?: StatesOf;
  /** What time it is there, if that is known. */
  time?: LocalTime | undefined;
  /** What a name that stands for several things was said to mean. */
  chosen?: string | undefined;
  /** Ids of the devices that were spoken of last. */
  it?: readonly string[] | undefined;
  /** Whether these were spoken of in the same breath, so that what names nothing is about them. */
  follows?: true;
  /** The intent of the command before it in the same breath, which it is like where nothing else decides. */
  alongside?: string | undefined;
  /** What was said apart from a thing and narrows it, with its words. */
  narrowings?: readonly { narrowing: Narrowing; words: string }[] | undefined;
  /** Words said for a slot when it was asked for. */
  said?: Readonly<Record<string, string>> | undefined;
}

/** Decides what a target stands for; see docs/targets.md. */
export function resolveTarget(
  book: Phrasebook,
  expression: TargetExpression,
  asked: TargetAsked,
  speaker: Speaker,
): Resolved {
  const resolved = resolveExpression(book, expression, asked, speaker);
  if (resolved.result !== "choices" || speaker.chosen === undefined) return resolved;
  return resolved.options.find(({ id }) => id === speaker.chosen) ?? resolved;
}

function resolveExpression(
  book: Phrasebook,
  expression: TargetExpression,
  asked: TargetAsked,
  speaker: Speaker,
): Resolved {
  if (asked.slot.named && !isNamed(expression)) {
    return unfit({ reason: "alone" });
  }
  const { sort } = asked.slot;
  if (sort && expression.target !== "named") {
    return unfit({ reason: "alone" });
  }
  switch (expression.target) {
    case "named":
      return resolveNamed(book, expression, asked, speaker);
    case "kind":
      return resolveKind(book, expression, asked, speaker);
    case "everything": {
      const { place } = expression;
      const resolve = () => bulkOf("everything", devicesIn(book, place, speaker), asked);
      if (place !== undefined) return resolve();
      return remembered(book, `everything ${askedKey(asked)}`, resolve);
    }
    case "here": {
      if (speaker.room === undefined) return unfit({ reason: "nowhere", said: "here" });
      return bulkOf("here", lightsFirst(devicesIn(book, "here", speaker), asked), asked);
    }
    case "unsaid":
      return resolveUnsaid(book, expression, asked, speaker);
    case "there":
    case "it": {
      const before = spokenOf(book, speaker);
      if (before.length === 0) {
        return unfit({ reason: "nowhere", said: expression.target });
      }
      if (expression.target === "there") {
        return bulkOf("there", devicesIn(book, "there", speaker), asked);
      }
      const [only] = before;
      const label = before.length === 1 && only?.names[0] ? only.names[0].text : "it";
      return bulkOf(label, before, asked, before.length === 1 ? "single" : "several");
    }
    case "ones":
      return resolveOnes(book, expression, asked, speaker);
    case "within": {
      const there = new Set<Nameable>(devicesIn(book, expression.place, speaker));
      const holders = expression.of.holders.filter(({ entity }) => there.has(entity));
      return resolveNamed(book, { ...expression.of, holders }, asked, speaker);
    }
    case "list":
      return resolveList(book, expression.items, asked, speaker);
    case "except":
      return resolveExcept(book, expression, asked, speaker);
  }
}

function isNamed(expression: TargetExpression): boolean {
  if (["everything", "here", "there", "ones"].includes(expression.target)) return false;
  if (expression.target === "unsaid" && expression.place !== undefined) return false;
  if (expression.target !== "named") return true;
  return expression.holders.some(({ entity: { type } }) => type === "device" || type === "group");
}

/**
 * A name stands for everything that bears it, narrowed by what is asked, then a name before an
 * alias, then by the speaker's room. What remains beyond one is a question, but where all or several of
 * that name are spoken of.
 */
function resolveNamed(
  book: Phrasebook,
  { holders, all }: Pick<TargetExpression & { target: "named" }, "holders" | "all">,
  asked: TargetAsked,
  speaker: Speaker,
): Resolved {
  const able: Devices[] = [];
  const unable: Reason[] = [];
  const seen = new Set<Nameable>();
  // Names first, so that something that bears the words as a name and an alias counts by the name.
  const ordered = [...holders].sort((a, b) => Number(a.name.alias) - Number(b.name.alias));
  for (const holder of ordered) {
    const { entity } = holder;
    if (seen.has(entity) || entity.type !== (asked.slot.sort ?? entity.type)) continue;
    seen.add(entity);
    const isPlace = entity.type === "room" || entity.type === "zone";
    const all = devicesOf(book, entity);
    // "Light up the shop" starts no compressor there; "the shop off" is all of it.
    const isLit = isPlace && asked.turnsOn === true;
    const sorted = sortDevices(isLit ? lightsFirst(all, asked) : all, asked);
    if (sorted.devices.length > 0) {
      able.push({
        result: "devices",
        label: holder.name.text,
        id: entity.id,
        holders: [holder],
        bulk: entity.type === "device" ? none : new Set(sorted.devices),
        along: isPlace ? new Set(sorted.devices) : none,
        isByKind: false,
        ...sorted,
      });
    } else {
      const { id } = entity;
      const first = firstUnable(all, sorted.skipped);
      unable.push(first ?? { reason: "unable", id, lack: { lack: "device" } });
    }
  }
  const byName = able.filter((option) => option.holders.some(({ name }) => !name.alias));
  const named = byName.length > 0 ? byName : able;
  const near = named.filter(({ holders: [holder] }) => isIn(holder?.entity, speaker.room));
  const isMany = named.some(({ holders: own }) => own.some(({ many }) => many));
  if (named.length > 1 && (all ?? isMany)) {
    const those = all !== "all" && near.length > 1 ? near : named;
    return all === "both" && those.length > 2
      ? { result: "choices", options: those }
      : joinedOf(those);
  }
  const left = near.length > 0 && named.length > 1 ? near : named;
  const [only] = left;
  if (only) return left.length === 1 ? only : { result: "choices", options: left };
  const [first] = unable;
  return unfit(first ?? { reason: "nothing" });
}

/** To have it on or off somewhere is to have light there, if there is one. */
function lightsFirst(all: readonly Device[], asked: TargetAsked): readonly Device[] {
  if (!asked.properties?.includes("power")) return all;
  const lights = all.filter(({ kind }) => kind === "light");
  return sortDevices(lights, asked).devices.length > 0 ? lights : all;
}

/**
 * "Turn the volume down": what has it of what was spoken of in the same breath, in the speaker's room, or the
 * only one that has it at all.
 */
function resolveUnsaid(
  book: Phrasebook,
  { place }: TargetExpression & { target: "unsaid" },
  asked: TargetAsked,
  speaker: Speaker,
): Resolved {
  if (place !== undefined) {
    const there = sortDevices(lightsFirst(devicesIn(book, place, speaker), asked), asked).devices;
    if (there.length === 0) return unfit({ reason: "nothing" });
    return bulkOf("there", there, asked, there.length === 1 ? "single" : "place");
  }
  if (speaker.follows) {
    const before = sortDevices(spokenOf(book, speaker), asked).devices;
    if (before.length === 0) return unfit({ reason: "nothing" });
    return bulkOf("it", before, asked, before.length === 1 ? "single" : "several");
  }
  const { all, inRoom } = deviceIndex(book);
  const here = speaker.room === undefined ? [] : sortDevices(inRoom(speaker.room), asked).devices;
  if (here.length > 0) return bulkOf("here", here, asked, here.length === 1 ? "single" : "place");
  const able = sortDevices(all, asked).devices;
  if (able.length <= 1) return bulkOf("it", able, asked, "single");
  return { result: "choices", options: able.map(optionOf) };
}

function isIn(entity: Nameable | undefined, room: string | undefined): boolean {
  return room !== undefined && entity?.type === "device" && entity.room === room;
}

/**
 * Devices of a kind. Without a place and without "all" they are those in the speaker's room, if it
 * has any, and otherwise those of the whole home. One is one: more are a question.
 */
function resolveKind(
  book: Phrasebook,
  expression: TargetExpression & { target: "kind" },
  asked: TargetAsked,
  speaker: Speaker,
): Resolved {
  const { kinds, all, place } = expression;
  if (all === "both") return resolveBoth(book, expression, asked, speaker);
  const label = kinds.join(" or ");
  const isOfKind = ({ kind }: Device): boolean => kinds.includes(kind);
  if (place === undefined) {
    const index = deviceIndex(book);
    const here = speaker.room === undefined ? [] : index.inRoom(speaker.room).filter(isOfKind);
    if (!all && sortDevices(here, asked).devices.length > 0) {
      return resolveCalled(label, here, expression, asked);
    }
    // In a large home there may be thousands of a kind, and what they come to is always the same.
    const { many, said } = expression;
    return remembered(book, `${said} ${many} ${askedKey(asked)}`, () => {
      const [only = "", more] = kinds;
      const ofKind = more === undefined ? index.ofKind(only) : index.all.filter(isOfKind);
      return resolveCalled(label, ofKind, expression, asked);
    });
  }
  const there = devicesIn(book, place, speaker).filter(isOfKind);
  const many = expression.many || place === "everywhere";
  return resolveCalled(label, there, { ...expression, many }, asked);
}

/**
 * Devices of a kind by a noun for it: one of several is the one that has the noun in its name, "the curtain"
 * beside a blind; and several are only those where the nouns of a kind are for different things.
 */
function resolveCalled(
  label: string,
  ofKind: readonly Device[],
  {
    many,
    called,
    differs,
  }: Pick<TargetExpression & { target: "kind" }, "many" | "called" | "differs">,
  asked: TargetAsked,
): Resolved {
  const resolved = kindOf(label, ofKind, many, asked);
  if (many ? !differs : resolved.result !== "choices") return resolved;
  const those = called();
  const so = ofKind.filter((device) => those.has(device));
  return so.length === 0 || so.length === ofKind.length ? resolved : kindOf(label, so, many, asked);
}

/** The two of a kind that there are where the speaker is, in a place, or at all; more are a question. */
function resolveBoth(
  book: Phrasebook,
  { kinds, place }: TargetExpression & { target: "kind" },
  asked: TargetAsked,
  speaker: Speaker,
): Resolved {
  const places = place === undefined ? (["here", "everywhere"] as const) : [place];
  const reached = places.map((where) => {
    const ofKind = devicesIn(book, where, speaker).filter(({ kind }) => kinds.includes(kind));
    return sortDevices(ofKind, asked).devices;
  });
  const two = reached.find((devices) => devices.length === 2);
  if (two) return bulkOf(kinds.join(" or "), two, asked, "kind");
  const several = reached.find((devices) => devices.length > 2);
  return several
    ? { result: "choices", options: several.map(optionOf) }
    : unfit({ reason: "nothing" });
}

/** "The one in the loft" is of a kind with what was spoken of; otherwise what there can do it. */
function resolveOnes(
  book: Phrasebook,
  { many, place }: TargetExpression & { target: "ones" },
  asked: TargetAsked,
  speaker: Speaker,
): Resolved {
  const there = devicesIn(book, place, speaker);
  const kinds = new Set(spokenOf(book, speaker).map(({ kind }) => kind));
  const alike = there.filter(({ kind }) => kinds.has(kind));
  const meant = alike.length > 0 ? alike : lightsFirst(there, asked);
  // Without either nobody can tell which of several sorts are meant.
  const sorts = new Set(sortDevices(meant, asked).devices.map(({ kind }) => kind));
  return kindOf("there", meant, many && sorts.size === 1, asked);
}

function resolveList(
  book: Phrasebook,
  items: readonly TargetExpression[],
  asked: TargetAsked,
  speaker: Speaker,
): Resolved {
  const parts: Devices[] = [];
  for (const item of items) {
    const resolved = resolveTarget(book, item, asked, speaker);
    if (resolved.result !== "devices") return resolved;
    parts.push(resolved);
  }
  return {
    result: "devices",
    label: parts.map(({ label }) => label).join(" and "),
    id: parts.map(({ id }) => id).join(" "),
    holders: parts.flatMap(({ holders }) => holders),
    devices: [...new Set(parts.flatMap(({ devices }) => devices))],
    bulk: new Set(parts.flatMap(({ bulk }) => [...bulk])),
    along: new Set(parts.flatMap(({ along }) => [...along])),
    isByKind: parts.every(({ isByKind }) => isByKind),
    skipped: parts.flatMap(({ skipped }) => skipped),
  };
}

function resolveExcept(
  book: Phrasebook,
  { from, without }: TargetExpression & { target: "except" },
  asked: TargetAsked,
  speaker: Speaker,
): Resolved {
  // What is left out need not be able to do what is asked.
  const anything: TargetAsked = { slot: bareSlot(asked.slot) };
  const left = resolveTarget(book, without, anything, speaker);
  if (left.result !== "devices") return left;
  const out = new Set(left.devices);
  let whole = resolveTarget(book, from, asked, speaker);
  if (whole.result !== "devices") return whole;
  // "The lights except the lantern" is said of more than the room, where the lantern is elsewhere.
  if (from.target === "kind" && !from.all && !whole.devices.some((device) => out.has(device))) {
    whole = resolveTarget(book, { ...from, all: "all" }, asked, speaker);
    if (whole.result !== "devices") return whole;
  }
  const devices = whole.devices.filter((device) => !out.has(device));
  if (devices.length === 0) return unfit({ reason: "left" });
  const label = `${whole.label} except ${left.label}`;
  return { ...whole, label, id: label, devices };
}

function bareSlot({ name, at }: TargetSlot): TargetSlot {
  return { fills: "target", type: "target", name, at };
}
