import type { Book } from "../book/book.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { heardBy } from "../hearing/heard-by.ts";
import { isValue } from "../model/property.ts";
import { membersOf, textOf, textsOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { WrongUse } from "../source/wrong-use.ts";
import type { CallInput } from "./calls.ts";
import type { Home } from "./home.ts";
import type { LiveClock } from "./live-clock.ts";
import type { Outgoing } from "./outgoing.ts";
import type { Incoming, Recorder } from "./recorder.ts";
import type { Received, HomeSnapshot } from "./snapshot.ts";

/** What came in to a home before, once more: orders get the answers that they got. */
export interface Replay {
  isOn: () => boolean;
  /** Whether an order, by its number, was handed to a driver. */
  isSent: (order: number) => boolean;
  /** Takes an order in the place of a device. */
  order: (order: number, answer: (result: unknown) => void) => void;
  run: (recorder: Recorder, play: (received: Received) => void) => void;
}

export function createReplay(snapshot: HomeSnapshot): Replay {
  const within = new Map<number, Received[]>();
  for (const input of snapshot.since) {
    if (input.during === undefined) continue;
    const same = within.get(input.during);
    if (same) same.push(input);
    else within.set(input.during, [input]);
  }
  const answers = new Map<number, (result: unknown) => void>();
  const sent = new Set<number>();
  let play: ((received: Received) => void) | undefined;
  const playOne = (received: Received): void => {
    if (received.input === "answer") answers.get(received.order)?.(received.result);
    else if (received.input === "sent") sent.add(received.order);
    else play?.(received);
  };
  return {
    isOn: () => play !== undefined,
    isSent: (order) => sent.has(order),
    order(order, answer) {
      answers.set(order, answer);
      for (const input of within.get(order) ?? []) playOne(input);
    },
    run(recorder, into) {
      play = into;
      recorder.resume(snapshot, playOne);
      play = undefined;
    },
  };
}

/** What an input is played into. */
interface Stage {
  book: Book;
  home: Home;
  clock: LiveClock;
  outgoing: Outgoing;
}

/** Lets something that came in before come in again; what the home has no more of is passed over. */
export function playInto({ book, home, clock, outgoing }: Stage, input: Received): void {
  try {
    switch (input.input) {
      case "say": {
        const { session, at, language } = input;
        home.converse({ session, ...given({ at, language }) }).say(wordsOf(book, input));
        return;
      }
      case "perform": {
        const { heard } = input;
        home.perform(heardBy(book, heard, home.state));
        return;
      }
      case "run":
        if (book.routines.has(input.routine)) home.run(input.routine, input.slots);
        return;
      case "call": {
        const { slots, confirm } = input;
        home.call(input.address, given({ slots, confirm, code: codeOf(book, input) }));
        return;
      }
      case "report":
        home.report(input.device, input.values);
        return;
      case "press":
        home.press(input.button);
        return;
      case "presence":
        home.presence(input.person, input.is);
        return;
      case "due":
        clock.due(input.timer);
        return;
      case "interrupted":
        home.interrupt();
        outgoing.resume(true);
        return;
      case "sent":
      case "answer":
        return;
    }
  } catch (error) {
    if (!(error instanceof WrongUse)) throw error;
    home.record({ event: "refused", what: error.message });
  }
}

/** What was said, to be kept: whether it was the code, and never which. */
export function saidIn(book: Book, { code }: Home, context: unknown, text: unknown): Incoming {
  const { session, at, language } = membersOf(context);
  const where = given({ at: textOf(at), language: textOf(language) });
  const words = textOf(text) ?? "";
  const digits = code.read(words, homeLanguage(book, where.language));
  return {
    input: "say",
    session: textOf(session) ?? where.at ?? "",
    ...where,
    ...(book.code !== undefined && digits.length > 0
      ? { text: "…", code: code.is(digits) }
      : { text: code.mask(words) }),
  };
}

/** The words that were said. */
function wordsOf(book: Book, said: Received & { input: "say" }): string {
  return codeOf(book, said) ?? said.text;
}

/** The code that was given, if any was; one that was wrong is wrong again. */
function codeOf(
  { code = "" }: Book,
  { code: wasRight }: { code?: boolean | undefined },
): string | undefined {
  return wasRight === undefined ? undefined : wasRight ? code : `${code}0`;
}

/** A call, to be kept: whether the code was right, and never which. */
export function callIn({ code }: Home, address: string, input: CallInput): Incoming {
  const { slots, confirm, code: digits } = input;
  return {
    input: "call",
    address,
    ...given({
      slots: slots && slotsKept(slots),
      confirm,
      code: digits === undefined ? undefined : code.is([digits.replace(/\D/g, "")]),
    }),
  };
}

/** Values for slots, as far as they are any. */
export function slotsKept(
  slots: Readonly<Record<string, unknown>>,
): NonNullable<(Received & { input: "run" })["slots"]> {
  const kept: ReturnType<typeof slotsKept> = {};
  for (const [name, value] of Object.entries(membersOf(slots))) {
    if (isValue(value)) kept[name] = value;
    else if (Array.isArray(value)) kept[name] = textsOf(value);
  }
  return kept;
}
