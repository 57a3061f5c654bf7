import type { LanguagePack } from "../language/pack.ts";
import { type VocabularyId, vocabularyIds } from "../language/vocabulary.ts";
import type { Device } from "../model/home.ts";
import type { Context } from "../document/context.ts";
import { Cursor } from "../document/cursor.ts";
import { readDocument } from "../document/document.ts";
import { type Packs, packFor } from "../language/packs.ts";
import type { SlotDefinition } from "../slot-types/definition.ts";
import { readIntent } from "./intents.ts";
import type { Intent } from "./model.ts";
import type { IntentDefinition } from "./definition/intents.ts";
import type { PhrasebookDefinition } from "./definition/phrasebook.ts";
import type { Scope } from "./scope.ts";
import { mapOf, section } from "./sections.ts";

/** What an intent of the vocabulary needs a home to have, and what it does. */
interface VocabularyIntent {
  needs: { property: string } | { action: string } | "state" | "routine";
  slots: Readonly<Record<string, SlotDefinition>>;
  do: NonNullable<IntentDefinition["do"]>;
}

const target: SlotDefinition = { type: "target" };
/** "Turn the lights on in the shop": a place said apart from what it narrows. */
const place: SlotDefinition = { type: "target", narrows: "target" };
const percent: SlotDefinition = { type: "percent" };

const setTo = (property: string, value: string | boolean | number): VocabularyIntent => ({
  needs: { property },
  slots: { target, place },
  do: { set: { $target: { [property]: value } } },
});

/** For what nobody means by "everything off". */
const setNamed = (property: string, value: string): VocabularyIntent => ({
  ...setTo(property, value),
  slots: { target: { type: "target", named: true } },
});

const level = (property: string, slot: SlotDefinition = percent): VocabularyIntent => ({
  needs: { property },
  slots: { target, place, level: slot },
  do: { set: { $target: { [property]: "$level" } } },
});

const nudged = (property: string, sign: "" | "-", amount: SlotDefinition): VocabularyIntent => ({
  needs: { property },
  slots: { target, amount },
  do: { nudge: { $target: { [property]: `${sign}$amount` } } },
});

const called = (action: string): VocabularyIntent => ({
  needs: { action },
  slots: { target },
  do: { call: { $target: action } },
});

const chosen = (property: string): VocabularyIntent => ({
  needs: { property },
  slots: { target, [property]: { type: "value", property } },
  do: { set: { $target: { [property]: `$${property}` } } },
});

const asked = (form: "whether" | "which" | "any"): VocabularyIntent => ({
  needs: "state",
  slots: { target, state: { type: "state" }, place },
  do: { tell: { target: "$target", state: "$state", form } },
});

/** What each intent does, with the words for amounts and levels in every language of the home. */
function intents(packs: readonly LanguagePack[]): Record<VocabularyId, VocabularyIntent> {
  const said = (pick: (pack: LanguagePack) => readonly string[]) =>
    Object.fromEntries(packs.map((pack) => [pack.language, [...pick(pack)]]));
  const small = said((pack) => pack.amounts.small);
  const large = said((pack) => pack.amounts.large);
  const steps: SlotDefinition = {
    type: "percent",
    default: 20,
    values: { 10: small, 40: large },
  };
  const degrees: SlotDefinition = {
    type: "temperature",
    default: 1,
    values: { 0.5: small, 2: large },
  };
  const full = said((pack) => pack.levels.full);
  const least = said((pack) => pack.levels.least);
  const brightness: SlotDefinition = { type: "percent", values: { 100: full, 1: least } };
  const speed: SlotDefinition = {
    type: "percent",
    values: {
      33: said((pack) => pack.levels.low),
      66: said((pack) => pack.levels.medium),
      100: said((pack) => [...pack.levels.high, ...pack.levels.full]),
    },
  };
  const warmths: Record<string, Record<string, string[]>> = {};
  for (const kelvin of new Set(packs.flatMap((pack) => Object.keys(pack.warmths)))) {
    warmths[kelvin] = said((pack) => pack.warmths[kelvin] ?? []);
  }
  const warmth: SlotDefinition = { type: "colour-temperature", values: warmths };
  const measures: Record<string, Record<string, string[]>> = {};
  for (const property of new Set(packs.flatMap((pack) => Object.keys(pack.properties)))) {
    measures[property] = said((pack) => pack.properties[property] ?? []);
  }

  return {
    "power-on": setTo("power", "on"),
    "power-off": setTo("power", "off"),
    "brightness-to": level("brightness", brightness),
    brighter: nudged("brightness", "", steps),
    dimmer: nudged("brightness", "-", steps),
    "speed-to": level("speed", speed),
    faster: nudged("speed", "", steps),
    slower: nudged("speed", "-", steps),
    "oscillate-on": setTo("oscillate", "on"),
    "oscillate-off": setTo("oscillate", "off"),
    "colour-to": {
      needs: { property: "colour" },
      slots: { target, place, colour: { type: "colour" } },
      do: { set: { $target: { colour: "$colour" } } },
    },
    "colour-and-brightness": {
      needs: { property: "colour" },
      slots: { target, colour: { type: "colour" }, level: brightness },
      do: { set: { $target: { colour: "$colour", brightness: "$level" } } },
    },
    "warmth-to": {
      needs: { property: "warmth" },
      slots: { target, warmth },
      do: { set: { $target: { warmth: "$warmth" } } },
    },
    "warmth-and-brightness": {
      needs: { property: "warmth" },
      slots: { target, warmth, level: brightness },
      do: { set: { $target: { warmth: "$warmth", brightness: "$level" } } },
    },
    "temperature-to": {
      needs: { property: "target" },
      slots: { target, degrees: { type: "temperature" } },
      do: { set: { $target: { target: "$degrees" } } },
    },
    warmer: nudged("target", "", degrees),
    cooler: nudged("target", "-", degrees),
    "mode-to": chosen("mode"),
    "preset-to": chosen("preset"),
    open: setTo("position", 100),
    close: setTo("position", 0),
    "position-to": level("position"),
    "tilt-to": level("tilt"),
    "stop-moving": { ...called("stop"), needs: { property: "position" } },
    "flow-on": setNamed("flow", "on"),
    "flow-off": setNamed("flow", "off"),
    lock: setTo("locked", true),
    unlock: setTo("locked", false),
    arm: {
      needs: { property: "armed" },
      slots: {
        target: { type: "target", named: true },
        mode: { type: "value", property: "armed", default: "away" },
      },
      do: { set: { $target: { armed: "$mode" } } },
    },
    disarm: setNamed("armed", "off"),
    record: setTo("recording", "on"),
    "stop-recording": setTo("recording", "off"),
    play: setTo("playing", "play"),
    pause: setTo("playing", "pause"),
    "stop-playing": setTo("playing", "stop"),
    next: called("next"),
    previous: called("previous"),
    "play-what": {
      needs: { action: "play" },
      slots: { target, what: { type: "text" } },
      do: { call: { $target: "play" }, with: "$what" },
    },
    "volume-to": level("volume"),
    louder: nudged("volume", "", { type: "percent", default: 10, values: { 5: small, 25: large } }),
    quieter: nudged("volume", "-", {
      type: "percent",
      default: 10,
      values: { 5: small, 25: large },
    }),
    mute: setTo("muted", true),
    unmute: setTo("muted", false),
    "source-to": chosen("source"),
    press: called("press"),
    start: called("start"),
    stop: called("stop"),
    "pause-work": called("pause"),
    dock: called("dock"),
    "program-to": chosen("program"),
    find: called("chime"),
    "ask-value": {
      needs: "state",
      slots: { target, measure: { type: "choice", values: measures } },
      do: { tell: { target: "$target", property: "$measure", form: "value" } },
    },
    "run-routine": {
      needs: "routine",
      slots: { routine: { type: "routine" } },
      do: { run: "$routine" },
    },
    "ask-temperature": {
      needs: { property: "temperature" },
      slots: { target },
      do: { tell: { target: "$target", property: "temperature", form: "value" } },
    },
    "ask-whether": asked("whether"),
    "ask-which": asked("which"),
    "ask-any": asked("any"),
  };
}

