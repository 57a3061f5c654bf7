import type { Grant } from "../commands/access.ts";
import type { Heard } from "../commands/outcome.ts";

/**
 * What set something off. Whatever follows from what somebody said, by way of a state, a button or
 * another routine, is held to what that speech was granted; a clock, a sensor or a hand is no speech.
 */
export interface Cause {
  grant: Grant;
  /** What was said, where speech set it off. */
  heard?: Heard;
  /** The conversation in which it was said, where questions about it belong. */
  session?: string;
}

/** No speech: a clock, a sensor, a hand, somebody's coming or going. */
export const unspoken: Cause = { grant: "all" };

/** The same for steps of a routine that is trusted: it does all that they say. */
export function trusted(cause: Cause): Cause {
  return { ...cause, grant: "all" };
}

/** Who orders something: the routine or intent whose steps do, and what set that off. */
export interface Orderer {
  of?: string;
  cause: Cause;
}
