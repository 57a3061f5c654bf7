import type { Connection, Listening, OrderMessage } from "calm-phrase";
import { type Broker, connectBroker } from "./broker.ts";
import { type Filling, bodyOf } from "./messages.ts";
import { askWeb, authorization } from "./web.ts";

/** What came of sending something: what a web service answered, if it did. */
export type Sent = { ok: true; text?: string } | { ok: false; what: string };

/** What goes out, and what its words stand for. */
export interface Sending extends Filling {
  message: OrderMessage;
  /** Seconds in which it is to be taken. */
  within: number;
}

/** The connections of a phrasebook, open. */
export interface Connections {
  send: (connection: string, sending: Sending) => Promise<Sent>;
  /** Hears what a broker has to tell; a web service tells nothing by itself. */
  listen: (connection: string, topic: string, heard: (text: string, topic: string) => void) => void;
  /** Asks a web service what it has to tell. */
  look: (connection: string, listening: Listening, within: number) => Promise<Sent>;
  /** Resolves once all brokers are there, or after some seconds. */
  ready: (seconds: number) => Promise<void>;
  /** Resolves once the brokers that are there have taken all that is listened to. */
  listening: () => Promise<void>;
  /** Whether each is there; a web service is, as far as anybody knows. */
  states: () => { id: string; url: string; isThere: boolean }[];
  brokerOf: (connection: string) => Broker | undefined;
  /** The first of them that is a broker: where messages without one go. */
  firstBroker: () => string | undefined;
  close: () => Promise<void>;
}

export interface ConnectOptions {
  /** Logins by the names of their variables, as the environment has them. */
  logins: Readonly<Record<string, string | undefined>>;
  /** URLs in place of those that are written. */
  urls?: Readonly<Record<string, string>> | undefined;
  onChange?: (connection: string, isThere: boolean) => void;
}

export function openConnections(
  written: ReadonlyMap<string, Connection>,
  { logins, urls = {}, onChange }: ConnectOptions,
): Connections {
  const connections = new Map(
    [...written].map(([id, each]) => [id, { ...each, url: urls[id] ?? each.url }]),
  );
  const brokers = new Map<string, Broker>();
  const loginOf = ({ login }: Connection): string | undefined =>
    login === undefined ? undefined : logins[login];
  for (const connection of connections.values()) {
    if (connection.protocol !== "mqtt") continue;
    const { id, url } = connection;
    const changed = (isThere: boolean): void => onChange?.(id, isThere);
    brokers.set(id, connectBroker({ url, login: loginOf(connection), onChange: changed }));
  }
  /** A login is for the machine of its connection, and told to no other. */
  const loginFor = (connection: Connection, url: string): Record<string, string> =>
    originOf(url) === originOf(connection.url) ? authorization(loginOf(connection)) : {};
  const urlOf = ({ url }: Connection, path: string): string =>
    /^https?:/.test(path) ? path : `${url.replace(/\/$/, "")}/${path.replace(/^\//, "")}`;
  return {
    async send(id, { message, within, ...filling }) {
      const connection = connections.get(id);
      if (!connection) return { ok: false, what: "there is no such connection" };
      const { to, method, headers, retain, quality } = message;
      const body = bodyOf(message, filling);
      const broker = brokers.get(id);
      if (broker) return broker.publish({ topic: to, text: body, retain, quality, within });
      const type = "json" in message.body ? { "content-type": "application/json" } : {};
      const value = encodeURIComponent(String(filling.value));
      const url = urlOf(connection, to.replaceAll("$value", value));
      const all = { ...type, ...loginFor(connection, url), ...headers };
      return askWeb({ url, method, headers: all, body, within });
    },
    listen(id, topic, heard) {
      brokers.get(id)?.listen(topic, heard);
    },
    async look(id, { from, headers }, within) {
      const connection = connections.get(id);
      if (!connection) return { ok: false, what: "there is no such connection" };
      const url = urlOf(connection, from);
      const all = { ...loginFor(connection, url), ...headers };
      return askWeb({ url, method: "GET", headers: all, within });
    },
    async ready(seconds) {
      let timer: NodeJS.Timeout | undefined;
      const late = new Promise((resolve) => (timer = setTimeout(resolve, seconds * 1000)));
      await Promise.race([late, Promise.all([...brokers.values()].map((each) => each.ready()))]);
      clearTimeout(timer);
    },
    async listening() {
      const there = [...brokers.values()].filter((broker) => broker.isConnected());
      await Promise.all(there.map((broker) => broker.ready()));
    },
    states: () =>
      [...connections.values()].map(({ id, url }) => ({
        id,
        url,
        isThere: brokers.get(id)?.isConnected() ?? true,
      })),
    brokerOf: (id) => brokers.get(id),
    firstBroker: () => [...brokers.keys()][0],
    async close() {
      await Promise.all([...brokers.values()].map((broker) => broker.close()));
    },
  };
}

function originOf(url: string): string | undefined {
  return URL.canParse(url) ? new URL(url).origin : undefined;
}
