import { Suspense, lazy, useEffect, useState } from "react";
import { Tab, TabList, TabPanel, Tabs } from "react-aria-components";
import { useFindings } from "./findings.tsx";
import { readDropped } from "./files/opening.ts";
import { Desk } from "./panels/desk.tsx";
import { HomeMenu } from "./parts/home-menu.tsx";
import { type Panel, changedFiles, useBench } from "./work.tsx";

const Phrasebook = lazy(() => import("./panels/phrasebook.tsx"));
const Suites = lazy(() => import("./panels/suites.tsx"));
const Day = lazy(() => import("./panels/day.tsx"));
const Sound = lazy(() => import("./panels/sound.tsx"));
const Shortcuts = lazy(() => import("./parts/shortcuts.tsx"));

const panels: readonly { id: Panel; name: string }[] = [
  { id: "desk", name: "Desk" },
  { id: "phrasebook", name: "Phrasebook" },
  { id: "suites", name: "Suites" },
  { id: "day", name: "Day" },
  { id: "sound", name: "Sound" },
];

/** All of the page: the panels, and what stands above them. */
export function Workbench() {
  const { work, act } = useBench();
  const [isAsking, setAsking] = useState(false);
  const [isOver, setOver] = useState(false);
  const name = /^phrasebook:\s*(.+?)\s*$/mu.exec(
    work.files.map(({ text }) => text).join("\n"),
  )?.[1];
  const title = (name ?? "Home").replace(/^["']|["']$/gu, "");
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      const place = event.altKey ? Number(event.code.replace("Digit", "")) : NaN;
      const panel = panels[place - 1];
      const isWriting =
        event.target instanceof HTMLElement &&
        event.target.closest("input, textarea, [contenteditable]") !== null;
      if (panel) act({ deed: "show", panel: panel.id });
      else if (event.key === "?" && !isWriting) setAsking(true);
      else if (event.key === "/" && !isWriting) {
        act({ deed: "show", panel: "desk" });
        requestAnimationFrame(() => document.getElementById("phrase")?.focus());
      } else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", listen);
    return () => {
      window.removeEventListener("keydown", listen);
    };
  }, [act]);
  return (
    <div
      className={isOver ? "bench over" : "bench"}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => {
        setOver(false);
      }}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        void readDropped(event.dataTransfer).then((files) => {
          if (files.length > 0) {
            act({ deed: "open", files, news: `Opened ${files.length} files.` });
          } else {
            const news = "Nothing dropped belongs to a home: YAML, CSV or a zip.";
            act({ deed: "tell", news });
          }
        });
      }}
    >
      <Tabs
        className="tabs"
        selectedKey={work.panel}
        onSelectionChange={(key) => {
          const panel = panels.find(({ id }) => id === key);
          if (panel) act({ deed: "show", panel: panel.id });
        }}
      >
        <header className="top">
          <h1>
            {title} <small>Calm Phrase workbench</small>
          </h1>
          <TabList aria-label="Panels" className="tab-list">
            {panels.map(({ id, name: label }, index) => (
              <Tab key={id} id={id} className="tab">
                {label}
                <kbd aria-hidden="true">Alt {index + 1}</kbd>
              </Tab>
            ))}
          </TabList>
          <Standing />
          <HomeMenu
            title={title}
            onShortcuts={() => {
              setAsking(true);
            }}
          />
        </header>
        <main>
          <TabPanel id="desk" className="panel">
            <Desk />
          </TabPanel>
          <Suspense fallback={<p className="quiet waiting">One moment …</p>}>
            <TabPanel id="phrasebook" className="panel">
              <Phrasebook />
            </TabPanel>
            <TabPanel id="suites" className="panel">
              <Suites />
            </TabPanel>
            <TabPanel id="day" className="panel">
              <Day />
            </TabPanel>
            <TabPanel id="sound" className="panel">
              <Sound />
            </TabPanel>
          </Suspense>
        </main>
      </Tabs>
      <p className="news" role="status">
        {work.news}
        {work.before && (
          <button
            type="button"
            className="button small"
            onClick={() => {
              act({ deed: "go back" });
            }}
          >
            Back to what was not saved
          </button>
        )}
      </p>
      {isAsking && (
        <Suspense>
          <Shortcuts onClose={() => setAsking(false)} />
        </Suspense>
      )}
    </div>
  );
}

/** How the home stands: what is wrong with it, and what is not saved. */
function Standing() {
  const { work, act } = useBench();
  const found = useFindings();
  const count = (sort: string) => found?.filter(({ severity }) => severity === sort).length ?? 0;
  const [errors, warnings] = [count("error"), count("warning")];
  const unsaved = changedFiles(work).length;
  const told = !found
    ? "looking …"
    : errors + warnings === 0
      ? `nothing wrong${found.length > 0 ? `, ${found.length} noted` : ""}`
      : `${errors + warnings} to mend`;
  const weight = errors > 0 ? "bad" : warnings > 0 ? "warn" : "good";
  const signs = { bad: "✗", warn: "!", good: "✓" };
  const [first] = found ?? [];
  return (
    <p className="standing">
      <button
        type="button"
        className={weight}
        disabled={!first}
        onClick={() => {
          if (first) act({ deed: "go", goal: first.at });
        }}
      >
        <span aria-hidden="true">{signs[weight]}</span> {told}
      </button>
      {unsaved > 0 && (
        <span className="unsaved">
          <span aria-hidden="true">●</span> {unsaved} unsaved
        </span>
      )}
    </p>
  );
}
