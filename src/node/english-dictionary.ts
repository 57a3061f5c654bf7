import type { Dictionary } from "../sounds/pronounce.ts";

/** The CMU Pronouncing Dictionary, which is large and loaded only where sounds are asked for. */
export async function loadDictionary(): Promise<Dictionary> {
  const { dictionary } = await import("cmu-pronouncing-dictionary");
  return dictionary;
}
