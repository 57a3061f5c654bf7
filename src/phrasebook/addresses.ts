import type { Cursor } from "../document/cursor.ts";
import {
  type Address,
  type Doors,
  type Token,
  loopbackNames,
  tokenRights,
} from "../model/outside.ts";
import type { Value } from "../model/property.ts";
import { given } from "../source/given.ts";
import type { Slot } from "../slot-types/slot.ts";
import type { AddressDefinition, DoorsDefinition } from "./definition/outside.ts";
import type { Phrasebook } from "./model.ts";

/** An action that may be called from outside; none where any of it could not be read. */
export function readAddress(
  entry: Cursor<AddressDefinition>,
  { intents, routines }: Pick<Phrasebook, "intents" | "routines">,
): Address | undefined {
  const { id, keyAt: at, context } = entry;
  const { runs, guard = "free", keys = {}, with: fixed = {} } = entry.value;
  const what = routines.has(runs) ? "routine" : "intent";
  const isKnown = entry.key("runs").refers(what, new Set([...routines.keys(), ...intents.keys()]));
  const { doubts } = context;
  if (!isKnown || doubts.isOpen("address", id) || doubts.isOpen("everything", "")) return undefined;
  const known = (routines.get(runs) ?? intents.get(runs))?.slots ?? new Map<string, Slot>();
  const open = (entry.given("slots")?.items() ?? []).filter((slot) =>
    slot.refers(`slot of ${runs}`, known),
  );
  const values: Record<string, Value> = {};
  for (const value of entry.given("with")?.entries() ?? []) {
    if (value.refers(`slot of ${runs}`, known, { on: "key" })) values[value.id] = value.value;
  }
  const slots = open.map(({ value }) => value);
  const lacks = [...known.values()].filter(
    (slot) => isNeeded(slot) && !slots.includes(slot.name) && values[slot.name] === undefined,
  );
  for (const { name } of lacks) {
    const message = `nothing fills the slot ${name} of ${runs}`;
    entry.report("slot-unfilled", message, `write slots: [${name}], or with: { ${name}: … }`);
  }
  // What cannot be read whole is not called: what was left out of it may have been a guard.
  if (lacks.length > 0 || Object.keys(fixed).length !== Object.keys(values).length)
    return undefined;
  return { id, runs, slots, fixed: values, guard, keys: new Map(Object.entries(keys)), at };
}

function isNeeded(slot: Slot): boolean {
  return !("default" in slot) && slot.optional !== true;
}

const usualPort = 8437;

/** Where a live home listens; nowhere where any of it could not be read. */
export function readDoors(
  cursor: Cursor<DoorsDefinition>,
  connections: Phrasebook["connections"],
): Doors | undefined {
  const { value, keyAt: at, context } = cursor;
  const { host = "127.0.0.1", port = usualPort, tls, plain, hosts = [], origins = [] } = value;
  const tokens = Object.entries(value.tokens ?? {}).map(([name, written]): Token => {
    const token = typeof written === "string" ? { hash: written } : written;
    return { name, hash: token.hash, may: token.may ?? tokenRights };
  });
  if (value.page === true) {
    const message = "the page to try addresses would stay open";
    const fix = "take it out: calm-phrase live --page opens it for fifteen minutes";
    cursor.key("page").report("page-stays", message, fix);
  }
  const isBeyond = !loopbackNames.includes(host);
  if (isBeyond && tokens.length === 0) {
    const fix = "write tokens:, as calm-phrase live token prints them";
    cursor.key("host").report("door-open", `${host} is open to others without a token`, fix);
  }
  if (isBeyond && !tls && plain === undefined) {
    const fix = "write tls: { certificate: …, key: … }, or plain: and why it goes without";
    cursor.key("host").report("door-open", `${host} is open to others without TLS`, fix);
  }
  const voice = cursor.given("voice");
  const isBound = voice?.key("over").refers("connection", connections) ?? true;
  const isOpen = isBeyond && (tokens.length === 0 || (!tls && plain === undefined));
  const { doubts } = context;
  const isWhole = !doubts.isOpen("doors", "") && !doubts.isOpen("everything", "");
  if (isOpen || !isBound || !isWhole) return undefined;
  const topics = voice && {
    connection: voice.value.over,
    hear: voice.value.hear,
    say: voice.value.say,
  };
  return { host, port, ...given({ tls, plain, voice: topics }), hosts, origins, tokens, at };
}
