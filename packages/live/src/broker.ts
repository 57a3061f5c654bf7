import { Socket } from "node:net";
import mqtt, { type MqttClient } from "mqtt";

export type Heard = (payload: string, topic: string) => void;

export interface Publishing {
  topic: string;
  text: string;
  retain: boolean;
  quality: 0 | 1 | 2;
  /** Seconds in which it is to be taken, or not at all. */
  within: number;
}

/** A connection to a broker, over MQTT 5. */
export interface Broker {
  isConnected: () => boolean;
  /** Sends a message; it comes to nothing where the broker is not there, or is too late. */
  publish: (message: Publishing) => Promise<{ ok: true } | { ok: false; what: string }>;
  /** Listens to topics, `+` and `#` included, again whenever the connection is back. */
  listen: (topic: string, heard: Heard) => void;
  /** Resolves once the broker has taken all subscriptions so far. */
  ready: () => Promise<void>;
  close: () => Promise<void>;
}

export interface BrokerOptions {
  url: string;
  /** `user:password`. */
  login?: string | undefined;
  /** Told when the connection is there, and when it is lost. */
  onChange?: (isConnected: boolean) => void;
}

/** Longest that a topic or payload may be, in bytes. */
const mostBytes = 64 * 1024;

/** Reason codes of a broker that speaks an older version (MQTT 5.0, section 3.2.2.2; 3.1.1, 3.2.2.3). */
const olderVersion: readonly unknown[] = [0x01, 0x84];

export function connectBroker({ url, login, onChange }: BrokerOptions): Broker {
  const [username, password] = login === undefined ? [] : splitLogin(login);
  const listeners = new Map<string, Heard[]>();
  /** Those of them that more than one topic fits. */
  const filters: string[] = [];
  let subscribed: Promise<unknown> = Promise.resolve();
  const subscribe = (topics: readonly string[]): void => {
    if (topics.length === 0 || !client.connected) return;
    const asked = client.subscribeAsync([...topics], { qos: 1 });
    subscribed = Promise.allSettled([subscribed, asked]);
  };
  const connected: (() => void)[] = [];
  let isClosed = false;
  const connect = (protocolVersion: 5 | 4): MqttClient => {
    const made = mqtt.connect(url, {
      protocolVersion,
      clean: true,
      reconnectPeriod: 1000,
      connectTimeout: 5000,
      // What could not be sent in its time is not sent later: the door was to be locked then.
      queueQoSZero: false,
      resubscribe: false,
      ...(username !== undefined && { username }),
      ...(password !== undefined && { password }),
    });
    made.on("connect", () => {
      // Messages are small, and each is wanted at once.
      if (made.stream instanceof Socket) made.stream.setNoDelay(true);
      subscribe([...listeners.keys()]);
      for (const then of connected.splice(0)) then();
      onChange?.(true);
    });
    made.on("close", () => {
      if (!isClosed && made === client) onChange?.(false);
    });
    made.on("error", (error) => {
      // A broker that is not there is told by onChange, and tried again.
      const code: unknown = "code" in error ? error.code : undefined;
      if (protocolVersion !== 5 || isClosed || !olderVersion.includes(code)) return;
      made.end(true);
      client = connect(4);
    });
    made.on("message", (topic, payload) => {
      if (payload.length > mostBytes) return;
      const text = payload.toString("utf8");
      const wild = filters.filter((filter) => fits(filter, topic));
      for (const filter of [topic, ...wild]) {
        for (const each of listeners.get(filter) ?? []) each(text, topic);
      }
    });
    return made;
  };
  let client = connect(5);
  return {
    isConnected: () => client.connected,
    async publish({ topic, text, retain, quality, within }) {
      if (!client.connected) return { ok: false, what: "the broker is not there" };
      const properties = { messageExpiryInterval: Math.max(1, Math.ceil(within)) };
      const before = client.getLastMessageId();
      const sending = client.publishAsync(topic, text, {
        qos: quality,
        retain,
        ...(!retain && client.options.protocolVersion === 5 && { properties }),
      });
      const mid = client.getLastMessageId();
      let timer: NodeJS.Timeout | undefined;
      const late = new Promise<"late">((resolve) => {
        timer = setTimeout(resolve, within * 1000, "late");
      });
      try {
        if ((await Promise.race([sending, late])) !== "late") return { ok: true };
        sending.catch(() => undefined);
        if (mid !== before) client.removeOutgoingMessage(mid);
        return { ok: false, what: "the broker does not answer" };
      } catch {
        return { ok: false, what: "the broker did not take it" };
      } finally {
        clearTimeout(timer);
      }
    },
    listen(topic, heard) {
      const same = listeners.get(topic);
      if (same) same.push(heard);
      else {
        listeners.set(topic, [heard]);
        if (/[+#]/.test(topic)) filters.push(topic);
        subscribe([topic]);
      }
    },
    async ready() {
      if (!client.connected) await new Promise<void>((resolve) => connected.push(resolve));
      await subscribed;
    },
    async close() {
      isClosed = true;
      await client.endAsync(true);
    },
  };
}

function splitLogin(login: string): [string, string] {
  const at = login.indexOf(":");
  return at < 0 ? [login, ""] : [login.slice(0, at), login.slice(at + 1)];
}

/** Whether a topic fits a filter (MQTT 5.0, section 4.7). */
export function fits(filter: string, topic: string): boolean {
  const [parts, words] = [filter.split("/"), topic.split("/")];
  for (const [at, part] of parts.entries()) {
    if (part === "#") return true;
    const word = words[at];
    if (word === undefined || (part !== "+" && part !== word)) return false;
  }
  return parts.length === words.length;
}
