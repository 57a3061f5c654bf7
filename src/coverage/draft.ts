import type { Book } from "../book/book.ts";
import { packOf } from "../language/packs.ts";
import { spokenNames } from "../model/names.ts";
import type { State } from "../model/property.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import { choice, phrase, words } from "../pattern/build.ts";
import { phrases } from "../pattern/phrases.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Intent } from "../phrasebook/model.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import type { Slot } from "../slot-types/slot.ts";

/** What a case says or has happen, before anybody knows what comes of it. */
export interface Draft {
  hear?: string;
  after?: readonly DraftHappening[];
  language: string;
  at?: string;
  time: string;
  given?: Readonly<Record<string, State>>;
  faults?: Readonly<Record<string, "offline">>;
}

/** Something that happens, and seconds that pass after it. */
export interface DraftHappening {
  hear?: string;
  run?: string;
  press?: string;
  presence?: string;
  set?: Readonly<Record<string, State>>;
  wait: number;
}

/** A Monday morning. */
export const monday = "2026-03-02";
export const morning = `${monday}T09:00`;

/** What a pattern can say, with something usual in its slots, or with all that may well be said there. */
export function* phrasesOf(
  book: Book,
  intent: Intent,
  { tree, language }: SpokenPattern,
  isWhole: boolean,
): Generator<string> {
  const resolve = (name: string): Pattern | undefined => {
    const slot = intent.slots.get(name);
    if (!slot) return fragmentTree(book.fragments.get(name), language);
    const all = said(book, slot, language);
    const [usual] = all && !isWhole ? phrases(all, resolve) : [];
    return isWhole ? all : usual && words(...usual);
  };
  for (const each of phrases(tree, resolve)) yield each.join(" ");
}

/** What may be said for a slot: something usual, its limits, and each value with words of its own. */
function said(book: Book, slot: Slot, language: string): Pattern | undefined {
  if (slot.fills === "words") return phrase("xxx");
  const pack = packOf(book, language);
  if (slot.fills === "target") {
    const first = book.languages[0] ?? language;
    const named = [...book.devices.values(), ...book.groups.values(), ...book.rooms.values()];
    const names = named.flatMap((each) => spokenNames(each, language, first)[0]?.text ?? []);
    return choice(names.slice(0, 12).map(phrase));
  }
  const { limits, values = [] } = slot;
  const [, seconds = "seconds"] = pack.times.units.second;
  const numbers = [limits?.minimum, limits?.maximum].flatMap((limit) =>
    limit === undefined ? [] : slot.family === "duration" ? `${limit} ${seconds}` : String(limit),
  );
  const own = values.flatMap(({ patterns }) =>
    patterns.filter((each) => each.language === language).map(({ tree }) => tree),
  );
  return choice([...slot.samples({ home: book, language, pack }), ...numbers.map(phrase), ...own]);
}
