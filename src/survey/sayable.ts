import type { Book } from "../home/book.ts";
import { spokenNames } from "../hearing/names.ts";
import type { VoiceAccess } from "../phrasebook/kinds.ts";
import type { Device } from "../phrasebook/model.ts";
import { samplePhrases } from "./sample.ts";

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
export function listSayable(book: Book, language = book.languages[0] ?? "en"): SayableDevice[] {
  return [...book.devices.values()].map((device) => {
    const names = spokenNames(device, language, book.languages[0] ?? language);
    const [name, ...aliases] = names.map(({ text }) => text);
    const said = device.voice === "barred" ? [] : phrasesFor(book, device, name ?? "", language);
    return {
      id: device.id,
      ...(device.room === undefined ? {} : { room: device.room }),
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

function phrasesFor(book: Book, device: Device, name: string, language: string): string[] {
  const at = [...book.voicepoints.values()].find(({ room }) => room === device.room)?.id;
  const context = { language, ...(at === undefined ? {} : { at }) };
  const said: string[] = [];
  for (const intent of book.intents.values()) {
    if (![...intent.slots.values()].some(({ type }) => type === "target")) continue;
    const pattern = intent.patterns.find((each) => each.language === language);
    if (!pattern) continue;
    const [phrase] = samplePhrases(book, intent, pattern, [name], language);
    if (phrase === undefined) continue;
    const heard = book.hear(phrase, context);
    const effects = "effects" in heard ? heard.effects : [];
    const isOwn = effects.length > 0 && effects.every((effect) => effect.device === device.id);
    if (isOwn && "intent" in heard && heard.intent === intent.id) said.push(phrase);
  }
  return said;
}
