import { madeOf } from "../source/wrong-use.ts";
import type { Value } from "../model/property.ts";
import { printDuration } from "../time/duration.ts";
import type { Effect, Heard, When } from "./outcome.ts";
import { tellReasons } from "../model/reason.ts";

/** An outcome in one line: its effects, or its name and reason. */
export function describeOutcome(heard: Heard): string {
  return madeOf("outcome", () => describe(heard));
}

function describe(heard: Heard): string {
  switch (heard.outcome) {
    case "act":
      return printActs(heard);
    case "confirm":
    case "code":
    case "offer":
      return `${heard.outcome}: ${printActs(heard)}`;
    case "refuse":
      return `refuse: ${tellReasons(heard.reasons)}`;
    case "unsure":
      return `unsure: ${heard.choices.map(({ label }) => label).join(" or ")}`;
    case "ask":
      return `ask: ${heard.slot}`;
    case "answer":
      return `answer: ${heard.commands.map(({ intent }) => intent).join(", ")}`;
    case "unknown":
      return "unknown";
  }
}

/** What is done, of several commands in the order said. */
function printActs({ commands }: Pick<Heard, "commands">): string {
  return commands
    .flatMap((each) => {
      if (each.runs === undefined) return listEffects(each.effects);
      const start = each.when ? `${printWhen(each.when)}: ` : "";
      return [...listEffects(each.effects), `${start}run ${each.runs}`];
    })
    .join(", ");
}

/** A when as it is written in a suite: `in 10m`, `at 2026-03-02T18:30 for 1h`. */
export function printWhen(when: When): string {
  const parts = [
    when.in === undefined ? "" : `in ${printDuration(when.in)}`,
    when.at === undefined ? "" : `at ${when.at}`,
    when.for === undefined ? "" : `for ${printDuration(when.for)}`,
    when.until === undefined ? "" : `until ${when.until}`,
  ];
  return parts.filter((part) => part !== "").join(" ");
}

/** Effects, each in a few words: in the order of when, and then of device ids. */
export function listEffects(effects: readonly Effect[]): string[] {
  const told = effects.map((effect) => {
    const when = effect.when ? `${printWhen(effect.when)}: ` : "";
    return { when, text: printEffect(effect) };
  });
  told.sort((a, b) => (a.when + a.text < b.when + b.text ? -1 : 1));
  const [now, later] = [told.filter(({ when }) => when === ""), told.filter(({ when }) => when)];
  return [...now, ...later].map(({ when, text }) => when + text);
}

function printEffect(effect: Effect): string {
  const { device } = effect;
  if ("set" in effect) return `${device} { ${printValues(effect.set)} }`;
  if ("nudge" in effect) return `nudge ${device} { ${printValues(effect.nudge)} }`;
  if ("scale" in effect) return `scale ${device} { ${printValues(effect.scale)} }`;
  const input = effect.with === undefined ? "" : ` "${effect.with}"`;
  return `${device} ${effect.call}${input}`;
}

function printValues(values: Readonly<Record<string, Value>>): string {
  return Object.entries(values)
    .map(([name, value]) => `${name}: ${value}`)
    .sort()
    .join(", ");
}
