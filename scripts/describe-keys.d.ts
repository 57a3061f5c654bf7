/** Gives each key of a schema its sentence; the keys that have none, or that no schema has. */
export function describeKeys(schema: object): string[];
