import type { Value } from "./property.ts";
import type { Position } from "../source/position.ts";

/** How something outside is reached: a broker, or a web service. */
export interface Connection {
  id: string;
  protocol: "mqtt" | "http";
  /** `mqtts://broker.example:8883`, `http://127.0.0.1:8090/house`. */
  url: string;
  /** The name of the environment variable with its user and password, or its bearer token. */
  login?: string;
  at: Position;
}

/** A message to a device; `$value` in it stands for the value in the device's own form. */
export interface OrderMessage {
  /** An MQTT topic, or a path or URL. */
  to: string;
  method: "GET" | "POST" | "PUT" | "PATCH" | "DELETE";
  headers: Readonly<Record<string, string>>;
  /** What is sent: a text, or a JSON value. */
  body: { text: string } | { json: unknown };
  /** Whether a broker keeps it for those who come later. */
  retain: boolean;
  /** MQTT quality of service (MQTT 5.0, section 4.3). */
  quality: 0 | 1 | 2;
}

/** Where a device tells something. */
export interface Listening {
  /** An MQTT topic, or a path or URL. */
  from: string;
  /** Where it stands in a JSON text: a JSON Pointer (RFC 6901); the whole text when empty. */
  pointer: string;
  headers: Readonly<Record<string, string>>;
  /** Seconds between two looks at a web service, which tells nothing by itself. */
  every?: number;
}

/** Where something tells that it is there: what it says then. */
export type Alive = Listening & { is: Value };

/** How a device's own form of a value is made, and made out. */
export interface Mapping {
  /** Its own values, by those of the property: `on` and `"ON"`. */
  values?: ReadonlyMap<string, Value>;
  /** Its number is the property's by this, and then some. */
  scale: number;
  offset: number;
  /** Its numbers are whole numbers of these. */
  step?: number;
  /** The unit of its numbers, where that is another one. */
  unit?: string;
  /** The form of its colours: `#rrggbb`, three numbers in a list, or three members. */
  colour: "hex" | "list" | "members";
}

export interface PropertyBinding {
  order?: OrderMessage;
  report?: Listening;
  mapping: Mapping;
  /** Whether it takes a while to come to what was ordered, and tells where it is on the way. */
  moves: boolean;
}

/** How a device is reached. */
export interface Binding {
  device: string;
  connection: string;
  /** Where it tells whether it is there, and what it says then. */
  alive?: Alive;
  /** Seconds in which it answers, each time. */
  within: number;
  /** Times that it is asked before it counts as failed. */
  tries: number;
  properties: ReadonlyMap<string, PropertyBinding>;
  /** Where a button tells that somebody pressed it. */
  pressed?: Listening;
  actions: ReadonlyMap<string, OrderMessage>;
  at: Position;
}

/** How somebody is reached, and where it is told whether they are at home. */
export interface Contact {
  person: string;
  connection: string;
  /** Where that is told, and what is said when they are. */
  presence?: Alive;
  /** What goes out to tell them something: `$value` is the text, `$tag` its tag. */
  notify?: OrderMessage;
  at: Position;
}

/** An action that may be called from outside. */
export interface Address {
  id: string;
  /** The routine or intent whose steps it is. */
  runs: string;
  /** Slots that the caller fills. */
  slots: readonly string[];
  /** Slots that are filled already. */
  fixed: Readonly<Record<string, Value>>;
  /** What the caller has to give beside a token: nothing, a confirmation, or the spoken code. */
  guard: "free" | "confirm" | "code";
  /** SHA-256 of keys with which the address alone calls it, by name. */
  keys: ReadonlyMap<string, string>;
  at: Position;
}

/** What this machine calls itself. */
export const loopbackNames: readonly string[] = ["127.0.0.1", "localhost", "::1", "[::1]"];

export const tokenRights = ["hear", "call", "follow"] as const;

/** What somebody with a token may do: have phrases heard, call addresses, follow what happens. */
export type TokenRight = (typeof tokenRights)[number];

export interface Token {
  name: string;
  /** SHA-256 of it, `sha256:` and 64 digits. */
  hash: string;
  may: readonly TokenRight[];
}

/** Where a live home listens. */
export interface Doors {
  host: string;
  port: number;
  /** Files of a certificate and its key, in PEM. */
  tls?: { certificate: string; key: string };
  /** Why it listens without TLS beyond this machine. */
  plain?: string;
  /** Names by which it is called, beside those of this machine. */
  hosts: readonly string[];
  /** Origins of pages that may call. */
  origins: readonly string[];
  tokens: readonly Token[];
  /** Phrases and replies as messages; `$voicepoint` in a topic stands for the voicepoint. */
  voice?: { connection: string; hear: string; say: string };
  at: Position;
}
