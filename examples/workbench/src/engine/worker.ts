import { expose } from "comlink";
import { atDesk, atHome } from "./desk.ts";

/** What is not needed to say a first phrase is loaded when it is first asked for. */
const workshop = () => import("./workshop.ts");
type Workshop = Awaited<ReturnType<typeof workshop>>;

/** The same call, once its module is there. */
function later<Given extends unknown[], Made>(
  pick: (from: Workshop) => (...given: Given) => Made | Promise<Made>,
): (...given: Given) => Promise<Made> {
  return async (...given) => pick(await workshop())(...given);
}

const engine = {
  atHome,
  atDesk,
  problems: later((from) => from.problems),
  checks: later((from) => from.checks),
  fixes: later((from) => from.fixes),
  complete: later((from) => from.complete),
  explain: later((from) => from.explain),
  definitions: later((from) => from.definitions),
  uses: later((from) => from.uses),
  rename: later((from) => from.rename),
  marks: later((from) => from.marks),
  edited: later((from) => from.edited),
  run: later((from) => from.run),
  keepRun: later((from) => from.keepRun),
  suggestions: later((from) => from.suggestions),
  addCase: later((from) => from.addCase),
  addWritten: later((from) => from.addWritten),
  dayText: later((from) => from.dayText),
  day: later((from) => from.day),
  sayable: later((from) => from.sayable),
};

export type Engine = typeof engine;

expose(engine);
