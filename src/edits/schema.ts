import type { Path } from "../document/document.ts";
import { valueAt } from "../document/value-at.ts";

/** As much of a JSON Schema (draft 2020-12) as tells which keys and values may stand in a file. */
export interface KeySchema {
  description?: string;
  type?: string | readonly string[];
  properties?: Readonly<Record<string, KeySchema>>;
  additionalProperties?: KeySchema | boolean;
  items?: KeySchema | boolean;
  anyOf?: readonly KeySchema[];
  oneOf?: readonly KeySchema[];
  enum?: readonly unknown[];
  const?: unknown;
  $ref?: string;
  $defs?: Readonly<Record<string, KeySchema>>;
}

/** A key or a value that may stand somewhere. */
export interface Allowed {
  text: string;
  description?: string;
}

/**
 * The schemas of what stands at a path. Of several forms, those that allow all keys that are there beside
 * the one that is asked about.
 */
export function schemasAt(root: KeySchema, value: unknown, path: Path): KeySchema[] {
  let reached: KeySchema[] = [root];
  for (const [index, key] of path.entries()) {
    const here = valueAt(value, path.slice(0, index));
    reached = formsOf(root, reached, here, key).flatMap((form) => stepInto(form, key));
  }
  return reached;
}

/** Keys that a map at a path may have and has not yet; `asked` is no key of it. */
export function keysAt(root: KeySchema, value: unknown, path: Path, asked: string): Allowed[] {
  const here = valueAt(value, path);
  const forms = formsOf(root, schemasAt(root, value, path), here, asked);
  const known = new Map<string, Allowed>();
  for (const { properties = {} } of forms) {
    for (const [text, { description }] of Object.entries(properties)) {
      if (isMap(here) && Object.hasOwn(here, text)) continue;
      if (!known.has(text)) known.set(text, described(text, description));
    }
  }
  return [...known.values()];
}

/** Values that are listed for what stands at a path. */
export function valuesAt(root: KeySchema, value: unknown, path: Path): Allowed[] {
  const forms = schemasAt(root, value, path).flatMap((schema) => unfolded(root, schema));
  const texts = forms.flatMap((form): unknown[] => {
    if (form.const !== undefined) return [form.const];
    return [...(form.enum ?? (form.type === "boolean" ? [true, false] : []))];
  });
  return [...new Set(texts.map(String))].map((text) => ({ text }));
}

/** What a key at the end of a path is for, where its schema says so. */
export function descriptionAt(root: KeySchema, value: unknown, path: Path): string | undefined {
  return schemasAt(root, value, path).find(({ description }) => description !== undefined)
    ?.description;
}

function described(text: string, description: string | undefined): Allowed {
  return description === undefined ? { text } : { text, description };
}

/** The forms that are meant by what is there: those that know its keys, else all. */
function formsOf(
  root: KeySchema,
  schemas: readonly KeySchema[],
  here: unknown,
  asked: PropertyKey,
): KeySchema[] {
  const forms = schemas.flatMap((schema) => unfolded(root, schema));
  if (!isMap(here)) return forms;
  const keys = Object.keys(here).filter((key) => key !== String(asked));
  const fitting = forms.filter(({ properties, additionalProperties }) => {
    const isOpen = typeof additionalProperties === "object";
    return isOpen || keys.every((key) => properties && Object.hasOwn(properties, key));
  });
  return fitting.length > 0 ? fitting : forms;
}

function unfolded(root: KeySchema, schema: KeySchema, depth = 0): KeySchema[] {
  const { $ref, anyOf, oneOf } = schema;
  // A schema that leads to itself has no form of its own.
  if (depth > deepest) return [];
  const target = $ref === undefined ? undefined : root.$defs?.[$ref.split("/").at(-1) ?? ""];
  if (target) return unfolded(root, target, depth + 1);
  const options = [...(anyOf ?? []), ...(oneOf ?? [])];
  if (options.length === 0) return [schema];
  return options.flatMap((option) => unfolded(root, option, depth + 1));
}

const deepest = 20;

function stepInto(
  { properties, additionalProperties, items }: KeySchema,
  key: PropertyKey,
): KeySchema[] {
  if (typeof key === "number") return typeof items === "object" ? [items] : [];
  const name = String(key);
  const own = properties && Object.hasOwn(properties, name) ? properties[name] : undefined;
  if (own) return [own];
  return typeof additionalProperties === "object" ? [additionalProperties] : [];
}

function isMap(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}
