import { createForms } from "../slot-types/forms.ts";
import { guard } from "../commands/access.ts";
import type { HearContext } from "../hearing/context.ts";
import { describeOutcome } from "../commands/describe.ts";
import { homeLanguage } from "../hearing/hear.ts";
import {
  type Effect,
  type Heard,
  type HeardAsk,
  type HeardUnsure,
  grant,
  intentOf,
} from "../commands/outcome.ts";
import { formatReply } from "../speech/format.ts";
import { spokenDuration } from "../speech/times.ts";
import { textOf } from "../source/border.ts";
import { english } from "../language/english.ts";
import type { LanguagePack } from "../language/pack.ts";
import { packFor } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import { createLexicon } from "../lexicon/lexicon.ts";
import { prepareUtterance } from "../automaton/utterance.ts";
import type { AskStep } from "../phrasebook/model.ts";
import type { Book } from "../book/book.ts";
import type { Cause } from "./cause.ts";
import type { Code } from "./code.ts";
import { type Eventually, mapped } from "./eventually.ts";
import type { State } from "../phrasebook/property.ts";
import type { LogEvent } from "./log.ts";
import type { Asking } from "./routines.ts";
import type { Change, Performed, Scene } from "./scene.ts";

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

/** What is remembered in a conversation, in whatever language it is held. */
export interface Memory {
  open: (Open & { until: number }) | undefined;
  last: { text: string; answered: Answered } | undefined;
  undo: readonly Change[];
  it: readonly string[];
}

/** What a command is heard with: what was said in answer to questions about it, and what "it" was. */
type Answered = Pick<HearContext, "chosen" | "said" | "it">;

/** What the home waits to be told. */
type Open =
  | { open: "confirm" | "code"; go: () => Eventually<Turn> }
  | { open: "choice"; heard: HeardUnsure }
  /** A slot that nothing was said for, and what was said for others that were asked for before. */
  | { open: "slot"; heard: HeardAsk; said: Readonly<Record<string, string>> };

/** Seconds in which a question is answered. */
const answerTime = 30;

type Sort = "yes" | "no" | "cancel" | "again" | "undo";

export function newMemory(): Memory {
  return { open: undefined, last: undefined, undo: [], it: [] };
}

/**
 * Begins a conversation. What is open is closed by an answer; any other phrase that is understood
 * takes its place, and anything else leaves nothing open.
 */
