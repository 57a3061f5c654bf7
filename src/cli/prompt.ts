import { createInterface } from "node:readline";
import type { HearContext } from "../hearing/context.ts";
import type { Heard } from "../commands/outcome.ts";
import type { Book } from "../book/book.ts";
import { type SimulatedHome, simulate } from "../home/simulated/simulate.ts";
import type { Turn } from "../home/conversation/turns.ts";
import { printHeard, printTurn } from "../reports/heard.ts";
import type { Paint } from "../reports/paint.ts";
import { printTimeline } from "../reports/timeline.ts";
import { parseDuration } from "../time/duration.ts";
import { exit } from "./exit.ts";
import { paintFor, print, printJsonLine } from "./output.ts";

/** Turns that came to nothing; to be asked something is part of a conversation that works. */
const stuck: ReadonlySet<Turn["outcome"]> = new Set(["unknown", "refuse", "locked"]);

/** A conversation at the prompt, line by line, in one simulated home. */
export async function converse(
  book: Book,
  { time, ...context }: Pick<HearContext, "at" | "language" | "time">,
  { isJson, isPiped }: { isJson: boolean; isPiped: boolean },
): Promise<number> {
  const home = simulate(book, time === undefined ? {} : { time });
  const talk = home.converse(context);
  const paint = paintFor(process.stdout);
  const isTerminal = process.stdin.isTTY && !isPiped;
  if (isTerminal && !isJson) {
    print(`${book.name} is listening. Type a phrase; ? explains it; +10m lets time pass.`);
    print(paint.quiet("Ctrl+D leaves."));
  }
  const lines = createInterface({
    input: process.stdin,
    ...(isTerminal ? { output: process.stdout, prompt: "› " } : {}),
  });
  let code: number = exit.fine;
  let wasCode = false;
  let last: { heard: Heard; reply: string } | undefined;
  if (isTerminal) lines.prompt();
  for await (const line of lines) {
    const passing = /^\s*\+\s*(.+)$/.exec(line)?.[1];
    if (passing !== undefined) {
      if (!pass(book, home, passing, { paint, isJson })) code = exit.failed;
    } else if (line.trim() === "?") {
      print(
        last
          ? `${printHeard(book, last.heard, paint, { reply: last.reply, dropped: true })}\n`
          : "Nothing was said yet.\n",
      );
    } else if (line.trim() !== "") {
      const turn = talk.say(line);
      // What may be the code is not printed, even to whoever typed it.
      const { text } = turn.heard;
      const isHidden = wasCode && text !== line;
      const shown = isHidden ? "…" : turn.outcome === "unknown" ? text : line;
      last = turn;
      wasCode = turn.outcome === "code";
      if (stuck.has(turn.outcome)) code = exit.failed;
      if (isJson) {
        const { heard, outcome, reply, performed } = turn;
        const { changes } = performed;
        printJsonLine({ ...heard, outcome, reply, why: book.why(heard), changes });
      } else print(`${printTurn(book, shown, turn, paint)}\n`);
    }
    if (isTerminal) lines.prompt();
  }
  // At a prompt a phrase that is not understood is part of trying, not a failure of the command.
  return isTerminal ? exit.fine : code;
}

/** Lets time pass, and tells what happened in it; false when that is no duration. */
function pass(
  book: Book,
  home: SimulatedHome,
  duration: string,
  { paint, isJson }: { paint: Paint; isJson: boolean },
): boolean {
  if (parseDuration(duration) === undefined) {
    print(`"${duration}" is no duration: write +10m to let ten minutes pass\n`);
    return false;
  }
  const before = home.log().length;
  home.wait(duration);
  const passed = home.log().slice(before);
  if (isJson) printJsonLine({ time: home.time(), log: passed });
  else {
    print(`${paint.quiet(`it is ${home.time().slice(0, 16).replace("T", " ")}`)}\n`);
    if (passed.length > 0) print(`${printTimeline(book.name, passed, paint)}\n`);
  }
  return true;
}
