// A home whose devices are reached over a bus of one's own: lines of text go out, and others come
// back, late or never. Here the bus is in this file; a serial port or a socket takes its place.
import { EventEmitter } from "node:events";
import { openHome, printEvent, readPhrasebook } from "calm-phrase";
import { machineTime } from "calm-phrase/node";

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `
devices:
  till-lamp: { kind: light }
  kiln-vent: { kind: fan }
routines:
  closing:
    triggers: [{ phrase: closing time }]
    do: [{ set: { till-lamp: { power: "off" } } }, { set: { kiln-vent: { power: "off" } } }]
    reply: All is off.
    failed: "Look at {$failed}, please."
`,
  },
]);

const bus = new EventEmitter();
// The lamp answers after a while, and the vent is deaf.
bus.on("out", (line) => {
  if (!line.startsWith("kiln-vent")) setTimeout(() => bus.emit("in", line), 50);
});

const waiting = new Map();
const driver = {
  order: ({ device, set }) =>
    new Promise((resolve) => {
      waiting.set(device, resolve);
      bus.emit("out", `${device} ${JSON.stringify(set)}`);
    }),
};
const home = openHome(book, { driver, time: machineTime(), answerTime: 1 });
home.on(({ time, event }) => console.log(time.slice(11), printEvent(event)));
bus.on("in", (line) => {
  const [device, state] = [line.slice(0, line.indexOf(" ")), line.slice(line.indexOf(" "))];
  waiting.get(device)?.();
  home.report(device, JSON.parse(state));
});

await home.converse().say("turn on the till lamp");
home.report("kiln-vent", { power: "on" });
await home.converse().say("closing time");
home.on(({ event }) => {
  if (event.event === "ended") home.close();
});
