import type { Book } from "../home/book.ts";
import { spokenNames } from "../hearing/names.ts";
import { packFor } from "../language/packs.ts";
import { phrases } from "../pattern/phrases.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { VoiceAccess } from "../phrasebook/kinds.ts";
import type { Device, Intent, SpokenPattern } from "../phrasebook/model.ts";
import { fragmentTree } from "../phrasebook/references.ts";

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
    const phrase = pattern && samplePhrase(book, intent, pattern, name, language);
    if (phrase === undefined) continue;
    const heard = book.hear(phrase, context);
    const effects = "effects" in heard ? heard.effects : [];
    const isOwn = effects.length > 0 && effects.every((effect) => effect.device === device.id);
    if (isOwn && "intent" in heard && heard.intent === intent.id) said.push(phrase);
  }
  return said;
}

/** The first phrase of a pattern with the device's name and everyday values in its slots. */
function samplePhrase(
  book: Book,
  intent: Intent,
  { tree }: SpokenPattern,
  name: string,
  language: string,
): string | undefined {
  const pack = packFor(language);
  const samples: Readonly<Record<string, string | undefined>> = {
    target: name,
    percent: "40 %",
    number: "5",
    integer: "5",
    temperature: "21",
    "colour-temperature": "3000 K",
    colour: Object.values(pack?.colours ?? {})[0]?.[0],
    text: "…",
  };
  const words = (text: string): Pattern => {
    return { type: "words", words: text.split(" "), span: [0, 0] };
  };
  const resolve = (reference: string): Pattern | undefined => {
    const slot = intent.slots.get(reference);
    if (!slot) return fragmentTree(book.fragments.get(reference), language);
    if (slot.type === "value") {
      const { property } = slot;
      const own = [...book.devices.values()].flatMap(
        ({ properties }) => properties.get(property)?.enum ?? [],
      );
      const value = own.find((each) => each !== "off") ?? own[0];
      return value === undefined ? undefined : words(pack?.values[property]?.[value]?.[0] ?? value);
    }
    const sample = samples[slot.type];
    return sample === undefined ? undefined : words(sample);
  };
  const [first] = phrases(tree, resolve);
  return first?.join(" ");
}
