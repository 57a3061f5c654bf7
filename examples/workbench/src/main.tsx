import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { filesInLink } from "./files/link.ts";
import { keptWork } from "./files/kept.ts";
import { type WorkState, WorkProvider, changedFiles, demoWork } from "./work.tsx";
import { FindingsProvider } from "./findings.tsx";
import { Workbench } from "./workbench.tsx";

/** What the page begins with: what its link carries, else what was worked on, else the demo. */
async function begin(): Promise<WorkState> {
  const linked = await filesInLink();
  const kept = await keptWork();
  if (linked && linked.length > 0) {
    // A page that is loaded again goes on with what was done to it.
    history.replaceState(null, "", location.pathname);
    const saved = Object.fromEntries(linked.map(({ path, text }) => [path, text]));
    const goal = { file: linked[0]?.path ?? "", line: 1, column: 1 };
    const before = kept && changedFiles(kept).length > 0 ? kept : undefined;
    const news = "Opened from its link.";
    return {
      ...demoWork,
      files: linked,
      saved,
      goal,
      news,
      before: before && { ...before, folder: undefined },
    };
  }
  if (!kept || kept.files.length === 0) return demoWork;
  const goal = { file: kept.files[0]?.path ?? "", line: 1, column: 1 };
  const before = kept.before && { ...kept.before, folder: undefined };
  const state: WorkState = { ...demoWork, ...kept, goal, before };
  const unsaved = changedFiles(state).length;
  return unsaved > 0 ? { ...state, news: "Your unsaved work is here again." } : state;
}

const root = document.getElementById("root");
if (root) {
  const start = await begin();
  createRoot(root).render(
    <StrictMode>
      <WorkProvider start={start}>
        <FindingsProvider>
          <Workbench />
        </FindingsProvider>
      </WorkProvider>
    </StrictMode>,
  );
}
if (import.meta.env.PROD && "serviceWorker" in navigator) {
  void navigator.serviceWorker.register("./offline.js").catch(() => undefined);
}
