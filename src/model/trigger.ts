import type { Conditions } from "./condition.ts";
import type { SunPoint } from "../time/sun.ts";
import type { Position } from "../source/position.ts";

/** What sets a routine off, beside its phrases. */
export type Trigger = { at: Position } & (
  | {
      trigger: "time";
      /** Seconds since the day began, by the clock of the home. */
      clock: number;
      days: Days;
    }
  | ({
      trigger: "sun";
      days: Days;
    } & SunPoint)
  | { trigger: "state"; states: Conditions; /** Seconds that it has to hold. */ lasting: number }
  | { trigger: "presence"; who: string; is: "home" | "away" }
  | { trigger: "press"; device: string }
);

/** The days on which a trigger fires. */
export type Days =
  | { days: "every" }
  /** From 1 for Monday to 7 for Sunday, as in ISO 8601. */
  | { days: "weekdays"; weekdays: readonly number[] }
  | { days: "dates"; dates: readonly string[] }
  /** A recurrence rule of RFC 5545, section 3.3.10. */
  | { days: "rule"; rule: string };
