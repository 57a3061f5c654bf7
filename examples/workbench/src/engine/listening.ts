import { proxy } from "comlink";
import { useEffect, useSyncExternalStore } from "react";
import { listener } from "./engine.ts";
import type { ConfusionView, HomeFile } from "./views.ts";

/** How far listening is, and what it found; kept while other panels are open, since it takes a while. */
export interface Listening {
  done: number;
  all: number;
  found: readonly ConfusionView[] | undefined;
  /** What is listened to. */
  files: readonly HomeFile[] | undefined;
}

let state: Listening = { done: 0, all: 0, found: undefined, files: undefined };
const watchers = new Set<() => void>();

function change(next: Partial<Listening>): void {
  state = { ...state, ...next };
  for (const watcher of watchers) watcher();
}

function watch(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => {
    watchers.delete(watcher);
  };
}

/** Listens to a home, anew. */
export function listenTo(files: readonly HomeFile[]): void {
  change({ done: 0, all: 0, found: undefined, files });
  const tell = proxy((done: number, all: number) => {
    if (state.files === files) change({ done, all });
  });
  void listener()
    .listen([...files], tell)
    .then((found) => {
      if (state.files === files) change({ found });
    });
}

/** @param isReady Whether the names are told: what takes long comes after them. */
export function useListening(files: readonly HomeFile[], isReady: boolean): Listening {
  const listening = useSyncExternalStore(watch, () => state);
  useEffect(() => {
    if (isReady && !state.files) listenTo(files);
  }, [isReady, files]);
  return listening;
}
