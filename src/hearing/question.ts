import type { Device, TellStep } from "../phrasebook/model.ts";
import { type StateTest, stateTests } from "../phrasebook/state-words.ts";
import { isKnown } from "./access.ts";
import type { Question, SlotValue } from "./outcome.ts";

type Slots = Readonly<Record<string, Pick<SlotValue, "value" | "words">>>;

/** The question that a step asks about devices; undefined when voice may know of none of them. */
export function questionAbout(
  tell: TellStep,
  slots: Slots,
  all: readonly Device[],
): Question | undefined {
  const devices = all.filter(isKnown).map(({ id }) => id);
  if (devices.length === 0) return undefined;
  if (tell.form === "value") {
    return { form: "value", devices, property: propertiesRead(tell, slots)[0] ?? "" };
  }
  const state = typeof tell.state === "string" ? tell.state : slots[tell.state.slot]?.words;
  return { form: tell.form, devices, state: state ?? "", tests: testsOf(tell, slots) };
}

/** The properties that a question reads, of which a device has to have one. */
export function propertiesRead(tell: TellStep, slots: Slots): string[] {
  if (tell.form === "value") {
    const { property } = tell;
    return [typeof property === "string" ? property : String(slots[property.slot]?.value ?? "")];
  }
  return testsOf(tell, slots).map(({ property }) => property);
}

function testsOf(tell: Exclude<TellStep, { form: "value" }>, slots: Slots): readonly StateTest[] {
  const word = typeof tell.state === "string" ? tell.state : slots[tell.state.slot]?.value;
  return Object.entries(stateTests).find(([state]) => state === word)?.[1] ?? [];
}
