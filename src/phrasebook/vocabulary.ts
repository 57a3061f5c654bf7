import type { LanguagePack } from "../language/pack.ts";
import { type VocabularyId, vocabularyIds } from "../language/vocabulary.ts";
import type { Context } from "../document/context.ts";
import { Cursor } from "../document/cursor.ts";
import { readDocument } from "../document/document.ts";
import { packFor } from "../language/packs.ts";
import type { SlotDefinition } from "../slot-types/definition.ts";
import { type Framed, patternsOf } from "./frames.ts";
import { type OwnIntent, ownIntents } from "./own-vocabulary.ts";
import { readIntent } from "./intents.ts";
import type { Intent } from "./model.ts";
import type { IntentDefinition } from "./definition/intents.ts";
import type { PhrasebookDefinition } from "./definition/phrasebook.ts";
import type { Scope } from "./scope.ts";
import { ownOf } from "../source/own.ts";
import { mapOf, section } from "./sections.ts";

/** What an intent of the vocabulary needs a home to have, and what it does. */
interface VocabularyIntent {
  needs: { property: string } | { action: string } | "state" | "routine";
  slots: Readonly<Record<string, SlotDefinition>>;
  do: NonNullable<IntentDefinition["do"]>;
  /** The frames that it is said in beside what is peculiar to it. */
  framed?: Framed;
}

const target: SlotDefinition = { type: "target" };
const percent: SlotDefinition = { type: "percent" };

/** What a device is set to, the first that it has. */
const settings = [
  "target",
  "brightness",
  "speed",
  "volume",
  "position",
  "program",
  "mode",
  "armed",
  "source",
  "power",
];

const setTo = (property: string, value: string | boolean | number): VocabularyIntent => ({
  needs: { property },
  slots: { target },
  do: { set: { $target: { [property]: value } } },
});

/** For what nobody means by "everything off". */
const named = (intent: VocabularyIntent): VocabularyIntent => ({
  ...intent,
  slots: { ...intent.slots, target: { type: "target", named: true } },
});

/** Only for devices of these kinds. */
const ofKinds = (kind: readonly string[], intent: VocabularyIntent): VocabularyIntent => ({
  ...intent,
  slots: { ...intent.slots, target: { type: "target", kind: [...kind] } },
});

/** Kinds that start when they have power. */
const running = ["plug", "pump", "fan", "heater"];

/** Something that is on or off. */
const switched = (property: string, to: "on" | "off", isForemost = false): VocabularyIntent => ({
  ...setTo(property, to),
  framed: { sort: "switched", form: to, property, isForemost },
});

const level = (
  property: string,
  { slot = percent, value = "level", isForemost = true } = {},
): VocabularyIntent => ({
  needs: { property },
  slots: { target, [value]: slot },
  do: { set: { $target: { [property]: `$${value}` } } },
  framed: { sort: "level", form: "to", property, value, isForemost },
});

const nudged = (property: string, to: "up" | "down", amount: SlotDefinition): VocabularyIntent => ({
  needs: { property },
  slots: { target, amount },
  do: { nudge: { $target: { [property]: to === "up" ? "$amount" : "-$amount" } } },
  framed: { sort: "level", form: to, property, isForemost: true },
});

const called = (action: string): VocabularyIntent => ({
  needs: { action },
  slots: { target },
  do: { call: { $target: action } },
});

const chosen = (
  property: string,
  slot: SlotDefinition = { type: "value", property },
): VocabularyIntent => ({
  needs: { property },
  slots: { target, [property]: slot },
  do: { set: { $target: { [property]: `$${property}` } } },
  framed: { sort: "choice", form: "to", property, value: property, isForemost: true },
});

const coloured = (property: string, slot: SlotDefinition): VocabularyIntent => ({
  ...chosen(property, slot),
  framed: { sort: "colour", form: "to", property, value: property, isForemost: true },
});

const asked = (form: "whether" | "which" | "any"): VocabularyIntent => ({
  needs: "state",
  slots: { target, state: { type: "state" } },
  do: { tell: { target: "$target", state: "$state", form } },
});

