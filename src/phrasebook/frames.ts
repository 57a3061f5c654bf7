import type { Frame, FrameForm } from "../language/frames.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { VocabularyEntry } from "../language/vocabulary.ts";

/** The frames that an intent is said in. */
export type Framed = Frame & {
  property: string;
  /** The slot of its value. */
  value?: string;
  /** Whether it is what a device has foremost, so that its word may be left out. */
  isForemost: boolean;
};

/** The patterns of an intent in a language: what is peculiar to it, and every frame of its sort. */
export function patternsOf(
  pack: LanguagePack,
  { patterns = [], states = [] }: VocabularyEntry,
  framed: Framed | undefined,
): string[] {
  const form = framed && formOf(pack, framed);
  const words = framed ? (pack.properties[framed.property] ?? []) : [];
  const fitting = (all: readonly string[] = []): string[] =>
    all.flatMap((text) => {
      const isOfWord = text.includes("$property");
      if (isOfWord ? words.length === 0 : !framed?.isForemost) return [];
      return text
        .replaceAll("$property", group(words))
        .replaceAll("$value", `$${framed?.value ?? "value"}`);
    });
  const all = [...states, ...fitting(form?.states)];
  const stated =
    all.length === 0 ? [] : pack.frames.state.map((text) => text.replaceAll("$state", group(all)));
  // What is said of every property comes first: people know it from elsewhere.
  return [...fitting(form?.commands), ...patterns, ...stated];
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
