import type { LanguagePack } from "../language/pack.ts";
import type { VocabularyId } from "../language/vocabulary.ts";
import type { SpeechUnits } from "../model/units.ts";
import type { SlotDefinition } from "../slot-types/definition.ts";
import { ownOf } from "../source/own.ts";
import type { IntentDefinition } from "./definition/intents.ts";
import type { Framed } from "./frames.ts";

/** What an intent of the vocabulary needs a home to have, and what it does. */
export interface VocabularyIntent {
  needs: { property: string } | { action: string } | "state" | "routine";
  slots: Readonly<Record<string, SlotDefinition>>;
  do: NonNullable<IntentDefinition["do"]>;
  /** The frames that it is said in beside what is peculiar to it. */
  framed?: Framed;
  /** Intents whose peculiar ways to say it are its own as well. */
  saidLike?: readonly VocabularyId[];
}

const target: SlotDefinition = { type: "target" };
const percent: SlotDefinition = { type: "percent" };

/** What a device does, the first that it has. */
const doings = ["activity", "playing", "mode", "position", "flow", "power"];

/** What a device measures, the first that it has. */
const readings = ["temperature", "moisture", "humidity", "illuminance", "co2", "pm25", "level"];

/** What a device is set to, the first that it has, or what it measures. */
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
  ...readings,
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

/** Only for devices of these kinds that are named. */
const namedOf = (kind: readonly string[], intent: VocabularyIntent): VocabularyIntent => ({
  ...intent,
  slots: { ...intent.slots, target: { type: "target", kind: [...kind], named: true } },
});

/** Whatever goes on and off is turned on and off in the same words: "kill the heating", "fire up the sprinkler". */
const turnedOn: readonly VocabularyId[] = ["power-on", "power-start"];
const turnedOff: readonly VocabularyId[] = ["power-off", "power-stop"];

