import type { LanguagePack } from "../language/pack.ts";
import type { Nameable } from "../model/home.ts";
import { isHeadFirst, whichOf } from "./heads.ts";
import { stemsOf } from "./stems.ts";

/** The sorts of device that are called by what they are for. */
const serving: ReadonlySet<string> = new Set(["valve", "heater", "thermostat", "sensor"]);

/**
 * What something is for, if it is called by that: "water the lawn" by its sprinkler, "how wet is the compost" by
 * its sensor, "how hot is the water" and "underfloor off" by what the heater and the heating are called beside that.
 *
 * @param kindWords What devices of its kind are called in one word.
 */
export function servedBy(
  entity: Nameable,
  words: readonly string[],
  { pack, kindWords }: { pack: LanguagePack; kindWords: readonly string[] },
): readonly string[] {
  if (entity.type !== "device" || !serving.has(entity.kind)) return [];
  const { kind } = entity;
  const heads = [...kindWords, ...(kind === "valve" ? pack.waterers : [])];
  const head = words.at(isHeadFirst(pack) ? 0 : -1) ?? "";
  if (kind === "valve" || kind === "sensor" || heads.includes(head)) {
    const which = whichOf(words, pack);
    if (which.length > 0) return which;
  }
  // "Kräuterbewässerung" is for "Kräuter".
  const [stem] = stemsOf(head, heads, pack);
  return stem === undefined ? [] : [stem];
}
