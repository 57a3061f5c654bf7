import { get, set } from "idb-keyval";
import type { HomeFile, Said } from "../engine/views.ts";

/** What of the work is kept in the browser, so that it survives a reload. */
export interface Work {
  files: readonly HomeFile[];
  /** The texts as they were opened or last saved, by their paths. */
  saved: Readonly<Record<string, string>>;
  turns: readonly Said[];
  /** What was open before and was not saved. */
  before?: Omit<Work, "before"> | undefined;
}

const key = "calm-phrase-work";

export async function keepWork(work: Work): Promise<void> {
  await set(key, work);
}

export async function keptWork(): Promise<Work | undefined> {
  try {
    return await get<Work>(key);
  } catch {
    // A browser that keeps nothing opens the demo.
    return undefined;
  }
}