const turned = (
  to: "on" | "off",
  property: string,
  intent: VocabularyIntent,
): VocabularyIntent => ({
  ...intent,
  saidLike: to === "on" ? turnedOn : turnedOff,
  framed: { sort: "switched", form: to, property, isForemost: true },
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
  {
    slot = percent,
    value = "level",
    isForemost = true,
  }: { slot?: SlotDefinition; value?: string; isForemost?: boolean } = {},
): VocabularyIntent => ({
  needs: { property },
  slots: { target, [value]: slot },
  do: { set: { $target: { [property]: `$${value}` } } },
  framed: { sort: "level", form: "to", property, value, isForemost },
});

/** More or less of a property. */
export const nudged = (
  property: string,
  to: "up" | "down",
  amount: SlotDefinition,
): VocabularyIntent => ({
  needs: { property },
  slots: { target, amount },
  do: { nudge: { $target: { [property]: to === "up" ? "$amount" : "-$amount" } } },
  framed: { sort: "level", form: to, property, isForemost: true },
});

/**
 * Further open or closed, which is only meant where it is said how much or how: "the blind up" is all the
 * way. A third is a third of the way, and not of where it is, which the product says.
 */
const moved = (to: "up" | "down", amount: SlotDefinition): VocabularyIntent => ({
  ...nudged("position", to, amount),
  do: { nudge: { $target: { position: `${to === "up" ? "" : "-"}$amount times 1` } } },
  framed: { sort: "level", form: to, property: "position", isForemost: false },
});

/** More or less of the warmth of light, of which nobody speaks without naming the light. */
const whitened = (warmth: string, amount: SlotDefinition): VocabularyIntent => ({
  needs: { property: "warmth" },
  slots: { target: { type: "target", named: true }, amount },
  do: { nudge: { $target: { warmth } } },
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

const asked = (form: "whether" | "which" | "any", verbs = false): VocabularyIntent => ({
  needs: "state",
  slots: { target, state: { type: "state", ...(verbs ? { verbs } : {}) } },
  do: { tell: { target: "$target", state: "$state", form } },
});

/** What is said for something in every language of a home. */
export function sayings(
  packs: readonly LanguagePack[],
  pick: (pack: LanguagePack) => readonly string[],
): Record<string, string[]> {
  return Object.fromEntries(packs.map((pack) => [pack.language, [...pick(pack)]]));
}

/** Words for amounts: "a bit", several of it where it is counted, and "a lot". */
export function amountWords(
  packs: readonly LanguagePack[],
  bit: number,
  lot: number,
): Record<string, Record<string, string[]>> {
  const values: Record<string, Record<string, string[]>> = {};
  for (const count of [2, 3, 4]) {
    values[String(bit * count)] = sayings(packs, ({ amounts, numbers }) =>
      (amounts.counted ?? []).map((steps) => `${numbers.cardinal(count)} ${steps}`),
    );
  }
  const counted = values[String(lot)];
  values[String(lot)] = sayings(packs, ({ amounts, language }) => [
    ...amounts.large,
    ...(counted?.[language] ?? []),
  ]);
  return { ...values, [String(bit)]: sayings(packs, (pack) => pack.amounts.small) };
}

/** How much more or less is meant, with the words for "a bit" and "a lot". */
export function amountSlots(packs: readonly LanguagePack[], { temperature }: SpeechUnits) {
  const degrees = temperature === "celsius" ? 1 : 2;
  const slot = (
    type: "percent" | "temperature" | "colour-temperature",
    [low, usual, high]: readonly [number, number, number],
  ): SlotDefinition => ({
    type,
    default: usual,
    values: amountWords(packs, low, high),
  });
  return {
    steps: slot("percent", [10, 20, 40]),
    degrees: slot("temperature", [degrees / 2, degrees, degrees * 2]),
    volumes: slot("percent", [5, 10, 25]),
    kelvins: slot("colour-temperature", [250, 500, 1000]),
  };
}

/** What each intent that ships does, with the words for amounts and levels in every language of the home. */
export function shippedIntents(
  packs: readonly LanguagePack[],
  units: SpeechUnits,
): Record<VocabularyId, VocabularyIntent> {
  const said = (pick: (pack: LanguagePack) => readonly string[]) => sayings(packs, pick);
  const saidEach = (pick: (pack: LanguagePack) => Readonly<Record<string, readonly string[]>>) =>
    Object.fromEntries(
      [...new Set(packs.flatMap((pack) => Object.keys(pick(pack))))].map((id) => [
        id,
        said((pack) => ownOf(pick(pack), id) ?? []),
      ]),
    );
  const { steps, degrees, volumes, kelvins } = amountSlots(packs, units);
  const full = said((pack) => pack.levels.full);
  const least = said((pack) => pack.levels.least);
  // A fan has three speeds; what can be as low as one likes is low at a quarter.
  const stands = {
    25: said((pack) => pack.levels.low),
    50: said((pack) => pack.levels.medium),
    75: said((pack) => pack.levels.high),
    100: full,
  };
  const brightness: SlotDefinition = { type: "percent", values: { ...stands, 1: least } };
  const speed: SlotDefinition = {
    type: "percent",
    values: {
      33: said((pack) => [...pack.levels.low, ...pack.levels.least]),
      66: said((pack) => pack.levels.medium),
      100: said((pack) => [...pack.levels.high, ...pack.levels.full]),
    },
  };
  const volume: SlotDefinition = { type: "percent", values: { ...stands, 10: least } };
  const warmth: SlotDefinition = {
    type: "colour-temperature",
    values: saidEach((pack) => pack.warmths),
  };
  const measures = saidEach(measuresIn);
  const adjectives = saidEach((pack) => pack.adjectives);

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
    "warmer-light": whitened("-$amount", kelvins),
    "cooler-light": whitened("$amount", kelvins),
    "temperature-to": level("target", { slot: { type: "temperature" }, value: "degrees" }),
    warmer: nudged("target", "up", degrees),
    cooler: nudged("target", "down", degrees),
    "mode-on": turned("on", "mode", named(setTo("mode", "$first(last, auto, heat, cool)"))),
    "mode-off": turned("off", "mode", named(setTo("mode", "off"))),
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
    "open-more": moved("up", steps),
    "close-more": moved("down", steps),
    "tilt-to": level("tilt", { isForemost: false }),
    "stop-moving": { ...called("stop"), needs: { property: "position" } },
    "flow-on": turned("on", "flow", named(setTo("flow", "on"))),
    "flow-off": turned("off", "flow", named(setTo("flow", "off"))),
    water: ofKinds(["valve"], setTo("flow", "on")),
    lock: setTo("locked", true),
    unlock: setTo("locked", false),
    arm: turned("on", "armed", {
      needs: { property: "armed" },
      slots: {
        target: { type: "target", named: true },
        mode: { type: "value", property: "armed", default: "away" },
      },
      do: { set: { $target: { armed: "$mode" } } },
    }),
    disarm: turned("off", "armed", named(setTo("armed", "off"))),
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
    "volume-to": level("volume", { slot: volume }),
    louder: nudged("volume", "up", volumes),
    quieter: nudged("volume", "down", volumes),
    mute: setTo("muted", true),
    unmute: setTo("muted", false),
    "source-to": chosen("source"),
    press: called("press"),
    start: called("start"),
    stop: called("stop"),
    "pause-work": called("pause"),
    // What goes about is turned on and off as well: it stays where it is, and has nothing else to stop.
    "start-work": turned("on", "activity", namedOf(["vacuum"], called("start"))),
    "stop-work": turned("off", "activity", namedOf(["vacuum"], called("pause"))),
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
    "ask-reading": {
      needs: "state",
      slots: { target },
      do: { tell: { target: "$target", property: readings, form: "value" } },
    },
    "ask-motion": {
      needs: { property: "motion" },
      slots: { target },
      do: { tell: { target: "$target", state: "moving", form: "any" } },
    },
    "ask-doing": {
      needs: "state",
      slots: { target },
      do: { tell: { target: "$target", property: doings, form: "value" } },
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
    "ask-whether-does": asked("whether", true),
    "ask-which": asked("which"),
    "ask-which-do": asked("which", true),
    "ask-any": asked("any"),
  };
}

/** The words for properties, and for how much of them there is: "moisture level". */
function measuresIn({ properties, measured }: LanguagePack): Record<string, readonly string[]> {
  return Object.fromEntries(
    Object.entries(properties).map(([id, words]) => {
      const any = `(${words.join("|")})`;
      return [id, [...words, ...measured.map((text) => text.replace("$property", any))]];
    }),
  );
}
