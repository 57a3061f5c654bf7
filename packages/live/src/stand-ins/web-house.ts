import { type IncomingMessage, createServer } from "node:http";
import type { OrderMessage } from "calm-phrase";

/** A web service on loopback that devices are reached by. */
export interface WebHouse {
  url: string;
  /** Takes orders at a path; what comes back is whether it took one. */
  order: (message: OrderMessage, take: (text: string) => boolean) => void;
  /** Tells something at a path; nothing where the device does not answer. */
  tell: (path: string, told: () => string | undefined) => void;
  close: () => Promise<void>;
}

/** Bytes of an order at most. */
const mostBytes = 64 * 1024;

export async function startWebHouse(port = 0): Promise<WebHouse> {
  const orders = new Map<string, (text: string) => boolean>();
  const tales = new Map<string, () => string | undefined>();
  const server = createServer((request, response) => {
    const { method = "GET", url = "/" } = request;
    void read(request).then((text) => {
      const answer = (status: number, body = ""): void => {
        response.writeHead(status, { "content-type": "application/json" }).end(body);
      };
      const order = orders.get(`${method} ${url}`);
      const tale = method === "GET" ? tales.get(url) : undefined;
      if (order) answer(order(text) ? 204 : 503);
      else if (tale) {
        const told = tale();
        answer(told === undefined ? 503 : 200, told);
      } else answer(404);
    });
  });
  await new Promise<void>((resolve, reject) => {
    server.once("error", reject);
    server.listen(port, "127.0.0.1", resolve);
  });
  const address = server.address();
  const bound = typeof address === "object" && address ? address.port : port;
  const pathOf = (to: string): string => (to.startsWith("/") ? to : `/${to}`);
  return {
    url: `http://127.0.0.1:${bound}`,
    order: ({ method, to }, take) => orders.set(`${method} ${pathOf(to)}`, take),
    tell: (path, told) => tales.set(pathOf(path), told),
    async close() {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}

async function read(request: IncomingMessage): Promise<string> {
  let text = "";
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > mostBytes) break;
  }
  return text;
}
