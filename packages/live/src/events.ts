import type { LiveHome } from "calm-phrase";
import type { FastifyReply } from "fastify";

/** Streams of events that are open at once at most. */
export const mostStreams = 20;
/** Bytes that wait for a reader before the stream is ended. */
const mostWaiting = 256 * 1024;

/** Streams what happens, as server-sent events (WHATWG HTML, section 9.2). */
export function createEvents(home: Pick<LiveHome, "on">): {
  open: (reply: FastifyReply) => boolean;
  close: () => void;
} {
  const streams = new Set<FastifyReply["raw"]>();
  const stop = home.on(({ time, event }) => {
    const text = `event: ${event.event}\ndata: ${JSON.stringify({ time, ...event })}\n\n`;
    for (const stream of streams) {
      // Who does not read what is sent is no reader.
      if (stream.writableLength > mostWaiting) stream.destroy();
      else stream.write(text);
    }
  });
  return {
    open(reply) {
      if (streams.size >= mostStreams) return false;
      const { raw } = reply;
      reply.hijack();
      raw.writeHead(200, { "content-type": "text/event-stream", "cache-control": "no-store" });
      raw.write(": what happens from here on\n\n");
      streams.add(raw);
      raw.on("close", () => streams.delete(raw));
      return true;
    },
    close() {
      stop();
      for (const stream of streams) stream.end();
      streams.clear();
    },
  };
}
