#!/usr/bin/env node
import { readFileSync } from "node:fs";
import { membersOf, textOf } from "../source/border.ts";
import { complain } from "./output.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { Command, CommanderError } from "commander";
import { exit } from "./exit.ts";
import type { ExportOptions, ImportOptions } from "./exchange.ts";
import type { CheckOptions } from "./check.ts";
import type { HearOptions } from "./hear.ts";
import type { SayableOptions } from "./sayable.ts";
import type { TestOptions } from "./test.ts";
import type { DayOptions, RunOptions } from "./timeline.ts";

const allowed = "folders beside it that its uses may read, such as ../house-style";

/** The version that stands in the package, which lies beside the command. */
function versionOfPackage(): string {
  const text = readFileSync(new URL("../package.json", import.meta.url), "utf8");
  const { version } = membersOf(JSON.parse(text));
  return textOf(version) ?? "unknown";
}

/** Each command is loaded when it is called, so that none waits for another's packages. */
function createProgram(done: (code: number) => void): Command {
  const program = new Command("calm-phrase")
    .description("Voice control for homes, written as plain files and proved in text.")
    .version(versionOfPackage(), "--version", "print the version")
    .helpOption("-h, --help", "print help")
    .exitOverride()
    .configureOutput({
      writeErr: (text) => {
        complain(text.trimEnd());
      },
    })
    .showHelpAfterError("See --help for what can be written.")
    .configureHelp({ helpWidth: 100 });

  program
    .command("new")
    .description("begin a phrasebook in a new folder")
    .argument("<folder>", "folder to write it in")
    .option("--json", "print what was written as JSON")
    .addHelpText("after", "\nExample:\n  calm-phrase new my-home")
    .action(async (folder: string, options: { json?: boolean }) => {
      const { begin } = await import("./new.ts");
      done(await begin(folder, options));
    });

  program
    .command("check")
    .description("find everything that is wrong with a phrasebook and its suites")
    .argument("[folder]", "folder or file of the phrasebook", ".")
    .option("--allow <folder...>", allowed)
    .option("--json", "print the findings as JSON")
    .addHelpText("after", "\nExamples:\n  calm-phrase check\n  calm-phrase check homes/mill --json")
    .action(async (folder: string, options: CheckOptions) => {
      const { check } = await import("./check.ts");
      done(await check(folder, options));
    });

  program
    .command("hear")
    .description("explain one phrase, or listen at a prompt when there is none")
    .argument("[phrase]", "what is said, in quotes")
    .option("--in <folder>", "folder or file of the phrasebook", ".")
    .option("--at <voicepoint>", "where it is heard")
    .option("--language <tag>", "language that it is said in, such as de")
    .option("--time <time>", "local time there, such as 2026-03-02T18:05")
    .option("--allow <folder...>", allowed)
    .option("--why", "tell readings that lost as well, and the rules that dropped them")
    .option("--json", "print the outcome and the why as JSON")
    .addHelpText(
      "after",
      `
Examples:
  calm-phrase hear "extractor to sixty percent"
  calm-phrase hear "turn on the ceiling light" --at stove-side
  calm-phrase hear --in homes/mill --language de`,
    )
    .action(async (phrase: string | undefined, options: HearOptions) => {
      const { hear } = await import("./hear.ts");
      done(await hear(phrase, options));
    });

  program
    .command("test")
    .description("run the suites of a phrasebook")
    .argument("[folder]", "folder of the phrasebook", ".")
    .option("--only <suite...>", "names of the suites to run")
    .option("--why", "tell readings that lost as well, and the rules that dropped them")
    .option("--allow <folder...>", allowed)
    .option("--json", "print the results as JSON")
    .addHelpText(
      "after",
      '\nExamples:\n  calm-phrase test\n  calm-phrase test homes/mill --only "closing time"',
    )
    .action(async (folder: string, options: TestOptions) => {
      const { test } = await import("./test.ts");
      done(await test(folder, options));
    });

  program
    .command("sayable")
    .description("list what can be said to a home, and what voice may do")
    .argument("[folder]", "folder or file of the phrasebook", ".")
    .option("--language <tag>", "language of the list, such as de")
    .option("--allow <folder...>", allowed)
    .option("--json", "print the list as JSON")
    .addHelpText("after", "\nExamples:\n  calm-phrase sayable\n  calm-phrase sayable --language de")
    .action(async (folder: string, options: SayableOptions) => {
      const { sayable } = await import("./sayable.ts");
      done(await sayable(folder, options));
    });

  program
    .command("run")
    .description("run a routine on a simulated home, and tell what happens when")
    .argument("<routine>", "id of the routine")
    .option("--in <folder>", "folder or file of the phrasebook", ".")
    .option("--time <time>", "local time to begin at, such as 2026-03-02T18:05")
    .option("--for <duration>", "how long to look on, such as 30m", "4h")
    .option("--set <state...>", "states to begin with, such as glaze-sensor.humidity=80")
    .option("--fault <fault...>", "devices that misbehave, such as kiln-light=offline")
    .option("--slot <value...>", "values for its slots, such as length=30m")
    .option("--dry", "print what it would do and ask, and do nothing")
    .option("--allow <folder...>", allowed)
    .option("--json", "print what happened as JSON")
    .addHelpText(
      "after",
      "\nExamples:\n  calm-phrase run close-up --time 2026-03-02T18:30 --in homes/mill\n  calm-phrase run close-up --fault till-lamp=offline\n  calm-phrase run close-up --dry",
    )
    .action(async (routine: string, options: RunOptions) => {
      const { run } = await import("./timeline.ts");
      done(await run(routine, options));
    });

  program
    .command("day")
    .description("play a whole day of a simulated home, from its triggers and a script")
    .argument("[date]", "the day, such as 2026-03-02")
    .option("--in <folder>", "folder or file of the phrasebook", ".")
    .option("--script <day>", "a *.day.yaml of the phrasebook: what people do and sensors measure")
    .option("--allow <folder...>", allowed)
    .option("--json", "print what happened as JSON")
    .addHelpText(
      "after",
      '\nExamples:\n  calm-phrase day 2026-03-29 --in homes/mill\n  calm-phrase day --script "a wet Friday"',
    )
    .action(async (date: string | undefined, options: DayOptions) => {
      const { day } = await import("./timeline.ts");
      done(await day(date, options));
    });

  program
    .command("import")
    .description("take devices from a table or Thing Descriptions, or patterns from a grammar")
    .argument(
      "<path>",
      "a .csv table, a .json Thing Description or a folder of these, or a .abnf or .xml grammar",
    )
    .option("--to <file>", "YAML file to write; printed when left out")
    .option("--merge", "add to that file, changing nothing that stands there")
    .option("--force", "write over that file")
    .option("--language <tag>", "language of the names in a table that say none")
    .option("--json", "print devices and what was left out as JSON")
    .addHelpText(
      "after",
      "\nExamples:\n  calm-phrase import devices.csv --to home/devices.yaml\n  calm-phrase import things/",
    )
    .action(async (path: string, options: ImportOptions) => {
      const { importFile } = await import("./exchange.ts");
      done(await importFile(path, options));
    });

  program
    .command("export")
    .description(
      "write devices as a table or Thing Descriptions, or all that is sayable as a grammar",
    )
    .argument("[folder]", "folder or file of the phrasebook", ".")
    .requiredOption("--as <format>", "csv, td, srgs, srgs-xml or jsgf")
    .option("--allow <folder...>", allowed)
    .option("--to <path>", "file (a folder for td) to write; printed when left out")
    .option("--language <tag>", "language of a grammar, such as de; the first one when left out")
    .addHelpText(
      "after",
      `
Formats:
  csv       devices, one a row
  td        devices as W3C Thing Descriptions
  srgs      all that is sayable, as a W3C SRGS 1.0 grammar in ABNF form
  srgs-xml  the same in XML form
  jsgf      the same in the JSpeech Grammar Format

Examples:
  calm-phrase export --as csv --to devices.csv
  calm-phrase export --as srgs-xml --language de --to sayable.grxml`,
    )
    .action(async (folder: string, options: ExportOptions) => {
      const { exportHome } = await import("./exchange.ts");
      done(await exportHome(folder, options));
    });

  program.addHelpText(
    "after",
    `
Exit codes:
  0  as expected
  1  findings, failures, or a phrase that comes to nothing
  2  wrong use`,
  );
  return program;
}

async function main(): Promise<number> {
  let code: number = exit.fine;
  try {
    await createProgram((result) => (code = result)).parseAsync();
    return code;
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? exit.fine : exit.wrongUse;
    // What the system does not allow is told as it says so, in one line.
    const isTold = error instanceof WrongUse || (error instanceof Error && "syscall" in error);
    if (!isTold) throw error;
    complain(`calm-phrase: ${error.message}`);
    return exit.wrongUse;
  }
}

process.exitCode = await main();