/** What each intent does, with the words for amounts and levels in every language of the home. */
function intents(packs: readonly LanguagePack[]): Record<VocabularyId, VocabularyIntent> {
  const said = (pick: (pack: LanguagePack) => readonly string[]) =>
    Object.fromEntries(packs.map((pack) => [pack.language, [...pick(pack)]]));
  const saidEach = (pick: (pack: LanguagePack) => Readonly<Record<string, readonly string[]>>) =>
    Object.fromEntries(
      [...new Set(packs.flatMap((pack) => Object.keys(pick(pack))))].map((id) => [
        id,
        said((pack) => ownOf(pick(pack), id) ?? []),
      ]),
    );
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
  const warmth: SlotDefinition = {
    type: "colour-temperature",
    values: saidEach((pack) => pack.warmths),
  };
  const measures = saidEach((pack) => pack.properties);
  const adjectives = saidEach((pack) => pack.adjectives);
  const volumes: SlotDefinition = { type: "percent", default: 10, values: { 5: small, 25: large } };

  return {
    "power-on": switched("power", "on", true),
    "power-off": switched("power", "off", true),
    "brightness-to": level("brightness", { slot: brightness }),
    brighter: nudged("brightness", "up", steps),
    dimmer: nudged("brightness", "down", steps),
    "speed-to": level("speed", { slot: speed }),
    faster: nudged("speed", "up", steps),
    slower: nudged("speed", "down", steps),
    "oscillate-on": switched("oscillate", "on"),
    "oscillate-off": switched("oscillate", "off"),
    "colour-to": coloured("colour", { type: "colour" }),
    "warmth-to": coloured("warmth", warmth),
    "temperature-to": level("target", { slot: { type: "temperature" }, value: "degrees" }),
    warmer: nudged("target", "up", degrees),
    cooler: nudged("target", "down", degrees),
    "mode-on": {
      ...named(setTo("mode", "$first(auto, heat, cool)")),
      framed: { sort: "switched", form: "on", property: "mode", isForemost: true },
    },
    "mode-off": {
      ...named(setTo("mode", "off")),
      framed: { sort: "switched", form: "off", property: "mode", isForemost: true },
    },
    "mode-to": chosen("mode"),
    "preset-to": chosen("preset"),
    open: setTo("position", 100),
    close: setTo("position", 0),
    "position-to": level("position"),
    "position-short": {
      needs: { property: "position" },
      slots: { target, level: percent },
      do: { set: { $target: { position: "$level times -1 plus 100" } } },
    },
    "tilt-to": level("tilt", { isForemost: false }),
    "stop-moving": { ...called("stop"), needs: { property: "position" } },
    "flow-on": named(switched("flow", "on", true)),
    "flow-off": named(switched("flow", "off", true)),
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
    disarm: named(setTo("armed", "off")),
    record: switched("recording", "on"),
    "stop-recording": switched("recording", "off"),
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
    louder: nudged("volume", "up", volumes),
    quieter: nudged("volume", "down", volumes),
    mute: setTo("muted", true),
    unmute: setTo("muted", false),
    "source-to": chosen("source"),
    press: called("press"),
    start: called("start"),
    stop: called("stop"),
    "pause-work": called("pause"),
    dock: called("dock"),
    "program-to": chosen("program"),
    "program-start": {
      needs: { property: "program" },
      slots: { target, program: { type: "value", property: "program" } },
      do: [{ set: { $target: { program: "$program" } } }, { call: { $target: "start" } }],
    },
    "power-start": ofKinds(running, setTo("power", "on")),
    "power-stop": ofKinds(running, setTo("power", "off")),
    find: called("chime"),
    "ask-value": {
      needs: "state",
      slots: { target, measure: { type: "choice", values: measures } },
      do: { tell: { target: "$target", property: "$measure", form: "value" } },
    },
    "ask-how": {
      needs: "state",
      slots: { target, measure: { type: "choice", values: adjectives } },
      do: { tell: { target: "$target", property: "$measure", form: "value" } },
    },
    "ask-setting": {
      needs: "state",
      slots: { target },
      do: { tell: { target: "$target", property: settings, form: "value" } },
    },
    "ask-doing": {
      needs: { property: "activity" },
      slots: { target },
      do: { tell: { target: "$target", property: "activity", form: "value" } },
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
  const packs = [...new Set(context.languages.flatMap((tag) => packFor(context, tag) ?? []))];
  const shipped = intents(packs);
  const own = ownIntents(scope.home.devices.values(), isShipped(shipped));
  const known = new Set<string>([...vocabularyIds, ...own.map(({ id }) => id)]);
  for (const top of tops) {
    for (const id of top.given("vocabulary")?.given("without")?.items() ?? []) {
      without.add(id.value);
      if (id.value === "all" || known.has(id.value)) continue;
      id.unknown("intent of the vocabulary", id.value, known);
    }
  }
  // What the phrasebook has under the id is its own.
  const written = new Set(tops.flatMap((top) => Object.keys(top.value.intents ?? {})));
  const added = own.filter(({ id }) => !written.has(id));
  const definition = vocabularyFor(scope, { packs, shipped, own: added, without });
  const document = readDocument({ path: "vocabulary", definition }, context.findings);
  const top = new Cursor(definition, {
    document,
    context: { ...context, origin: "vocabulary" },
  });
  const inside = { ...scope, fragments: new Map(), ...noIds };
  return mapOf(
    section([top], (each) => each.given("intents")),
    (entry) => readIntent(entry, inside),
  );
}

/** The vocabulary speaks of nothing that a home has of its own. */
const noIds = {
  routines: new Set<string>(),
  people: new Set<string>(),
  voicepoints: new Set<string>(),
};

/** What the vocabulary of a home is made of. */
interface Ingredients {
  packs: readonly LanguagePack[];
  shipped: Readonly<Record<VocabularyId, VocabularyIntent>>;
  own: readonly OwnIntent[];
  without: ReadonlySet<string>;
}

/**
 * The vocabulary of a home: the intents for the properties and actions that its devices have, in
 * the languages that it speaks, as a phrasebook of its own.
 */
function vocabularyFor(
  { home, routines }: Scope,
  { packs, shipped, own, without }: Ingredients,
): PhrasebookDefinition {
  const properties = new Set<string>();
  const actions = new Set<string>();
  for (const device of home.devices.values()) {
    for (const name of device.properties.keys()) properties.add(name);
    for (const name of device.actions) actions.add(name);
  }
  const isNeeded = ({ needs }: VocabularyIntent): boolean => {
    if (needs === "state") return properties.size > 0;
    if (needs === "routine") return routines.size > 0;
    return "property" in needs ? properties.has(needs.property) : actions.has(needs.action);
  };
  const made: PhrasebookDefinition["intents"] = {};
  for (const each of own) {
    if (without.has(each.id) || without.has("all")) continue;
    const patterns = packs.flatMap((pack): [string, string[]][] => {
      const said = patternsOf(pack, { states: each.states(pack), reply: "" }, each.framed);
      return said.length > 0 ? [[pack.language, said]] : [];
    });
    const replies = packs.map((pack): [string, string] => [
      pack.language,
      `{$target}: ${each.reply(pack)}.`,
    ]);
    made[each.id] = {
      patterns: Object.fromEntries(patterns),
      slots: { ...each.slots },
      do: each.do,
      reply: Object.fromEntries(replies),
    };
  }
  for (const id of vocabularyIds) {
    const intent = shipped[id];
    if (without.has(id) || without.has("all") || !isNeeded(intent)) continue;
    const patterns = packs.map((pack): [string, string[]] => [
      pack.language,
      patternsOf(pack, pack.vocabulary[id], intent.framed),
    ]);
    const replies = packs.map(({ language, vocabulary }): [string, string] => [
      language,
      vocabulary[id].reply,
    ]);
    made[id] = {
      patterns: Object.fromEntries(patterns),
      slots: { ...intent.slots },
      do: intent.do,
      ...(replies.some(([, reply]) => reply !== "") ? { reply: Object.fromEntries(replies) } : {}),
    };
  }
  return { intents: made };
}

/** Tells the properties and actions that some intent that ships speaks of. */
function isShipped(
  all: Readonly<Record<string, VocabularyIntent>>,
): (sort: "property" | "action", id: string) => boolean {
  const known = new Set(
    Object.values(all).flatMap(({ needs }) =>
      typeof needs === "string"
        ? []
        : "property" in needs
          ? `property ${needs.property}`
          : `action ${needs.action}`,
    ),
  );
  return (sort, id) => known.has(`${sort} ${id}`);
}
