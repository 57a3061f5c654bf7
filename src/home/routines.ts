import { type Effect, type Heard, type HeardCommand, effectsOf } from "../commands/outcome.ts";
import { replyTo, told } from "../speech/replies.ts";
import type { AskStep, Step } from "../model/step.ts";
import type { Intent, Routine } from "../phrasebook/model.ts";
import type { Value } from "../model/property.ts";
import { isToldWhenAsked } from "../phrasebook/sources.ts";
import { printDuration } from "../time/duration.ts";
import { newRun, noSlots, slotsFrom, trustIn, unbegun } from "./begin.ts";
import type { Calling } from "./calls.ts";
import type { Cause } from "./cause.ts";
import { type Orders, startOf } from "./orders.ts";
import { type Run, doSteps, holdsFor } from "./run.ts";
import { type Eventually, allThere, createEventually, mapped, onceThere } from "./eventually.ts";
import type { Rest } from "./snapshot.ts";
import type { Performed, Scene } from "./scene.ts";
import { createSpeaking } from "./speaking.ts";
import { createWorld } from "./world.ts";

/** What runs in a home: routines and the steps of intents, one after another or side by side. */
export interface Routines {
  /**
   * Sets a routine off, unless its condition or another run of it stands in the way. It is there once the
   * run has ended, or waits for time to pass or an answer to come.
   */
  start: (routine: Routine, start: Start) => Eventually<void>;
  /** Does what an address is for. */
  call: (calling: Calling, address: string) => Eventually<void>;
  /** Does what was heard. */
  perform: (heard: Heard, session: string | undefined) => Eventually<void>;
  /** Sets devices as somebody said who takes something back, and says what came of it. */
  undo: (
    effects: readonly Effect[],
    cause: Cause & { heard: Heard },
    reply: string,
  ) => Eventually<void>;
  /** What steps are asking in a conversation. */
  asking: (session: string) => Asking | undefined;
  /** The home was stopped meanwhile: each run goes by what its routine says of that. */
  interrupt: () => void;
  /** Whether none is on its way. */
  isIdle: () => boolean;
  /** When routines last did all that they do, in seconds of Unix time. */
  rested: () => Rest["rested"];
}

/** What sets a routine off. */
export interface Start {
  /** As the log tells it. */
  because: string;
  /** Whether somebody meant it: by hand, by a button or by a phrase; or it came by itself. */
  isMeant: boolean;
  cause: Cause;
  /** Values for its slots, which nobody says anything for. */
  slots?: Readonly<Record<string, Value | readonly string[]>>;
}

/** Most steps of routines and intents that are on their way at once. */
const mostGoing = 200;

/** A question that steps wait for the answer of. */
export interface Asking {
  step: AskStep;
  /** Goes on with one of the answers, or with none. */
  answer: (index: number | undefined) => Performed;
}

/** A routine on its way, or waiting for one of its kind to end. */
interface Going {
  stop: () => void;
  /** Ends it with whether all of it was done. */
  end: (ok: boolean) => void;
  /** Does it from its beginning. */
  again: () => void;
}

/** Steps that were begun. */
interface OnItsWay {
  stop: () => void;
  /** There once they have ended, or wait for time to pass or an answer to come. */
  rested: Eventually<void>;
}

const nothing: Eventually<void> = { now: undefined };

