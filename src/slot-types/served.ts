import type { LanguagePack } from "../language/pack.ts";
import type { Nameable } from "../model/home.ts";
import { isHeadFirst, whichOf } from "./heads.ts";

/** The sorts of device that are called by what they are for. */
const serving: ReadonlySet<string> = new Set(["valve", "heater", "thermostat", "sensor"]);

/** Shortest beginning of a word that is written as one. */
const shortest = 3;

/**
 * What something is for, if it is called by that: "water the lawn" by its sprinkler, "how wet is the compost" by
 * its sensor, "how hot is the water" and "underfloor off" by what the heater and the heating are called beside that.
 */
export function servedBy(
  entity: Nameable,
  words: readonly string[],
  pack: LanguagePack,
): readonly string[] {
  if (entity.type !== "device" || !serving.has(entity.kind)) return [];
  const { kind } = entity;
  const heads = [...(pack.kinds[kind]?.one ?? []), ...(kind === "valve" ? pack.waterers : [])];
  const head = words.at(isHeadFirst(pack) ? 0 : -1) ?? "";
  if (kind === "valve" || kind === "sensor" || heads.includes(head)) {
    const which = whichOf(words, pack);
    if (which.length > 0) return which;
  }
  // "Kräuterbewässerung" is for "Kräuter".
  const [link] = heads.flatMap((end) =>
    head.endsWith(end)
      ? (pack.links ?? []).flatMap((each) => (head.endsWith(each + end) ? each + end : []))
      : [],
  );
  const stem = link === undefined ? "" : head.slice(0, head.length - link.length);
  return stem.length < shortest ? [] : [stem];
}
