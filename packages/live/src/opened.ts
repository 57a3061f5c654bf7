/** What was opened, to be closed in the end, the last of it first. */
export interface Opened {
  /** Takes something that can be closed. */
  kept: <T extends { close: () => Promise<void> }>(each: T) => T;
  close: () => Promise<void>;
}

export function createOpened(): Opened {
  const closing: (() => Promise<void>)[] = [];
  return {
    kept(each) {
      closing.unshift(each.close);
      return each;
    },
    async close() {
      for (const close of closing.splice(0)) await close();
    },
  };
}
