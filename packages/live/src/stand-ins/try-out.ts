import { type Book, type Doors, tokenRights } from "calm-phrase";
import type { Opened } from "calm-phrase/node";
import { openDoors } from "../doors.ts";
import { createOpened } from "../opened.ts";
import { startLive } from "../live.ts";
import { newSecret } from "../secrets.ts";
import { startBroker } from "./broker.ts";
import { type House, startHouse } from "./house.ts";

const phrases = [
  "extractor to sixty percent",
  "turn on the spots",
  "set the heating to twenty one",
  "close the blind",
  "is the shop door locked",
];

/**
 * Starts a broker, a house of stand-ins and the home on this machine, tries phrases and an address, shows
 * what arrived, and ends.
 *
 * @returns The exit code: 1 where something did not come to what it should.
 */
export async function tryOut({ book }: Opened): Promise<number> {
  const { kept, close } = createOpened();
  try {
    const broker = kept(await startBroker());
    const brokers = Object.fromEntries(
      [...book.connections.values()].flatMap(({ id, protocol }) =>
        protocol === "mqtt" ? [[id, broker.url]] : [],
      ),
    );
    const house = kept(await startHouse(book, { brokers }));
    const live = kept(await startLive(book, { urls: { ...brokers, ...house.urls } }));
    const { secret, hash } = newSecret();
    const door = kept(await openDoors(live, doorsFor(book, hash)));
    say(`${book.name}: a broker at ${broker.url}, ${book.bindings.size} devices in a house of`);
    say(`stand-ins at ${Object.values(house.urls).join(", ")}, and the home at ${door.url}\n`);
    const isHeard = await tryPhrases(book, house, (path, body) =>
      ask(door.url + path, secret, body),
    );
    const isCalled = await tryAddress(book, house, (path, body) =>
      ask(door.url + path, secret, body),
    );
    return isHeard && isCalled ? 0 : 1;
  } finally {
    await close();
  }
}

type Ask = (path: string, body: object) => Promise<Record<string, unknown>>;

async function tryPhrases(book: Book, house: House, asked: Ask): Promise<boolean> {
  const [at] = [...book.voicepoints.keys()];
  let isGood = true;
  for (const text of phrases) {
    const before = house.orders().length;
    const answer = await asked("/hear", { text, ...(at !== undefined && { at }) });
    say(`“${text}”`);
    const [outcome, told] = [String(answer["outcome"]), String(answer["told"])];
    say(`  ${told.startsWith(outcome) ? told : `${outcome}: ${told}`}`);
    for (const order of house.orders().slice(before)) say(`  arrived: ${order}`);
    say(`  says “${String(answer["reply"])}”\n`);
    isGood &&= ["act", "answer"].includes(String(answer["outcome"]));
  }
  return isGood;
}

async function tryAddress(book: Book, house: House, asked: Ask): Promise<boolean> {
  const address = [...book.addresses.values()].find(({ guard }) => guard === "free");
  if (!address) return true;
  const before = house.orders().length;
  say(`POST /call/${address.id}`);
  const answer = await asked(`/call/${address.id}`, {});
  for (const order of house.orders().slice(before)) say(`  arrived: ${order}`);
  const { told } = answer;
  for (const line of Array.isArray(told) ? told : []) say(`  ${String(line)}`);
  return answer["called"] === true;
}

function say(text: string): void {
  process.stdout.write(`${text}\n`);
}

/** A door with a token that lives as long as it is tried, on a port of its own. */
function doorsFor({ doors }: Book, hash: string): Doors {
  const token = { name: "trial", hash, may: tokenRights };
  const at = { file: "", line: 1, column: 1 };
  const open = { host: "127.0.0.1", port: 0, hosts: [], origins: [], tokens: [token], at };
  return { ...open, ...(doors?.voice && { voice: doors.voice }) };
}

async function ask(url: string, token: string, body: object): Promise<Record<string, unknown>> {
  const answer = await fetch(url, {
    method: "POST",
    headers: { authorization: `Bearer ${token}`, "content-type": "application/json" },
    body: JSON.stringify(body),
  });
  const read: unknown = await answer.json();
  return typeof read === "object" && read !== null ? { ...read } : {};
}
