/** Colours for a terminal; each returns its text, coloured or not. */
export interface Paint {
  strong: (text: string) => string;
  quiet: (text: string) => string;
  good: (text: string) => string;
  bad: (text: string) => string;
  warn: (text: string) => string;
  name: (text: string) => string;
}

const as = (text: string): string => text;

/** No colour at all. */
export const plain: Paint = { strong: as, quiet: as, good: as, bad: as, warn: as, name: as };
