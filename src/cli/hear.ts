import { createInterface } from "node:readline";
import type { Book } from "../home/book.ts";
import type { Turn } from "../home/converse.ts";
import { printHeard } from "../reports/heard.ts";
import { printTimeline } from "../reports/timeline.ts";
import { parseDuration } from "../time/duration.ts";
import { parseLocal } from "../time/local.ts";
import { WrongUse, exit } from "./exit.ts";
import { loadBook, mentionErrors } from "./load.ts";
import { paintFor, print, printJson } from "./output.ts";

export interface HearOptions {
  in: string;
  at?: string;
  language?: string;
  time?: string;
  json?: boolean;
}

/** `calm-phrase hear`: one phrase explained, or a prompt where the home keeps its state. */
export async function hear(phrase: string | undefined, options: HearOptions): Promise<number> {
  const book = await loadBook(options.in);
  const context = hearContext(book, options);
  mentionErrors(book);
  if (phrase === undefined) return converse(book, context, options);
  const heard = book.hear(phrase, context);
  if (options.json) printJson(heard);
  else print(printHeard(heard, paintFor(process.stdout)));
  return isDone(heard.outcome) ? exit.fine : exit.failed;
}

function isDone(outcome: Turn["outcome"]): boolean {
  return outcome === "act" || outcome === "answer";
}

function hearContext(book: Book, { at, language, time }: HearOptions) {
  if (time !== undefined && !parseLocal(time)) {
    throw new WrongUse(`"${time}" is no time: write it as 2026-03-02T18:05`);
  }
  if (at !== undefined && !book.voicepoints.has(at)) {
    const known = [...book.voicepoints.keys()].join(", ");
    throw new WrongUse(`there is no voicepoint "${at}": write one of ${known}`);
  }
  const spoken = book.languages.some(
    (each) => each === language || each.split("-")[0] === language,
  );
  if (language !== undefined && !spoken) {
    throw new WrongUse(
      `this home does not speak "${language}": write one of ${book.languages.join(", ")}`,
    );
  }
  return {
    ...(at === undefined ? {} : { at }),
    ...(language === undefined ? {} : { language }),
    ...(time === undefined ? {} : { time }),
  };
}

async function converse(
  book: Book,
  { at, language, time }: ReturnType<typeof hearContext>,
  { json }: HearOptions,
): Promise<number> {
  // One phrase needs no home, and loading one takes as long as all the rest.
  const { simulate } = await import("../home/simulate.ts");
  const home = simulate(book, time === undefined ? {} : { time });
  const talk = home.converse({
    ...(at === undefined ? {} : { at }),
    ...(language === undefined ? {} : { language }),
  });
  const paint = paintFor(process.stdout);
  const isTerminal = process.stdin.isTTY;
  if (isTerminal && !json) {
    print(`${book.name} is listening. Type a phrase; +10m lets time pass; Ctrl+D ends.`);
  }
  const lines = createInterface({
    input: process.stdin,
    ...(isTerminal ? { output: process.stdout, prompt: "› " } : {}),
  });
  let code: number = exit.fine;
  let wasCode = false;
  if (isTerminal) lines.prompt();
  for await (const line of lines) {
    const before = home.log().length;
    const passing = /^\s*\+\s*(.+)$/.exec(line)?.[1];
    if (passing !== undefined) {
      if (parseDuration(passing) === undefined) {
        print(`"${passing}" is no duration: write +10m to let ten minutes pass`);
        code = exit.failed;
      } else {
        await home.wait(passing);
        const passed = home.log().slice(before);
        if (json) print(JSON.stringify({ time: home.time(), log: passed }));
        else print(`${paint.quiet(`it is ${home.time().slice(11, 16)}`)}\n`);
        if (!json && passed.length > 0) print(`${printTimeline(book.name, passed, paint)}\n`);
      }
    } else if (line.trim() !== "") {
      // What may be the code is not printed, even to whoever typed it.
      const shown = wasCode ? "…" : line;
      const { heard, outcome, performed, reply } = talk.say(line);
      wasCode = outcome === "code";
      if (!isDone(outcome)) code = exit.failed;
      if (json) {
        const { changes } = performed;
        print(
          JSON.stringify({ ...heard, outcome, reply, about: heard.about, why: heard.why, changes }),
        );
      } else {
        if (outcome !== heard.outcome) {
          const said = reply === "" ? "" : `\n  says “${reply}”`;
          print(`${paint.strong(`“${shown}”`)}\n  ${outcome}${said}`);
        } else {
          // An answer is heard together with the command that it was asked for.
          if (heard.text !== line) print(paint.quiet(`“${shown}” goes with`));
          print(printHeard(heard, paint, reply));
        }
        const { changes, calls } = performed;
        for (const { device, property, from, to } of changes) {
          print(paint.good(`  ${device} ${property}: ${String(from)} → ${String(to)}`));
        }
        for (const call of calls) print(paint.good(`  ${call.device} ${call.call}`));
        print("");
      }
    }
    if (isTerminal) lines.prompt();
  }
  // At a prompt a phrase that is not understood is part of trying, not a failure of the command.
  return isTerminal ? exit.fine : code;
}
