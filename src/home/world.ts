import { stepsOf as computeSteps } from "../commands/compute.ts";
import type { Heard } from "../commands/outcome.ts";
import type { Step } from "../model/step.ts";
import type { Intent, Routine } from "../phrasebook/model.ts";
import { answerQuestion } from "../speech/answers.ts";
import { given } from "../source/given.ts";
import type { Cause } from "./cause.ts";
import { type Eventually, allThere, mapped } from "./eventually.ts";
import type { Orders } from "./orders.ts";
import { type Run, type World, deepest } from "./run.ts";
import type { Scene } from "./scene.ts";
import type { Speaking } from "./speaking.ts";

/** Does what was heard, so deep in routines, by what set it off. */
type Perform = (heard: Heard, depth: number, cause: Cause) => Eventually<void>;

/** What the steps of a home do to it, and what they learn of it. */
export function createWorld(
  scene: Scene,
  orders: Orders,
  voice: Speaking,
  performAt: Perform,
): World {
  const { book, store, localTime, record, gathered } = scene;
  const { speechIn, speak, write, say } = voice;
  const by = (run: Run): { by: string } => ({ by: run.of });

  const stepsOf = (of: Routine | Intent, run: Run): readonly Step[] | undefined => {
    const { language, at, slots } = run;
    const computed = computeSteps(of, slots, {
      state: store.get,
      language,
      time: localTime(),
      ...given({ at }),
    });
    if (computed.ok) return computed.steps;
    record({ event: "refused", what: computed.problem, ...by(run) });
    return undefined;
  };

  return {
    book,
    state: store.get,
    order: orders.order,
    spend: scene.spend,
    stepsOf,
    tell(question, run) {
      say(answerQuestion(speechIn(run.language), question), "voicepoint", run);
      run.hasSpoken = true;
    },
    say: (step, run) => {
      say(speak(step.text, run), step.where, run);
      run.hasSpoken = true;
    },
    notify: (step, run) => {
      const text = write(step.text, run);
      const tag = given({ tag: step.tag });
      const notes = step.people.map((person) => orders.notify({ person, text, ...tag }, run));
      return mapped(allThere(notes), (gone) => gone.every(Boolean));
    },
    send: ({ over, to, text, method, retain }, run) =>
      orders.send({ ...given({ over }), to, text, method, retain }, run),
    hear(step, run) {
      // To hear something takes longer than any other step.
      if (!scene.spend(10)) return { now: false };
      if (run.depth >= deepest) {
        record({ event: "refused", what: `“${step.phrase}” goes round in a circle`, ...by(run) });
        return { now: false };
      }
      const at = step.voicepoint ?? run.at;
      const heard = book.hear(step.phrase, {
        language: run.language,
        time: localTime(),
        states: store.get,
        lastOn: store.lastOn,
        ...given({ at }),
      });
      // A guard cannot be answered by steps, so what is guarded is not done by them.
      if (heard.outcome !== "act" && heard.outcome !== "answer") {
        record({ event: "refused", what: `“${step.phrase}” is ${heard.outcome}`, ...by(run) });
        return { now: false };
      }
      const outer = gathered();
      let performed: Eventually<void> = { now: undefined };
      const inner = scene.gather(() => {
        performed = performAt(heard, run.depth + 1, run.cause);
      });
      return mapped(performed, () => {
        outer.changes.push(...inner.changes);
        outer.calls.push(...inner.calls);
        outer.failed.push(...inner.failed);
        outer.later.push(...inner.later);
        return inner.failed.length === 0;
      });
    },
    branch: (branch, run) => {
      record({ event: "branch", branch, ...by(run) });
    },
    moment: (replies, run) => {
      say(speak(replies, run), "voicepoint", run);
    },
  };
}
