import type { HomeFile } from "../engine/views.ts";

/** Longest link that is made, in characters: browsers and letters take no longer ones. */
const longest = 30_000;

const begins = "#home=";

/** A link to this page that carries some files in itself; undefined where they are too much for one. */
export async function linkTo(files: readonly HomeFile[]): Promise<string | undefined> {
  const { deflateSync, strToU8 } = await import("fflate");
  const bytes = deflateSync(strToU8(JSON.stringify(files)), { level: 9 });
  const text = btoa(String.fromCharCode(...bytes))
    .replaceAll("+", "-")
    .replaceAll("/", "_")
    .replace(/=+$/u, "");
  const link = `${location.origin}${location.pathname}${begins}${text}`;
  return link.length > longest ? undefined : link;
}

/** The files that the link of this page carries, if it does. */
export async function filesInLink(): Promise<readonly HomeFile[] | undefined> {
  if (!location.hash.startsWith(begins)) return undefined;
  const text = location.hash.slice(begins.length).replaceAll("-", "+").replaceAll("_", "/");
  try {
    const { inflateSync, strFromU8 } = await import("fflate");
    const bytes = Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));
    const files: unknown = JSON.parse(strFromU8(inflateSync(bytes)));
    return Array.isArray(files) && files.every(isFile) ? files : undefined;
  } catch {
    return undefined;
  }
}

function isFile(value: unknown): value is HomeFile {
  return (
    typeof value === "object" &&
    value !== null &&
    "path" in value &&
    typeof value.path === "string" &&
    "text" in value &&
    typeof value.text === "string"
  );
}
