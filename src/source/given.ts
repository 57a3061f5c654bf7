type Given<T> = { [Key in keyof T as undefined extends T[Key] ? never : Key]: T[Key] } & {
  [Key in keyof T as undefined extends T[Key] ? Key : never]?: Exclude<T[Key], undefined>;
};

/** The members that have a value: what is optional and not there is no key either. */
export function given<T extends object>(members: T): Given<T>;
export function given(members: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const left: Record<string, unknown> = {};
  for (const key of Object.keys(members)) {
    if (members[key] !== undefined) left[key] = members[key];
  }
  return left;
}
