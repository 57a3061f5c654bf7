import { describeOutcome } from "../commands/describe.ts";
import { packOf } from "../language/packs.ts";
import { readHeardLog } from "../mishearing/heard-log.ts";
import { type HeardCluster, studyHeard } from "../mishearing/heard-study.ts";
import { loadDictionary } from "../node/english-dictionary.ts";
import { readText } from "../node/text.ts";
import { printFindings } from "../reports/findings.ts";
import { printHeardStudy } from "../reports/heard-study.ts";
import { given } from "../source/given.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { printYaml } from "../exchange/merge.ts";
import { exit } from "./exit.ts";
import { writeOut } from "./files.ts";
import { type BookOptions, loadFolder, mentionErrors, readInput } from "./load.ts";
import { complain, paintFor, print, printJson } from "./output.ts";

export interface HeardOptions extends BookOptions {
  /** Numbers of groups that become cases. */
  cases?: number[];
  to?: string;
  json?: boolean;
}

/** `calm-phrase heard`: what a live system heard, heard again. */
export async function heard(path: string, options: HeardOptions): Promise<number> {
  const { cases: chosen = [], to, json } = options;
  const { book, suiteSources, bookSources } = await loadFolder(options);
  mentionErrors(book);
  const log = readHeardLog(book, { path, text: await textOf(path) });
  if (log.problems.length > 0) complain(printFindings(log.problems, paintFor(process.stderr)));
  if (log.problems.some(({ severity }) => severity === "error")) return exit.failed;
  const isEnglish = book.languages.some((tag) => packOf(book, tag).language === "en");
  const dictionary = isEnglish ? await loadDictionary() : undefined;
  const study = studyHeard(book, log, { suiteSources, bookSources, ...given({ dictionary }) });
  if (json) printJson({ version: 1, ...study });
  else print(printHeardStudy(study, paintFor(process.stdout)));
  if (chosen.length > 0) {
    const written = chosen.flatMap((number) => casesOf(study.unknown[number - 1], number));
    const text = printYaml({ suite: "heard", cases: written });
    if (to === undefined)
      throw new WrongUse("name the suite to write them in: --to heard.suite.yaml");
    if (!/\.suite\.ya?ml$/iu.test(to)) {
      throw new WrongUse(`"${to}" is no name of a suite: write one that ends in .suite.yaml`);
    }
    await writeOut(to, text, true);
    complain(`${written.length} cases in ${to}, each to be checked`);
  }
  return exit.fine;

  /** Phrases of a group as cases: what they come to, once what was told is added, or that they are unknown. */
  function casesOf(cluster: HeardCluster | undefined, number: number): object[] {
    if (!cluster) {
      throw new WrongUse(`there is no group ${number}: there are ${study.unknown.length}`);
    }
    return cluster.texts.map(({ text, entry: { language, at, time } }) => {
      const outcome = book.hear(text, { language, ...given({ at, time }) });
      const expect = cluster.add ? "act" : describeOutcome(outcome);
      return { hear: text, ...given({ at, time, language }), expect };
    });
  }
}

async function textOf(path: string): Promise<string> {
  if (path === "-") return readInput();
  const read = await readText(path, path);
  if (read.ok) return read.text;
  throw new WrongUse(`"${path}": ${read.finding.message}`);
}
