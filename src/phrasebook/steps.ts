import { stateWords } from "../language/vocabulary.ts";
import type { Position } from "../source/position.ts";
import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import { operators } from "./model.ts";
import type {
  AskStep,
  Device,
  Group,
  Order,
  Room,
  Slot,
  Step,
  TargetReference,
  ValueReference,
  Zone,
} from "./model.ts";
import type { Value } from "./property.ts";
import { otherValue } from "./property.ts";
import { readReply } from "./replies.ts";
import { readPatterns } from "./said.ts";
import { readLength } from "./lengths.ts";
import type {
  ReplyDefinition,
  StatesDefinition,
  StepDefinition,
  StepsDefinition,
} from "./schema.ts";
import { readConditions } from "./states.ts";
import { checkWritten, knownProperty, settableProperty } from "./written.ts";

/** What steps and states may speak of. */
export interface Home {
  devices: ReadonlyMap<string, Device>;
  groups: ReadonlyMap<string, Group>;
  rooms: ReadonlyMap<string, Room>;
  zones: ReadonlyMap<string, Zone>;
}

/** The slots that steps may use, and the names of those that could not be read. */
export interface KnownSlots {
  slots: ReadonlyMap<string, Slot>;
  unread: ReadonlySet<string>;
}

/** Ids that steps refer to beside devices. */
export interface KnownIds {
  routines: ReadonlySet<string>;
  people: ReadonlySet<string>;
  voicepoints: ReadonlySet<string>;
}

/** Reads the steps of an intent, holding each value against the device that it is meant for. */
export function readSteps(
  context: Context,
  document: Document,
  path: Path,
  steps: StepsDefinition,
  home: Home,
  known: KnownSlots,
  ids: KnownIds,
): Step[] {
  return readList({ context, document, home, known, ids }, path, steps);
}

function readList(reading: Reading, path: Path, steps: StepsDefinition): Step[] {
  const list = Array.isArray(steps) ? steps : [steps];
  return list.flatMap((step, index): Step[] => {
    const under = Array.isArray(steps) ? [...path, index] : path;
    const at = reading.document.at(under);
    if ("set" in step) {
      const orders = readStates(reading, [...under, "set"], step.set, readSet);
      return [{ step: "order", orders, at }];
    }
    if ("nudge" in step) {
      const orders = readStates(reading, [...under, "nudge"], step.nudge, readNudge);
      return [{ step: "order", orders, at }];
    }
    if ("toggle" in step) {
      const states = Object.fromEntries(
        Object.entries(step.toggle).map(([key, properties]) => [
          key,
          Object.fromEntries([properties].flat().map((property) => [property, true])),
        ]),
      );
      return [
        {
          step: "order",
          orders: readStates(reading, [...under, "toggle"], states, readToggle),
          at,
        },
      ];
    }
    if ("call" in step) return [{ step: "order", orders: readCalls(reading, under, step), at }];
    if ("tell" in step) return readTell(reading, [...under, "tell"], step.tell, at);
    return readFurther(reading, under, step, at);
  });
}

