import { createInterface } from "node:readline";
import type { Book } from "../home/book.ts";
import type { Turn } from "../home/converse.ts";
import { printHeard } from "../reports/heard.ts";
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
    print(`${book.name} is listening. Type a phrase; Ctrl+D ends.`);
  }
  const lines = createInterface({
    input: process.stdin,
    ...(isTerminal ? { output: process.stdout, prompt: "› " } : {}),
  });
  let code: number = exit.fine;
  if (isTerminal) lines.prompt();
  for await (const line of lines) {
    if (line.trim() !== "") {
      const { heard, outcome, performed, reply } = talk.say(line);
      const isAnswer = outcome !== heard.outcome;
      if (!isDone(outcome)) code = exit.failed;
      if (json) {
        const { changes } = performed;
        print(JSON.stringify({ ...heard, outcome, reply, why: heard.why, changes }));
      } else {
        if (isAnswer) print(`${paint.strong(`“${line}”`)}\n  ${outcome}\n  says “${reply}”`);
        else print(printHeard(heard, paint, reply));
        for (const { device, property, from, to } of performed.changes) {
          print(paint.good(`  ${device} ${property}: ${String(from)} → ${String(to)}`));
        }
        print("");
      }
    }
    if (isTerminal) lines.prompt();
  }
  // At a prompt a phrase that is not understood is part of trying, not a failure of the command.
  return isTerminal ? exit.fine : code;
}
