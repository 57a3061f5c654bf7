import type { Book, LogEntry } from "calm-phrase";
import type { Connections } from "./connections.ts";

/** What a home says and tells, sent to voicepoints and people as messages. */
export interface Telling {
  take: (entry: LogEntry) => void;
  /** Resolves once all that was said has gone. */
  done: () => Promise<void>;
}

/** Seconds in which something said is worth saying. */
const within = 10;

export function createTelling(book: Book, connections: Connections): Telling {
  const voice = book.doors?.voice;
  let last: Promise<unknown> = Promise.resolve();
  const send = async (topic: string, text: string): Promise<void> => {
    const broker = voice && connections.brokerOf(voice.connection);
    await broker?.publish({ topic, text, retain: false, quality: 1, within });
  };
  return {
    take({ time, event }) {
      if (!voice || event.event !== "said") return;
      // Whoever asked from nowhere is answered, and the house need not hear it.
      if (event.where === "everywhere" && event.by === undefined) return;
      const text = JSON.stringify({ text: event.text, time });
      const points = voicepointsAt(book, event.where);
      last = last.then(async () => {
        for (const point of points) await send(voice.say.replaceAll("$voicepoint", point), text);
      });
    },
    done: async () => {
      await last;
    },
  };
}

/** The voicepoints at which something is said: one, those of a room or zone, or all. */
function voicepointsAt({ voicepoints, zones }: Book, where: string): string[] {
  if (voicepoints.has(where)) return [where];
  const all = [...voicepoints.values()];
  if (where === "everywhere") return all.map(({ id }) => id);
  const rooms = zones.get(where)?.rooms ?? [where];
  return all.filter(({ room }) => rooms.includes(room)).map(({ id }) => id);
}
