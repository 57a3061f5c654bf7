import { type Remote, wrap } from "comlink";
import { useEffect, useRef, useState } from "react";
import { createDeskTalk } from "./desk-talk.ts";
import { createLatest } from "./latest.ts";
import type { Engine } from "./worker.ts";

function start(): Remote<Engine> {
  return wrap<Engine>(new Worker(new URL("./worker.ts", import.meta.url), { type: "module" }));
}

/** The library, in threads of its own, so that neither typing nor a phrase waits for a run of suites. */
export const desk = start();
/** The desk after some turns. */
export const talkAtDesk = createDeskTalk((...asked) => desk.atDesk(...asked));
let workshop: Remote<Engine> | undefined;

/** The thread for what takes longer than a phrase; begun when it is first asked. */
export function engine(): Remote<Engine> {
  return (workshop ??= start());
}

let ears: Remote<Engine> | undefined;

/** The thread for what takes longer than all the others: listening to what may be misheard. */
export function listener(): Remote<Engine> {
  return (ears ??= start());
}

/** Something that is asked, and when. */
interface Question<T> {
  put: () => Promise<T>;
  since: number;
}

/**
 * What a call comes to, anew whenever one of the values that it depends on changes; what it came to before
 * until then. While one call is under way the next waits, and only the last that was asked for is made.
 *
 * @param name How long each took, from the change to its answer, is measured under this name.
 */
export function useAnswer<T>(
  ask: () => Promise<T>,
  depends: readonly unknown[],
  name?: string,
): T | undefined {
  const [answer, setAnswer] = useState<T>();
  const latest = useRef<(question: Question<T>) => void>(undefined);
  useEffect(() => {
    latest.current ??= createLatest(async ({ put, since }: Question<T>) => {
      const made = await put();
      setAnswer(() => made);
      if (name !== undefined) performance.measure(name, { start: since });
    });
    latest.current({ put: ask, since: performance.now() });
    // The caller names what its question depends on.
  }, depends);
  return answer;
}
