import type { Reading } from "../understand/evaluate.ts";
import { clearReading } from "../understand/understand.ts";
import type { Command } from "./parting.ts";

/** The devices that a reading is about: what "it" stands for in what is said next. */
export function devicesAbout({ targets, meaning }: Reading): readonly string[] {
  const [only, more] = targets.values();
  const [device, another] = only?.devices ?? [];
  if (device && !more && !another) return [device.id];
  const named = [...targets.values()].flatMap(({ devices }) => devices.map(({ id }) => id));
  const meant =
    meaning.result === "do"
      ? meaning.effects.map(({ device }) => device)
      : meaning.result === "tell"
        ? meaning.questions.flatMap(({ devices }) => devices)
        : [];
  return [...new Set(named.length > 0 ? named : meant)];
}

/** The devices that commands do something to; none where a routine says which. */
export function devicesDone(commands: readonly Command[]): Set<string> {
  return new Set(
    commands.flatMap(({ understood }) => {
      const meaning = clearReading(understood)?.meaning;
      return meaning?.result === "do" ? meaning.effects.map(({ device }) => device) : [];
    }),
  );
}
