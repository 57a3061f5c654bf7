import * as z from "zod/mini";
import { position } from "./json-forms.ts";

/* What the commands about sounds print with --json, by the same rules as the other forms. */

const worse = z.enum(["harmless", "wrong", "unsafe"]);

const takenFor = z.looseObject({
  phrase: z.string(),
  distance: z.number(),
  effect: z.string(),
  verdict: worse,
  why: z.optional(z.string()),
  differs: z.looseObject({ spoken: z.string(), taken: z.string() }),
  isOfNumber: z.boolean(),
  risk: z.number(),
  places: z.looseObject({ spoken: z.optional(position), taken: z.optional(position) }),
});

/** What was tried: `say`, `device` and `name` stand there by what is advised. */
const remedy = z.looseObject({
  remedy: z.enum(["wording", "guard", "name"]),
  say: z.optional(z.string()),
  device: z.optional(z.string()),
  before: z.optional(z.string()),
  name: z.optional(z.string()),
  left: z.optional(z.looseObject({ verdict: worse, distance: z.number(), phrase: z.string() })),
  failing: z.number(),
});

/** `calm-phrase mishear`. */
export const mishearingsForm = z.looseObject({
  version: z.literal(1),
  phrases: z.array(
    z.looseObject({
      spoken: z.looseObject({
        phrase: z.string(),
        words: z.string(),
        language: z.string(),
        at: z.optional(z.string()),
        effect: z.string(),
        position: z.optional(position),
      }),
      taken: z.array(takenFor),
      isExhaustive: z.boolean(),
    }),
  ),
  confusions: z.array(
    z.looseObject({
      spoken: z.string(),
      taken: z.string(),
      language: z.string(),
      verdict: worse,
      distance: z.number(),
      risk: z.number(),
      why: z.optional(z.string()),
      phrases: z.array(
        z.looseObject({ spoken: z.string(), taken: z.string(), distance: z.number() }),
      ),
      remedies: z.array(remedy),
    }),
  ),
  apart: z.array(
    z.looseObject({
      phrase: z.string(),
      from: z.string(),
      language: z.string(),
      distance: z.number(),
      isApart: z.boolean(),
      position,
    }),
  ),
});

const soundName = z.looseObject({
  text: z.string(),
  language: z.string(),
  of: z.enum(["device", "group", "room", "zone", "routine", "source", "colour", "value"]),
  id: z.string(),
  at: z.optional(position),
});

/** `calm-phrase mishear --names`. */
export const alikesForm = z.looseObject({
  version: z.literal(1),
  alikes: z.array(z.looseObject({ spoken: soundName, taken: soundName, distance: z.number() })),
});

/** `calm-phrase mishear --open`. */
export const slipsForm = z.looseObject({
  version: z.literal(1),
  phrases: z.array(
    z.looseObject({
      phrase: z.string(),
      language: z.string(),
      effect: z.string(),
      position: z.optional(position),
      variants: z.array(
        z.looseObject({
          phrase: z.string(),
          effect: z.string(),
          verdict: z.enum(["same", "harmless", "wrong", "unsafe"]),
          why: z.optional(z.string()),
        }),
      ),
    }),
  ),
});

const entry = z.looseObject({
  text: z.string(),
  language: z.string(),
  at: z.optional(z.string()),
  time: z.optional(z.string()),
  did: z.optional(z.string()),
  position,
});

/** `calm-phrase heard`. */
export const studyForm = z.looseObject({
  version: z.literal(1),
  understood: z.number(),
  changed: z.array(z.looseObject({ entry, now: z.string() })),
  unknown: z.array(
    z.looseObject({
      texts: z.array(z.looseObject({ text: z.string(), count: z.number(), entry })),
      count: z.number(),
      language: z.string(),
      nearly: z.optional(z.string()),
      add: z.optional(
        z.looseObject({
          yaml: z.string(),
          becomes: z.optional(z.array(z.string())),
          failing: z.optional(z.number()),
        }),
      ),
    }),
  ),
});