export function createTalk(
  book: Book,
  home: Listening,
  { session, ...context }: TalkContext & { session: string },
  memory: Memory,
): Talk {
  const language = homeLanguage(book, context.language);
  const pack = packFor(language) ?? english;
  const sortOf = sorterFor(pack);

  const ask = (question: Open): void => {
    home.question(session, () => {
      memory.open = undefined;
    });
    memory.open = { ...question, until: home.elapsed() + answerTime };
  };
  const listen = (text: string, answered: Answered = {}): Heard =>
    book.hear(text, {
      ...context,
      it: memory.it,
      ...answered,
      language,
      time: home.time(),
      states: home.state,
    });
  const speak = (text: string, variables = {}): string => formatReply(text, language, variables);
  const replyTo = (heard: Heard): string => book.reply(heard, home.state);
  const told = (heard: Heard, outcome: Turn["outcome"], reply: string): Eventually<Turn> => {
    home.record({ event: "said", text: reply, where: context.at ?? "everywhere" });
    return { now: { heard, outcome, performed: nothingDone, reply } };
  };
  const guarded = (
    heard: Heard,
    needs: "confirm" | "code",
    go: () => Eventually<Turn>,
    reply: string,
  ): Eventually<Turn> => {
    if (needs === "code" && home.code.lockedFor() > 0) return locked(heard);
    ask({ open: needs, go });
    return told(heard, needs, reply);
  };

  /** Does what was heard, or keeps it open where it needs an answer. */
  const take = (heard: Heard, answered: Answered = {}): Eventually<Turn> => {
    memory.open = undefined;
    const before = memory.it;
    if (heard.about.length > 0) memory.it = heard.about;
    const isNew = heard.outcome !== "unknown" && heard.outcome !== "answer";
    if (isNew) memory.last = { text: heard.text, answered: { it: before, ...answered } };
    switch (heard.outcome) {
      case "confirm":
      case "code":
        return guarded(heard, heard.outcome, () => act(grant(heard)), replyTo(heard));
      case "unsure":
        ask({ open: "choice", heard });
        return told(heard, "unsure", replyTo(heard));
      case "ask":
        ask({ open: "slot", heard, said: answered.said ?? {} });
        return told(heard, "ask", replyTo(heard));
      case "act":
      case "answer":
        return act(heard);
      default:
        return told(heard, heard.outcome, replyTo(heard));
    }
  };
  const act = (heard: Heard): Eventually<Turn> => {
    memory.open = undefined;
    return mapped(home.perform(heard, session), (performed) => done(heard, performed));
  };
  const done = (heard: Heard, performed: Performed): Turn => {
    if (heard.outcome === "act") memory.undo = performed.changes;
    // Steps say their reply themselves, when they come to their end.
    const isRun = heard.outcome === "act" && heard.commands.some(({ runs }) => runs !== undefined);
    if (!isRun) {
      home.record({ event: "said", text: performed.reply, where: context.at ?? "everywhere" });
    }
    return { heard, outcome: heard.outcome, performed, reply: performed.reply };
  };
  const locked = (heard: Heard): Eventually<Turn> => {
    memory.open = undefined;
    const duration = spokenDuration(pack, Math.ceil(home.code.lockedFor()));
    return told(heard, "locked", speak(pack.replies.locked, { duration }));
  };
  const answer = (
    waiting: Open,
    text: string,
    sort: Sort | undefined,
    heard: Heard,
  ): Eventually<Turn> | undefined => {
    if (sort === "no" || sort === "cancel") {
      memory.open = undefined;
      return told(heard, "cancelled", speak(pack.replies.cancelled));
    }
    if (waiting.open === "confirm") return sort === "yes" ? waiting.go() : undefined;
    if (waiting.open === "choice") {
      const chosen = chooseFrom(waiting.heard, text, language, pack);
      return chosen === undefined
        ? undefined
        : take(listen(waiting.heard.text, { chosen }), { chosen });
    }
    if (waiting.open === "slot") return fill(waiting, text, heard);
    const said = home.code.read(text, language);
    if (said.length === 0) return undefined;
    switch (home.code.try(said)) {
      case "right":
        return waiting.go();
      case "wrong":
        ask(waiting);
        return told(heard, "code", speak(pack.replies.wrongCode));
      case "locked":
        return locked(heard);
    }
  };

  /** Takes words for the slot that was asked for, unless they are a command of their own. */
  const fill = (
    { heard: asked, said: before }: Open & { open: "slot" },
    text: string,
    alone: Heard,
  ): Eventually<Turn> | undefined => {
    const said = { ...before, [asked.slot]: text };
    const filled = listen(asked.text, { said });
    if (filled.outcome === "ask" && filled.slot === asked.slot) return undefined;
    if (filled.outcome !== "refuse") return take(filled, { said });
    if (alone.outcome !== "unknown") return undefined;
    // What cannot be is told, and may be said again.
    ask({ open: "slot", heard: asked, said: before });
    return told(filled, "refuse", replyTo(filled));
  };

  return {
    say(spoken) {
      const text = textOf(spoken) ?? "";
      if (memory.open && home.elapsed() > memory.open.until) memory.open = undefined;
      const waiting = memory.open;
      const isForCode = waiting?.open === "code";
      // Whatever may be a code is nobody's to read again, whether it was asked for or not.
      const said = book.code === undefined ? [] : home.code.read(text, language);
      const isCode = said.length > 0 && (waiting?.open !== "slot" || home.code.is(said));
      const heard = listen(isCode && isForCode ? "" : text);
      const at = context.at === undefined ? {} : { at: context.at };
      const shown = isForCode ? home.code.mask(text, "all") : text;
      home.record({ event: "heard", text: isCode ? "…" : shown, ...at, language });
      const sort = sortOf(text);
      const asked = home.asking(session);
      const index = asked && answerTo(asked.step, text, language);
      if (asked && index !== undefined) {
        const performed = asked.answer(index);
        return { now: { heard, outcome: "act", performed, reply: performed.reply } };
      }
      // Whatever else is said closes the question, as if nobody had answered.
      asked?.answer(undefined);
      // The code fills no slot, since the reply might repeat it.
      const isAnswer = waiting && !(isCode && waiting.open === "slot");
      const answered = isAnswer ? answer(waiting, text, sort, heard) : undefined;
      if (answered) return answered;
      memory.open = undefined;
      if (heard.outcome !== "unknown") {
        const intent = intentOf(heard);
        home.record({
          event: "understood",
          outcome: describeOutcome(heard),
          ...(intent === undefined ? {} : { intent }),
        });
        return take(heard);
      }
      if (sort === "again") {
        const { last } = memory;
        return last === undefined
          ? told(heard, "unknown", speak(pack.replies.nothingToRepeat))
          : take(listen(last.text, last.answered), last.answered);
      }
      if (sort === "undo") return undoLast(heard);
      return told(heard, "unknown", replyTo(heard));
    },
  };

  /** Taking back is a command of its own, with the guards of what it does. */
  function undoLast(heard: Heard): Eventually<Turn> {
    const effects = memory.undo.map(({ device, property, from }): Effect => {
      return { device, set: { [property]: from } };
    });
    const { access, effects: left } = guard(effects, book.devices, new Set());
    if (left.length === 0) return told(heard, "unknown", speak(pack.replies.nothingToUndo));
    memory.undo = [];
    const go = (): Eventually<Turn> => {
      memory.open = undefined;
      const cause = { grant: access, heard, session };
      return mapped(home.undo(left, cause, speak(pack.replies.undone)), (performed) => {
        memory.undo = performed.changes;
        memory.it = [...new Set(left.map(({ device }) => device))];
        home.record({ event: "said", text: performed.reply, where: context.at ?? "everywhere" });
        return { heard, outcome: "act", performed, reply: performed.reply };
      });
    };
    return access === "free" ? go() : guarded(heard, access, go, speak(pack.replies[access]));
  }
}

