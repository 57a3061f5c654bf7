import type { KeySchema } from "./schema.ts";
import { type Workspace, keptOf } from "./workspace.ts";

/** The JSON Schema of a file, by what its name ends in; undefined where none was passed. */
export function schemaOf(workspace: Workspace, path: string): KeySchema | undefined {
  const { schemas = {} } = keptOf(workspace).options;
  if (/\.suite\.ya?ml$/iu.test(path)) return schemas.suite;
  if (/\.day\.ya?ml$/iu.test(path)) return schemas.day;
  return /\.ya?ml$/iu.test(path) ? schemas.phrasebook : undefined;
}
