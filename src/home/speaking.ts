import { knownOf } from "../model/known.ts";
import { formatReply, replyIn } from "../speech/format.ts";
import { countDevices } from "../speech/names.ts";
import { type Results, slotVariables, speakReply, tellsFailures, told } from "../speech/replies.ts";
import type { Speech } from "../speech/speech.ts";
import { packOf } from "../language/packs.ts";
import type { Reply } from "../model/spoken.ts";
import type { Orders } from "./orders.ts";
import type { Run } from "./run.ts";
import type { Scene } from "./scene.ts";

type Replies = ReadonlyMap<string, Reply>;

/** What a home says while steps run. */
export interface Speaking {
  /** What replies in a language are made from. */
  speechIn: (language: string) => Speech;
  /** A reply in the words of a run. */
  speak: (replies: Replies, run: Run) => string;
  /** The same for somebody to read. */
  write: (replies: Replies, run: Run) => string;
  say: (text: string, place: string, run: Run) => void;
  /** The last words of steps; what nobody asked for and nobody wrote words for ends in silence. */
  endWith: (of: { reply: Replies; failed: Replies }, run: Run, ok: boolean, place: string) => void;
}

export function createSpeaking(
  { book, record, gathered, localTime }: Scene,
  orders: Orders,
): Speaking {
  const speechIn = (language: string): Speech => {
    const pack = packOf(book, language);
    const today = (): string => localTime().slice(0, 10);
    return { book, pack, language, states: orders.heading, today };
  };
  const resultsOf = (run: Run): Results => ({
    done: [...run.done].filter((id) => !run.failed.has(id)),
    failed: [...run.failed],
    skipped: [...run.skipped, ...run.refused].filter((id) => !run.done.has(id)),
  });
  const wordIn = (speech: Speech, replies: Replies, run: Run): string => {
    const reply = replyIn(replies, run.language);
    if (!reply) return "";
    const of = book.routines.get(run.of) ?? book.intents.get(run.of);
    const results = resultsOf(run);
    return speakReply(speech, reply, slotVariables(speech, of, run.slots, results), results);
  };
  const speak: Speaking["speak"] = (replies, run) => wordIn(speechIn(run.language), replies, run);
  const write: Speaking["write"] = (replies, run) =>
    wordIn({ ...speechIn(run.language), isForEyes: true }, replies, run);
  const say = (text: string, place: string, run: Run): void => {
    const heardAt = run.at ?? (run.isCalled ? "caller" : "everywhere");
    const where = place === "voicepoint" ? heardAt : place;
    if (where === "nowhere") return;
    record({ event: "said", text, where, by: run.of });
    // What is said elsewhere is no answer to whoever spoke.
    if (place === "voicepoint") gathered().reply = text;
  };
  const replyAfter = (of: { reply: Replies; failed: Replies }, run: Run, ok: boolean): string => {
    const speech = speechIn(run.language);
    const { replies } = speech.pack;
    if (ok) return of.reply.size > 0 ? speak(of.reply, run) : replies.act;
    // Where no device failed, a message, or a phrase or a routine within the steps did.
    const hasFailed = run.failed.size > 0;
    const isTrue = hasFailed || !tellsFailures(replyIn(of.failed, run.language));
    if (of.failed.size > 0 && isTrue) return speak(of.failed, run);
    if (!hasFailed) return replies.notAll;
    const reply = speak(of.reply, run);
    if (tellsFailures(replyIn(of.reply, run.language))) return reply;
    return told(speech, reply, resultsOf(run));
  };

  /** What was left out for want of a guard that was answered; to speech, barred things are none. */
  const withheldFrom = (run: Run): string => {
    const ids = knownOf(book.devices, run.refused);
    if (ids.length === 0) return "";
    const speech = speechIn(run.language);
    const names = countDevices(speech, ids);
    return formatReply(speech.pack.replies.withheld, run.language, { names });
  };

  const endWith = (
    of: { reply: Replies; failed: Replies },
    run: Run,
    ok: boolean,
    place: string,
  ): void => {
    const isWritten = of.reply.size > 0 || (!ok && of.failed.size > 0);
    const isSaid = ok && run.hasSpoken;
    const withheld = withheldFrom(run);
    // A reply to something that was left out for a guard would not be true.
    const isWhole = withheld === "" || run.failed.size > 0;
    const reply =
      isWhole && (isWritten || (run.isSpoken && !isSaid)) ? replyAfter(of, run, ok) : "";
    const text = [reply, withheld].filter((part) => part !== "").join(" ");
    if (text !== "") say(text, place, run);
  };

  return { speechIn, speak, write, say, endWith };
}
