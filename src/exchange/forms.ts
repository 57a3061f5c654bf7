import { membersOf, textOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import type {
  Binding,
  Connection,
  Listening,
  OrderMessage,
  PropertyBinding,
} from "../model/outside.ts";
import type {
  BindingDefinition,
  ConnectionDefinition,
  OrderDefinition,
  PropertyBindingDefinition,
  ReportDefinition,
} from "../phrasebook/definition/outside.ts";
import { printDuration } from "../time/duration.ts";
import { idFrom } from "./taken.ts";

/*
 * How devices are reached, as forms of Thing Descriptions: W3C WoT Thing Description 1.1, section 5.3.4.2,
 * with the HTTP vocabulary (WoT Binding Templates, HTTP) and that of the MQTT binding.
 */

type Form = Readonly<Record<string, unknown>>;

/** Forms of a device by its properties and actions. */
export interface Forms {
  property: (name: string) => readonly Form[];
  action: (name: string) => readonly Form[];
}

/** The forms that a binding comes to, for others who read Thing Descriptions. */
export function formsOf({ properties, actions }: Binding, connection: Connection): Forms {
  return {
    property(name) {
      const { order, report } = properties.get(name) ?? {};
      return [
        ...(order ? [orderForm(connection, order, "writeproperty")] : []),
        ...(report ? [reportForm(connection, report)] : []),
      ];
    },
    action(name) {
      const message = actions.get(name);
      return message ? [orderForm(connection, message, "invokeaction")] : [];
    },
  };
}

function orderForm({ protocol, url }: Connection, message: OrderMessage, op: string): Form {
  const { to, method, headers, body, retain, quality } = message;
  const contentType = "json" in body ? "application/json" : "text/plain";
  if (protocol === "mqtt") {
    const topic = { "mqv:topic": to, "mqv:controlPacket": "publish" };
    return { op, href: url, contentType, ...topic, "mqv:qos": quality, "mqv:retain": retain };
  }
  return { op, href: absolute(url, to), contentType, "htv:methodName": method, ...fields(headers) };
}

function reportForm({ protocol, url }: Connection, { from, headers }: Listening): Form {
  if (protocol === "mqtt") {
    const filter = { "mqv:filter": from, "mqv:controlPacket": "subscribe" };
    return { op: "observeproperty", href: url, ...filter };
  }
  const get = { "htv:methodName": "GET", ...fields(headers) };
  return { op: "readproperty", href: absolute(url, from), ...get };
}

function fields(headers: Readonly<Record<string, string>>): Form {
  const all = Object.entries(headers).map(([name, value]) => {
    return { "htv:fieldName": name, "htv:fieldValue": value };
  });
  return all.length === 0 ? {} : { "htv:headers": all };
}

function absolute(url: string, path: string): string {
  return /^\w+:\/\//.test(path) ? path : `${url.replace(/\/$/, "")}/${path.replace(/^\//, "")}`;
}

/** A binding as it would be written for its device alone. */
export function bindingDefinition(binding: Binding): BindingDefinition {
  const { device, connection, alive, pressed, within, tries, properties, actions } = binding;
  return {
    devices: device,
    over: connection,
    ...given({
      alive: alive && { ...reportDefinition(alive), is: alive.is },
      pressed: pressed && reportDefinition(pressed),
    }),
    within: printDuration(within),
    tries,
    properties: Object.fromEntries(
      [...properties].map(([name, property]) => [name, propertyDefinition(property)]),
    ),
    ...(actions.size > 0 && {
      actions: Object.fromEntries(
        [...actions].map(([name, message]) => [name, orderDefinition(message)]),
      ),
    }),
  };
}

function propertyDefinition(property: PropertyBinding): PropertyBindingDefinition {
  const { order, report, mapping, moves } = property;
  const { values, scale, offset, step, unit, colour } = mapping;
  return given({
    order: order && orderDefinition(order),
    report: report && reportDefinition(report),
    values: values && Object.fromEntries(values),
    scale: scale === 1 ? undefined : scale,
    offset: offset === 0 ? undefined : offset,
    step,
    unit,
    colour: colour === "hex" ? undefined : colour,
    moves: moves ? true : undefined,
  });
}

function orderDefinition(message: OrderMessage): OrderDefinition {
  const { to, method, headers, body, retain, quality } = message;
  return { to, method, ...body, retain, quality, ...given({ headers: someOf(headers) }) };
}

function reportDefinition({ from, pointer, headers, every }: Listening): ReportDefinition {
  return {
    from,
    ...given({
      at: pointer === "" ? undefined : pointer,
      headers: someOf(headers),
      every: every === undefined ? undefined : printDuration(every),
    }),
  };
}

function someOf(headers: Readonly<Record<string, string>>): Record<string, string> | undefined {
  return Object.keys(headers).length === 0 ? undefined : { ...headers };
}

/** How a device of a foreign Thing Description is reached, as far as its forms tell. */
export interface Reached {
  binding: BindingDefinition;
  connections: Record<string, ConnectionDefinition>;
}

/** What of a Thing Description tells how it is reached. */
export interface FormsOfThing {
  /** The id of the device. */
  id: string;
  thing: Form;
  /** The device's own values of truth values that are on and off here, by property. */
  asOnOff: ReadonlySet<string>;
}

/** Reads forms: one connection, and what is ordered and told over it. */
export function reachedBy({ id, thing, asOnOff }: FormsOfThing): Reached | undefined {
  const base = textOf(thing["base"]) ?? "";
  const login = loginOf(thing);
  const connections: Record<string, ConnectionDefinition> = {};
  let over: string | undefined;
  /** The connection of a form, and its path there; nothing where it goes elsewhere or by another protocol. */
  const placeOf = (form: Form): string | undefined => {
    const found = addressOf(base, textOf(form["href"]) ?? "");
    if (!found) return undefined;
    const key = idFrom(found.host);
    over ??= key;
    if (over !== key) return undefined;
    connections[key] = { url: found.origin, ...(login && { login: nameOfLogin(key) }) };
    return found.path;
  };
  const properties: Record<string, PropertyBindingDefinition> = {};
  for (const [name, schema] of Object.entries(membersOf(thing["properties"]))) {
    const read = propertyFrom(formsIn(schema), placeOf);
    const values = asOnOff.has(name) ? { values: { on: true, off: false } } : {};
    if (read) properties[name] = { ...read, ...values };
  }
  const actions: Record<string, OrderDefinition> = {};
  for (const [name, action] of Object.entries(membersOf(thing["actions"]))) {
    const form = formsIn(action).find((each) =>
      opsOf(each, ["invokeaction"]).includes("invokeaction"),
    );
    const order = form && orderFrom(form, placeOf, "POST");
    if (order) actions[name] = order;
  }
  if (over === undefined) return undefined;
  const some = Object.keys(actions).length > 0 ? { actions } : {};
  return { binding: { devices: id, over, properties, ...some }, connections };
}

function propertyFrom(
  forms: readonly Form[],
  placeOf: (form: Form) => string | undefined,
): PropertyBindingDefinition | undefined {
  const usual = ["readproperty", "writeproperty"];
  const write = forms.find((form) => opsOf(form, usual).includes("writeproperty"));
  const tell = forms.find((form) =>
    opsOf(form, usual).some((op) => op === "observeproperty" || op === "readproperty"),
  );
  const order = write && orderFrom(write, placeOf, "PUT");
  const from = tell && (textOf(tell["mqv:filter"]) ?? textOf(tell["mqv:topic"]) ?? placeOf(tell));
  if (tell) placeOf(tell);
  if (order === undefined && from === undefined) return undefined;
  const isWeb =
    tell !== undefined && tell["mqv:filter"] === undefined && tell["mqv:topic"] === undefined;
  return {
    order: order ?? false,
    report: from === undefined ? false : { from, ...(isWeb && { every: "30s" }) },
  };
}

function orderFrom(
  form: Form,
  placeOf: (form: Form) => string | undefined,
  usual: "PUT" | "POST",
): OrderDefinition | undefined {
  const path = placeOf(form);
  if (path === undefined) return undefined;
  const to = textOf(form["mqv:topic"]) ?? path;
  const method = methods.find((each) => each === form["htv:methodName"]) ?? usual;
  const isText = textOf(form["contentType"])?.startsWith("text/") === true;
  const body = isText ? { text: "$value" } : { json: "$value" };
  const quality = ([0, 1, 2] as const).find((each) => String(each) === String(form["mqv:qos"]));
  return {
    to,
    ...body,
    ...given({
      quality,
      headers: headersIn(form),
      retain: form["mqv:retain"] === true ? true : undefined,
    }),
    ...(form["mqv:topic"] === undefined && { method }),
  };
}

const methods = ["GET", "POST", "PUT", "PATCH", "DELETE"] as const;

function headersIn(form: Form): Record<string, string> | undefined {
  const written = Array.isArray(form["htv:headers"]) ? form["htv:headers"] : [];
  const headers = written.flatMap((each: unknown) => {
    const { "htv:fieldName": name, "htv:fieldValue": value } = membersOf(each);
    return typeof name === "string" && typeof value === "string" ? [[name, value] as const] : [];
  });
  return headers.length === 0 ? undefined : Object.fromEntries(headers);
}

function formsIn(affordance: unknown): Form[] {
  const { forms } = membersOf(affordance);
  return Array.isArray(forms) ? forms.map((form: unknown) => membersOf(form)) : [];
}

/** The operations of a form; these where it says none (section 5.4). */
function opsOf({ op }: Form, usual: readonly string[]): string[] {
  return op === undefined ? [...usual] : [op].flat().filter((each) => typeof each === "string");
}

function addressOf(
  base: string,
  href: string,
): { host: string; origin: string; path: string } | undefined {
  const whole = /^\w+:/.test(href)
    ? href
    : base === ""
      ? ""
      : `${base.replace(/\/$/, "")}/${href.replace(/^\//, "")}`;
  const parts = /^(mqtts?|https?):\/\/([^/?#\s{}@]+)(\/[^\s{}]*)?$/.exec(whole);
  if (!parts || parts[2]?.endsWith(".invalid")) return undefined;
  const [, scheme = "", host = "", path = ""] = parts;
  return { host, origin: `${scheme}://${host}`, path };
}

/** Whether what it takes to be let in is more than nothing (section 5.3.3). */
function loginOf(thing: Form): boolean {
  const schemes = Object.values(membersOf(thing["securityDefinitions"]));
  return schemes.some((each) => ["basic", "bearer"].includes(String(membersOf(each)["scheme"])));
}

/** The environment variable that a login is looked for in. */
export function nameOfLogin(connection: string): string {
  return `LOGIN_${connection.toUpperCase().replaceAll("-", "_")}`;
}
