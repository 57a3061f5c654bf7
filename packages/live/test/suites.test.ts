import { MessageChannel, Worker, receiveMessageOnPort } from "node:worker_threads";
import { join } from "node:path";
import { once } from "node:events";
import {
  type CaseHome,
  type CaseStart,
  type Heard,
  type Turn,
  readSuites,
  runSuites,
} from "calm-phrase";
import { openPhrasebook } from "calm-phrase/node";
import { afterAll, beforeAll, expect, test } from "vitest";

const folder = join(import.meta.dirname, "../../../demo/oxbow-pottery");
const opened = await openPhrasebook(folder);
const { book } = opened;
const signal = new Int32Array(new SharedArrayBuffer(4));
let worker: Worker;

beforeAll(async () => {
  const script = join(import.meta.dirname, "case-homes.js");
  worker = new Worker(script, { workerData: { folder, signal } });
  await once(worker, "message");
});
afterAll(async () => {
  await worker.terminate();
});

/** What a home is after a call. */
type Known = Pick<ReturnType<CaseHome["log"]>, never> & {
  result: never;
  states: ReturnType<CaseHome["states"]>;
  lastOn: ReturnType<CaseHome["states"]>;
  log: ReturnType<CaseHome["log"]>;
  deeds: ReturnType<CaseHome["deeds"]>;
  elapsed: number;
  time: string;
  error?: string;
};

/** Asks the other thread, and waits for its answer as if it were a call. */
function ask(call: string, args: readonly unknown[]): Known {
  const { port1, port2 } = new MessageChannel();
  Atomics.store(signal, 0, 0);
  worker.postMessage({ port: port2, call, args }, [port2]);
  Atomics.wait(signal, 0, 0, 300_000);
  const message: unknown = receiveMessageOnPort(port1)?.message;
  port1.close();
  const known = message as Known;
  if (known.error !== undefined) throw new Error(known.error);
  return known;
}

function liveHome(start: CaseStart): CaseHome {
  let known = ask("start", [start]);
  const heard = new Map<string, Heard>();
  const call = (name: string, ...args: unknown[]): Known["result"] => {
    known = ask(name, args);
    return known.result;
  };
  return {
    book,
    perform: (each) => {
      const performed = call("perform", each);
      heard.set(JSON.stringify(each), each);
      return performed;
    },
    converse: (context = {}) => ({
      say(text) {
        const turn: Turn = call("say", context, text);
        heard.set(JSON.stringify(turn.heard), turn.heard);
        return turn;
      },
    }),
    run: (routine, slots) => call("run", routine, slots),
    set: (device, values) => {
      call("set", device, values);
    },
    press: (button) => {
      call("press", button);
    },
    presence: (person, is) => {
      call("presence", person, is);
    },
    fault: (device, fault) => {
      call("fault", device, fault);
    },
    wait: (seconds) => {
      call("wait", seconds);
    },
    waitUntil: (point) => {
      call("waitUntil", point);
    },
    settle: () => {
      call("settle");
    },
    states: () => known.states,
    state: (device) => known.states[device] ?? {},
    lastOn: (device) => known.lastOn[device] ?? {},
    log: () => known.log,
    // What was heard went to the other thread and back, and is still the same.
    deeds: () =>
      known.deeds.map((deed) => {
        const own = heard.get(JSON.stringify(deed.cause.heard));
        return own ? { ...deed, cause: { ...deed.cause, heard: own } } : deed;
      }),
    elapsed: () => known.elapsed,
    time: () => known.time,
    on: () => () => undefined,
    secondsUntil: (point) => call("secondsUntil", point),
  };
}

/** Every third case here, and all of them where `npm run live:suites` asks for it. */
const shard = { part: 1, of: Number(process.env["PARTS"] ?? 3) };

test("suites come to the same on the live engine as in simulation", () => {
  const suites = readSuites(book, opened.suiteSources);
  const told = (results: ReturnType<typeof runSuites>) =>
    results.suites.flatMap(({ cases }) =>
      cases.map((each) => ({
        where: `${each.position.file.split("/").at(-1) ?? ""}:${each.position.line} ${each.phrase}`,
        passed: each.passed,
        failures: "failures" in each ? each.failures : [],
      })),
    );
  const simulated = told(runSuites(book, suites, { shard }));
  const live = told(runSuites(book, suites, { shard, homes: liveHome }));
  expect(live.length).toBeGreaterThan(100);
  expect(live).toHaveLength(simulated.length);
  const different = live.filter((each, at) => {
    return JSON.stringify(each) !== JSON.stringify(simulated[at]);
  });
  expect(different).toEqual([]);
}, 600_000);
