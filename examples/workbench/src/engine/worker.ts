import { expose } from "comlink";
import { atDesk, atHome } from "./desk.ts";

/** What is not needed to say a first phrase is loaded when it is first asked for. */
const workshop = () => import("./workshop.ts");
type Workshop = Awaited<ReturnType<typeof workshop>>;

/** The same call, once its module is there. */
function later<Name extends keyof Workshop>(name: Name): Workshop[Name] {
  const call = async (...given: Parameters<Workshop[Name]>) => {
    const { [name]: made } = await workshop();
    return Reflect.apply(made, undefined, given);
  };
  return call as Workshop[Name];
}

const engine = {
  atHome,
  atDesk,
  problems: later("problems"),
  findings: later("findings"),
  complete: later("complete"),
  explain: later("explain"),
  definitions: later("definitions"),
  uses: later("uses"),
  rename: later("rename"),
  marks: later("marks"),
  edited: later("edited"),
  run: later("run"),
  keepRun: later("keepRun"),
  suggestions: later("suggestions"),
  addCase: later("addCase"),
  addWritten: later("addWritten"),
  dayText: later("dayText"),
  day: later("day"),
  sayable: later("sayable"),
};

export type Engine = typeof engine;

expose(engine);
