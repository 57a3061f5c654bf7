import { type VoiceAccess, isStricter } from "../model/kinds.ts";
import { isKnown } from "../model/known.ts";
import type { Device } from "../model/home.ts";
import type { Effect, Skipped } from "./outcome.ts";
import type { Reason } from "../model/reason.ts";

/** What speech may do of what was asked. */
export interface Allowed {
  /** The strictest guard among the effects that are left. */
  access: Exclude<VoiceAccess, "barred">;
  effects: Effect[];
  skipped: Skipped[];
}

/** Why speech is barred from a device; for tools alone. */
export function whyBarred({ id, doubt }: Device): Reason {
  return { reason: "barred", device: id, ...(doubt ? { until: doubt } : {}) };
}

/**
 * Holds effects against what voice may do with each device. From a bulk command, devices that are
 * guarded are left out, unless nothing else was meant; what is barred is always left out.
 */
export function guard(
  effects: readonly Effect[],
  devices: ReadonlyMap<string, Device>,
  bulk: ReadonlySet<Device>,
): Allowed {
  const accessOf = (effect: Effect): VoiceAccess => accessTo(devices.get(effect.device), effect);
  const skipped: Skipped[] = [];
  const reachable = effects.filter((effect) => {
    const device = devices.get(effect.device);
    if (!device || isKnown(device)) return true;
    skipped.push({ device: effect.device, why: whyBarred(device) });
    return false;
  });
  const isBulk = ({ device: id }: Effect): boolean => {
    const device = devices.get(id);
    return device !== undefined && bulk.has(device);
  };
  const free = reachable.filter((effect) => accessOf(effect) === "free" || !isBulk(effect));
  const left = free.length > 0 ? free : reachable;
  for (const effect of reachable) {
    if (left.includes(effect)) continue;
    const { device } = effect;
    const needs = accessOf(effect) === "code" ? "code" : "confirm";
    skipped.push({ device, why: { reason: "guarded", device, needs } });
  }
  const levels = new Set(left.map(accessOf));
  const access = levels.has("code") ? "code" : levels.has("confirm") ? "confirm" : "free";
  return { access, effects: left, skipped };
}

/** The strictest guard that was answered, or all of them where no speech or a trusted one is. */
export type Grant = "free" | "confirm" | "code" | "all";

/** Whether an effect asks for more than was granted. */
export function exceeds(needs: VoiceAccess, grant: Grant): boolean {
  return grant !== "all" && isStricter(needs, grant);
}

/** What speech needs for an effect. */
export function accessTo(device: Device | undefined, effect: Effect): VoiceAccess {
  if (!device || device.voice === "free" || device.voice === "barred") {
    return device?.voice ?? "free";
  }
  return isSafeEffect(device, effect) ? "free" : device.voice;
}

/** Whether an effect is free with a device that is guarded, since it makes the home no less safe. */
export function isSafeEffect(device: Device, effect: Effect): boolean {
  if ("call" in effect) return device.safeActions.includes(effect.call);
  if (!("set" in effect)) return false;
  return Object.entries(effect.set).every(([property, value]) =>
    device.safe[property]?.includes(value),
  );
}
