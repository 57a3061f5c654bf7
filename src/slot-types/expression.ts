import type { Name, Nameable } from "../model/home.ts";
import type { NounsSaid } from "./called.ts";

/** Something under one of its names. */
export interface Holder {
  entity: Nameable;
  name: Name;
  /** Whether it was said of several that share the name: "the ceiling lights". */
  many?: true;
}

/** All that there are, or the two that there are. */
export type HowMany = "all" | "both";

/** What words name, before it is known what that comes to in the home. */
export type TargetExpression =
  | {
      target: "named";
      holders: readonly Holder[];
      words: number;
      /** All that have the name. */
      all?: HowMany;
    }
  /** Devices of a kind, in a place or where the speaker is. */
  | (NounsSaid & {
      target: "kind";
      many: boolean;
      all?: HowMany;
      place?: PlaceExpression;
      /** Words that it took, its place among them. */
      words: number;
    })
  | { target: "everything"; place?: PlaceExpression }
  | { target: "here" | "there" }
  /** What was spoken of last. */
  | { target: "it" }
  /** Nothing was named: what of its sort is in a place, the speaker's room, or the only one there is. */
  | { target: "unsaid"; place?: PlaceExpression }
  /** "The one in the loft": of the kind of what was spoken of, or the only one there that can do it. */
  | { target: "ones"; many: boolean; place: PlaceExpression }
  /** A name, of whose bearers only those in a place are meant. */
  | { target: "within"; of: TargetExpression & { target: "named" }; place: PlaceExpression }
  | { target: "list"; items: readonly TargetExpression[] }
  | { target: "except"; from: TargetExpression; without: TargetExpression };

/**
 * Places by their names, where the speaker stands, where what was spoken of last is, all of the home,
 * or its rooms under the sky or under a roof.
 */
export type PlaceExpression =
  "here" | "there" | "everywhere" | "outside" | "inside" | readonly Holder[];