/** @param before When routines last did all that they do. */
export function createRoutines(
  scene: Scene,
  orders: Orders,
  before: Rest["rested"] = {},
): Routines {
  const { book, store, clock, record, gathered } = scene;
  const { elapsed } = clock;
  const going = new Map<string, Going[]>();
  const queued = new Map<string, (() => void)[]>();
  const asking = new Map<string, Asking>();
  let underWay = 0;
  /** When a routine last did all that it does. */
  const rested = new Map(
    Object.entries(before).map(([id, time]) => [id, time - clock.now() + elapsed()]),
  );
  const voice = createSpeaking(scene, orders);
  const { speechIn, speak, say, endWith } = voice;
  const by = (run: Run): { by: string } => ({ by: run.of });

  const world = createWorld(scene, orders, voice, (heard, depth, cause) =>
    performAt(heard, depth, cause),
  );
  const { stepsOf } = world;

  /** Takes steps on until they wait, and again when that is over. */
  const goOn = (run: Run, steps: readonly Step[], ended: (ok: boolean) => void): OnItsWay => {
    if (underWay >= mostGoing) {
      record({ event: "refused", what: "too much is on its way at once", ...by(run) });
      ended(false);
      return { stop: () => undefined, rested: nothing };
    }
    const { tell: rests, told: rested } = createEventually<undefined>();
    underWay++;
    const program = doSteps(world, run, steps);
    const place = run.cause.session ?? run.at ?? "";
    let cancel: (() => void) | undefined;
    let question: Asking | undefined;
    let isStopped = false;
    const advance = (resume?: { answer: number }): void => {
      if (isStopped) return;
      const next = program.next(resume);
      if (next.done) {
        underWay--;
        ended(next.value);
        rests(undefined);
        return;
      }
      const { value } = next;
      if (value.pause === "answers") {
        value.goOn(advance);
        return;
      }
      if (value.pause === "wait") {
        record({ event: "waiting", seconds: value.seconds, ...by(run) });
        cancel = clock.at(elapsed() + value.seconds, advance);
        rests(undefined);
        return;
      }
      let isOpen = true;
      const goOnWith = (answered?: { answer: number }): void => {
        if (!isOpen) return;
        isOpen = false;
        cancel?.();
        asking.delete(place);
        advance(answered);
      };
      scene.question(place, goOnWith);
      say(speak(value.step.text, run), "voicepoint", run);
      cancel = clock.at(elapsed() + value.step.within, goOnWith);
      question = {
        step: value.step,
        answer: (index) =>
          scene.gather(() => {
            goOnWith(index === undefined ? undefined : { answer: index });
          }),
      };
      asking.set(place, question);
      rests(undefined);
    };
    advance();
    const stop = (): void => {
      isStopped = true;
      underWay--;
      cancel?.();
      if (asking.get(place) === question) asking.delete(place);
      rests(undefined);
    };
    return { stop, rested: rested() };
  };

  /** Why a routine does not start now; `queued` when it will later. */
  const obstacle = (routine: Routine): "condition" | "running" | "queued" | undefined => {
    if (!holdsFor(routine.condition, store.get)) return "condition";
    if ((going.get(routine.id) ?? []).length === 0) return undefined;
    if (routine.overlap === "skip") return "running";
    return routine.overlap === "queue" ? "queued" : undefined;
  };

  const start = (
    routine: Routine,
    run: Run,
    because: string,
    steps = stepsOf(routine, run),
  ): Eventually<void> => {
    const { id } = routine;
    if (!routine.enabled) return nothing;
    if (!steps) {
      if (run.isSpoken) say(speechIn(run.language).pack.replies.cannot, "voicepoint", run);
      return nothing;
    }
    const stands = obstacle(routine);
    if (stands === "queued") {
      record({ event: "queued", routine: id, because });
      const waiting = queued.get(id) ?? [];
      waiting.push(() => {
        start(routine, run, because);
      });
      queued.set(id, waiting);
      return nothing;
    }
    if (stands) {
      const isRunning = stands === "running";
      if (!isRunning) book.witness?.used(routine, "condition");
      const reason = isRunning ? "it is running already" : "its condition does not hold";
      record({ event: "skipped", routine: id, because: reason });
      if (!run.isSpoken) return nothing;
      const { replies } = speechIn(run.language).pack;
      say(isRunning ? replies.running : replies.notNow, "voicepoint", run);
      return nothing;
    }
    if (routine.overlap === "restart") {
      for (const other of going.get(id) ?? []) other.stop();
      going.delete(id);
    }
    record({ event: "started", routine: id, because });
    book.witness?.used(routine, "starts");
    if (routine.moment.size > 0) world.moment(routine.moment, run);
    const anew = unbegun(run);
    const leave = (): void => {
      going.set(
        id,
        (going.get(id) ?? []).filter((each) => each !== mine),
      );
    };
    const mine: Going = {
      stop: () => undefined,
      end(ok) {
        leave();
        endWith(routine, run, ok, routine.replyAt);
        record({ event: "ended", routine: id, ok });
        if (ok) rested.set(id, elapsed());
        const next = queued.get(id)?.shift();
        if (next) clock.at(elapsed(), next);
      },
      again() {
        leave();
        start(routine, anew, because);
      },
    };
    going.set(id, [...(going.get(id) ?? []), mine]);
    const { stop, rested: isThere } = goOn(run, steps, mine.end);
    mine.stop = stop;
    return isThere;
  };

  const runSpoken = (
    heard: Heard & { outcome: "act" },
    { runs: id = "", slots }: Pick<HeardCommand, "runs" | "slots">,
    depth: number,
    cause: Cause,
  ): Eventually<void> => {
    const routine = book.routines.get(id);
    const intent = book.intents.get(id);
    const { language } = heard;
    const at = heard.context.at === undefined ? {} : { at: heard.context.at };
    const trust = trustIn(routine, cause);
    const run = newRun(book, id, { slots, language, isSpoken: true, depth, ...trust, ...at });
    if (routine) return start(routine, run, `“${heard.text}”`);
    return intent ? runIntent(intent, run) : nothing;
  };

  const runIntent = (intent: Intent, run: Run): Eventually<void> => {
    const computed = stepsOf(intent, run);
    if (!computed) return nothing;
    return goOn(run, computed, (ok) => {
      endWith(intent, run, ok, "voicepoint");
    }).rested;
  };

  const performAt = (heard: Heard, depth: number, cause: Cause): Eventually<void> => {
    const into = gathered();
    const effects = heard.outcome === "act" ? effectsOf(heard) : askedFirst(heard);
    const answers = effects.map((effect) =>
      mapped(orders.order(effect, { cause }), (ordered) =>
        ordered === "done" ? [] : effect.device,
      ),
    );
    const { tell, told: isTold } = createEventually<undefined>();
    onceThere(allThere(answers), (all) => {
      const failed = new Set(all.flat());
      scene.gatherInto(into, () => {
        if (heard.outcome === "act") {
          onceThere(goOnAfter(heard, { depth, cause, failed }), () => {
            tell(undefined);
          });
          return;
        }
        into.reply = replyTo(speechIn(heard.language), heard, failed);
        tell(undefined);
      });
    });
    return isTold();
  };

  /** What tells nothing by itself is asked before anything is told of it. */
  const askedFirst = (heard: Heard): Effect[] => {
    if (heard.outcome !== "answer") return [];
    const questions = heard.commands.flatMap(({ questions: each = [] }) => each);
    const asked = new Set(questions.flatMap(({ devices }) => devices));
    return [...asked]
      .filter((id) => isToldWhenAsked(book, id))
      .map((device) => ({ device, call: "fetch" }));
  };

  /** What was heard, once devices have answered: what it runs, and what is said. */
  const goOnAfter = (
    heard: Heard & { outcome: "act" },
    { depth, cause, failed }: { depth: number; cause: Cause; failed: ReadonlySet<string> },
  ): Eventually<unknown> => {
    const speech = speechIn(heard.language);
    const programs = heard.commands.filter(({ runs }) => runs !== undefined);
    // Steps speak for themselves; what was said beside them is answered first.
    const others = heard.commands.filter(({ runs }) => runs === undefined);
    if (programs.length > 0 && others.length > 0) {
      const text = replyTo(speech, { ...heard, commands: others }, failed);
      record({ event: "said", text, where: heard.context.at ?? "everywhere" });
      gathered().reply = text;
    }
    if (programs.length === 0) {
      gathered().reply = replyTo(speech, heard, failed);
      return nothing;
    }
    const begun = programs.map((program) => {
      const begin = (): Eventually<void> => runSpoken(heard, program, depth, cause);
      const later = program.when && startOf(scene, program.when);
      if (later === undefined) return begin();
      clock.at(elapsed() + later, begin);
      return nothing;
    });
    return allThere(begun);
  };

  return {
    start: (routine, { because, isMeant, cause, slots: given = {} }) => {
      const last = rested.get(routine.id);
      const isResting = last !== undefined && elapsed() - last < routine.rest;
      if (!isMeant && isResting && routine.enabled) {
        const ago = printDuration(Math.round(elapsed() - last));
        record({ event: "skipped", routine: routine.id, because: `all was done ${ago} ago` });
        return nothing;
      }
      const slots = slotsFrom(book, routine, given);
      return start(
        routine,
        newRun(book, routine.id, { slots, ...trustIn(routine, cause) }),
        because,
      );
    },
    call({ runs, slots: given, cause }, address) {
      const routine = book.routines.get(runs);
      const intent = routine ? undefined : book.intents.get(runs);
      const slots = slotsFrom(book, routine ?? intent ?? noSlots, given);
      const run = newRun(book, runs, { slots, isCalled: true, ...trustIn(routine, cause) });
      if (routine) return start(routine, run, `address ${address}`);
      return intent ? runIntent(intent, run) : nothing;
    },
    perform: (heard, session) => {
      const granted = "granted" in heard ? heard.granted : undefined;
      const from = session === undefined ? {} : { session };
      return performAt(heard, 0, { grant: granted ?? "free", heard, ...from });
    },
    undo(effects, cause, reply) {
      const into = gathered();
      const answers = effects.map((effect) =>
        mapped(orders.order(effect, { cause }), (ordered) => {
          return { device: effect.device, isDone: ordered === "done" };
        }),
      );
      return mapped(allThere(answers), (all) => {
        const ids = (isDone: boolean): string[] => [
          ...new Set(all.flatMap((each) => (each.isDone === isDone ? [each.device] : []))),
        ];
        const results = { done: ids(true), failed: ids(false), skipped: [] };
        into.reply = told(speechIn(cause.heard.language), reply, results);
      });
    },
    asking: (session) => asking.get(session),
    interrupt() {
      for (const [id, runs] of [...going]) {
        const then = book.routines.get(id)?.interrupted ?? "resume";
        for (const run of runs) {
          record({ event: "interrupted", routine: id, then });
          if (then === "resume") continue;
          run.stop();
          if (then === "tell") run.end(false);
          else run.again();
        }
      }
    },
    isIdle: () => underWay === 0,
    rested: () =>
      Object.fromEntries([...rested].map(([id, then]) => [id, clock.now() - elapsed() + then])),
  };
}
