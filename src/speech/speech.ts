import type { StatesOf } from "../commands/states.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Phrasebook } from "../phrasebook/model.ts";

/** Everything that a reply is made from. */
export interface Speech {
  book: Phrasebook;
  pack: LanguagePack;
  language: string;
  states: StatesOf;
  /** The date there, if it is known. */
  today: () => string | undefined;
  /** Whether it is read by somebody, and not said: what voice is barred from is spoken of as well. */
  isForEyes?: true;
}
