/* What comes in from code that nobody checked the types of: a value is taken for what it is. */

/** A value in a few words, whatever it is. */
export function shown(value: unknown): string {
  switch (typeof value) {
    case "string":
      return `"${value}"`;
    case "number":
    case "boolean":
    case "undefined":
    case "bigint":
      return String(value);
    case "object":
      return value === null ? "null" : Array.isArray(value) ? "a list" : "an object";
    default:
      return `a ${typeof value}`;
  }
}

export function textOf(value: unknown): string | undefined {
  return typeof value === "string" ? value : undefined;
}

/** The texts of a list; none of anything else. */
export function textsOf(value: unknown): string[] {
  return Array.isArray(value) ? value.filter((each) => typeof each === "string") : [];
}

/** The members of an object; none of anything else. */
export function membersOf(value: unknown): Readonly<Record<string, unknown>> {
  return isObject(value) ? value : {};
}

/** Whether a value has members. */
export function isObject(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === "object" && value !== null;
}

/** A number that is one, and no less than `least`; undefined for anything else. */
export function numberFrom(value: unknown, least = 0): number | undefined {
  return typeof value === "number" && value >= least && value < Infinity ? value : undefined;
}

/** The texts of a list; undefined where there is none. */
export function textsGiven(value: unknown): string[] | undefined {
  return Array.isArray(value) ? textsOf(value) : undefined;
}
