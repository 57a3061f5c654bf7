import type { ReplyDefinition, SaidDefinition, StatesDefinition } from "../../document/shapes.ts";
import type { SlotDefinition } from "../../slot-types/definition.ts";
import type { NamedDefinition } from "./home.ts";
import type { ComputeSteps, StepsDefinition } from "./steps.ts";

/** Something that people want, and what is done then. */
export interface IntentDefinition {
  /** The patterns that it is said in: SRGS ABNF. */
  patterns: SaidDefinition;
  /** The parts of its patterns that vary. */
  slots?: Record<string, SlotDefinition> | undefined;
  /** What it does: steps, or in TypeScript a function that computes them. */
  do?: StepsDefinition | ComputeSteps | undefined;
  /** What is said once all of it has worked: Unicode MessageFormat 2. */
  reply?: ReplyDefinition | undefined;
  /** What is said instead when something did not work. */
  failed?: ReplyDefinition | undefined;
  /** Whether it takes the place of one that ships or that another folder has. */
  replaces?: true | undefined;
  /** Whether it adds patterns to one that ships. */
  adds?: true | undefined;
}

/** What sets a routine off. */
export type TriggerDefinition =
  | {
      /** Patterns that set it off when said. */
      phrase: SaidDefinition;
    }
  | {
      /** The time of day, by the clock of the home. */
      time: string;
      /** On which days: `daily`, `weekdays`, a list of days, or an RFC 5545 rule. */
      repeat?: string | string[] | undefined;
      /** Only on this date, or on these. */
      date?: string | string[] | undefined;
    }
  | {
      /** An event of the sun: `20 minutes after sunset`. */
      sun: string;
      /** On which days: `daily`, `weekdays`, a list of days, or an RFC 5545 rule. */
      repeat?: string | string[] | undefined;
    }
  | {
      /** States that must come to hold. */
      state: StatesDefinition;
      /** How long they must hold: `10m`. */
      lasting?: string | undefined;
    }
  | {
      /** Who comes or goes: `everyone away`, `mara home`. */
      presence: string;
    }
  | {
      /** A button that is pressed. */
      press: string;
    };

/** Steps that something sets off. */
export interface RoutineDefinition extends NamedDefinition {
  /** What sets it off. */
  triggers?: TriggerDefinition[] | undefined;
  /** Slots of the phrases that set it off. */
  slots?: Record<string, SlotDefinition> | undefined;
  /** States that must hold for it to run, whatever sets it off. */
  if?: StatesDefinition | undefined;
  /** Whether anything sets it off at all. */
  enabled?: boolean | undefined;
  /** What happens when it is set off while it runs. */
  overlap?: "skip" | "queue" | "restart" | "together" | undefined;
  /** What becomes of a run that was under way when a real home was stopped: it goes on when left out. */
  interrupted?: "resume" | "tell" | "repeat" | undefined;
  /** How long it is not set off by itself after it did all: `1h`. */
  rest?: string | undefined;
  /** Whether it does what its steps say beyond the guards of devices. */
  trusted?: boolean | undefined;
  /** Where it speaks: `voicepoint`, a room, `everywhere` or `nowhere`. */
  "reply-at"?: string | undefined;
  /** What is said first, before work that takes a while. */
  moment?: ReplyDefinition | undefined;
  /** What it does: steps, or in TypeScript a function that computes them. */
  do: StepsDefinition | ComputeSteps;
  /** What is said once all of it has worked. */
  reply?: ReplyDefinition | undefined;
  /** What is said instead when something did not work. */
  failed?: ReplyDefinition | undefined;
  /** Whether it takes the place of one that another folder has. */
  replaces?: true | undefined;
}
