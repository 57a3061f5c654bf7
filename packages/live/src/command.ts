import { Command, CommanderError } from "commander";
import { WrongUse } from "calm-phrase";
import { openPhrasebook } from "calm-phrase/node";
import { openDoors } from "./doors.ts";
import { startLive } from "./live.ts";
import { createOpened } from "./opened.ts";
import { openPage } from "./page.ts";
import { newSecret } from "./secrets.ts";
import { printCompared } from "./shadow.ts";
import { printStartup, startupReport } from "./startup.ts";
import { tryOut } from "./stand-ins/try-out.ts";

interface RunOptions {
  in?: string;
  allow?: string[];
  keep?: string;
  log?: string;
  page?: boolean;
  shadow?: boolean;
  json?: boolean;
}

/**
 * The `live` command of `calm-phrase`.
 *
 * @param args What follows `live` on the command line.
 * @returns The exit code: 0 as asked, 1 for a phrasebook that is not in order, 2 for wrong use.
 */
export async function liveCommand(args: readonly string[]): Promise<number> {
  let code = 0;
  const program = new Command("calm-phrase live")
    .description("connect a home to its devices, hear phrases and answer calls until it is stopped")
    .helpOption("-h, --help", "print help")
    .exitOverride()
    .configureHelp({ helpWidth: Math.min(process.stdout.columns || 100, 100) })
    .option("--in <folder>", "folder or file of the phrasebook; the current one when left out")
    .option("--allow <folder...>", "folders beside it that its uses may read")
    .option("--keep <folder>", "where it is written down what the home is, to go on after a stop")
    .option("--log <file>", "file of the log, in JSON lines")
    .option("--page", "open a page to try addresses, on this machine and for fifteen minutes")
    .option("--shadow", "hear along and do nothing")
    .option("--json", "print what was started as JSON")
    .addHelpText(
      "after",
      "\nExamples:\n  calm-phrase live --keep .home --log home.log\n  calm-phrase live try\n  calm-phrase live token phone",
    )
    .action(async (options: RunOptions) => {
      code = await run(options);
    });
  program
    .command("try")
    .description("start a broker and a house on this machine, try phrases and an address, and end")
    .option("--in <folder>", "folder or file of the phrasebook; the current one when left out")
    .action(async (_: object, command: Command) => {
      code = await tryOut(await bookIn(command.optsWithGlobals<RunOptions>()));
    });
  program
    .command("token")
    .description("make a token, and print it once with what is written for it")
    .argument("<name>", "who has it")
    .action((name: string) => {
      const { secret, hash } = newSecret();
      const lines = [secret, "", "doors:", "  tokens:", `    ${name}: "${hash}"`];
      process.stdout.write(`${lines.join("\n")}\n`);
    });
  program
    .command("key")
    .description("make a key with which an address alone may be called, and print it once")
    .argument("<address>", "id of the address")
    .argument("<name>", "who has it")
    .action((address: string, name: string) => {
      const { secret, hash } = newSecret();
      const lines = [
        `/key/${secret}`,
        "",
        "addresses:",
        `  ${address}:`,
        `    keys: { ${name}: "${hash}" }`,
      ];
      process.stdout.write(`${lines.join("\n")}\n`);
    });
  try {
    await program.parseAsync([...args], { from: "user" });
    return code;
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2;
    if (error instanceof WrongUse) {
      process.stderr.write(`calm-phrase live: ${error.message}\n`);
      return 2;
    }
    throw error;
  }
}

async function bookIn({ in: folder = ".", allow }: RunOptions): ReturnType<typeof openPhrasebook> {
  return openPhrasebook(folder, { ...(allow && { allow }) });
}

async function run(options: RunOptions): Promise<number> {
  const { book } = await bookIn(options);
  const errors = book.problems.filter(({ severity }) => severity === "error");
  if (errors.length > 0) {
    const places = errors.map(
      ({ at, message }) => `${at.file}:${at.line}:${at.column}  ${message}`,
    );
    process.stderr.write(`${places.join("\n")}\ncalm-phrase live: mend these first\n`);
    return 1;
  }
  const { keep: store, log, shadow } = options;
  const { kept, close } = createOpened();
  try {
    const live = kept(await startLive(book, { store, log, shadow, logins: process.env }));
    const { doors } = book;
    const folder = options.in ?? ".";
    const open = doors ? [kept(await openDoors(live, doors, { folder }))] : [];
    const urls = open.map(({ url }) => url);
    const page = options.page === true ? kept(await openPage(live, { door: urls[0] })) : undefined;
    const report = startupReport(live, open);
    const told = options.json === true ? JSON.stringify(report, null, 2) : printStartup(report);
    process.stdout.write(`${told}\n`);
    if (page) {
      process.stdout.write(`  page       ${page.url}\n             until ${page.until}\n`);
    }
    live.note("started", { doors: urls });
    await stopped();
    if (live.shadow) process.stdout.write(`${printCompared(live.shadow.end())}\n`);
    return 0;
  } finally {
    await close();
  }
}

/** Resolves once somebody asks the process to end. */
function stopped(): Promise<void> {
  return new Promise((resolve) => {
    for (const signal of ["SIGINT", "SIGTERM"] as const)
      process.once(signal, () => {
        resolve();
      });
  });
}
