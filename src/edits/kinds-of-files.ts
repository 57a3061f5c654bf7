import { sortOfFile } from "../suites/sources.ts";
import type { KeySchema } from "./schema.ts";
import { type Workspace, keptOf } from "./workspace.ts";

/** The JSON Schema of a file, by what its name ends in; undefined where none was passed. */
export function schemaOf(workspace: Workspace, path: string): KeySchema | undefined {
  const { schemas = {} } = keptOf(workspace).options;
  const sort = sortOfFile(path);
  return sort === "table" ? undefined : schemas[sort];
}
