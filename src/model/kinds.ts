import type { DataSchema, Value } from "./property.ts";

/**
 * What speech may do with a device: anything; only after asking back; only with the spoken code;
 * nothing, as if it did not exist.
 */
export type VoiceAccess = "free" | "confirm" | "code" | "barred";

const strictness: readonly VoiceAccess[] = ["free", "confirm", "code", "barred"];

/** Whether one guard asks for more than another. */
export function isStricter(one: VoiceAccess, other: VoiceAccess): boolean {
  return strictness.indexOf(one) > strictness.indexOf(other);
}

/** What a device is: the properties and actions that it has unless the device says otherwise. */
export interface Kind {
  /** Properties that every device of the kind has. */
  properties: Readonly<Record<string, DataSchema>>;
  /** Properties that a device has when it lists them. */
  optional?: Readonly<Record<string, DataSchema>>;
  /** Things to invoke, as actions of W3C Web of Things. */
  actions?: readonly string[];
  /** What speech may do unless the phrasebook says otherwise; `free` when left out. */
  voice?: VoiceAccess;
  /** Values that are free all the same, because they make the home safer. */
  safe?: Readonly<Record<string, readonly Value[]>>;
  /** Actions that are free all the same; only under the kind's own guard, or a milder one. */
  safeActions?: readonly string[];
  /**
   * Whether "everything", a place or a kind takes it along, unless that makes the home safer: always
   * when left out, never, or only while each of these properties is as its condition says.
   */
  bulk?: boolean | Readonly<Record<string, Value>>;
}

const power: DataSchema = { type: "string", enum: ["on", "off"], default: "off" };
const percent: DataSchema = {
  type: "integer",
  minimum: 0,
  maximum: 100,
  unit: "percent",
  default: 0,
};
const temperature: DataSchema = {
  type: "number",
  unit: "celsius",
  readOnly: true,
  default: 20,
};
const humidity: DataSchema = { ...percent, readOnly: true, default: 50 };
const measure: DataSchema = { type: "number", minimum: 0, readOnly: true, default: 0 };
const yesNo: DataSchema = { type: "boolean", readOnly: true, default: false };

const shipped = {
  light: {
    properties: { power, brightness: { ...percent, default: 100 } },
    optional: {
      colour: { type: "string", format: "colour", default: "#ffffff" },
      warmth: { type: "integer", minimum: 1800, maximum: 6500, unit: "kelvin", default: 2700 },
    },
  },
  plug: { properties: { power } },
  pump: { properties: { power }, bulk: false },
  fan: {
    properties: { power, speed: percent },
    optional: { oscillate: { type: "string", enum: ["on", "off"], default: "off" } },
  },
  heater: {
    properties: {
      power,
      target: {
        type: "number",
        minimum: 5,
        maximum: 90,
        multipleOf: 0.5,
        unit: "celsius",
        default: 20,
      },
      temperature,
    },
  },
  thermostat: {
    properties: {
      mode: { type: "string", enum: ["off", "heat", "cool", "auto"], default: "off" },
      target: {
        type: "number",
        minimum: 5,
        maximum: 30,
        multipleOf: 0.5,
        unit: "celsius",
        default: 20,
      },
      temperature,
    },
    optional: {
      preset: { type: "string", enum: ["home", "away", "sleep"], default: "home" },
      humidity,
    },
  },
  blind: { properties: { position: percent }, optional: { tilt: percent }, actions: ["stop"] },
  gate: {
    properties: { position: percent },
    actions: ["stop"],
    voice: "confirm",
    safe: { position: [0] },
    safeActions: ["stop"],
  },
  valve: { properties: { flow: power } },
  lock: {
    properties: { locked: { type: "boolean", default: true } },
    voice: "confirm",
    safe: { locked: [true] },
    bulk: false,
  },
  alarm: {
    properties: {
      armed: { type: "string", enum: ["off", "home", "away", "night"], default: "off" },
    },
    voice: "code",
    safe: { armed: ["home", "away", "night"] },
    bulk: false,
  },
  camera: { properties: { power, recording: power }, bulk: false },
  sensor: {
    properties: {},
    optional: {
      temperature,
      humidity,
      illuminance: { ...measure, unit: "lux" },
      pm25: { ...measure, unit: "microgram per cubic metre" },
      co2: { ...measure, unit: "ppm", default: 400 },
      moisture: { ...percent, readOnly: true },
      contact: { type: "string", enum: ["open", "closed"], readOnly: true, default: "closed" },
      motion: yesNo,
      battery: { ...percent, readOnly: true, default: 100 },
      level: { ...percent, readOnly: true },
    },
  },
  player: {
    properties: {
      power,
      volume: { ...percent, default: 30 },
      muted: { type: "boolean", default: false },
      playing: { type: "string", enum: ["play", "pause", "stop"], default: "stop" },
    },
    optional: { source: { type: "string", enum: [], default: "" } },
    actions: ["play", "next", "previous"],
  },
  button: { properties: {}, actions: ["press"] },
  vacuum: {
    properties: {
      activity: {
        type: "string",
        enum: ["docked", "cleaning", "paused", "returning"],
        readOnly: true,
        default: "docked",
      },
      battery: { ...percent, readOnly: true, default: 100 },
    },
    actions: ["start", "pause", "dock"],
    bulk: { activity: "not cleaning" },
  },
  appliance: {
    properties: {
      power,
      activity: {
        type: "string",
        enum: ["idle", "running", "done"],
        readOnly: true,
        default: "idle",
      },
    },
    optional: { program: { type: "string", enum: [], default: "" } },
    actions: ["start", "stop"],
    bulk: { activity: "not running" },
  },
  locator: { properties: {}, actions: ["chime"] },
} satisfies Readonly<Record<string, Kind>>;

/** The kinds that Calm Phrase ships. */
export const kinds: Readonly<Record<string, Kind>> = shipped;

/** The id of a kind that ships. */
export type KindId = keyof typeof shipped;

export type PropertiesOf<Id extends KindId> =
  | keyof (typeof shipped)[Id]["properties"]
  | ((typeof shipped)[Id] extends { optional: infer Optional } ? keyof Optional : never);

/** The name of a property that some kind that ships has. */
export type PropertyId = { [Id in KindId]: PropertiesOf<Id> }[KindId];
