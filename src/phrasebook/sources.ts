import type { Cursor } from "../document/cursor.ts";
import { readNames } from "../document/said.ts";
import type { Context } from "../document/context.ts";
import type { Device } from "../model/home.ts";
import type { Kind } from "../model/kinds.ts";
import { packFor } from "../language/packs.ts";
import { given } from "../source/given.ts";
import type { DeviceDefinition } from "./definition/home.ts";
import type { IntentDefinition } from "./definition/intents.ts";
import type { BindingDefinition, SourceOfNewsDefinition } from "./definition/outside.ts";
import { readDevice } from "./devices.ts";
import { readIntent } from "./intents.ts";
import type { Intent, Phrasebook } from "./model.ts";
import type { Scope } from "./scope.ts";

type Entry = Cursor<SourceOfNewsDefinition>;

/** The kind of what tells something and is no device: its properties are only told. */
export const sourceKind: Kind = {
  properties: {},
  optional: {},
  actions: ["fetch"],
  bulk: false,
};

/** A source as what it is to all stages: a device that can be asked, and told to fetch what it tells. */
export function readSource(entry: Entry): Device | undefined {
  const { name, aliases, tells } = entry.value;
  const properties = Object.fromEntries(
    Object.entries(tells).map(([each, schema]) => [each, { ...schema, readOnly: true }]),
  );
  const device: DeviceDefinition = { kind: "source", properties, ...given({ name, aliases }) };
  return readDevice(entry.as(device), new Set());
}

/** How it is reached, where that is written. */
export function bindingOfSource(entry: Entry): Cursor<BindingDefinition> | undefined {
  const { over, report, within } = entry.value;
  if (over === undefined || report === undefined) return undefined;
  return entry.as<BindingDefinition>({ devices: entry.id, over, report, ...given({ within }) });
}

/** Whether something tells and is no device. */
export function isSource({ devices, kinds }: Pick<Phrasebook, "devices" | "kinds">, id: string) {
  const kind = devices.get(id)?.kind ?? "";
  return kinds.get(kind) === sourceKind;
}

/** Whether something is a source that is asked whenever somebody wants to know. */
export function isToldWhenAsked(
  book: Pick<Phrasebook, "devices" | "kinds" | "bindings">,
  id: string,
): boolean {
  if (!isSource(book, id)) return false;
  const told = [...(book.bindings.get(id)?.properties.values() ?? [])];
  return told.every(({ report }) => report?.every === undefined);
}

/** The intent that asks for it: in the words of each language, answered in its own. */
export function askingFor(context: Context, entry: Entry, scope: Scope): Intent {
  const { id, value } = entry;
  const { tells, report, reply } = value;
  const names = readNames(entry);
  const patterns: Record<string, string[]> = {};
  for (const tag of context.languages) {
    const pack = packFor(context, tag);
    const own = names.filter(({ language }) => language === tag || language === pack?.language);
    if (!pack || own.length === 0) continue;
    const said = `(${own.map(({ text }) => JSON.stringify(text)).join(" | ")})`;
    patterns[tag] = pack.sources.map((text) => text.replaceAll("$source", said));
  }
  const all = Object.keys(tells).map((each) => `{$${id}.${each}}`);
  // What is told at intervals is known; what is not is asked for first.
  const isKnown = typeof report === "object" && report.every !== undefined;
  const asking: IntentDefinition = {
    patterns,
    reply: reply ?? all.join(", "),
    do: isKnown ? [] : [{ call: { [id]: "fetch" } }],
  };
  const intent = readIntent(entry.as(asking), scope);
  // What people may say comes with Calm Phrase, and stands nowhere in the file.
  const said = intent.patterns.map((pattern) => {
    return { ...pattern, origin: "vocabulary" as const, at: entry.keyAt };
  });
  return { ...intent, id: `ask-${id}`, patterns: said };
}
