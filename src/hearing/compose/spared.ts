import type { Conclusion, Effect } from "../../commands/outcome.ts";
import type { Command } from "./parting.ts";

/**
 * What the commands of an utterance come to where one of many is followed by another about some of them: "all
 * off, but leave the lamp on" does not turn the lamp off first. What is only left as it is is no command.
 */
export function spared(
  commands: readonly Command[],
  conclusions: readonly Conclusion[],
): readonly Conclusion[] {
  if (conclusions.length < 2) return conclusions;
  const kept = conclusions.map((conclusion, at) => {
    const later = conclusions.slice(at + 1).map((each, index) => {
      return { effects: effectsIn(each), isLeft: commands[at + 1 + index]?.isLeft === true };
    });
    return later.reduce(without, conclusion);
  });
  return kept.filter((_, at) => commands[at]?.isLeft !== true);
}

/** The same without what is done to devices that are left as they are, or set otherwise. */
function without(
  conclusion: Conclusion,
  { effects: later, isLeft }: { effects: readonly Effect[]; isLeft: boolean },
): Conclusion {
  const devices = new Set(effectsIn(conclusion).map(({ device }) => device));
  const few = new Set(later.map(({ device }) => device));
  const isOfMany = few.size < devices.size && [...few].every((id) => devices.has(id));
  if (!isOfMany || later.some(({ when }) => when)) return conclusion;
  const isSpared = (effect: Effect): boolean =>
    !effect.when &&
    later.some((other) => other.device === effect.device && (isLeft || setsSame(effect, other)));
  const commands = conclusion.commands.map((command) => {
    return { ...command, effects: command.effects.filter((effect) => !isSpared(effect)) };
  });
  return { ...conclusion, commands };
}

function effectsIn({ commands }: Conclusion): readonly Effect[] {
  return commands.flatMap(({ effects }) => effects);
}

/** Whether two effects set one property. */
function setsSame(one: Effect, other: Effect): boolean {
  if (!("set" in one) || !("set" in other)) return false;
  return Object.keys(one.set).some((property) => property in other.set);
}
