import { type ReactNode, createContext, use, useEffect, useMemo, useReducer } from "react";
import type { Edit } from "calm-phrase";
import { engine } from "./engine/engine.ts";
import type { HomeFile, Said } from "./engine/views.ts";
import { demo } from "./files/demo.ts";
import { isDay, isSuite } from "./files/sorts.ts";
import { keepWork } from "./files/kept.ts";

export type Panel = "desk" | "phrasebook" | "suites" | "day" | "sound";

/** A place that the phrasebook panel is asked to show. */
export interface Goal {
  file: string;
  line: number;
  column: number;
}

/** Everything that is being worked on. */
export interface WorkState {
  files: readonly HomeFile[];
  saved: Readonly<Record<string, string>>;
  folder: FileSystemDirectoryHandle | undefined;
  turns: readonly Said[];
  panel: Panel;
  /** The file that is open in the phrasebook panel, and the place in it. */
  goal: Goal;
  /** The last thing that was done, for the status line. */
  news: string;
  /** What was open before and was not saved, to go back to. */
  before: Before | undefined;
}

/** A home that was open. */
export type Before = Pick<WorkState, "files" | "saved" | "folder" | "turns">;

export type Deed =
  | { deed: "open"; files: readonly HomeFile[]; folder?: FileSystemDirectoryHandle; news: string }
  | { deed: "go back" }
  | { deed: "add file"; path: string }
  | { deed: "write"; path: string; text: string }
  | { deed: "rewrite"; files: readonly HomeFile[]; news: string }
  | { deed: "saved"; news: string }
  | { deed: "say"; said: Said }
  | { deed: "undo" }
  | { deed: "start over" }
  | { deed: "show"; panel: Panel }
  | { deed: "go"; goal: Goal }
  | { deed: "tell"; news: string };

function textsOf(files: readonly HomeFile[]): Record<string, string> {
  return Object.fromEntries(files.map(({ path, text }) => [path, text]));
}

function after(state: WorkState, deed: Deed): WorkState {
  switch (deed.deed) {
    case "open": {
      const { files, saved, folder, turns } = state;
      const before = changedFiles(state).length > 0 ? { files, saved, folder, turns } : undefined;
      return { ...state, ...opened(deed.files), folder: deed.folder, news: deed.news, before };
    }
    case "go back":
      return state.before
        ? { ...state, ...state.before, before: undefined, news: "What was open is here again." }
        : state;
    case "add file": {
      const { path } = deed;
      if (state.files.some((file) => file.path === path)) return goTo(state, path);
      const files = [...state.files, { path, text: beginningOf(path) }];
      return goTo({ ...state, files, news: `${path} is new.` }, path);
    }
    case "write": {
      const files = state.files.map((file) => {
        return file.path === deed.path ? { path: file.path, text: deed.text } : file;
      });
      return { ...state, files };
    }
    case "rewrite":
      return { ...state, files: deed.files, news: deed.news };
    case "saved":
      return { ...state, saved: textsOf(state.files), news: deed.news };
    case "say":
      return { ...state, turns: [...state.turns, deed.said], news: "" };
    case "undo":
      return { ...state, turns: state.turns.slice(0, -1), news: "Taken back." };
    case "start over":
      return { ...state, turns: [], news: "The home is as it was." };
    case "show":
      return { ...state, panel: deed.panel };
    case "go":
      return { ...state, panel: "phrasebook", goal: deed.goal };
    case "tell":
      return { ...state, news: deed.news };
  }
}

function goTo(state: WorkState, path: string): WorkState {
  return { ...state, panel: "phrasebook", goal: beginOf(path) };
}

function beginOf(path = ""): Goal {
  return { file: path, line: 1, column: 1 };
}

/** Files as they are when nothing was done to them yet. */
export function opened(
  files: readonly HomeFile[],
): Pick<WorkState, "files" | "saved" | "turns" | "goal"> {
  return { files, saved: textsOf(files), turns: [], goal: beginOf(files[0]?.path) };
}

/** How a file begins, by what its name ends in. */
function beginningOf(path: string): string {
  const name = path.split("/").at(-1)?.split(".")[0]?.replaceAll("-", " ") ?? "new";
  if (isSuite({ path })) return `suite: ${name}\ncases:\n  - hear: \n    expect: act\n`;
  return isDay({ path }) ? `day: ${name}\nhappenings: []\n` : "devices:\n";
}

/** Paths of files that are not as they were opened or saved. */
export function changedFiles({ files, saved }: Pick<WorkState, "files" | "saved">): string[] {
  return files.flatMap(({ path, text }) => (saved[path] === text ? [] : path));
}

interface Bench {
  work: WorkState;
  act: (deed: Deed) => void;
  /** Makes edits in the files. */
  edit: (edits: readonly Edit[], news: string) => Promise<void>;
}

const BenchContext = createContext<Bench | undefined>(undefined);

export function useBench(): Bench {
  const bench = use(BenchContext);
  if (!bench) throw new Error("panels stand within a Workbench");
  return bench;
}

/** Milliseconds without a change after which the work is kept. */
const pause = 250;

export function WorkProvider({ start, children }: { start: WorkState; children: ReactNode }) {
  const [work, act] = useReducer(after, start);
  const { files, saved, turns, before } = work;
  useEffect(() => {
    // A folder is opened anew by whoever opens it.
    const kept = before && { files: before.files, saved: before.saved, turns: before.turns };
    const timer = setTimeout(() => void keepWork({ files, saved, turns, before: kept }), pause);
    return () => {
      clearTimeout(timer);
    };
  }, [files, saved, turns, before]);
  const bench = useMemo((): Bench => {
    const edit = async (edits: readonly Edit[], news: string): Promise<void> => {
      act({ deed: "rewrite", files: await engine().edited([...work.files], [...edits]), news });
    };
    return { work, act, edit };
  }, [work]);
  return <BenchContext value={bench}>{children}</BenchContext>;
}

/** The demo, opened. */
export const demoWork: WorkState = {
  ...opened(demo),
  folder: undefined,
  panel: "desk",
  goal: beginOf("home.yaml"),
  news: "",
  before: undefined,
};
