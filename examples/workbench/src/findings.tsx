import { type ReactNode, createContext, use, useEffect, useRef, useState } from "react";
import type { Finding } from "calm-phrase";
import { desk, engine } from "./engine/engine.ts";
import { createLatest } from "./engine/latest.ts";
import type { HomeFile } from "./engine/views.ts";
import { useBench } from "./work.tsx";

const FindingsContext = createContext<readonly Finding[] | undefined>(undefined);

/** What is wrong with the files; undefined until it was looked for. */
export function useFindings(): readonly Finding[] | undefined {
  return use(FindingsContext);
}

/** Milliseconds that a first look is left alone before anything is looked for. */
const patience = 600;

/** Files, and when they became what they are. */
interface Written {
  files: readonly HomeFile[];
  since: number;
}

/**
 * Looks for what is wrong whenever the files change: what reading them finds is told at once, what checks
 * find follows.
 */
export function FindingsProvider({ children }: { children: ReactNode }) {
  const { files } = useBench().work;
  const [found, setFound] = useState<readonly Finding[]>();
  const latest = useRef<(written: Written) => void>(undefined);
  useEffect(() => {
    const since = performance.now();
    if (latest.current) {
      latest.current({ files, since });
      return undefined;
    }
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isWanted = true;
    // What a first look needs is there once the desk can answer.
    void desk.atHome([...files]).then(() => {
      if (!isWanted) return;
      timer = setTimeout(() => {
        latest.current = createLatest(looker(setFound));
        latest.current({ files, since });
      }, patience);
    });
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [files]);
  return <FindingsContext value={found}>{children}</FindingsContext>;
}

/** Looks for what is wrong with files, and tells it as it is found. */
function looker(tell: (found: readonly Finding[]) => void) {
  let checks: readonly Finding[] = [];
  return async ({ files, since }: Written, isWaiting: () => boolean): Promise<void> => {
    const read = await engine().problems([...files]);
    tell([...read, ...checks]);
    performance.measure("read", { start: since });
    // What is typed meanwhile is read before what was typed is checked.
    if (isWaiting()) return;
    checks = await engine().checks([...files]);
    tell([...read, ...checks]);
    performance.measure("checked", { start: since });
  };
}
