import type * as z from "zod/mini";
import type { Finding } from "../source/finding.ts";
import { shown } from "../source/border.ts";
import { withArticle } from "../source/article.ts";
import { nearest } from "../source/nearest.ts";
import type { Document, Path } from "./document.ts";
import { valueAt } from "./value-at.ts";

type Schema = z.ZodMiniType;
type Issue = z.core.$ZodIssue;

/** Parts that are left out one after another before a document is given up. */
const mostRounds = 8;

/** What is told of a value where its schema has no words of its own. */
const unsaid = "it cannot stand there";

/** How schemas are asked: what zod would say of itself is a setting of the whole process, which others change. */
export const plainly = { error: (): string => unsaid };

/**
 * Holds a document against a schema. Whatever does not fit is reported, all of it, and left out,
 * so that the rest can be used.
 *
 * @param leave Told of each part that is left out, by its path in what was written.
 */
export function validate<T>(
  schema: z.ZodMiniType<T>,
  document: Document,
  findings: Finding[],
  leave: (path: Path) => void = () => undefined,
): T | undefined {
  if (document.value === undefined || document.value === null) return undefined;
  const first = schema.safeParse(document.value, plainly);
  if (first.success) return first.data;

  let rest: unknown = copy(document.value);
  let issues = flatten(first.error.issues, rest);
  for (let round = 0; round < mostRounds; round++) {
    if (!document.broken) findings.push(...describe(issues, schema, document, rest));
    const parts = partsOf(issues);
    for (const path of parts) leave(document.written(path));
    if (parts.some((path) => path.length === 0)) return undefined;
    // Later items first, so that the places of those before them stay as they are.
    for (const path of parts.reverse()) {
      rest = without(rest, path);
      document.drop(path);
    }
    const next = schema.safeParse(rest, plainly);
    if (next.success) return next.data;
    // What follows from leaving parts out is no news to the reader.
    issues = flatten(next.error.issues, rest).filter(({ issue }) => !isMissing(issue, rest));
    if (issues.length === 0) issues = flatten(next.error.issues, rest).map(parentOf);
  }
  leave([]);
  return undefined;
}

/** The parts that issues are about, each once, in the order of their places. */
function partsOf(issues: readonly Located[]): Path[] {
  const parts = issues.flatMap(({ issue, path }): Path[] =>
    issue.code === "unrecognized_keys" ? issue.keys.map((key) => [...path, key]) : [path],
  );
  const distinct = new Map(parts.map((path) => [JSON.stringify(path.map(String)), path]));
  return [...distinct.values()].sort(comparePaths);
}

function comparePaths(a: Path, b: Path): number {
  for (const [index, key] of a.entries()) {
    const other = b[index];
    if (other === undefined) return 1;
    if (key === other) continue;
    const both = [key, other].map(Number);
    const [one = NaN, two = NaN] = both;
    if (Number.isNaN(one) || Number.isNaN(two)) return String(key) < String(other) ? -1 : 1;
    return one - two;
  }
  return a.length - b.length;
}

interface Located {
  issue: Issue;
  path: Path;
  silent?: boolean;
}

/** The issues themselves; of a union, those of the form that was meant. */
function flatten(issues: readonly Issue[], root: unknown, prefix: Path = []): Located[] {
  return issues.flatMap((issue): Located[] => {
    const path = [...prefix, ...issue.path];
    if (issue.code === "invalid_union") {
      const [meant] = issue.errors
        .filter((branch) => branch.length > 0 && branch.every((inner) => !isShape(inner)))
        .map((branch) => ({ branch, far: distance(branch, valueAt(root, path)) }))
        .sort((a, b) => a.far - b.far);
      if (meant) return flatten(meant.branch, root, path);
    }
    return [{ issue, path }];
  });
}

/**
 * How far a value is from a form that a union allows: by the keys that it has not got first, then by
 * those that the form does not know.
 */
function distance(branch: readonly Issue[], value: unknown): number {
  const atTop = branch.filter(({ path }) => path.length === 0);
  const unknown = atTop.flatMap((issue) => (issue.code === "unrecognized_keys" ? issue.keys : []));
  const wanted = branch.filter(({ path }) => path.length === 1).map(({ path }) => String(path[0]));
  const misspelled = unknown.filter((key) => nearest(key, wanted) !== undefined);
  const missing = branch.filter((issue) => issue.path.length === 1 && isMissing(issue, value));
  return 16 * missing.length + 4 * unknown.length - 3 * misspelled.length + branch.length;
}

/** Whether a union's branch failed at its top: the value has another shape altogether. */
function isShape(issue: Issue): boolean {
  if (issue.path.length > 0 || issue.code === "unrecognized_keys") return false;
  // A union within a union has the shape of any of its forms.
  return issue.code !== "invalid_union" || issue.errors.every((branch) => branch.some(isShape));
}

function parentOf({ issue, path }: Located): Located {
  return { issue, path: path.slice(0, -1), silent: true };
}

