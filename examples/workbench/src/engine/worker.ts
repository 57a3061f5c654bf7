import { expose } from "comlink";
import { atDesk, atHome } from "./desk.ts";

/** What is not needed to say a first phrase is loaded when it is first asked for. */
const later = laterFrom(() => import("./workshop.ts"));
const laterHeard = laterFrom(() => import("./ears.ts"));

/** Makes calls of a module wait until it is there. */
function laterFrom<Module>(load: () => Promise<Module>) {
  return <Given extends unknown[], Made>(
    pick: (from: Module) => (...given: Given) => Made | Promise<Made>,
  ): ((...given: Given) => Promise<Made>) => {
    return async (...given) => pick(await load())(...given);
  };
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
  soundMaps: laterHeard((from) => from.soundMaps),
  listen: laterHeard((from) => from.listen),
  confusedIn: laterHeard((from) => from.confusedIn),
  remedies: laterHeard((from) => from.remedies),
};

export type Engine = typeof engine;

expose(engine);
