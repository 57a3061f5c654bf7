/* What a file is, by its name. The library tells as much by `partSources`, with all that reads suites. */

interface Named {
  path: string;
}

export function isSuite({ path }: Named): boolean {
  return /\.suite\.ya?ml$/iu.test(path);
}

export function isDay({ path }: Named): boolean {
  return /\.day\.ya?ml$/iu.test(path);
}

/** Whether a file is of the phrasebook itself. */
export function isOfPhrasebook(file: Named): boolean {
  return !isSuite(file) && !isDay(file) && !/\.csv$/iu.test(file.path);
}
