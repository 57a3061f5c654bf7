import { type AddressInfo, createServer } from "node:net";
import { Aedes } from "aedes";

/** A broker in this process, for trying things on loopback: it keeps nothing. */
export interface StandInBroker {
  url: string;
  /** What has come to it, with when. */
  arrived: () => readonly { topic: string; text: string }[];
  close: () => Promise<void>;
}

/** Messages that are remembered. */
const kept = 1000;

export async function startBroker(port = 0): Promise<StandInBroker> {
  const aedes = await Aedes.createBroker();
  // What is small and waits is late.
  const server = createServer({ noDelay: true }, (socket) => {
    aedes.handle(socket);
  });
  const arrived: { topic: string; text: string }[] = [];
  aedes.on("publish", ({ topic, payload }) => {
    if (topic.startsWith("$SYS/")) return;
    arrived.push({ topic, text: payload.toString() });
    if (arrived.length > 2 * kept) arrived.splice(0, kept);
  });
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "127.0.0.1", resolve);
  });
  const address: AddressInfo | string | null = server.address();
  const bound = typeof address === "object" && address ? address.port : port;
  return {
    url: `mqtt://127.0.0.1:${bound}`,
    arrived: () => arrived,
    async close() {
      await new Promise<void>((resolve) => {
        aedes.close(resolve);
      });
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
