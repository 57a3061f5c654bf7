import type { SourceText } from "../document/document.ts";
import { type Stretch, fileIn, insideOf, offsetOf, scalarAt, stretchOf } from "./texts.ts";
import { type Workspace, keptOf, asked } from "./workspace.ts";

/** A piece of a pattern, by what it is: to be shown so. */
export interface Mark {
  at: Stretch;
  mark: "word" | "slot" | "fragment" | "operator" | "weight";
}

/** The notation of patterns: SRGS 1.0 in its ABNF form, section 2. */
const pieces = /(\$[\p{L}\p{N}_.-]+)|(\/[\d.]+\/)|([()[\]|]|<[^>]*>)|([^\s()[\]|<>$/]+)/gu;

/** The pieces of every pattern in a file, in the order written. */
export function marksIn(workspace: Workspace, of: Pick<SourceText, "path">): Mark[] {
  return asked(workspace, "file", () => {
    const { path } = of;
    const file = fileIn(workspace, path);
    if (!file) return [];
    const { fragments } = workspace.book;
    return keptOf(workspace).sightings.flatMap((sighting): Mark[] => {
      if (sighting.sees !== "pattern" || sighting.place.at.file !== path) return [];
      const found = scalarAt(file, offsetOf(file, sighting.place.at));
      if (!found || found.isKey) return [];
      const [start, end] = insideOf(file, found.node);
      return [...file.text.slice(start, end).matchAll(pieces)].map((piece): Mark => {
        const [text, name, weight, operator] = piece;
        const from = start + piece.index;
        const mark = name
          ? fragments.has(name.slice(1))
            ? "fragment"
            : "slot"
          : weight
            ? "weight"
            : operator
              ? "operator"
              : "word";
        return { at: stretchOf(file, from, from + text.length), mark };
      });
    });
  });
}
