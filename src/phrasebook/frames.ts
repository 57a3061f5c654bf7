import type { Frame, FrameForm } from "../language/frames.ts";
import { ordersOf } from "../language/imperatives.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Said, VocabularyEntry, WishId } from "../language/vocabulary.ts";
import { ownOf } from "../source/own.ts";

/** The frames that an intent is said in. */
export type Framed = Frame & {
  property: string;
  /** The slot of its value. */
  value?: string;
  /** Whether it is what a device has foremost, so that its word may be left out. */
  isForemost: boolean;
  /** The unit of its value, which may be said after it. */
  unit?: string;
};

/** The patterns of an intent in a language: what is peculiar to it, and every frame of its sort. */
export function patternsOf(
  pack: LanguagePack,
  { patterns = [], states = [], deeds = [], ceases = [] }: VocabularyEntry,
  framed: Framed | undefined,
): string[] {
  const form = framed && formOf(pack, framed);
  const words = wordsFor(pack, framed);
  const units = unitWords(pack, framed?.unit);
  const unit = units.length > 0 ? ` [${units.join(" | ")}]` : "";
  const value = `$${framed?.value ?? "value"}${unit}`;
  const fitting = (all: readonly string[] = []): string[] =>
    all.flatMap((text) => {
      const isOfWord = text.includes("$property") || text.includes("$verb");
      if (isOfWord ? words.length === 0 : !framed?.isForemost) return [];
      return text
        .replaceAll(/\$(?:property|verb)\b/gu, group(words))
        .replaceAll("$value", value)
        .replaceAll("$amount", `$amount${unit}`);
    });
  const all = [...states, ...fitting(form?.states)];
  const stated = all.length === 0 ? [] : around(pack.frames.state, "$state", group(all));
  const owned = ofProperties(pack, framed).map((text) =>
    text.replaceAll("$property", group(words)).replaceAll("$value", value),
  );
  const isMore = framed?.sort === "level" && framed.form !== "to";
  const more = isMore && states.length > 0 ? around(pack.frames.more, "$state", group(states)) : [];
  // "Two degrees more on the radiator".
  const amounts = fitting(isMore ? form?.states.filter(isAmount) : []);
  const onThings = pack.frames.more.filter((frame) => frame.includes("$target"));
  const moreOn = amounts.length > 0 ? around(onThings, "$state", group(amounts)) : [];
  // What an action is called is done as well.
  const done =
    framed?.sort === "action"
      ? [...fitting(pack.frames.deed), ...ordersIn(pack, words)]
      : [...doneIn(pack.frames.deed, deeds), ...doneIn(pack.frames.cease, ceases)];
  // What is said of every property comes first: people know it from elsewhere.
  return [
    ...fitting(form?.commands),
    ...patterns,
    ...done,
    ...stated,
    ...owned,
    ...switchedAlone(pack, framed, states),
    ...more,
    ...moreOn,
  ].map((text) => text.replaceAll("$amount", `[${pack.amounts.again.join(" | ")}] $amount`));
}

/** What is said for a unit: a tilt is in degrees as a temperature is, and most others say what they are called. */
function unitWords({ units }: LanguagePack, unit: string | undefined): readonly string[] {
  if (unit === undefined || !/^[\p{L} ]+$/u.test(unit)) return [];
  return /\bdeg(?:rees?)?$/u.test(unit) ? units.degrees : [unit, `${unit}s`];
}

/** The patterns that ask whether a property has a value. */
export function patternsAsking(pack: LanguagePack, property: string): string[] {
  const words = ownOf(pack.properties, property) ?? [];
  return (pack.frames.asked ?? []).flatMap((text) =>
    text.includes("$property") && words.length === 0
      ? []
      : text.replaceAll("$property", group(words)),
  );
}

/** What a property of a thing shall be, whether or not that may be said of the thing alone. */
function ofProperties(pack: LanguagePack, framed: Framed | undefined): string[] {
  const { of = [] } = pack.frames;
  if (!framed || framed.form === "up" || framed.form === "down") return [];
  if (wordsFor(pack, framed).length === 0) return [];
  const states = formOf(pack, framed).states.filter(isUnnamed);
  return states.length === 0 ? [] : around(of, "$state", group(states));
}

/** "Turn the steam off", which is said like "turn the lamp off": what goes on and off is in the place of the thing. */
function switchedAlone(
  pack: LanguagePack,
  framed: Framed | undefined,
  states: readonly string[],
): string[] {
  const words = wordsFor(pack, framed);
  if (framed?.sort !== "switched" || words.length === 0) return [];
  const form = formOf(pack, framed);
  const inPlace = (texts: readonly string[]): string[] =>
    texts
      .filter((text) => isUnnamed(text) && text.includes("$target"))
      .map((text) => text.replace("$target", group(words)));
  const said = group([...states, ...form.states.filter(isUnnamed)]);
  return [...inPlace(form.commands), ...around(inPlace(pack.frames.state), "$state", said)];
}

/** Whether a state is that a thing is more or less by so much. */
function isAmount(text: string): boolean {
  return text.startsWith("$amount") || text.includes("] $amount");
}

/** Whether a pattern is said without the words of the property. */
function isUnnamed(text: string): boolean {
  return !text.includes("$property");
}

/** Orders to do what an action is called. */
function ordersIn({ imperatives }: LanguagePack, words: Said): string[] {
  return imperatives ? words.flatMap((said) => ordersOf(said, imperatives)) : [];
}

function doneIn(frames: Said, deeds: readonly string[]): string[] {
  if (deeds.length === 0) return [];
  return frames.map((frame) => frame.replace("$verb", group(deeds)));
}

/** The patterns of a wish in a language that has words for it. */
export function patternsOfWish({ wishes }: LanguagePack, id: WishId): string[] {
  if (!wishes) return [];
  const { complaints, patterns = [] } = wishes.wishes[id];
  return [...patterns, ...around(wishes.frames, "$complaint", group(complaints))];
}

/** Frames with states in them; those that end alike are one pattern, so that states stand there once. */
function around(frames: readonly string[], place: string, states: string): string[] {
  const before = new Map<string, string[]>();
  for (const frame of frames) {
    const [prefix = "", suffix = ""] = frame.split(place);
    const same = before.get(suffix);
    if (same) same.push(prefix.trim());
    else before.set(suffix, [prefix.trim()]);
  }
  return [...before].map(([suffix, prefixes]) => {
    const said = prefixes.filter((prefix) => prefix !== "");
    const isNeeded = said.length === prefixes.length;
    const first = said.length === 0 ? "" : isNeeded ? group(said) : `[${said.join(" | ")}]`;
    return `${first} ${states}${suffix}`;
  });
}

/** The words of a property, or of an action. */
function wordsFor({ properties, actions }: LanguagePack, framed: Framed | undefined): Said {
  if (!framed) return [];
  return ownOf((framed.sort === "action" ? actions : properties) ?? {}, framed.property) ?? [];
}

function formOf({ frames: { sorts } }: LanguagePack, frame: Frame): FrameForm {
  switch (frame.sort) {
    case "switched":
      return sorts.switched[frame.form];
    case "level":
      return sorts.level[frame.form];
    case "choice":
      return sorts.choice[frame.form];
    case "colour":
      return sorts.colour[frame.form];
    case "text":
      return sorts.text[frame.form];
    case "action":
      return sorts.action[frame.form];
  }
}

function group(options: readonly string[]): string {
  return options.length === 1 && options[0] ? `(${options[0]})` : `(${options.join(" | ")})`;
}
