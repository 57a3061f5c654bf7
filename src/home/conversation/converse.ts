import { guard } from "../../commands/access.ts";
import { describeOutcome } from "../../commands/describe.ts";
import { type Effect, type Heard, intentOf } from "../../commands/outcome.ts";
import type { Book } from "../../book/book.ts";
import type { HearContext } from "../../hearing/context.ts";
import { homeLanguage } from "../../hearing/hear.ts";
import { packOf } from "../../language/packs.ts";
import { textOf } from "../../source/border.ts";
import { given } from "../../source/given.ts";
import { type Eventually, mapped } from "../eventually.ts";
import { answerTo, sorterFor } from "./answers.ts";
import type { Memory } from "./memory.ts";
import { answer } from "./open.ts";
import {
  type Held,
  type Listening,
  type Turn,
  guarded,
  listen,
  replyTo,
  saidIn,
  speak,
  take,
  told,
} from "./turns.ts";

/** Where a conversation is held. */
export interface TalkContext extends Pick<HearContext, "at" | "language"> {
  /**
   * Whose conversation it is: two clients at one voicepoint never answer each other's questions. The
   * voicepoint itself when left out.
   */
  session?: string;
}

/** Turns with memory. */
export interface Talk {
  say: (text: string) => Eventually<Turn>;
}

/**
 * Begins a conversation. What is open is closed by an answer; any other phrase that is understood
 * takes its place, and anything else leaves nothing open.
 */
export function createTalk(
  book: Book,
  home: Listening,
  { session, language: spoken, ...context }: TalkContext & { session: string },
  memory: Memory,
): Talk {
  const language = homeLanguage(book, spoken);
  const pack = packOf(book, language);
  const held: Held = { book, home, session, context, language, pack, memory };
  const sortOf = sorterFor(pack);
  return {
    say(words) {
      const text = textOf(words) ?? "";
      const { waiting, heard, isCode } = hear(held, text);
      const sort = sortOf(text);
      const asked = home.asking(session);
      const index = asked && answerTo(asked.step, text, held);
      if (asked && index !== undefined) {
        const performed = asked.answer(index);
        return { now: { heard, outcome: "act", performed, reply: performed.reply } };
      }
      // Whatever else is said closes the question, as if nobody had answered.
      asked?.answer(undefined);
      // The code fills no slot, since the reply might repeat it.
      const isAnswer = waiting && !(isCode && waiting.open === "slot");
      const answered = isAnswer ? answer(held, waiting, { text, sort, heard }) : undefined;
      if (answered) return answered;
      memory.open = undefined;
      if (heard.outcome !== "unknown") return command(held, heard);
      if (sort === "again") return again(held, heard);
      if (sort === "undo") return undoLast(held, heard);
      return told(held, heard, "unknown", replyTo(held, heard));
    },
  };
}

/** What words come to on their own; whatever may be a code is nobody's to read again. */
function hear(held: Held, text: string) {
  const { book, home, language, memory, context } = held;
  if (memory.open && home.elapsed() > memory.open.until) memory.open = undefined;
  const waiting = memory.open;
  const isForCode = waiting?.open === "code";
  const said = book.code === undefined ? [] : home.code.read(text, language);
  const isCode = said.length > 0 && (waiting?.open !== "slot" || home.code.is(said));
  const first = listen(held, isCode && isForCode ? "" : text);
  // The code is nobody's to read again, whenever it is said; what is done with a number needs the number.
  const masked = first.outcome === "unknown" ? home.code.mask(text) : text;
  const heard = masked === text ? first : listen(held, masked);
  const shown = isForCode ? home.code.mask(text, "all") : text;
  home.record({
    event: "heard",
    text: isCode ? "…" : shown,
    ...given({ at: context.at }),
    language,
  });
  return { waiting, heard, isCode };
}

function command(held: Held, heard: Heard): Eventually<Turn> {
  const intent = intentOf(heard);
  const outcome = describeOutcome(heard);
  held.home.record({ event: "understood", outcome, ...given({ intent }) });
  return take(held, heard);
}

function again(held: Held, heard: Heard): Eventually<Turn> {
  const { last } = held.memory;
  if (last) return take(held, listen(held, last.text, last.answered), last.answered);
  return told(held, heard, "unknown", speak(held, held.pack.replies.nothingToRepeat));
}

/** Taking back is a command of its own, with the guards of what it does. */
function undoLast(held: Held, heard: Heard): Eventually<Turn> {
  const { book, home, session, memory, pack } = held;
  const effects = memory.undo.map(({ device, property, from }): Effect => {
    return { device, set: { [property]: from } };
  });
  const { access, effects: left } = guard(effects, book.devices, new Set());
  if (left.length === 0) {
    return told(held, heard, "unknown", speak(held, pack.replies.nothingToUndo));
  }
  memory.undo = [];
  const go = (): Eventually<Turn> => {
    memory.open = undefined;
    const cause = { grant: access, heard, session };
    return mapped(home.undo(left, cause, speak(held, pack.replies.undone)), (performed): Turn => {
      memory.undo = performed.changes;
      memory.it = [...new Set(left.map(({ device }) => device))];
      saidIn(held, performed.reply);
      return { heard, outcome: "act", performed, reply: performed.reply };
    });
  };
  const reply = access === "free" ? "" : speak(held, pack.replies[access]);
  return access === "free" ? go() : guarded(held, heard, { needs: access, go, reply });
}
