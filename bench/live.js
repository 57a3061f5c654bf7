// A live home of many devices, asked over HTTP: phrases a second, how long each takes, and what reports of a day
// leave behind. Needs `npm run build` and `npm run build -w packages/live`.
import { mkdtempSync } from "node:fs";
import { Agent, request } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setImmediate } from "node:timers";
import { Worker, isMainThread, parentPort, workerData } from "node:worker_threads";
import { readPhrasebook } from "calm-phrase";
import { hashOf, openDoors, startBroker, startHouse, startLive } from "@calm-phrase/live";

const devices = 1000;
const token = "of-this-bench";
const names = ["amber", "birch", "cedar", "dune", "ember"];
const text = [
  "phrasebook: Many things",
  "rooms: { hall: {} }",
  "devices:",
  ...Array.from(
    { length: devices },
    (_, at) => `  thing-${at}: { kind: light, room: hall, name: ${names[at % 5]} ${at} }`,
  ),
  "  gauge: { kind: sensor, room: hall, properties: [temperature] }",
  "routines:",
  "  warm: { triggers: [{ state: { gauge: { temperature: above 90 } } }], do: { set: { thing-0: { power: off } } } }",
  'connections: { broker: { url: "mqtt://127.0.0.1:1" } }',
  "bindings:",
  "  all: { devices: hall, over: broker, order: b/$device/$property/set, report: b/$device/$property }",
  `doors: { port: 18998, tokens: { bench: "${hashOf(token)}" } }`,
  "",
].join("\n");

// As few connections as a busy proxy would have.
const agent = new Agent({ keepAlive: true, maxSockets: 32 });

/** Asks something over a connection that is kept. */
function post(url, body) {
  return new Promise((resolve, reject) => {
    const headers = { authorization: `Bearer ${token}`, "content-type": "application/json" };
    const asked = request(url, { method: "POST", agent, headers }, (answer) => {
      let read = "";
      answer.setEncoding("utf8");
      answer.on("data", (part) => (read += part));
      answer.on("end", () => resolve(JSON.parse(read)));
    });
    asked.on("error", reject);
    asked.end(JSON.stringify(body));
  });
}

const book = readPhrasebook([{ path: "home.yaml", text }]);

if (isMainThread) await measure();
else if (workerData.door === undefined) await house();
else await ask(workerData.door);

/** The house and the broker, in a thread of their own. */
async function house() {
  const broker = await startBroker();
  const made = await startHouse(book, { brokers: { broker: broker.url } });
  parentPort.on("message", (temperature) => {
    made.set("gauge", { temperature });
  });
  parentPort.postMessage(broker.url);
}

/** Who asks, in a thread of their own: they are nobody of the home. */
async function ask(door) {
  const asked = async (at) => {
    const began = performance.now();
    const text = `turn ${Math.floor(at / devices) % 2 === 0 ? "on" : "off"} ${names[(at * 7) % 5]} ${(at * 7) % devices}`;
    const { outcome, failed } = await post(`${door}/hear`, { text, session: `s${at % 50}` });
    if (outcome !== "act" || failed.length > 0)
      throw new Error(`${text}: ${outcome}, failed ${failed}`);
    return performance.now() - began;
  };
  for (let at = 0; at < 200; at++) await asked(at);
  for (const rate of process.env.RATES?.split(",").map(Number) ?? [100, 250, 500]) {
    const took = [];
    const under = [];
    const began = performance.now();
    for (let at = 0; at < rate * 5; at++) {
      const due = began + (at * 1000) / rate;
      while (performance.now() < due) await new Promise((resolve) => setTimeout(resolve, 1));
      under.push(asked(at).then((each) => took.push(each)));
    }
    await Promise.all(under);
    const seconds = (performance.now() - began) / 1000;
    took.sort((one, other) => one - other);
    const share = (of) => took[Math.floor(took.length * of)].toFixed(1);
    parentPort.postMessage(
      `${String(rate).padStart(4)} phrases a second   done ${(took.length / seconds).toFixed(0)} a second, median ${share(0.5)}, 95th percentile ${share(0.95)} ms`,
    );
  }
  agent.destroy();
}

async function measure() {
  const worker = new Worker(import.meta.filename, { workerData: {} });
  const url = await new Promise((resolve) => worker.once("message", resolve));
  const folder = mkdtempSync(join(tmpdir(), "calm-"));
  const live = await startLive(book, {
    store: join(folder, "kept"),
    log: join(folder, "home.log"),
    urls: { broker: url },
  });
  const door = await openDoors(live, { ...book.doors, port: 0 }, { rate: 5000 });
  const asker = new Worker(import.meta.filename, { workerData: { door: door.url } });
  asker.on("message", (line) => console.log(line));
  await new Promise((resolve) => asker.once("exit", resolve));
  const heap = () => {
    globalThis.gc?.();
    return process.memoryUsage().heapUsed / 1e6;
  };
  const report = async (count) => {
    for (let at = 0; at < count; at++) {
      live.home.report("gauge", { temperature: (at * 13) % 80 });
      if (at % 50 === 0) await new Promise((resolve) => setImmediate(resolve));
    }
  };
  await report(10_000);
  const before = heap();
  const began = performance.now();
  await report(50_000);
  const each = ((performance.now() - began) / 50_000) * 1000;
  console.log(
    `50,000 reports        ${each.toFixed(0)} µs each, ${(heap() - before).toFixed(2)} MB more than before`,
  );
  await door.close();
  await live.close();
  await worker.terminate();
}
