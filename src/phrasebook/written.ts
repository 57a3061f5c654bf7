import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import type { Device } from "./model.ts";
import {
  type DataSchema,
  type Value,
  type ValueProblem,
  checkValue,
  explainValueProblem,
} from "./property.ts";

/** The schema of a property written at a path, reported when the device has none. */
export function knownProperty(
  context: Context,
  document: Document,
  path: Path,
  device: Device | undefined,
  property: string,
): DataSchema | undefined {
  const schema = device?.properties.get(property);
  if (device && !schema) {
    const what = `property of ${device.id}`;
    reportUnknown(context, document.atKey(path), what, property, device.properties.keys());
  }
  return schema;
}

export function settableProperty(
  context: Context,
  document: Document,
  path: Path,
  device: Device | undefined,
  property: string,
): DataSchema | undefined {
  const schema = knownProperty(context, document, path, device, property);
  if (!schema?.readOnly) return schema;
  report(
    context,
    "read-only",
    document.atKey(path),
    `the ${property} of ${device?.id ?? "it"} can be read but not set`,
    "set a property that the device lets you set",
  );
  return undefined;
}

export function checkWritten(
  context: Context,
  document: Document,
  path: Path,
  schema: DataSchema,
  written: Value,
): boolean {
  const check = checkValue(schema, written);
  if (check.ok) return true;
  const message = explain(String(path.at(-1)), check.problem);
  report(context, "wrong-value", document.at(path), message, allowed(schema));
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
  if (minimum === undefined || maximum === undefined) return `write a ${schema.type}${step}`;
  return `write a number from ${minimum} to ${maximum}${step}`;
}
