import type { ReplyDefinition, SaidDefinition, StatesDefinition } from "../../document/shapes.ts";
import type { Value } from "../../model/property.ts";
import type { StepInput } from "../../model/step.ts";

/** One step or several, done in the order written. */
export type StepsDefinition = StepDefinition | StepDefinition[];

/** One step as it is written; see docs/routines.md. */
export type StepDefinition =
  | {
      /** Sets properties: `{ kiln-vent: { speed: 60 } }`. */
      set: StatesDefinition;
    }
  | {
      /** Adds to numbers: `{ wheel-lamp: { brightness: -20 } }`. */
      nudge: StatesDefinition;
    }
  | {
      /** Sets a property, or several, to the other one of its two values. */
      toggle: Record<string, string | string[]>;
    }
  | {
      /** Tells devices to do something: `{ till-player: play }`. */
      call: Record<string, string>;
      /** What the action is given. */
      with?: Value | undefined;
    }
  | {
      /** Answers a question from the states of devices. */
      tell: {
        /** What it is about. */
        target: string;
        /** The property whose value is told; of several the first that what it is about has. */
        property?: string | string[] | undefined;
        /** The word for a state that is asked about. */
        state?: string | undefined;
        /** The value of the property that is asked about. */
        is?: string | undefined;
        /** The value, whether it is so, which are so, or whether any is. */
        form: "value" | "whether" | "which" | "any";
      };
    }
  | {
      /** Says something. */
      say: ReplyDefinition;
      /** Where: `voicepoint`, a room, a zone or `everywhere`. */
      at?: string | undefined;
    }
  | {
      /** Tells people something. */
      notify: string | string[];
      /** What they are told. */
      text: ReplyDefinition;
      /** A note that takes the place of an earlier one with the same tag. */
      tag?: string | undefined;
    }
  | {
      /** Waits: `5s`, `10m`, or a slot of type duration. */
      wait: string;
    }
  | {
      /** States that decide on the way. */
      if: StatesDefinition;
      /** What is done when they hold. */
      then: StepsDefinition;
      /** What is done when they do not. */
      else?: StepsDefinition | undefined;
    }
  | {
      /** Steps that stop where one does not work. */
      try: StepsDefinition;
      /** What is done then. */
      failed: StepsDefinition;
    }
  | {
      /** Asks back. */
      ask: ReplyDefinition;
      /** What may be answered, and what is done then. */
      answers: {
        /** Patterns of the answer. */
        hear: SaidDefinition;
        /** What is done for it. */
        do?: StepsDefinition | undefined;
      }[];
      /** How long an answer is waited for: `30s`. */
      within?: string | undefined;
      /** What is done when nobody answers. */
      silence?: StepsDefinition | undefined;
    }
  | {
      /** Runs a routine. */
      run: string;
    }
  | {
      /** Does what a phrase would do. */
      hear: string;
      /** The voicepoint that it is as if said to. */
      at?: string | undefined;
    }
  | {
      /** Sends a message out. */
      send: {
        /** An MQTT topic (`mqtt:home/kiln`) or a URL; with a connection, a topic or path of it. */
        to: string;
        /** The connection that it goes over, with its login. */
        over?: string | undefined;
        /** What is sent. */
        text?: string | undefined;
        /** Whether an MQTT broker keeps it for those who come later. */
        retain?: boolean | undefined;
        /** The HTTP method. */
        method?: "GET" | "POST" | "PUT" | undefined;
      };
    };

/** Computes steps from what is known at that moment; the same input has to give the same steps. */
export type ComputeSteps = (input: StepInput) => StepsDefinition;