/** The intents that come with Calm Phrase, as far as this home has use for them. */
export function readVocabulary(
  context: Context,
  tops: readonly Cursor<PhrasebookDefinition>[],
  scope: Scope,
): Map<string, Intent> {
  const without = new Set<string>();
  for (const top of tops) {
    for (const id of top.given("vocabulary")?.given("without")?.items() ?? []) {
      without.add(id.value);
      if (id.value === "all" || vocabularyIds.some((known) => known === id.value)) continue;
      id.unknown("intent of the vocabulary", id.value, vocabularyIds);
    }
  }
  const definition = vocabularyFor(context, scope, without);
  const document = readDocument({ path: "vocabulary", definition }, context.findings);
  const shipped = new Cursor(definition, {
    document,
    context: { ...context, origin: "vocabulary" },
  });
  const own = { ...scope, fragments: new Map(), ...noIds };
  return mapOf(
    section([shipped], (top) => top.given("intents")),
    (entry) => readIntent(entry, own),
  );
}

/** The vocabulary speaks of nothing that a home has of its own. */
const noIds = {
  routines: new Set<string>(),
  people: new Set<string>(),
  voicepoints: new Set<string>(),
};

/**
 * The vocabulary of a home: the intents for the properties and actions that its devices have, in
 * the languages that it speaks, as a phrasebook of its own.
 */
function vocabularyFor(
  { languages, packs: known }: { languages: readonly string[]; packs: Packs },
  { home, routines }: Scope,
  without: ReadonlySet<string>,
): PhrasebookDefinition {
  const packs = [...new Set(languages.flatMap((tag) => packFor({ packs: known }, tag) ?? []))];
  const { properties, actions } = abilitiesIn(home.devices.values());
  const isNeeded = ({ needs }: VocabularyIntent): boolean => {
    if (needs === "state") return properties.size > 0;
    if (needs === "routine") return routines.size > 0;
    return "property" in needs ? properties.has(needs.property) : actions.has(needs.action);
  };
  const all = intents(packs);
  const own: PhrasebookDefinition["intents"] = {};
  for (const id of vocabularyIds) {
    const intent = all[id];
    if (without.has(id) || without.has("all") || !isNeeded(intent)) continue;
    const entries = packs.map((pack) => [pack.language, pack.vocabulary[id]] as const);
    const patterns = entries.map(([language, entry]): [string, string[]] => [
      language,
      [...entry.patterns],
    ]);
    const replies = entries.map(([language, entry]): [string, string] => [language, entry.reply]);
    own[id] = {
      patterns: Object.fromEntries(patterns),
      slots: { ...intent.slots },
      do: intent.do,
      ...(replies.some(([, reply]) => reply !== "") ? { reply: Object.fromEntries(replies) } : {}),
    };
  }
  return { intents: own };
}

/** What devices have and can do, by name. */
function abilitiesIn(devices: Iterable<Device>) {
  const properties = new Set<string>();
  const actions = new Set<string>();
  for (const device of devices) {
    for (const name of device.properties.keys()) properties.add(name);
    for (const name of device.actions) actions.add(name);
  }
  return { properties, actions };
}
