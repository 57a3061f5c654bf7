// Homes of cases in a thread of their own: the live engine on a house of stand-ins, with a driven clock. The
// thread that runs suites waits for each answer, since cases are run one call after another.
import { parentPort, workerData } from "node:worker_threads";
import { Temporal } from "temporal-polyfill";
import { openPhrasebook } from "calm-phrase/node";
import { startBroker, startHouse, startLive } from "@calm-phrase/live";
import { DrivenTime } from "./driven-time.js";

const { folder, signal } = workerData;
const { book } = await openPhrasebook(folder);
const zone = book.place?.timezone ?? "UTC";

const time = new DrivenTime();
const broker = await startBroker();
const { id } = [...book.connections.values()].find(({ protocol }) => protocol === "mqtt");
const brokers = { [id]: broker.url };
const house = await startHouse(book, { brokers, time });
let live;
let wait = { faulty: new Set() };

const soon = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** What a device says that the home does not know yet, by way of the broker. */
function isBehind() {
  const [known, real] = [live.home.states(), house.states()];
  for (const { device, connection, properties } of book.bindings.values()) {
    if (connection !== id || wait.faulty.has(device)) continue;
    for (const name of properties.keys()) {
      if (known[device]?.[name] !== real[device]?.[name]) return true;
    }
  }
  return false;
}

/** Waits until nothing is on its way through the network. */
async function settled() {
  const end = Date.now() + 400;
  for (;;) {
    await live.reach.quiet();
    await soon(0);
    if (!isBehind() && live.reach.isQuiet()) return;
    if (Date.now() > end && live.reach.isQuiet()) return;
    await soon(1);
  }
}

const calls = {
  async start({ states, faults, time: local = "2026-01-05T09:00" }) {
    await live?.close();
    const instant = Temporal.PlainDateTime.from(local).toZonedDateTime(zone).epochMilliseconds;
    time.beginAt(instant / 1000);
    wait = { faulty: new Set() };
    house.reset(states);
    live = await startLive(book, { urls: { ...brokers, ...house.urls }, time, states });
    for (const device of book.bindings.keys()) await live.reach.look(device);
    for (const [device, fault] of Object.entries(faults)) await calls.fault(device, fault);
    await settled();
  },
  perform: (heard) => live.home.perform(heard),
  say: (context, text) => live.home.converse(context).say(text),
  run: (routine, slots) => live.home.run(routine, slots),
  async set(device, values) {
    house.set(device, values);
    await live.reach.look(device);
  },
  press: (button) => {
    house.press(button);
  },
  async presence(person, is) {
    const told = new Promise((resolve) => {
      const stop = live.home.on(({ event }) => {
        if (event.event !== "presence" || event.person !== person) return;
        stop();
        resolve();
      });
    });
    house.presence(person, is);
    await Promise.race([told, soon(300)]);
  },
  async fault(device, fault) {
    house.fault(device, fault);
    if (fault) wait.faulty.add(device);
    else wait.faulty.delete(device);
    await soon(15);
  },
  wait: (seconds) => time.pass(seconds, settled),
  secondsUntil: (point) => live.home.secondsUntil(point),
  waitUntil: (point) => time.pass(live.home.secondsUntil(point), settled),
  async settle() {
    const left = house.moving();
    if (left > 0) await time.pass(left, settled);
  },
};

parentPort.on("message", async ({ port, call, args }) => {
  let answer;
  try {
    const result = await calls[call](...args);
    await settled();
    const { home } = live;
    const ids = [...book.devices.keys()];
    answer = {
      result,
      states: home.states(),
      lastOn: Object.fromEntries(ids.map((device) => [device, home.lastOn(device)])),
      log: home.log(),
      deeds: home.deeds(),
      elapsed: home.elapsed(),
      time: home.clock(),
    };
  } catch (error) {
    answer = { error: error instanceof Error ? error.stack : String(error) };
  }
  port.postMessage(JSON.parse(JSON.stringify(answer)));
  Atomics.store(signal, 0, 1);
  Atomics.notify(signal, 0);
});
parentPort.postMessage("ready");
