import type { Book } from "../book/book.ts";
import { createSimulated } from "../home/simulated/simulate.ts";
import type { Routine } from "../phrasebook/model.ts";
import type { Step } from "../model/step.ts";
import type { Finding } from "../source/finding.ts";

/** Starts of one routine in an hour from which on it is taken never to end. */
const tooOften = 50;
/** Seconds that a home is watched for. */
const watched = 3600;

/**
 * Routines that set each other off without end. Those that run each other in every case are found
 * in their steps; those that do so by states, buttons or phrases are found by running each on a
 * simulated home for an hour.
 */
export function checkCircles(book: Book): Finding[] {
  const found = new Map<string, Finding>();
  const add = (circle: readonly string[], how: string): void => {
    const routine = book.routines.get(circle[0] ?? "");
    if (!routine) return;
    const key = [...circle].sort().join(" ");
    if (found.has(key)) return;
    const shown = [...circle, circle[0]].join(" → ");
    const others = circle.slice(1).flatMap((id) => book.routines.get(id)?.at ?? []);
    found.set(key, {
      rule: "routine-circle",
      severity: "warning",
      message: `${how} without end: ${shown}`,
      fix: "take one of them out of the circle, or let it go on only if something holds",
      at: routine.at,
      ...(others.length > 0 ? { also: others } : {}),
    });
  };
  for (const routine of book.routines.values()) {
    const circle = circleFrom(book, routine, []);
    if (circle) add(circle, circle.length === 1 ? "it runs itself" : "they run each other");
  }
  const reacts = [...book.routines.values()].some(({ triggers }) =>
    triggers.some(({ trigger }) => trigger === "state" || trigger === "press"),
  );
  for (const id of reacts ? book.routines.keys() : []) {
    const home = createSimulated(book, {});
    home.run(id);
    home.wait(watched);
    const starts = home
      .log()
      .flatMap(({ event }) => (event.event === "started" ? [event.routine] : []));
    const last = starts.at(-1);
    if (last === undefined || starts.filter((each) => each === last).length < tooOften) continue;
    const before = starts.lastIndexOf(last, -2);
    add(inOrder(starts.slice(before, -1)), "one sets off the other");
  }
  return [...found.values()];
}

/** A circle begins with the first of its names, so that it is told once. */
function inOrder(circle: readonly string[]): string[] {
  const first = circle.indexOf([...circle].sort()[0] ?? "");
  return [...circle.slice(first), ...circle.slice(0, first)];
}

/** The way back to where it began, along steps that are done in every case. */
function circleFrom(
  book: Book,
  routine: Routine,
  way: readonly string[],
): readonly string[] | undefined {
  const before = way.indexOf(routine.id);
  if (before >= 0) return before === 0 ? inOrder(way) : undefined;
  // A condition may hold no longer, and end it.
  if (way.length > 0 && routine.condition.size > 0) return undefined;
  for (const id of alwaysRun(routine.steps)) {
    const next = book.routines.get(id);
    const circle = next && circleFrom(book, next, [...way, routine.id]);
    if (circle) return circle;
  }
  return undefined;
}

/** Routines that steps run whatever is so. */
function alwaysRun(steps: readonly Step[]): string[] {
  return steps.flatMap((step): string[] => {
    if (step.step === "run") return step.routine.refer === "routine" ? [step.routine.id] : [];
    if (step.step === "try") return alwaysRun(step.steps);
    if (step.step !== "if") return [];
    const otherwise = new Set(alwaysRun(step.otherwise));
    return alwaysRun(step.then).filter((id) => otherwise.has(id));
  });
}
