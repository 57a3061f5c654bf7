import type { Value } from "../phrasebook/property.ts";
import type { Effect, Heard } from "./outcome.ts";

/** An outcome in one line: its effects, or its name and reason. */
export function describeOutcome(heard: Heard): string {
  switch (heard.outcome) {
    case "act":
      return printEffects(heard.effects);
    case "confirm":
    case "code":
      return `${heard.outcome}: ${printEffects(heard.effects)}`;
    case "refuse":
      return `refuse: ${heard.reason}`;
    case "unsure":
      return `unsure: ${heard.choices.map(({ label }) => label).join(" or ")}`;
    case "answer":
      return `answer: ${heard.intent}`;
    case "unknown":
      return "unknown";
  }
}

/** Effects in one line, in the order of device ids. */
function printEffects(effects: readonly Effect[]): string {
  return listEffects(effects).join(", ");
}

/** Effects, each in a few words, in the order of device ids. */
export function listEffects(effects: readonly Effect[]): string[] {
  const print = (values: Readonly<Record<string, Value>>): string =>
    Object.entries(values)
      .map(([name, value]) => `${name}: ${value}`)
      .sort()
      .join(", ");
  return effects
    .map((effect) => {
      const { device } = effect;
      if ("set" in effect) return `${device} { ${print(effect.set)} }`;
      if ("nudge" in effect) return `nudge ${device} { ${print(effect.nudge)} }`;
      const input = effect.with === undefined ? "" : ` "${effect.with}"`;
      return `${device} ${effect.call}${input}`;
    })
    .sort();
}
