import { readFile, readdir } from "node:fs/promises";
import { dirname, join, relative, resolve } from "node:path";

/** Farthest that folders above are looked through. */
const farthest = 40;

/**
 * The folder of the phrasebook that a place belongs to: the nearest one, from it upward, in which a
 * file says what the home is called. The place itself where there is none.
 */
export async function findFolder(place: string): Promise<string> {
  let folder = resolve(place);
  for (let step = 0; step < farthest; step++) {
    if (await namesHome(folder)) return relative(process.cwd(), folder) || ".";
    const above = dirname(folder);
    if (above === folder) break;
    folder = above;
  }
  return place;
}

/** Whether a file of a folder has the key with which a phrasebook begins. */
export async function namesHome(folder: string): Promise<boolean> {
  try {
    const names = await readdir(folder);
    for (const name of names.filter((each) => /^[^.].*\.ya?ml$/iu.test(each))) {
      const text = await readFile(join(folder, name), "utf8");
      if (/^phrasebook\s*:/mu.test(text)) return true;
    }
  } catch {
    // What cannot be read is looked past here, and told once it is opened.
  }
  return false;
}
