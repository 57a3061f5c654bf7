import type { Command } from "commander";
import type { HeardOptions } from "./heard.ts";
import type { MishearOptions } from "./mishear.ts";
import { jsonForm, opening } from "./opening.ts";
import { amountOf, countOf, listOf } from "./values.ts";

/** The commands about what is heard: before anybody speaks, and after. */
export function addSounding(program: Command, done: (code: number) => void): void {
  opening(program.command("mishear"))
    .description("find what phrases and names may be taken for by their sound")
    .option("--names", "tell only which names sound alike")
    .option("--open", "draw slips of a recogniser that is held to no grammar, and hear them")
    .option("--language <tag...>", "only phrases in these languages, such as de")
    .option(
      "--within <distance>",
      "how far sounds may be apart: 0 the same, 1 well apart; 1.5 when left out",
      amountOf,
    )
    .option("--seed <number>", "decides which slips are drawn with --open", countOf)
    .option("--remedies <count>", "for how many of the worst to try what helps; 8", countOf)
    .option("--at-most-unsafe <count>", "fail when more is unsafe", countOf)
    .option("--html <file>", "write a page with a map of names by sound as well")
    .option("--json", `print what was found ${jsonForm}`)
    .addHelpText(
      "after",
      `
Examples:
  calm-phrase mishear
  calm-phrase mishear --names --language de
  calm-phrase mishear --at-most-unsafe 0 --html sounds.html`,
    )
    .action(async (options: MishearOptions) => {
      const { mishear } = await import("./mishear.ts");
      done(await mishear(options));
    });

  opening(program.command("heard"))
    .description("hear again what a live system heard, and tell what to add for what it missed")
    .argument("<log>", "a .csv table or a JSON object a line, such as the log of a live home, or -")
    .option("--cases <number...>", "write the phrases of these groups as cases", listOf)
    .option("--to <file>", "suite file to write them in")
    .option("--json", `print what was found ${jsonForm}`)
    .addHelpText(
      "after",
      "\nExamples:\n  calm-phrase heard heard.csv\n  calm-phrase heard .home/log.jsonl --cases 1 2 --to suites/heard.suite.yaml",
    )
    .action(async (log: string, options: HeardOptions) => {
      const { heard } = await import("./heard.ts");
      done(await heard(log, options));
    });
}