function describe(issues: Located[], schema: Schema, document: Document, rest: unknown): Finding[] {
  const unknown = issues.flatMap(({ issue, path, silent }) =>
    issue.code === "unrecognized_keys" && !silent
      ? issue.keys.map((key) => {
          const known = keysAt(schema, path);
          return { key, path, known, near: nearest(key, known) };
        })
      : [],
  );
  const misspelled = new Set(
    unknown.flatMap(({ path, near }) =>
      near ? [JSON.stringify([...path, near].map(String))] : [],
    ),
  );
  const findings = unknown.map(({ key, path, known, near }): Finding => {
    return {
      rule: "unknown-key",
      severity: "error",
      message: `nothing here is called "${key}"`,
      fix: near
        ? `write ${near}`
        : known.length > 0
          ? `write one of ${known.join(", ")}`
          : "remove it",
      at: document.atKey([...path, key]),
      ...(near && { remedy: { remedy: "write", text: near } }),
    };
  });
  for (const { issue, path, silent } of issues) {
    if (silent || issue.code === "unrecognized_keys") continue;
    const missing = isMissing(issue, rest, path);
    if (missing && misspelled.has(JSON.stringify(path.map(String)))) continue;
    findings.push(
      missing ? describeMissing(issue, path, document) : describeOne(issue, path, document, rest),
    );
  }
  return findings;
}

function describeMissing({ message }: Issue, path: Path, document: Document): Finding {
  const key = String(path.at(-1));
  const at = document.atKey(path.slice(0, -1));
  return {
    rule: "missing-key",
    severity: "error",
    message: `"${key}" is missing`,
    fix: message,
    at,
  };
}

function describeOne(issue: Issue, path: Path, document: Document, rest: unknown): Finding {
  // An item of a list stands under the key of the list.
  const key = String(path.findLast((part) => typeof part !== "number") ?? "this file");
  if (issue.code === "invalid_key") {
    return {
      rule: "wrong-id",
      severity: "error",
      message: `"${key}" cannot be an id`,
      fix: issue.issues[0]?.message ?? issue.message,
      at: document.atKey(path),
    };
  }
  const allowed = allowedValues(issue)?.map(String);
  const written = valueAt(rest, path);
  const near = allowed && nearest(printScalar(written), allowed);
  return {
    rule: "wrong-value",
    severity: "error",
    message: `${describeValue(written)} cannot stand under "${key}"`,
    fix: near
      ? `write ${near}`
      : allowed
        ? `write one of ${allowed.join(", ")}`
        : issue.message === unsaid
          ? `write ${issue.code === "invalid_type" ? withArticle(issue.expected) : "something else"}`
          : issue.message,
    at: document.at(path),
  };
}

/** Values that may stand there, where the schema lists them. */
function allowedValues(issue: Issue): readonly unknown[] | undefined {
  if (issue.code === "invalid_value") return issue.values;
  if (issue.code !== "invalid_union" || !("options" in issue)) return undefined;
  return Array.isArray(issue.options) ? issue.options : undefined;
}

function printScalar(value: unknown): string {
  return typeof value === "string" ? value : shown(value);
}

function describeValue(value: unknown): string {
  if (value === null) return "an empty value";
  if (Array.isArray(value)) return "a list";
  if (typeof value === "function") return "a function";
  return typeof value === "object" ? "a map" : `"${printScalar(value)}"`;
}

function isMissing(issue: Issue, root: unknown, path: Path = issue.path): boolean {
  return path.length > 0 && valueAt(root, path) === undefined;
}

/** A copy of maps and lists; a definition may hold functions, which no clone takes. */
function copy(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(copy);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, copy(each)]));
}

function without(root: unknown, path: Path): unknown {
  const key = path.at(-1);
  if (key === undefined) return undefined;
  const parent = valueAt(root, path.slice(0, -1));
  if (Array.isArray(parent)) parent.splice(Number(key), 1);
  else if (typeof parent === "object" && parent !== null) Reflect.deleteProperty(parent, key);
  return root;
}

/** The keys that a map at a path may have, read off the schema. */
function keysAt(schema: Schema, path: Path): string[] {
  let reached: Schema[] = [schema];
  for (const key of path) reached = reached.flatMap((inner) => step(inner, key));
  const all = reached.flatMap(unwrap).flatMap((inner) => {
    return Object.keys(definitionOf(inner).shape ?? {});
  });
  // The forms of a union share keys.
  return [...new Set(all)];
}

interface Definition {
  innerType?: Schema;
  options?: Schema[];
  shape?: Record<string, Schema>;
  valueType?: Schema;
  element?: Schema;
}

/** What a schema is made of, which its type does not tell; a part that it has not is undefined. */
function definitionOf(schema: Schema): Definition {
  const def: unknown = schema._zod.def;
  return isDefinition(def) ? def : {};
}

function isDefinition(def: unknown): def is Definition {
  return typeof def === "object" && def !== null;
}

function unwrap(schema: Schema): Schema[] {
  const { innerType, options } = definitionOf(schema);
  if (innerType) return unwrap(innerType);
  return options ? options.flatMap(unwrap) : [schema];
}

function step(schema: Schema, key: PropertyKey): Schema[] {
  return unwrap(schema).flatMap((inner) => {
    const { shape, valueType, element } = definitionOf(inner);
    const next = shape ? shape[String(key)] : (valueType ?? element);
    return next ? [next] : [];
  });
}
