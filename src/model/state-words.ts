import type { StateWord } from "../language/vocabulary.ts";
import type { Condition } from "./condition.ts";

/** A property, and what its value must be for a state word to hold. */
export interface StateTest {
  property: string;
  condition: Condition;
  /** Whether the word only follows from it, so that the value is told in place of the word. */
  implied?: true;
  /** Whether it is asked of one thing alone: an armed alarm is not what is still on. */
  isOfOne?: true;
}

const equal = (property: string, value: string | boolean | number): StateTest => {
  return { property, condition: { is: "equal", value } };
};

/** What each state word asks of a device: the first of these properties that it has. */
export const stateTests: Readonly<Record<StateWord, readonly StateTest[]>> = {
  on: [
    equal("power", "on"),
    equal("flow", "on"),
    { property: "mode", condition: { is: "not", value: "off" } },
    { property: "armed", condition: { is: "not", value: "off" }, isOfOne: true },
  ],
  off: [
    equal("power", "off"),
    equal("flow", "off"),
    equal("mode", "off"),
    { ...equal("armed", "off"), isOfOne: true },
  ],
  open: [
    equal("contact", "open"),
    { property: "position", condition: { is: "above", value: 0 } },
    equal("flow", "on"),
    { ...equal("locked", false), implied: true },
  ],
  closed: [
    equal("contact", "closed"),
    equal("position", 0),
    equal("flow", "off"),
    { ...equal("locked", true), implied: true },
  ],
  locked: [equal("locked", true)],
  unlocked: [equal("locked", false)],
  armed: [{ property: "armed", condition: { is: "not", value: "off" } }],
  disarmed: [equal("armed", "off")],
  recording: [equal("recording", "on")],
  playing: [equal("playing", "play")],
  paused: [equal("playing", "pause"), equal("activity", "paused")],
  muted: [equal("muted", true)],
  unmuted: [equal("muted", false)],
  running: [
    { property: "activity", condition: { is: "one of", values: ["running", "cleaning"] } },
    equal("power", "on"),
    equal("flow", "on"),
    { property: "mode", condition: { is: "not", value: "off" } },
  ],
  docked: [equal("activity", "docked")],
  moving: [equal("motion", true)],
  swinging: [equal("oscillate", "on")],
  finished: [equal("activity", "done")],
};
