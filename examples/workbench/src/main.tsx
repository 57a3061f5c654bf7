import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { filesInLink } from "./files/link.ts";
import { keptWork } from "./files/kept.ts";
import { type WorkState, WorkProvider, changedFiles, demoWork, opened } from "./work.tsx";
import { FindingsProvider } from "./findings.tsx";
import { Workbench } from "./workbench.tsx";

/** What the page begins with: what its link carries, else what was worked on, else the demo. */
async function begin(): Promise<WorkState> {
  const linked = await filesInLink();
  const kept = await keptWork();
  if (linked && linked.length > 0) {
    // A page that is loaded again goes on with what was done to it.
    history.replaceState(null, "", location.pathname);
    const isUnsaved = kept !== undefined && changedFiles(kept).length > 0;
    const before = isUnsaved ? { ...kept, folder: undefined } : undefined;
    return { ...demoWork, ...opened(linked), before, news: "Opened from its link." };
  }
  if (!kept || kept.files.length === 0) return demoWork;
  const before = kept.before && { ...kept.before, folder: undefined };
  const news = changedFiles(kept).length > 0 ? "Your unsaved work is here again." : "";
  return { ...demoWork, ...opened(kept.files), ...kept, before, news };
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