export const nothingDone: Performed = {
  changes: [],
  calls: [],
  failed: [],
  later: [],
  reply: "",
};

/** What tells answers in a language; made once, since it is the same in every home. */
const sorters = new Map<LanguagePack, (text: string) => Sort | undefined>();

function sorterFor(pack: LanguagePack): (text: string) => Sort | undefined {
  const { yes, no, cancel, again, undo } = pack.conversation;
  let sorter = sorters.get(pack);
  if (!sorter) {
    const choices = [
      ["yes", yes],
      ["no", no],
      ["cancel", cancel],
      ["again", again],
      ["undo", undo],
    ] as const;
    sorters.set(pack, (sorter = createChooser<Sort>(choices, pack.language)));
  }
  return sorter;
}

/** Which of the answers to a step's question was given; undefined when it is none of them. */
function answerTo({ answers }: AskStep, text: string, language: string): number | undefined {
  const said = answers.map(({ patterns }) =>
    patterns.filter((pattern) => pattern.language === language).map((each) => each.text),
  );
  return createChooser(said.entries(), language)(text);
}

/** Tells which of several things a whole text says, each by patterns of its own. */
function createChooser<T>(
  choices: Iterable<readonly [T, readonly string[]]>,
  language: string,
): (text: string) => T | undefined {
  const lexicon = createLexicon();
  const forms = [...choices].map(([choice, said]) => ({ said, make: () => choice }));
  const read = createForms<T>(forms, {}, language, lexicon);
  return (text) => {
    const words = splitWords(text, language);
    const utterance = prepareUtterance(text, words, lexicon, new Set());
    return read(utterance, 0).find(({ end }) => end === words.length)?.value;
  };
}

/** The choice that an answer names: by words of its own, or by its place. */
function chooseFrom(
  { choices }: HeardUnsure,
  text: string,
  language: string,
  pack: LanguagePack,
): string | undefined {
  const small = new Set(pack.small);
  const wordsOf = (said: string): string[] =>
    splitWords(said, language)
      .map((word) => word.text)
      .filter((word) => !small.has(word));
  const said = wordsOf(text);
  const labels = new Set(choices.flatMap(({ label }) => wordsOf(label)));
  const place = choices.findIndex((_, index) => {
    const ordinal = wordsOf(pack.numbers.ordinal(index + 1))[0] ?? "";
    return said.includes(ordinal) && !labels.has(ordinal);
  });
  if (place >= 0) return choices[place]?.id;
  const shared = choices.map(({ label }) => {
    const words = wordsOf(label);
    return said.filter((word) => words.includes(word)).length;
  });
  const most = Math.max(0, ...shared);
  const named = choices.filter((_, index) => shared[index] === most);
  return most > 0 && named.length === 1 ? named[0]?.id : undefined;
}
