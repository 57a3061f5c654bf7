import { type ReactNode, createContext, use, useEffect, useRef, useState } from "react";
import { desk, engine } from "./engine/engine.ts";
import type { HomeFile } from "./engine/views.ts";
import type { FindingView } from "./engine/workshop.ts";
import { useBench } from "./work.tsx";

const FindingsContext = createContext<readonly FindingView[] | undefined>(undefined);

/** What is wrong with the files; undefined until it was looked for. */
export function useFindings(): readonly FindingView[] | undefined {
  return use(FindingsContext);
}

/** Milliseconds that a first look is left alone before anything is looked for. */
const patience = 600;

const isBegun = new WeakSet<Looking>();

function isWaiting({ next }: Looking): boolean {
  return next !== undefined;
}

/** What is being looked at, and what is to be looked at next. */
interface Looking {
  isBusy: boolean;
  next: readonly HomeFile[] | undefined;
  /** What checks found last. */
  checks: readonly FindingView[];
}

/**
 * Looks for what is wrong whenever the files change: what reading them finds is told at once, what checks
 * find follows. While one change is looked at, only the last of those that come is looked at next.
 */
export function FindingsProvider({ children }: { children: ReactNode }) {
  const { files } = useBench().work;
  const [found, setFound] = useState<readonly FindingView[]>();
  const looking = useRef<Looking>({ isBusy: false, next: undefined, checks: [] });
  useEffect(() => {
    const { current } = looking;
    const since = performance.now();
    const look = async (given: readonly HomeFile[]): Promise<void> => {
      current.isBusy = true;
      const read = await engine().problems([...given]);
      setFound([...read, ...current.checks]);
      performance.measure("read", { start: since });
      // What is typed meanwhile is read before what was typed is checked.
      if (!isWaiting(current)) {
        const all = await engine().findings([...given]);
        current.checks = all.slice(read.length);
        setFound(all);
        performance.measure("checked", { start: since });
      }
      current.isBusy = false;
      const { next } = current;
      current.next = undefined;
      if (next) void look(next);
    };
    if (current.isBusy) {
      current.next = files;
      return undefined;
    }
    if (isBegun.has(current)) {
      void look(files);
      return undefined;
    }
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isWanted = true;
    // What a first look needs is there once the desk can answer.
    void desk.atHome([...files]).then(() => {
      if (!isWanted) return;
      timer = setTimeout(() => {
        isBegun.add(current);
        void look(files);
      }, patience);
    });
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [files]);
  return <FindingsContext value={found}>{children}</FindingsContext>;
}
