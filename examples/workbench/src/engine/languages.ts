import type { LanguagePack } from "calm-phrase";
import type { HomeFile } from "./views.ts";

/** The languages that ship, each loaded when a home speaks it. */
const packs: Readonly<Record<string, () => Promise<LanguagePack>>> = {
  en: async () => (await import("calm-phrase/languages/english")).english,
  de: async () => (await import("calm-phrase/languages/german")).german,
  fr: async () => (await import("calm-phrase/languages/french")).french,
  es: async () => (await import("calm-phrase/languages/spanish")).spanish,
  it: async () => (await import("calm-phrase/languages/italian")).italian,
  nl: async () => (await import("calm-phrase/languages/dutch")).dutch,
};

/** The packs of the languages that are named in some files; English where none is. */
export async function packsOf(files: readonly HomeFile[]): Promise<LanguagePack[]> {
  const named = files
    .flatMap(({ text }) => [...text.matchAll(/^languages:\s*((?:.*)(?:\n\s+-.*)*)/gmu)])
    .flatMap(([, list = ""]) => [...list.matchAll(/\b([a-z]{2})(?:-[A-Za-z]+)?\b/gu)])
    .map(([, tag = ""]) => tag);
  const known = [...new Set(named)].filter((tag) => Object.hasOwn(packs, tag));
  const load = (known.length > 0 ? known : ["en"]).flatMap((tag) => packs[tag] ?? []);
  return Promise.all(load.map((each) => each()));
}
