import { isKnown } from "../model/known.ts";
import type { Device } from "../model/home.ts";
import type { Reason } from "../model/reason.ts";
import { lackOf } from "./ability.ts";
import { whyBarred } from "./access.ts";
import type { Skipped } from "./outcome.ts";
import type { Devices, Resolved, TargetAsked } from "./resolved.ts";

/** A home may have a hundred thousand of a kind, each a choice of its own. */
export const none: ReadonlySet<Device> = new Set();

export function unfit(reason: Reason): Resolved {
  return { result: "unfit", reason };
}

/** Parts devices that can do what is asked from those that cannot, each with its reason. */
export function sortDevices(
  all: readonly Device[],
  asked: TargetAsked,
): { devices: Device[]; skipped: Skipped[] } {
  const devices: Device[] = [];
  const skipped: Skipped[] = [];
  for (const device of all) {
    const why = isKnown(device) ? unable(device, asked) : whyBarred(device);
    if (why === undefined) devices.push(device);
    else skipped.push({ device: device.id, why });
  }
  return { devices, skipped };
}

/** Why a device cannot do what is asked, or undefined when it can. */
function unable(device: Device, asked: TargetAsked): Reason | undefined {
  const lack = lackOf(device, asked);
  return lack && { reason: "unable", id: device.id, lack };
}

/** The first that voice is not barred from: reasons are spoken. */
export function firstUnable(
  all: readonly Device[],
  skipped: readonly Skipped[],
): Reason | undefined {
  const known = new Set(all.filter(isKnown).map(({ id }) => id));
  return skipped.find(({ device }) => known.has(device))?.why;
}

/** @param sort Whether they were asked for one by one, by their kind, or by where they are. */
export function bulkOf(
  label: string,
  all: readonly Device[],
  asked: TargetAsked,
  sort: "single" | "several" | "kind" | "place" = "place",
): Resolved {
  const sorted = sortDevices(all, asked);
  if (sorted.devices.length === 0) {
    const first = firstUnable(all, sorted.skipped);
    return unfit(first ?? { reason: "nothing", of: label });
  }
  const bulk = sort === "single" ? none : new Set(sorted.devices);
  const along = sort === "kind" || sort === "place" ? new Set(sorted.devices) : none;
  const isByKind = sort === "kind";
  return { result: "devices", label, id: label, holders: [], bulk, along, isByKind, ...sorted };
}

export function kindOf(
  label: string,
  ofKind: readonly Device[],
  many: boolean,
  asked: TargetAsked,
): Resolved {
  if (many) return bulkOf(label, ofKind, asked, "kind");
  const reached = sortDevices(ofKind, asked).devices;
  if (reached.length <= 1) {
    return bulkOf(label, reached.length === 1 ? reached : ofKind, asked, "single");
  }
  return { result: "choices", options: reached.map(optionOf) };
}

/** One of several devices, to be chosen by its name. */
export function optionOf(device: Device): Devices {
  const holder = { entity: device, name: device.names[0] };
  const name = holder.name?.text ?? device.id;
  const holders = holder.name ? [{ entity: device, name: holder.name }] : [];
  const one = { label: name, id: device.id, devices: [device], holders, isByKind: true };
  return { result: "devices", ...one, bulk: none, along: none, skipped: [] };
}

/** Several that share a name, as one target. */
export function joinedOf(options: readonly Devices[]): Resolved {
  const devices = [...new Set(options.flatMap((option) => option.devices))];
  const [first] = options;
  if (!first) return unfit({ reason: "nothing" });
  return {
    ...first,
    holders: options.flatMap((option) => option.holders),
    bulk: new Set(devices),
    devices,
    skipped: options.flatMap((option) => option.skipped),
  };
}
