import type { Device } from "../model/home.ts";
import type { TellStep } from "../model/step.ts";
import { type StateTest, stateTests } from "../model/state-words.ts";
import { isKnown } from "../model/known.ts";
import { type Question, type Slots, filledBy, valueBy } from "./outcome.ts";

/**
 * The questions that a step asks about devices: of values, one for each property that is the first of
 * those asked for that a device has. None when voice may know of none of the devices.
 */
export function questionsAbout(
  tell: TellStep,
  slots: Slots,
  asked: readonly Device[],
): readonly Question[] {
  const devices = asked.filter(isKnown);
  if (devices.length === 0) return [];
  if (tell.form === "value") {
    const properties = propertiesRead(tell, slots);
    const byProperty = new Map<string, string[]>();
    for (const device of devices) {
      const own = properties.find((property) => device.properties.has(property));
      if (own !== undefined) byProperty.set(own, [...(byProperty.get(own) ?? []), device.id]);
    }
    const questions = [...byProperty].map(([property, ids]): Question => {
      return { form: "value", devices: ids, property };
    });
    const ids = devices.map(({ id }) => id);
    return questions.length > 0
      ? questions
      : [{ form: "value", devices: ids, property: properties[0] ?? "" }];
  }
  const word = "is" in tell ? tell.is : tell.state;
  const state = typeof word === "string" ? word : filledBy(slots, word.slot)?.words;
  const all = testsOf(tell, slots);
  const tests = devices.length > 1 ? all.filter(({ isOfOne }) => !isOfOne) : all;
  const those = devices.filter(({ properties }) =>
    tests.some(({ property }) => properties.has(property)),
  );
  const ids = (those.length > 0 ? those : devices).map(({ id }) => id);
  return [{ form: tell.form, devices: ids, state: state ?? "", tests }];
}

/** The properties that a question reads, of which a device has to have one. */
export function propertiesRead(tell: TellStep, slots: Slots): string[] {
  if (tell.form === "value") {
    const { property } = tell;
    if (typeof property === "string") return [property];
    return "slot" in property ? [valueIn(slots, property.slot)] : [...property];
  }
  return testsOf(tell, slots).map(({ property }) => property);
}

function testsOf(tell: Exclude<TellStep, { form: "value" }>, slots: Slots): readonly StateTest[] {
  if ("is" in tell) {
    const { property, is } = tell;
    const value = typeof is === "string" ? is : valueBy(slots, is.slot);
    return [{ property, condition: { is: "equal", value: value ?? "" } }];
  }
  const word = typeof tell.state === "string" ? tell.state : valueIn(slots, tell.state.slot);
  return Object.entries(stateTests).find(([state]) => state === word)?.[1] ?? [];
}

/** The value of a slot as text; empty where it has none. */
export function valueIn(slots: Slots, name: string): string {
  return String(valueBy(slots, name) ?? "");
}
