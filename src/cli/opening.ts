import type { Command } from "commander";
import { WrongUse } from "../source/wrong-use.ts";

/** What every command that opens a phrasebook is told. */
export function opening(command: Command): Command {
  return command
    .allowExcessArguments()
    .hook("preAction", ({ args, registeredArguments }) => {
      const more = args[registeredArguments.length];
      if (more === undefined || registeredArguments.at(-1)?.variadic) return;
      throw new WrongUse(`"${more}" is one argument too many; a folder is given as --in ${more}`);
    })
    .option(
      "--in <folder>",
      "folder or file of the phrasebook, or - for standard input; found from here when left out",
    )
    .option(
      "--allow <folder...>",
      "folders beside it that its uses may read, such as ../house-style",
    );
}

export const jsonForm = "as JSON, in the form that docs/json.md describes";
