import type { ReplyDefinition } from "../../document/shapes.ts";
import type { Value } from "../../model/property.ts";
import type { DataSchemaDefinition, NamedDefinition } from "./home.ts";
import type { TokenRight } from "../../model/outside.ts";

/** How something outside is reached. */
export interface ConnectionDefinition {
  /** A broker or a web service: `mqtt://127.0.0.1:1883`, `https://house.example`. */
  url: string;
  /** The name of the environment variable that holds `user:password`, or a bearer token. */
  login?: string | undefined;
}

/** A message to a device. */
export interface OrderDefinition {
  /** An MQTT topic, or a path or URL; `$device`, `$property` and `$action` stand for their ids. */
  to: string;
  /** The HTTP method: `PUT` when left out, `POST` for actions. */
  method?: "GET" | "POST" | "PUT" | "PATCH" | "DELETE" | undefined;
  /** HTTP headers. */
  headers?: Record<string, string> | undefined;
  /** What is sent, with `$value` for the value: `$value` when left out. */
  text?: string | undefined;
  /** The same as JSON: `{ level: $value }`. */
  json?: unknown;
  /** Whether an MQTT broker keeps it. */
  retain?: boolean | undefined;
  /** MQTT quality of service; 1 when left out. */
  quality?: 0 | 1 | 2 | undefined;
}

/** Where a device tells something. */
export interface ReportDefinition {
  /** An MQTT topic, or a path or URL. */
  from: string;
  /** Where the value stands in a JSON text, as a JSON Pointer: `/state/level`. */
  at?: string | undefined;
  /** HTTP headers. */
  headers?: Record<string, string> | undefined;
  /** How often a web service is looked at: `30s`. */
  every?: string | undefined;
}

/** Where something tells whether it is there. */
export interface AliveDefinition extends ReportDefinition {
  /** What it says when it is: `online` of devices when left out, `home` of people. */
  is?: Value | undefined;
}

/** How a property of a device is ordered, told and written. */
export interface PropertyBindingDefinition {
  /** Where it is ordered; as for all properties when left out. */
  order?: OrderDefinition | string | false | undefined;
  /** Where it is told. */
  report?: ReportDefinition | string | false | undefined;
  /** The device's own values, by those of the property: `{ "on": "ON", "off": "OFF" }`. */
  values?: Record<string, Value> | undefined;
  /** The device's number is the property's by this: 2.55 where 100 percent are 255. */
  scale?: number | undefined;
  /** What is added after that. */
  offset?: number | undefined;
  /** The device's numbers are whole numbers of these. */
  step?: number | undefined;
  /** The unit of the device's numbers. */
  unit?: string | undefined;
  /** The form of its colours: `#rrggbb`, a list of three numbers, or members r, g and b. */
  colour?: "hex" | "list" | "members" | undefined;
  /** Whether it takes a while to come to what was ordered. */
  moves?: boolean | undefined;
}

/** Something that tells and is no device: the weather, a calendar, a message of the day. */
export interface SourceOfNewsDefinition extends NamedDefinition {
  /** What it tells, by name. */
  tells: Record<string, DataSchemaDefinition | null>;
  /** What is said when somebody asks for it; all that it tells when left out. */
  reply?: ReplyDefinition | undefined;
  /** The connection that it is reached over. */
  over?: string | undefined;
  /** Where it is told; asked for when somebody needs it, unless it says `every`. */
  report?: ReportDefinition | string | undefined;
  /** How long it takes to answer at most: `5s`. */
  within?: string | undefined;
}

/** How devices are reached. */
export interface BindingDefinition {
  /** Devices, groups or places. */
  devices: string | string[];
  /** The connection that they are reached over. */
  over: string;
  /** Where they tell whether they are there. */
  alive?: AliveDefinition | string | undefined;
  /** Where their properties are ordered. */
  order?: OrderDefinition | string | undefined;
  /** Where their properties are told. */
  report?: ReportDefinition | string | undefined;
  /** What is otherwise with some properties, or which they are. */
  properties?: Record<string, PropertyBindingDefinition | null> | undefined;
  /** Where buttons tell that somebody pressed them. */
  pressed?: ReportDefinition | string | undefined;
  /** Where their actions are invoked: all of them, or each. */
  actions?: string | Record<string, OrderDefinition | string> | undefined;
  /** How long a device takes to answer at most: `5s`. */
  within?: string | undefined;
  /** How often it is asked before it counts as failed: 2 when left out. */
  tries?: number | undefined;
}

/** How somebody is reached. */
export interface ContactDefinition {
  /** The connection that they are reached over. */
  over: string;
  /** Where it is told whether they are at home, and what is said then: `home` when left out. */
  presence?: AliveDefinition | string | undefined;
  /** Where what they are told goes: `$value` stands for the text, `$tag` for its tag. */
  notify?: OrderDefinition | string | undefined;
}

/** An action that may be called from outside. */
export interface AddressDefinition {
  /** The routine, or intent of the phrasebook, whose steps it is. */
  runs: string;
  /** Slots that the caller fills. */
  slots?: string[] | undefined;
  /** Values of other slots. */
  with?: Record<string, Value> | undefined;
  /** What the caller gives beside a token: nothing, `confirm`, or the spoken `code`. */
  guard?: "free" | "confirm" | "code" | undefined;
  /** Keys with which the address alone calls it, by name, each as its SHA-256. */
  keys?: Record<string, string> | undefined;
}

/** What somebody may do who has a token. */
export interface TokenDefinition {
  /** Its SHA-256, as `calm-phrase live token` prints it. */
  hash: string;
  /** What it is good for: everything when left out. */
  may?: TokenRight[] | undefined;
}

/** A certificate and its key, in PEM. */
export interface CertificateDefinition {
  /** The file of the certificate, with those that vouch for it. */
  certificate: string;
  /** The file of its key. */
  key: string;
}

/** Phrases and replies as messages. */
export interface VoiceTopicsDefinition {
  /** The broker. */
  over: string;
  /** The topic of phrases; `$voicepoint` stands for the voicepoint. */
  hear: string;
  /** The topic of replies. */
  say: string;
}

/** Where a live home listens. */
export interface DoorsDefinition {
  /** The address to listen at; this machine alone when left out. */
  host?: string | undefined;
  /** The port. */
  port?: number | undefined;
  /** Files of a certificate and its key. */
  tls?: CertificateDefinition | undefined;
  /** Why it listens without TLS beyond this machine. */
  plain?: string | undefined;
  /** Names by which it is called. */
  hosts?: string[] | undefined;
  /** Origins of pages that may call. */
  origins?: string[] | undefined;
  /** Who may call, by name. */
  tokens?: Record<string, TokenDefinition | string> | undefined;
  /** Phrases and replies as messages. */
  voice?: VoiceTopicsDefinition | undefined;
  /** Whether the page to try addresses stays; it never does. */
  page?: boolean | undefined;
}
