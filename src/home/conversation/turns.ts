import { grant } from "../../commands/outcome.ts";
import type { Effect, Heard } from "../../commands/outcome.ts";
import type { Book } from "../../book/book.ts";
import type { HearContext } from "../../hearing/context.ts";
import type { LanguagePack } from "../../language/pack.ts";
import type { State } from "../../model/property.ts";
import { formatReply } from "../../speech/format.ts";
import { spokenDuration } from "../../speech/times.ts";
import type { Cause } from "../cause.ts";
import { type Eventually, mapped } from "../eventually.ts";
import type { LogEvent } from "../log.ts";
import type { Asking } from "../routines.ts";
import type { Performed, Scene } from "../scene.ts";
import type { Code } from "./code.ts";
import type { Answered, Memory, Open } from "./memory.ts";

/** One turn of a conversation: what was said to the home, what it did, and what it says. */
export interface Turn {
  /** What the words alone come to. */
  heard: Heard;
  /** What they came to in the conversation. */
  outcome: Heard["outcome"] | "cancelled" | "locked";
  performed: Performed;
  reply: string;
}

/** What a conversation needs of the home that it is held in. */
export interface Listening {
  /** Local time, `2026-03-02T18:05:00`. */
  time: () => string;
  /** Seconds since the home began. */
  elapsed: () => number;
  state: (device: string) => State;
  /** What properties of a device were before they were off. */
  lastOn: (device: string) => State;
  perform: (heard: Heard, session?: string) => Eventually<Performed>;
  /** Does what takes something back. */
  undo: (
    effects: readonly Effect[],
    cause: Cause & { heard: Heard },
    reply: string,
  ) => Eventually<Performed>;
  record: (event: LogEvent) => void;
  /** What steps are asking in a conversation. */
  asking: (session: string) => Asking | undefined;
  /** Opens a question in a conversation, which closes the one that was open there. */
  question: Scene["question"];
  /** One for the whole home. */
  code: Code;
}

/** A conversation: where and in which language it is held, and what is remembered in it. */
export interface Held {
  book: Book;
  home: Listening;
  session: string;
  context: Pick<HearContext, "at">;
  language: string;
  pack: LanguagePack;
  memory: Memory;
}

/** Seconds in which a question is answered. */
const answerTime = 30;

export const nothingDone: Performed = {
  changes: [],
  calls: [],
  failed: [],
  later: [],
  reply: "",
};

/** Keeps a question open; it closes the one that was. */
export function ask({ home, session, memory }: Held, question: Open): void {
  home.question(session, () => {
    memory.open = undefined;
  });
  memory.open = { ...question, until: home.elapsed() + answerTime };
}

export function listen(held: Held, text: string, answered: Answered = {}): Heard {
  const { book, home, context, language, memory } = held;
  return book.hear(text, {
    ...context,
    it: memory.it,
    ...answered,
    language,
    time: home.time(),
    states: home.state,
    lastOn: home.lastOn,
  });
}

export function speak({ language }: Held, text: string, variables = {}): string {
  return formatReply(text, language, variables);
}

export function replyTo({ book, home }: Held, heard: Heard): string {
  return book.reply(heard, home.state);
}

/** Says something, and does nothing. */
export function told(
  held: Held,
  heard: Heard,
  outcome: Turn["outcome"],
  reply: string,
): Eventually<Turn> {
  saidIn(held, reply);
  return { now: { heard, outcome, performed: nothingDone, reply } };
}

export function saidIn({ home, context }: Held, text: string): void {
  home.record({ event: "said", text, where: context.at ?? "everywhere" });
}

/** What waits for a confirmation or the code before it is done. */
export interface Guarded {
  needs: "confirm" | "code";
  go: () => Eventually<Turn>;
  reply: string;
}

export function guarded(held: Held, heard: Heard, { needs, go, reply }: Guarded): Eventually<Turn> {
  if (needs === "code" && held.home.code.lockedFor() > 0) return locked(held, heard);
  ask(held, { open: needs, go });
  return told(held, heard, needs, reply);
}

/** Too many wrong codes were said. */
export function locked(held: Held, heard: Heard): Eventually<Turn> {
  const { memory, pack, home } = held;
  memory.open = undefined;
  const duration = spokenDuration(pack, Math.ceil(home.code.lockedFor()));
  return told(held, heard, "locked", speak(held, pack.replies.locked, { duration }));
}

/** Does what was heard, or keeps it open where it needs an answer. */
export function take(held: Held, heard: Heard, answered: Answered = {}): Eventually<Turn> {
  const { memory } = held;
  memory.open = undefined;
  const before = memory.it;
  if (heard.about.length > 0) memory.it = heard.about;
  const isNew = heard.outcome !== "unknown" && heard.outcome !== "answer";
  if (isNew) memory.last = { text: heard.text, answered: { it: before, ...answered } };
  switch (heard.outcome) {
    case "confirm":
    case "code":
      return guarded(held, heard, {
        needs: heard.outcome,
        go: () => act(held, grant(heard)),
        reply: replyTo(held, heard),
      });
    case "offer":
      ask(held, { open: "confirm", go: () => act(held, grant(heard)) });
      return told(held, heard, "offer", replyTo(held, heard));
    case "unsure":
      ask(held, { open: "choice", heard });
      return told(held, heard, "unsure", replyTo(held, heard));
    case "ask":
      ask(held, { open: "slot", heard, said: answered.said ?? {} });
      return told(held, heard, "ask", replyTo(held, heard));
    case "act":
    case "answer":
      return act(held, heard);
    default:
      return told(held, heard, heard.outcome, replyTo(held, heard));
  }
}

function act(held: Held, heard: Heard): Eventually<Turn> {
  const { home, memory, session } = held;
  memory.open = undefined;
  return mapped(home.perform(heard, session), (performed): Turn => {
    if (heard.outcome === "act") memory.undo = performed.changes;
    // Steps say their reply themselves, when they come to their end.
    const isRun = heard.outcome === "act" && heard.commands.some(({ runs }) => runs !== undefined);
    if (!isRun) saidIn(held, performed.reply);
    return { heard, outcome: heard.outcome, performed, reply: performed.reply };
  });
}
