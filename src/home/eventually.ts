/**
 * Something that is there at once or comes later. A simulated home answers at once, and a suite of a
 * hundred thousand cases must not wait for promises; a real device answers when it does.
 */
export type Eventually<T> = { now: T } | { later: (then: (value: T) => void) => void };

/** Goes on with something once it is there. */
export function onceThere<T>(eventually: Eventually<T>, act: (value: T) => void): void {
  if ("now" in eventually) act(eventually.now);
  else eventually.later(act);
}

/** What something comes to once it is there. */
export function mapped<A, B>(first: Eventually<A>, make: (value: A) => B): Eventually<B> {
  if ("now" in first) return { now: make(first.now) };
  return {
    later: (then) => {
      first.later((value) => {
        then(make(value));
      });
    },
  };
}

/** Several things, once all of them are there. */
export function allThere<T>(parts: readonly Eventually<T>[]): Eventually<readonly T[]> {
  const there: T[] = [];
  for (const part of parts) if ("now" in part) there.push(part.now);
  if (there.length === parts.length) return { now: there };
  return {
    later: (then) => {
      const values = new Map<number, T>();
      for (const [index, part] of parts.entries()) {
        onceThere(part, (value) => {
          values.set(index, value);
          if (values.size === parts.length) then(inOrder(values));
        });
      }
    },
  };
}

/** Something that is told once, to whoever asks before or after. */
export function createEventually<T>(): { tell: (value: T) => void; told: () => Eventually<T> } {
  const waiting: ((value: T) => void)[] = [];
  let told: { now: T } | undefined;
  return {
    tell(value) {
      if (told) return;
      told = { now: value };
      for (const then of waiting.splice(0)) then(value);
    },
    told: () =>
      told ?? {
        later: (then) => {
          if (told) then(told.now);
          else waiting.push(then);
        },
      },
  };
}

function inOrder<T>(values: ReadonlyMap<number, T>): T[] {
  return [...values].sort(([a], [b]) => a - b).map(([, value]) => value);
}
