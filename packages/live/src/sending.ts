import type { Book, DeviceResult, Message, Note } from "calm-phrase";
import type { Connections, Sent } from "./connections.ts";
import { askWeb } from "./web.ts";

/** Seconds in which a message goes, and somebody tells where a person is. */
export const messageTime = 10;

/** Sends a message of a step out: over its connection, to a topic of the first broker, or to a URL. */
export async function sendOut(connections: Connections, message: Message): Promise<DeviceResult> {
  const { over, to, text, retain, method } = message;
  const topic = to.startsWith("mqtt:") ? to.slice("mqtt:".length) : undefined;
  const connection = over ?? (topic === undefined ? undefined : connections.firstBroker());
  if (connection === undefined && topic !== undefined)
    return { ok: false, what: "there is no broker among the connections" };
  const sent: Sent =
    connection === undefined
      ? await askWeb({ url: to, method, headers: {}, body: text, within: messageTime })
      : await connections.send(connection, {
          message: {
            ...{ to: topic ?? to, method, headers: {}, retain, quality: 1 },
            body: { text: "$value" },
          },
          value: text,
          within: messageTime,
        });
  return sent.ok ? { ok: true } : sent;
}

/** Tells somebody something; who is not reached is told it by the log and its stream alone. */
export async function notifyOver(
  { contacts }: Book,
  connections: Connections,
  { person, text, tag }: Note,
): Promise<DeviceResult> {
  const contact = contacts.get(person);
  if (!contact?.notify) return { ok: true };
  const { connection, notify: message } = contact;
  const filling = { value: text, ...(tag !== undefined && { tag }) };
  const sent = await connections.send(connection, { message, within: messageTime, ...filling });
  return sent.ok ? { ok: true } : sent;
}
