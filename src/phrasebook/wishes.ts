import type { LanguagePack } from "../language/pack.ts";
import type { VocabularyId, WishId } from "../language/vocabulary.ts";
import type { SpeechUnits } from "../model/units.ts";
import { type VocabularyIntent, amountSlots, nudged } from "./shipped.ts";

/** What mends something that people say is wrong; it is answered as the order for it is. */
export interface Wish extends VocabularyIntent {
  mends: VocabularyId;
}

/** What each wish does. Only lights that are on help where it is too dark. */
export function wishIntents(
  packs: readonly LanguagePack[],
  units: SpeechUnits,
): Record<WishId, Wish> {
  const { steps, degrees, volumes } = amountSlots(packs, units);
  return {
    "too-dark": {
      mends: "brighter",
      needs: { property: "brightness" },
      slots: { target: { type: "target", kind: "light" }, amount: steps },
      do: [
        { set: { $target: { power: "on" } } },
        { nudge: { $target: { brightness: "$amount" } } },
      ],
    },
    "too-bright": { mends: "dimmer", ...nudged("brightness", "down", steps) },
    "too-cold": { mends: "warmer", ...nudged("target", "up", degrees) },
    "too-warm": { mends: "cooler", ...nudged("target", "down", degrees) },
    "too-loud": { mends: "quieter", ...nudged("volume", "down", volumes) },
    "too-quiet": { mends: "louder", ...nudged("volume", "up", volumes) },
    "too-slow": { mends: "faster", ...nudged("speed", "up", steps) },
    "too-fast": { mends: "slower", ...nudged("speed", "down", steps) },
  };
}