/** Steps that do something other than order devices. */
function readFurther(
  reading: Reading,
  under: Path,
  step: Exclude<
    StepDefinition,
    | { set: unknown }
    | { nudge: unknown }
    | { toggle: unknown }
    | { call: unknown }
    | { tell: unknown }
  >,
  at: Position,
): Step[] {
  const { context, document, home, known, ids } = reading;
  const speakable = { slots: [...known.slots.keys(), ...known.unread], devices: home.devices };
  const said = (key: string, text: ReplyDefinition) =>
    readReply(context, document, [...under, key], text, speakable);
  const list = (key: string, steps: StepsDefinition | undefined): Step[] =>
    steps === undefined ? [] : readList(reading, [...under, key], steps);
  const check = (key: string, what: string, id: string, all: ReadonlySet<string>): boolean => {
    if (all.has(id)) return true;
    reportUnknown(context, document.at([...under, key]), what, id, all);
    return false;
  };
  if ("say" in step) {
    const where = step.at ?? "voicepoint";
    const places = new Set([
      "voicepoint",
      "everywhere",
      ...home.rooms.keys(),
      ...home.zones.keys(),
    ]);
    if (!check("at", "room", where, places)) return [];
    return [{ step: "say", text: said("say", step.say), where, at }];
  }
  if ("notify" in step) {
    const people = [step.notify].flat();
    if (!people.every((id) => check("notify", "person", id, ids.people))) return [];
    const tag = step.tag === undefined ? {} : { tag: step.tag };
    return [{ step: "notify", people, text: said("text", step.text), ...tag, at }];
  }
  if ("wait" in step) {
    const slot = slotName(step.wait);
    if (slot !== undefined && known.slots.get(slot)?.type === "duration") {
      return [{ step: "wait", wait: { refer: "slot", slot }, at }];
    }
    const seconds = readLength(context, document, [...under, "wait"], step.wait);
    if (seconds === undefined) return [];
    return [{ step: "wait", wait: { refer: "value", value: seconds }, at }];
  }
  if ("if" in step) {
    const condition = readConditions(context, document, [...under, "if"], step.if, home.devices);
    const [then, otherwise] = [list("then", step.then), list("else", step.else)];
    return [{ step: "if", condition, then, otherwise, at }];
  }
  if ("try" in step) {
    return [{ step: "try", steps: list("try", step.try), failed: list("failed", step.failed), at }];
  }
  if ("ask" in step) return [readAsk(reading, under, step, said("ask", step.ask), at)];
  if ("run" in step) {
    const slot = slotName(step.run);
    if (slot !== undefined && known.slots.get(slot)?.type === "routine") {
      return [{ step: "run", routine: { refer: "slot", slot }, at }];
    }
    return check("run", "routine", step.run, ids.routines)
      ? [{ step: "run", routine: { refer: "routine", id: step.run }, at }]
      : [];
  }
  if ("hear" in step) {
    const voicepoint = step.at === undefined ? {} : { voicepoint: step.at };
    if (step.at !== undefined) check("at", "voicepoint", step.at, ids.voicepoints);
    return [{ step: "hear", phrase: step.hear, ...voicepoint, at }];
  }
  const { to, text = "", retain = false, method = "POST" } = step.send;
  if (!/^(?:mqtt:.+|https?:\/\/.+)$/.test(to)) {
    const place = document.at([...under, "send", "to"]);
    const fix = "write mqtt:home/kiln or https://example.org/hook";
    report(context, "wrong-value", place, `"${to}" is no place to send to`, fix);
    return [];
  }
  return [{ step: "send", to, text, retain, method, at }];
}

/** Time to answer in, in seconds, where none is written. */
const usualTime = 30;

function readAsk(
  reading: Reading,
  under: Path,
  step: Extract<StepDefinition, { ask: unknown }>,
  text: AskStep["text"],
  at: Position,
): AskStep {
  const { context, document } = reading;
  const answers = step.answers.map((answer, index) => {
    const path = [...under, "answers", index];
    const steps = answer.do === undefined ? [] : readList(reading, [...path, "do"], answer.do);
    return { patterns: readPatterns(context, document, [...path, "hear"], answer.hear), steps };
  });
  const seconds =
    step.within === undefined
      ? usualTime
      : readLength(context, document, [...under, "within"], step.within);
  const silence =
    step.silence === undefined ? [] : readList(reading, [...under, "silence"], step.silence);
  return { step: "ask", text, answers, within: seconds ?? usualTime, silence, at };
}

/** A property with two values can be toggled. */
const readToggle: ReadOrder = (reading, place, target, property) => {
  const { context, document, home } = reading;
  const device = target.refer === "device" ? home.devices.get(target.id) : undefined;
  const schema = device && settableProperty(context, document, place, device, property);
  if (device && !schema) return undefined;
  if (schema && otherValue(schema, schema.default) === undefined) {
    const fix = "set it, or toggle a property with two values";
    report(context, "wrong-value", document.at(place), `${property} has no other value`, fix);
    return undefined;
  }
  return { order: "toggle", target, property, at: document.atKey(place) };
};

