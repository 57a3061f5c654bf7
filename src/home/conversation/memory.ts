import type { HeardAsk, HeardUnsure } from "../../commands/outcome.ts";
import type { HearContext } from "../../hearing/context.ts";
import type { Eventually } from "../eventually.ts";
import type { Change } from "../scene.ts";
import type { KeptMemory } from "../snapshot.ts";
import { given } from "../../source/given.ts";
import type { Code } from "./code.ts";
import type { Turn } from "./turns.ts";

/** What is remembered in a conversation, in whatever language it is held. */
export interface Memory {
  /** The question that waits for an answer, and until when, in seconds since the home began. */
  open: (Open & { until: number }) | undefined;
  /** The last command, for "again". */
  last: { text: string; answered: Answered } | undefined;
  /** What the last command changed, for "undo". */
  undo: readonly Change[];
  /** What was spoken of last. */
  it: readonly string[];
}

/** What a command is heard with: what was said in answer to questions about it, and what "it" was. */
export type Answered = Pick<HearContext, "chosen" | "said" | "it">;

/** What the home waits to be told. */
export type Open =
  | { open: "confirm" | "code"; go: () => Eventually<Turn> }
  | { open: "choice"; heard: HeardUnsure }
  /** A slot that nothing was said for, and what was said for others that were asked for before. */
  | { open: "slot"; heard: HeardAsk; said: Readonly<Record<string, string>> };

export function newMemory(): Memory {
  return { open: undefined, last: undefined, undo: [], it: [] };
}

/** What is remembered, to be kept; the code is in nothing that is kept. */
export function keptMemory({ it, last, undo }: Memory, code: Code): KeptMemory {
  const { chosen, said, it: before } = last?.answered ?? {};
  const answered = given({ chosen, said: said && { ...said }, it: before && [...before] });
  return {
    it: [...it],
    undo: [...undo],
    ...given({ last: last && { text: code.mask(last.text), answered } }),
  };
}

/** What was kept. */
export function memoryOf({ it, last, undo }: KeptMemory): Memory {
  const answered = given({ ...last?.answered });
  return { open: undefined, it, last: last && { text: last.text, answered }, undo };
}
