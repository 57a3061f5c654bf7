import type { SourceDefinition } from "../document/document.ts";
import type { PhrasebookDefinition } from "./schema/phrasebook.ts";

/**
 * A phrasebook written in TypeScript, in the shape of the YAML files. Pass it to `readPhrasebook`
 * beside files or alone.
 *
 * @param path Shown as the place of findings.
 */
export function definePhrasebook(
  definition: PhrasebookDefinition,
  path = "definePhrasebook",
): SourceDefinition<PhrasebookDefinition> {
  return { path, definition };
}