/** What reading a step needs to know. */
interface Reading {
  context: Context;
  document: Document;
  home: Home;
  known: KnownSlots;
  ids: KnownIds;
}

type ReadOrder = (
  reading: Reading,
  place: Path,
  target: TargetReference,
  property: string,
  written: Value,
) => Order | undefined;

function readStates(
  reading: Reading,
  path: Path,
  states: StatesDefinition,
  read: ReadOrder,
): Order[] {
  return Object.entries(states).flatMap(([key, properties]): Order[] => {
    const under = [...path, key];
    const target = readTarget(reading, under, key);
    if (!target) return [];
    return Object.entries(properties).flatMap(([property, written]): Order[] => {
      const order = read(reading, [...under, property], target, property, written);
      return order ? [order] : [];
    });
  });
}

const readSet: ReadOrder = (reading, place, target, property, written) => {
  const { context, document, home, known } = reading;
  const order = { order: "set", target, property, at: document.atKey(place) } as const;
  const device = target.refer === "device" ? home.devices.get(target.id) : undefined;
  const schema = device && settableProperty(context, document, place, device, property);
  if (device && !schema) return undefined;
  const value = readValue(context, document, place, written, known, home.devices);
  if (!value) return undefined;
  if (schema && value.refer === "value") {
    if (!checkWritten(context, document, place, schema, value.value)) return undefined;
  }
  return { ...order, value };
};

const readNudge: ReadOrder = (reading, place, target, property, written) => {
  const { context, document, home, known } = reading;
  const at = document.atKey(place);
  if (target.refer === "device") {
    const device = home.devices.get(target.id);
    if (!settableProperty(context, document, place, device, property)) return undefined;
  }
  const isNegative = typeof written === "string" && written.startsWith("-$");
  const value = isNegative ? written.slice(1) : written;
  const by = readValue(context, document, place, value, known, home.devices);
  if (!by) return undefined;
  if (by.refer === "value" && typeof by.value !== "number") {
    const message = `${property} is nudged by a number, not by "${by.value}"`;
    report(context, "wrong-value", document.at(place), message, "write 10, -10 or $amount");
    return undefined;
  }
  return { order: "nudge", target, property, by, factor: isNegative ? -1 : 1, at };
};

function readValue(
  context: Context,
  document: Document,
  place: Path,
  written: Value,
  { slots, unread }: KnownSlots,
  devices: Home["devices"],
): ValueReference | undefined {
  const sum = typeof written === "string" ? sumForm.exec(written) : undefined;
  if (sum) {
    const [, leftText = "", operator, rightText = ""] = sum;
    const part = (text: string): ValueReference | undefined => {
      const number = Number(text);
      const value = Number.isFinite(number) ? number : text;
      return readValue(context, document, place, value, { slots, unread }, devices);
    };
    const [left, right] = [part(leftText), part(rightText)];
    const known = operators.find((each) => each === operator);
    return left && right && known ? { refer: "sum", operator: known, left, right } : undefined;
  }
  const state = typeof written === "string" ? stateForm.exec(written) : undefined;
  if (state) {
    const [, id = "", property = ""] = state;
    const device = devices.get(id);
    if (!device) {
      reportUnknown(context, document.at(place), "device", id, devices.keys());
      return undefined;
    }
    const schema = knownProperty(context, document, place, device, property);
    return schema && { refer: "state", device: id, property };
  }
  const slot = typeof written === "string" ? slotName(written) : undefined;
  if (slot === undefined) return { refer: "value", value: written };
  if (slots.has(slot)) return { refer: "slot", slot };
  if (!unread.has(slot)) reportUnknown(context, document.at(place), "slot", slot, slots.keys());
  return undefined;
}

