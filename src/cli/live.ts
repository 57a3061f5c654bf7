import { createRequire } from "node:module";
import { pathToFileURL } from "node:url";
import { complain } from "./output.ts";
import { exit } from "./exit.ts";

/** What the package for live homes gives this command. */
interface LivePackage {
  liveCommand: (args: readonly string[]) => Promise<number>;
}

const door = "@calm-phrase/live/command";

/** Hands over to the package for live homes, where that is installed. */
export async function live(args: readonly string[]): Promise<number> {
  const found = findPackage();
  const loaded: unknown = found === undefined ? undefined : await import(found);
  if (isPackage(loaded)) return loaded.liveCommand(args);
  complain("calm-phrase: live homes are a package of their own: npm install @calm-phrase/live");
  return exit.wrongUse;
}

/** The package beside this one, or the one of the folder that the command is called in. */
function findPackage(): string | undefined {
  for (const from of [import.meta.url, pathToFileURL(`${process.cwd()}/`).href]) {
    try {
      return pathToFileURL(createRequire(from).resolve(door)).href;
    } catch {
      // Not there: the next place may have it.
    }
  }
  return undefined;
}

function isPackage(loaded: unknown): loaded is LivePackage {
  return (
    typeof loaded === "object" &&
    loaded !== null &&
    "liveCommand" in loaded &&
    typeof loaded.liveCommand === "function"
  );
}
