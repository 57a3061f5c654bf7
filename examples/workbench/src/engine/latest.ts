/**
 * Does something with what it is given, one at a time: what comes while it is done waits, and of what waits
 * only the last is done.
 *
 * @param act Told whether something waits.
 */
export function createLatest<T>(
  act: (value: T, isWaiting: () => boolean) => Promise<void>,
): (value: T) => void {
  let waiting: { value: T } | undefined;
  let isBusy = false;
  const begin = async (value: T): Promise<void> => {
    isBusy = true;
    try {
      await act(value, () => waiting !== undefined);
    } finally {
      isBusy = false;
      const next = waiting;
      waiting = undefined;
      if (next) void begin(next.value);
    }
  };
  return (value) => {
    if (isBusy) waiting = { value };
    else void begin(value);
  };
}