function readCalls(
  reading: Reading,
  path: Path,
  step: Extract<StepDefinition, { call: unknown }>,
): Order[] {
  const { context, document, home, known } = reading;
  const input =
    step.with === undefined
      ? undefined
      : readValue(context, document, [...path, "with"], step.with, known, home.devices);
  return Object.entries(step.call).flatMap(([key, action]): Order[] => {
    const place = [...path, "call", key];
    const target = readTarget(reading, place, key);
    if (!target) return [];
    const device = target.refer === "device" ? home.devices.get(target.id) : undefined;
    if (device && !device.actions.includes(action)) {
      const what = `action of ${device.id}`;
      reportUnknown(context, document.at(place), what, action, device.actions);
      return [];
    }
    const at = document.atKey(place);
    return [{ order: "call", target, action, at, ...(input ? { input } : {}) }];
  });
}

function readTell(
  reading: Reading,
  path: Path,
  written: Extract<StepDefinition, { tell: unknown }>["tell"],
  at: Position,
): Step[] {
  const { context, document } = reading;
  const target = readTarget(reading, [...path, "target"], written.target);
  if (!target) return [];
  const base = { step: "tell", target, at } as const;
  if (written.form === "value") {
    if (written.property !== undefined) {
      const slot = slotName(written.property);
      const property = slot === undefined ? written.property : { slot };
      return [{ ...base, form: "value", property }];
    }
    report(context, "missing-key", document.at(path), '"property" is missing', "write a property");
    return [];
  }
  const slot = slotName(written.state ?? "");
  const word = stateWords.find((each) => each === written.state);
  const state = slot === undefined ? word : { slot };
  if (state !== undefined) return [{ ...base, form: written.form, state }];
  const fix = `write one of ${stateWords.join(", ")}`;
  report(context, "wrong-value", document.at(path), "there is no state to ask about", fix);
  return [];
}

/** `$glaze-sensor.humidity` is what a property is at that moment. */
const stateForm = /^\$([\p{L}\p{N}_-]+)\.([\p{L}\p{N}_-]+)$/u;

/** `$glaze-sensor.humidity plus 5`; of several operators the last one joins all before it. */
const sumForm = /^(\$.+) (plus|minus|times|at least|at most) (\$[^ ]+|-?[\d.]+)$/;

/** `$level` names a slot; every other text is a value. */
function slotName(text: string): string | undefined {
  return /^\$([\p{L}\p{N}_-]+)$/u.exec(text)?.[1];
}

function readTarget(
  { context, document, home, known }: Reading,
  path: Path,
  key: string,
): TargetReference | undefined {
  const slot = slotName(key);
  const at = document.atKey(path);
  if (slot) {
    if (known.slots.get(slot)?.type === "target") return { refer: "slot", slot };
    if (known.unread.has(slot)) return undefined;
    const targets = [...known.slots.values()].filter(({ type }) => type === "target");
    const names = targets.map(({ name }) => name);
    reportUnknown(context, at, "target slot", slot, names);
    return undefined;
  }
  const [, id = "", without = ""] = exceptForm.exec(key) ?? [];
  const except = without === "" ? [] : without.split(/\s*,\s*|\s+and\s+/u);
  const [refer, ...others] = [id, ...except].map((each) => sortOf(home, each));
  const unknown = [id, ...except].find((each) => sortOf(home, each) === undefined);
  if (refer !== undefined && unknown === undefined) {
    return others.length > 0 ? { refer, id, except } : { refer, id };
  }
  const ids = [home.devices, home.groups, home.rooms, home.zones].flatMap((map) => [...map.keys()]);
  reportUnknown(context, at, "device or group", unknown ?? key, ids);
  return undefined;
}

/** `workshop except kiln-vent and racks`. */
const exceptForm = /^(\S+)(?:\s+except\s+(\S.*))?$/u;

function sortOf(home: Home, id: string): Exclude<TargetReference["refer"], "slot"> | undefined {
  if (home.devices.has(id)) return "device";
  if (home.groups.has(id)) return "group";
  if (home.rooms.has(id)) return "room";
  return home.zones.has(id) ? "zone" : undefined;
}
