/** What editors ask of the files of a home, by places in their texts. */
export { type Workspace, type WorkspaceOptions, openWorkspace } from "./workspace.ts";
export { type Completion, type Completions, completionsAt } from "./completion.ts";
export { type Explanation, explainAt } from "./explain.ts";
export { definitionsAt, usesAt } from "./uses.ts";
export { type Renaming, renameAt } from "./rename.ts";
export { type Fix, fixesFor } from "./fixes.ts";
export { type Mark, marksIn } from "./marks.ts";
export { type SaidCase, type WrittenCase, caseAdded, caseOf, happeningAdded } from "./cases.ts";
export type { Entity, EntitySort } from "./entities.ts";
export type { KeySchema } from "./schema.ts";
export type { Point, Stretch } from "./texts.ts";
