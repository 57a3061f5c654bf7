import type { Device } from "../model/home.ts";
import type { TellStep } from "../model/step.ts";
import { type StateTest, stateTests } from "../model/state-words.ts";
import { isKnown } from "../model/known.ts";
import { type Question, type Slots, filledBy, valueBy } from "./outcome.ts";

/** The question that a step asks about devices; undefined when voice may know of none of them. */
export function questionAbout(
  tell: TellStep,
  slots: Slots,
  all: readonly Device[],
): Question | undefined {
  const devices = all.filter(isKnown).map(({ id }) => id);
  if (devices.length === 0) return undefined;
  if (tell.form === "value") {
    const properties = propertiesRead(tell, slots);
    const has = (property: string): boolean => all.some((each) => each.properties.has(property));
    return { form: "value", devices, property: properties.find(has) ?? properties[0] ?? "" };
  }
  const state =
    typeof tell.state === "string" ? tell.state : filledBy(slots, tell.state.slot)?.words;
  return { form: tell.form, devices, state: state ?? "", tests: testsOf(tell, slots) };
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
  const word = typeof tell.state === "string" ? tell.state : valueIn(slots, tell.state.slot);
  return Object.entries(stateTests).find(([state]) => state === word)?.[1] ?? [];
}

/** The value of a slot as text; empty where it has none. */
export function valueIn(slots: Slots, name: string): string {
  return String(valueBy(slots, name) ?? "");
}
