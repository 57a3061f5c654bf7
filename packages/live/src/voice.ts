import type { Book, LiveHome } from "calm-phrase";
import type { Connections } from "./connections.ts";
import type { Metrics } from "./metrics.ts";
import { jsonOrText } from "./pointer.ts";

/** Longest phrase that is heard, in characters. */
export const longestPhrase = 500;

/** What phrases are heard with. */
export interface Ears {
  book: Book;
  home: LiveHome;
  connections: Connections;
  metrics: Metrics;
}

/** Hears phrases that come as messages: a text, or JSON with text and language. Replies go out with all that is said. */
export function listenToVoice({ book, home, connections, metrics }: Ears): void {
  const voice = book.doors?.voice;
  if (!voice) return;
  for (const { id } of book.voicepoints.values()) {
    const topic = voice.hear.replaceAll("$voicepoint", id);
    connections.listen(voice.connection, topic, (payload) => {
      const { text, language } = readPhrase(payload);
      if (text === undefined) return;
      const done = metrics.hearing();
      const at = { at: id, ...(language !== undefined && { language }) };
      home
        .converse(at)
        .say(text)
        .then(({ outcome }) => {
          done(outcome);
        })
        // What is wrong with a phrase from outside is no fault of the home.
        .catch(() => {
          done("wrong");
        });
    });
  }
}

function readPhrase(payload: string): { text?: string; language?: string } {
  const read = jsonOrText(payload);
  const isObject = typeof read === "object" && read !== null;
  const text: unknown = isObject ? Reflect.get(read, "text") : payload;
  const language: unknown = isObject ? Reflect.get(read, "language") : undefined;
  if (typeof text !== "string" || text.length > longestPhrase) return {};
  return { text, ...(typeof language === "string" && { language }) };
}
