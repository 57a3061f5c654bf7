import { isKnown } from "../model/known.ts";
import { type Asked, isAble } from "../commands/ability.ts";
import { listEffects } from "../commands/describe.ts";
import { effectsOf, intentOf } from "../commands/outcome.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { textOf } from "../source/border.ts";
import { type Book, asBook } from "../book/book.ts";
import { spokenNames } from "../model/names.ts";
import type { VoiceAccess } from "../model/kinds.ts";
import { planIntent } from "../commands/plan.ts";
import type { Device } from "../model/home.ts";
import type { Intent } from "../phrasebook/model.ts";
import { samplePhrases } from "./sample.ts";
import { given } from "../source/given.ts";

/** What can be said to one device, and what voice may do with it. */
export interface SayableDevice {
  id: string;
  room?: string;
  name: string;
  aliases: readonly string[];
  voice: VoiceAccess;
  /** Values that are free whatever `voice` says, as `property value`. */
  safe: readonly string[];
  /** A phrase for each thing that it can be told, each of which does that to it alone. */
  phrases: readonly string[];
}

/**
 * Lists what a home understands, device by device, in one language. Each phrase was heard and came
 * to its device before it is listed.
 */
export function listSayable(of: Book, tag?: string): SayableDevice[] {
  const book = asBook(of);
  const language = homeLanguage(book, textOf(tag));
  const samples = sampleCommands(book, language);
  return [...book.devices.values()].map((device) => {
    const names = spokenNames(device, language, book.languages[0] ?? language);
    const [name, ...aliases] = names.map(({ text }) => text);
    const said = isKnown(device)
      ? phrasesFor(book, device, samples, { name: name ?? "", language })
      : [];
    return {
      id: device.id,
      ...given({ room: device.room }),
      name: name ?? device.id,
      aliases,
      voice: device.voice,
      safe: Object.entries(device.safe).flatMap(([property, values]) =>
        values.map((value) => `${property} ${value}`),
      ),
      phrases: said,
    };
  });
}

/** A phrase of an intent with a mark where a target is named, and what that has to have. */
interface Sample {
  intent: Intent;
  phrase: string;
  asked: readonly Asked[];
}

/** What no pattern says, in the place of a name. */
const mark = "\u0000";

function sampleCommands(book: Book, language: string): Sample[] {
  return [...book.intents.values()].flatMap((intent): Sample[] => {
    if (![...intent.slots.values()].some(({ fills }) => fills === "target")) return [];
    const plan = planIntent(intent);
    // A question does nothing to a device.
    if (plan.orders.length === 0 && !intent.compute) return [];
    const pattern = intent.patterns.find((each) => each.language === language);
    if (!pattern) return [];
    const [phrase] = samplePhrases(book, intent, pattern, [mark]);
    const asked = [...plan.asked.values()];
    return phrase === undefined ? [] : [{ intent, phrase, asked }];
  });
}

function phrasesFor(
  book: Book,
  device: Device,
  samples: readonly Sample[],
  { name, language }: { name: string; language: string },
): string[] {
  const { id, room } = device;
  const at = [...book.voicepoints.values()].find((each) => each.room === room)?.id;
  const context = { language, ...given({ at }) };
  const said: string[] = [];
  const done = new Set<string>();
  for (const { intent, phrase: marked, asked } of samples) {
    if (!asked.every((each) => isAble(device, each))) continue;
    const phrase = marked.replaceAll(mark, name);
    const heard = book.hear(phrase, context);
    const effects = effectsOf(heard);
    const isOwn = effects.length > 0 && effects.every((effect) => effect.device === id);
    // Of several ways to say the same, people need one.
    const does = listEffects(effects).join();
    if (!isOwn || intentOf(heard) !== intent.id || done.has(does)) continue;
    done.add(does);
    said.push(phrase);
  }
  return said;
}
