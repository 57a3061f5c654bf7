import type { Utterance } from "../automaton/utterance.ts";
import { whyBarred } from "../commands/access.ts";
import { isKnown } from "../model/known.ts";
import { spokenNames } from "../model/names.ts";
import type { Reason } from "../model/reason.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { Position } from "../source/position.ts";

/** A device that speech does not know, though it was named. */
export interface Barred {
  device: string;
  why: Reason;
  /** Where its name is written. */
  at: Position;
}

/** Devices that were named and that voice is barred from. */
export function barredIn(book: Phrasebook, language: string, { texts }: Utterance): Barred[] {
  const said = ` ${texts.join(" ")} `;
  return [...book.devices.values()].flatMap((device): Barred[] => {
    if (isKnown(device)) return [];
    const name = spokenNames(device, language, book.languages[0] ?? language).find(({ words }) =>
      said.includes(` ${words.join(" ")} `),
    );
    return name ? [{ device: device.id, why: whyBarred(device), at: name.at }] : [];
  });
}
