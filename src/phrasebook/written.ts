import type { Cursor } from "../document/cursor.ts";
import type { Device } from "../model/home.ts";
import { withArticle } from "../source/article.ts";
import {
  type DataSchema,
  type Value,
  type ValueProblem,
  checkValue,
  explainValueProblem,
} from "../model/property.ts";

/** The schema of a property whose name is the key of what is written; reported when there is none. */
export function knownProperty(
  cursor: Cursor<unknown>,
  device: Device | undefined,
): DataSchema | undefined {
  const property = cursor.id;
  const schema = device?.properties.get(property);
  if (!device) return schema;
  cursor.refers(`property of ${device.id}`, device.properties, { on: "key" });
  if (schema) seeValue(cursor, schema);
  return schema;
}

function seeValue(cursor: Cursor<unknown>, schema: DataSchema): void {
  if (!cursor.context.watcher) return;
  const known = schema.enum ?? (schema.type === "boolean" ? ["true", "false"] : []);
  cursor.lists(cursor.id, known.map(String), allowed(schema));
}

/** The same for a property that is to be set. */
export function settableProperty(
  cursor: Cursor<unknown>,
  device: Device | undefined,
): DataSchema | undefined {
  const schema = knownProperty(cursor, device);
  if (!schema?.readOnly) return schema;
  const message = `the ${cursor.id} of ${device?.id ?? "it"} can be read but not set`;
  const fix = "set a property that the device lets you set";
  cursor.report("read-only", message, fix, { at: cursor.keyAt });
  return undefined;
}

/** Whether a property can hold what is written for it; reported when it cannot. */
export function checkWritten(cursor: Cursor<Value>, schema: DataSchema): boolean {
  const check = checkValue(schema, cursor.value);
  if (check.ok) return true;
  cursor.report("wrong-value", explain(cursor.id, check.problem), allowed(schema));
  return false;
}

/** Says why a property cannot hold a value. */
export function explain(property: string, problem: ValueProblem): string {
  return `${property} ${explainValueProblem(problem)}`;
}

export function allowed(schema: DataSchema): string {
  if (schema.enum) return `write one of ${schema.enum.join(", ")}`;
  if (schema.type === "boolean") return "write true or false";
  const { minimum, maximum, multipleOf } = schema;
  const step = multipleOf === undefined ? "" : ` in steps of ${multipleOf}`;
  if (minimum === undefined || maximum === undefined)
    return `write ${withArticle(schema.type === "string" ? "text" : schema.type)}${step}`;
  return `write a number from ${minimum} to ${maximum}${step}`;
}
