import type { Cursor } from "../document/cursor.ts";
import { listOf } from "../document/cursor.ts";
import { readLength } from "../document/lengths.ts";
import type { Device, Home } from "../model/home.ts";
import { devicesNamed, thingIds } from "../model/members.ts";
import type { Binding, Connection, OrderMessage, PropertyBinding } from "../model/outside.ts";
import { isSettable } from "../model/property.ts";
import { given } from "../source/given.ts";
import type {
  BindingDefinition,
  ConnectionDefinition,
  OrderDefinition,
  PropertyBindingDefinition,
} from "./definition/outside.ts";
import { type Told, checkWords, readAlive, readListening, readOrder } from "./messages.ts";

/** Seconds in which a device answers, and times that it is asked, where nothing is written. */
const usualWithin = 5;
const usualTries = 2;

/** A broker or web service. */
export function readConnection(entry: Cursor<ConnectionDefinition>): Connection | undefined {
  const { url, login } = entry.value;
  const scheme = /^(mqtt|http)s?:\/\/[^\s/]+/.exec(url);
  if (!scheme) {
    const fix = "write mqtt://127.0.0.1:1883, mqtts://…, http://… or https://…";
    entry.key("url").report("wrong-value", `"${url}" is no broker and no web service`, fix);
    return undefined;
  }
  if (/^\w+:\/\/[^/]*@/.test(url)) {
    const fix = "write login: and the name of an environment variable that holds user:password";
    entry.key("url").report("secret-written", "a login stands in this URL", fix);
    return undefined;
  }
  const protocol = scheme[1] === "mqtt" ? "mqtt" : "http";
  return { id: entry.id, protocol, url, ...given({ login }), at: entry.keyAt };
}

/** How devices are reached, each once. */
export function readBindings(
  entries: readonly Cursor<BindingDefinition>[],
  home: Home,
  connections: ReadonlyMap<string, Connection>,
): Map<string, Binding> {
  const bindings = new Map<string, Binding>();
  for (const entry of entries) {
    const devices = devicesOf(entry, home);
    const connection = entry.value.over;
    if (!entry.key("over").refers("connection", connections)) continue;
    checkKnown(entry, devices);
    for (const device of devices) {
      const other = bindings.get(device.id);
      if (other) {
        const message = `${device.id} is bound twice`;
        const more = { also: [other.at], at: entry.keyAt };
        entry.report("defined-twice", message, "take it out of one of them", more);
        continue;
      }
      bindings.set(device.id, readBinding(entry, device, connection));
    }
  }
  return bindings;
}

function devicesOf(entry: Cursor<BindingDefinition>, home: Home): Device[] {
  const ids = listOf(entry.key("devices")).filter((each) =>
    each.refers("device or group", thingIds(home)),
  );
  return devicesNamed(
    home,
    ids.map(({ value }) => value),
  );
}

/** Tells what none of the devices has. */
function checkKnown(entry: Cursor<BindingDefinition>, devices: readonly Device[]): void {
  if (devices.length === 0) return;
  const properties = new Set(devices.flatMap((device) => [...device.properties.keys()]));
  for (const property of entry.given("properties")?.entries() ?? []) {
    if (!property.refers("property", properties, { on: "key" })) continue;
    const values = devices.flatMap(({ properties: all }) => all.get(property.id)?.enum ?? []);
    if (values.length === 0) continue;
    const written = property.as(property.value ?? {}).given("values");
    for (const value of written?.entries() ?? []) {
      value.refers(`value of ${property.id}`, new Set(values), { on: "key" });
    }
  }
  const actions = new Set(devices.flatMap((device) => device.actions));
  for (const action of actionsOf(entry)) action.refers("action", actions, { on: "key" });
  checkWritten(entry);
}

/** Tells what stands for nothing in what is written for many, once. */
function checkWritten(entry: Cursor<BindingDefinition>): void {
  const ofProperty = ["device", "property"];
  const parts: [Cursor<Told> | undefined, readonly string[]][] = [
    [entry.given("alive"), ["device"]],
    [entry.given("pressed"), ["device"]],
    [entry.given("report"), ofProperty],
    [entry.given("order"), [...ofProperty, "value"]],
  ];
  for (const each of entry.given("properties")?.entries() ?? []) {
    const own = each.as(each.value ?? {});
    parts.push([own.given("report"), ofProperty], [own.given("order"), [...ofProperty, "value"]]);
  }
  const all = entry.given("actions");
  const actions = typeof all?.value === "string" ? [all.as(all.value)] : actionsOf(entry);
  for (const action of actions) parts.push([action, ["device", "action", "value"]]);
  for (const [part, words] of parts) if (part) checkWords(part, words);
}

function actionsOf(entry: Cursor<BindingDefinition>): Cursor<OrderDefinition | string>[] {
  const actions = entry.given("actions");
  if (!actions || typeof actions.value === "string") return [];
  return actions.as(actions.value).entries();
}

function readBinding(
  entry: Cursor<BindingDefinition>,
  device: Device,
  connection: string,
): Binding {
  const { tries = usualTries } = entry.value;
  const within = entry.given("within");
  const alive = entry.given("alive");
  const pressed = device.actions.includes("press") ? entry.given("pressed") : undefined;
  const properties = new Map<string, PropertyBinding>();
  const listed = entry.given("properties");
  const isForAll = entry.value.order !== undefined || entry.value.report !== undefined;
  for (const [name, schema] of device.properties) {
    const own = listed?.given(name);
    if (!own && !isForAll) continue;
    const words = { device: device.id, property: name };
    const order = partOf(entry, own, "order");
    const report = partOf(entry, own, "report");
    properties.set(name, {
      ...(order && isSettable(schema) && { order: readOrder(order, words, "PUT") }),
      ...(report && { report: readListening(report, words) }),
      ...mappingOf(own?.value ?? {}),
    });
  }
  const actions = new Map<string, OrderMessage>();
  const all = entry.given("actions");
  for (const action of device.actions) {
    const words = { device: device.id, action };
    const own = actionsOf(entry).find(({ id }) => id === action);
    if (own) actions.set(action, readOrder(own, words, "POST"));
    else if (typeof all?.value === "string") {
      actions.set(action, readOrder(all.as(all.value), words, "POST"));
    }
  }
  return {
    device: device.id,
    connection,
    ...(pressed && { pressed: readListening(pressed, { device: device.id }) }),
    ...(alive && { alive: readAlive(alive, { device: device.id }, "online") }),
    within: (within && readLength(within)) ?? usualWithin,
    tries,
    properties,
    actions,
    at: entry.keyAt,
  };
}

/** What is written of one property, or of all. */
function partOf<Part extends "order" | "report">(
  entry: Cursor<BindingDefinition>,
  own: Cursor<PropertyBindingDefinition> | undefined,
  part: Part,
): Cursor<Exclude<NonNullable<PropertyBindingDefinition[Part]>, false>> | undefined;
function partOf(
  entry: Cursor<BindingDefinition>,
  own: Cursor<PropertyBindingDefinition> | undefined,
  part: "order" | "report",
): Cursor<unknown> | undefined {
  const written = own?.given(part);
  if (written?.value === false) return undefined;
  return written ?? entry.given(part);
}

function mappingOf({
  values,
  scale = 1,
  offset = 0,
  step,
  unit,
  colour = "hex",
  moves = false,
}: PropertyBindingDefinition): Pick<PropertyBinding, "mapping" | "moves"> {
  const own = values && new Map(Object.entries(values));
  return { mapping: { ...given({ values: own, step, unit }), scale, offset, colour }, moves };
}
