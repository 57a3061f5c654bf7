#!/usr/bin/env node
import { complain, printData } from "./output.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { Argument, Command, CommanderError, Option } from "commander";
import { jsonForm, opening } from "./opening.ts";
import { addSounding } from "./sounding.ts";
import { exit } from "./exit.ts";
import { packageVersion } from "./version.ts";
import {
  countOf,
  dateOf,
  durationOf,
  exportFormats,
  rangeOf,
  importForms,
  reportForms,
  reportOf,
  shardOf,
  sheetForms,
  shells,
  someOf,
  timeOf,
} from "./values.ts";
import type { ExportOptions, ImportOptions } from "./exchange.ts";
import type { CheckOptions } from "./check.ts";
import type { HearOptions } from "./hear.ts";
import type { SayableOptions } from "./sayable.ts";
import type { CompareOptions } from "./compare.ts";
import type { SuggestOptions } from "./suggest.ts";
import type { TestOptions } from "./test.ts";
import type { DayOptions, RunOptions } from "./timeline.ts";

/** Each command is loaded when it is called, so that none waits for another's packages. */
function createProgram(done: (code: number) => void): Command {
  const program = new Command("calm-phrase")
    .description("Voice control for homes, written as plain files and proved in text.")
    .version(packageVersion(), "--version", "print the version")
    .helpOption("-h, --help", "print help")
    .exitOverride()
    .configureOutput({
      writeErr: (text) => {
        complain(text.trimEnd().replace(/^error: /u, "calm-phrase: "));
      },
    })
    .showHelpAfterError("See --help for what can be written.")
    .configureHelp({ helpWidth: Math.min(process.stdout.columns || 100, 100) });

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

  opening(program.command("check"))
    .description("find everything that is wrong with a phrasebook and its suites")
    .option("--strict", "fail on warnings as on errors")
    .addOption(new Option("--by <group>", "tell findings together").choices(["rule", "file"]))
    .option("--fix", "mend what can be mended without changing anything else")
    .option("--sarif <file>", "write the findings as SARIF 2.1.0 as well")
    .option("--json", `print the findings ${jsonForm}`)
    .addHelpText(
      "after",
      "\nExamples:\n  calm-phrase check\n  calm-phrase check --in homes/mill --json",
    )
    .action(async (options: CheckOptions) => {
      const { check } = await import("./check.ts");
      done(await check(options));
    });

  opening(program.command("hear"))
    .description("explain one phrase, or listen at a prompt when there is none")
    .argument("[phrase]", "what is said, in quotes; - for one phrase a line of standard input")
    .option("--at <voicepoint>", "where it is heard")
    .option("--language <tag>", "language that it is said in, such as de")
    .option("--time <time>", "local time there, such as 2026-03-02T18:05", timeOf)
    .option("--why", "tell readings that lost as well, and the rules that dropped them")
    .option("--json", `print the outcome and the why ${jsonForm}`)
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

  opening(program.command("test"))
    .description("run the suites of a home, or of many")
    .argument("[what...]", "suite files, folders of homes or suites, or parts of names")
    .option("--only <name...>", "parts of names of suites or cases")
    .option("--tag <tag...>", "only cases with one of these tags")
    .option("--language <tag...>", "only cases in these languages, such as de")
    .option("--failed", "only cases that failed when they were run last")
    .option("--watch", "run again whenever a file changes, what it can touch")
    .option("--jobs <count>", "threads to run in, which is faster where cases take long", someOf)
    .option("--bail <count>", "stop after so many failures", someOf)
    .option("--shard <part>", "one part of all cases, such as 2/4", shardOf)
    .option("--shuffle <seed>", "run in an order that this number decides", countOf)
    .option("--coverage", "tell what of the phrasebook the cases touch, and what they do not")
    .option("--at-least <percent>", "fail when they touch less of it", countOf)
    .option("--merge <file...>", "run nothing: join the --json results of all parts of a run")
    .option("--report <form=file>", `write a report: ${reportForms.join(", ")}`, reportOf)
    .option("--why", "tell readings that lost as well, and the rules that dropped them")
    .option("--log", "tell all that happened in each case that failed")
    .option("--json", `print the results ${jsonForm}`)
    .addHelpText(
      "after",
      `
Examples:
  calm-phrase test
  calm-phrase test "closing time" --tag guards
  calm-phrase test homes --report junit=results.xml --report html=results.html
  calm-phrase test --failed`,
    )
    .action(async (what: string[], options: TestOptions) => {
      const { test } = await import("./test.ts");
      done(await test(what, options));
    });

  opening(program.command("suggest"))
    .description("write cases for what no case touches, with what happens now, to be checked")
    .option("--to <file>", "suite file to write; printed when left out")
    .option("--name <suite>", "what the suite is to be called")
    .addHelpText("after", "\nExample:\n  calm-phrase suggest --to suites/more.suite.yaml")
    .action(async (options: SuggestOptions) => {
      const { suggest } = await import("./suggest.ts");
      done(await suggest(options));
    });

  opening(program.command("compare"))
    .description("tell what phrases come to otherwise than in an earlier run or version")
    .argument("[before]", "a run that was kept, a folder, or a git revision; needs --to without it")
    .option(
      "--phrases <file>",
      "a phrase a line, of which nothing is expected; - for standard input",
    )
    .option("--to <file>", "keep this run, to compare with later")
    .option(
      "--strict",
      "fail on any difference, and not only where something fails or is done otherwise",
    )
    .option("--json", `print the differences ${jsonForm}`)
    .addHelpText(
      "after",
      `
Examples:
  calm-phrase compare main
  calm-phrase compare --to friday.json
  calm-phrase compare friday.json
  calm-phrase compare HEAD --in homes --phrases said.txt`,
    )
    .action(async (before: string | undefined, options: CompareOptions) => {
      const { compare } = await import("./compare.ts");
      done(await compare(before, options));
    });

  addSounding(program, done);

  opening(program.command("sayable"))
    .description("list what can be said to a home, and what voice may do")
    .option("--language <tag>", "language of the list, such as de")
    .addOption(
      new Option("--sheet <form>", "a sheet to hand over to those who live there").choices(
        sheetForms,
      ),
    )
    .option("--to <file>", "file to write the sheet in; printed when left out")
    .option("--json", `print the list ${jsonForm}`)
    .addHelpText(
      "after",
      "\nExamples:\n  calm-phrase sayable\n  calm-phrase sayable --language de --sheet html --to sheet.html",
    )
    .action(async (options: SayableOptions) => {
      const { sayable } = await import("./sayable.ts");
      done(await sayable(options));
    });

  opening(program.command("run"))
    .description("run a routine on a simulated home, and tell what happens when")
    .argument("<routine>", "id of the routine")
    .option("--time <time>", "local time to begin at, such as 2026-03-02T18:05", timeOf)
    .option(
      "--for <duration>",
      "how long to look on, such as 30m; until it is over when left out",
      durationOf,
    )
    .option("--set <state...>", "states to begin with, such as glaze-sensor.humidity=80")
    .option("--fault <fault...>", "devices that misbehave, such as kiln-light=offline")
    .option("--slot <value...>", "values for its slots, such as length=30m")
    .option("--dry", "print what it would do and ask, and do nothing")
    .option("--json", `print what happened ${jsonForm}`)
    .addHelpText(
      "after",
      "\nExamples:\n  calm-phrase run close-up --time 2026-03-02T18:30 --in homes/mill\n  calm-phrase run close-up --fault till-lamp=offline\n  calm-phrase run close-up --dry",
    )
    .action(async (routine: string, options: RunOptions) => {
      const { run } = await import("./timeline.ts");
      done(await run(routine, options));
    });

  opening(program.command("day"))
    .description("play a whole day of a simulated home, from its triggers and a script")
    .argument("[date]", "the day, such as 2026-03-02", dateOf)
    .option("--script <day>", "a *.day.yaml of the phrasebook: what people do and sensors measure")
    .option("--json", `print what happened ${jsonForm}`)
    .addHelpText(
      "after",
      '\nExamples:\n  calm-phrase day 2026-03-29 --in homes/mill\n  calm-phrase day --script "a wet Friday"',
    )
    .action(async (date: string | undefined, options: DayOptions) => {
      const { day } = await import("./timeline.ts");
      done(await day(date, options));
    });

  program
    .command("live")
    .description("connect a home to its devices, hear phrases and answer calls")
    .argument("[words...]", "what to do, and how: see calm-phrase live --help")
    .helpOption(false)
    .allowUnknownOption()
    .addHelpText("after", "\nExamples:\n  calm-phrase live --keep .home\n  calm-phrase live try")
    .action(async (_: string[], __: object, command: Command) => {
      const { live } = await import("./live.ts");
      done(await live(command.args));
    });

  program
    .command("import")
    .description("take devices from a table or Thing Descriptions, or patterns from a grammar")
    .argument(
      "<path>",
      "a .csv table, a .json Thing Description or a folder of these, a .abnf or .xml grammar, a .pls lexicon, or -",
    )
    .addOption(
      new Option("--form <form>", "what it is, where its name does not tell").choices(importForms),
    )
    .option("--to <file>", "YAML file to write; printed when left out, or for -")
    .option("--merge", "add to that file, changing nothing that stands there")
    .option("--force", "write over that file")
    .option("--language <tag>", "language of the names in a table that say none")
    .option("--json", `print what was taken and left out ${jsonForm}`)
    .addHelpText(
      "after",
      "\nExamples:\n  calm-phrase import devices.csv --to home/devices.yaml\n  calm-phrase import things/",
    )
    .action(async (path: string, options: ImportOptions) => {
      const { importFile } = await import("./exchange.ts");
      done(await importFile(path, options));
    });

  opening(program.command("export"))
    .description(
      "write devices as a table or Thing Descriptions, or all that is sayable as a grammar",
    )
    .addOption(
      new Option("--as <format>", "what to write").choices(exportFormats).makeOptionMandatory(),
    )
    .option("--to <path>", "file (a folder for td) to write; printed when left out, or for -")
    .option("--language <tag>", "language of a grammar, such as de; the first one when left out")
    .option("--only <intent...>", "only these intents in a grammar")
    .option("--room <room...>", "only what stands in these rooms in a grammar")
    .option("--numbers <range>", "whole numbers that a grammar spells out; 0-100", rangeOf)
    .option("--favour <file>", "phrases said more often, one a line, how often after a tab")
    .option("--size <words>", "words that a grammar may have; 30000 when left out", someOf)
    .addHelpText(
      "after",
      `
Formats:
  csv       devices, one a row
  td        devices as W3C Thing Descriptions
  srgs      all that is sayable, as a W3C SRGS 1.0 grammar in ABNF form
  srgs-xml  the same in XML form
  jsgf      the same in the JSpeech Grammar Format
  pls       how the words of all names sound, as a W3C Pronunciation Lexicon

Examples:
  calm-phrase export --as csv --to devices.csv
  calm-phrase export --as srgs-xml --language de --to sayable.grxml
  calm-phrase export --as jsgf --room showroom --numbers 0-30`,
    )
    .action(async (options: ExportOptions) => {
      const { exportHome } = await import("./exchange.ts");
      done(await exportHome(options));
    });

  program
    .command("completion")
    .description("print what a shell needs to complete commands and options")
    .addArgument(new Argument("<shell>", "shell that it is for").choices(shells))
    .addHelpText(
      "after",
      `
Examples:
  source <(calm-phrase completion bash)
  calm-phrase completion fish > ~/.config/fish/completions/calm-phrase.fish`,
    )
    .action(async (shell: (typeof shells)[number]) => {
      const { completionFor } = await import("./completion.ts");
      printData(completionFor(shell, program));
      done(exit.fine);
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
