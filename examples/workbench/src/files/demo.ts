import type { HomeFile } from "../engine/views.ts";

const texts = import.meta.glob<string>("../../../../demo/oxbow-pottery/**/*.yaml", {
  query: "?raw",
  import: "default",
  eager: true,
});

/** The demo: a pottery with a flat above it. */
export const demo: readonly HomeFile[] = Object.entries(texts).map(([path, text]) => {
  return { path: path.split("/oxbow-pottery/")[1] ?? path, text };
});
