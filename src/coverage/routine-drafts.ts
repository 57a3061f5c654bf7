import type { Book } from "../book/book.ts";
import type { Condition } from "../model/condition.ts";
import type { Device } from "../model/home.ts";
import type { State, Value } from "../model/property.ts";
import type { Step } from "../model/step.ts";
import type { Trigger } from "../model/trigger.ts";
import { phrases } from "../pattern/phrases.ts";
import type { Routine } from "../phrasebook/model.ts";
import { laterDate, printClock } from "../time/local.ts";
import { type Draft, type DraftHappening, monday, morning, phrasesOf } from "./draft.ts";

/** Seconds in which most routines are over. */
const longEnough = 3 * 3600;

/** Ways of a routine that are tried at most. */
const mostWays = 120;

/** What sets a routine off, and the ways that its steps may go. */
export function* routineDrafts(book: Book, routine: Routine): Generator<Draft> {
  const first = book.languages[0] ?? "en";
  const met = statesFor(routine.condition);
  for (const trigger of routine.triggers) {
    for (const { after, time = morning } of happeningsFor(book, trigger)) {
      yield { language: first, time, after: [after], given: met };
    }
  }
  let count = 0;
  for (const draft of wayDrafts(book, routine)) {
    if (count++ > mostWays) return;
    yield draft;
  }
}

/** A routine set off by a phrase in each language, or by hand, with all that decides where it goes. */
function* wayDrafts(book: Book, routine: Routine): Generator<Draft> {
  const first = book.languages[0] ?? "en";
  const met = statesFor(routine.condition);
  const steps = [...deepSteps(routine.steps)];
  const conditions = steps.flatMap((step) => (step.step === "if" ? [step.condition] : []));
  const states = [
    met,
    ...conditions.flatMap((each) => [
      { ...met, ...statesFor(each) },
      { ...met, ...opposite(book, each) },
    ]),
  ];
  const devices = steps.flatMap((step) => (step.step === "order" ? devicesIn(book, step) : []));
  const faults = [undefined, ...new Set(devices)];
  for (const begin of beginnings(book, routine)) {
    for (const device of faults) {
      for (const each of states) {
        const draft = { language: begin.language, time: morning, given: each };
        const happening = { ...begin.happening, wait: longEnough };
        yield { ...draft, after: [happening], ...(device && { faults: { [device]: "offline" } }) };
      }
    }
    for (const hear of answersIn(steps, begin.language)) {
      const asked = { ...begin.happening, wait: waitIn(routine.steps) + 1 };
      const after = [asked, { hear, wait: longEnough }];
      yield { language: begin.language, time: morning, given: met, after };
    }
  }
  const run: DraftHappening = { run: routine.id, wait: longEnough };
  yield { language: first, time: morning, after: [run], given: opposite(book, routine.condition) };
}

/** What sets a routine off by a word in each language, or by hand where there is none. */
function* beginnings(
  book: Book,
  { id }: Routine,
): Generator<{ language: string; happening: Pick<DraftHappening, "hear" | "run"> }> {
  const intent = book.intents.get(id);
  for (const language of book.languages) {
    const pattern = intent?.patterns.find((each) => each.language === language);
    const [hear] = intent && pattern ? phrasesOf(book, intent, pattern, false) : [];
    yield { language, happening: hear === undefined ? { run: id } : { hear } };
  }
}

function devicesIn({ devices }: Book, step: Step & { step: "order" }): string[] {
  const ids = step.orders.flatMap(({ target }) => (target.refer === "slot" ? [] : target.id));
  return ids.filter((id) => devices.has(id));
}

/** The first thing to say for each answer that steps wait for. */
function answersIn(steps: readonly Step[], language: string): string[] {
  return steps.flatMap((step) => {
    if (step.step !== "ask") return [];
    return step.answers.flatMap(({ patterns }) => {
      const pattern = patterns.find((each) => each.language === language);
      const [words] = pattern ? phrases(pattern.tree, () => undefined) : [];
      return words ? [words.join(" ")] : [];
    });
  });
}

/** Seconds that steps wait before they ask something. */
function waitIn(steps: readonly Step[]): number {
  let seconds = 0;
  for (const step of steps) {
    if (step.step === "ask") return seconds;
    if (step.step === "wait" && step.wait.refer === "value") seconds += Number(step.wait.value);
  }
  return seconds;
}

function* deepSteps(steps: readonly Step[]): Generator<Step> {
  for (const step of steps) {
    yield step;
    if (step.step === "if") yield* deepSteps([...step.then, ...step.otherwise]);
    if (step.step === "try") yield* deepSteps([...step.steps, ...step.failed]);
    if (step.step === "ask") {
      yield* deepSteps([...step.answers.flatMap((each) => each.steps), ...step.silence]);
    }
  }
}

/** What makes a trigger fire: on one of seven days, where it has days of its own. */
function* happeningsFor(
  book: Book,
  trigger: Trigger,
): Generator<{ after: DraftHappening; time?: string }> {
  switch (trigger.trigger) {
    case "time":
      for (let day = 0; day < 7; day++) {
        const before = printClock(Math.max(0, trigger.clock - 60)).slice(0, 5);
        yield { after: { wait: 120 }, time: `${laterDate(monday, day)}T${before}` };
      }
      return;
    case "sun":
      for (let day = 0; day < 7; day++) {
        yield { after: { wait: 24 * 3600 }, time: `${laterDate(monday, day)}T00:00` };
      }
      return;
    case "press":
      yield { after: { press: trigger.device, wait: longEnough } };
      return;
    case "presence":
      for (const person of book.people.keys()) {
        yield { after: { presence: `${person} ${trigger.is}`, wait: longEnough } };
      }
      yield { after: { presence: `everyone ${trigger.is}`, wait: longEnough } };
      return;
    case "state":
      yield { after: { set: statesFor(trigger.states), wait: trigger.lasting + longEnough } };
  }
}

/** States for which conditions hold. */
function statesFor(conditions: ReadonlyMap<string, Readonly<Record<string, Condition>>>) {
  return Object.fromEntries(
    [...conditions].map(([device, each]) => [
      device,
      Object.fromEntries(
        Object.entries(each).map(([property, condition]) => [property, meeting(condition)]),
      ),
    ]),
  );
}

function meeting(condition: Condition): Value {
  switch (condition.is) {
    case "equal":
    case "about":
    case "at least":
    case "at most":
      return condition.value;
    case "not":
      return condition.value === "off" ? "on" : condition.value === true ? false : "off";
    case "above":
      return condition.value + 1;
    case "below":
      return condition.value - 1;
    case "between":
      return condition.low;
    case "one of":
      return condition.values[0] ?? 0;
  }
}

/** States for which conditions do not hold. */
function opposite(
  { devices }: Book,
  conditions: ReadonlyMap<string, Readonly<Record<string, Condition>>>,
): Record<string, State> {
  const states: Record<string, State> = {};
  for (const [id, each] of conditions) {
    const device: Device | undefined = devices.get(id);
    const own: Record<string, Value> = {};
    for (const [property, condition] of Object.entries(each)) {
      const schema = device?.properties.get(property);
      const met = meeting(condition);
      const other = schema?.enum?.find((value) => value !== met);
      if (other !== undefined) own[property] = other;
      else if (typeof met === "boolean") own[property] = !met;
      else if (condition.is === "above") own[property] = condition.value - 1;
      else if (condition.is === "below") own[property] = condition.value + 1;
    }
    states[id] = own;
  }
  return states;
}
