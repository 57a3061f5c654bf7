import { type Remote, wrap } from "comlink";
import { useEffect, useState } from "react";
import type { Engine } from "./worker.ts";

function start(): Remote<Engine> {
  return wrap<Engine>(new Worker(new URL("./worker.ts", import.meta.url), { type: "module" }));
}

/** The library, in threads of its own, so that neither typing nor a phrase waits for a run of suites. */
export const desk = start();
let workshop: Remote<Engine> | undefined;

/** The thread for what takes longer than a phrase; begun when it is first asked. */
export function engine(): Remote<Engine> {
  return (workshop ??= start());
}

/**
 * What a call comes to, anew whenever one of the values that it depends on changes; what it came to before
 * until then.
 */
export function useAnswer<T>(ask: () => Promise<T>, depends: readonly unknown[]): T | undefined {
  const [answer, setAnswer] = useState<T>();
  useEffect(() => {
    let isWanted = true;
    void ask().then((made) => {
      if (isWanted) setAnswer(() => made);
    });
    return () => {
      isWanted = false;
    };
    // eslint-disable-next-line -- the caller names what its question depends on
  }, depends);
  return answer;
}
