/** What a large home, a large phrase and endless steps take: `node bench/large.js`. */
import { checkPhrasebook, listSayable, readPhrasebook, simulate } from "../dist/index.js";

function timed(name, act) {
  const start = performance.now();
  const result = act();
  console.log(`${name.padEnd(48)} ${String(Math.round(performance.now() - start)).padStart(7)} ms`);
  return result;
}

const rooms = Array.from({ length: 500 }, (_, index) => `room-${index}: {}`).join(", ");
const home = (count) => {
  const devices = Array.from({ length: count }, (_, index) => {
    return `  lamp-${index}: { kind: light, room: room-${index % 500} }\n`;
  });
  return readPhrasebook([
    { path: "home.yaml", text: `rooms: { ${rooms} }\ndevices:\n${devices.join("")}` },
  ]);
};

const large = timed("open 2,000 devices", () => home(2000));
timed("sayable of 2,000 devices", () => listSayable(large));
timed("check of 2,000 devices", () => checkPhrasebook(large));
for (const [name, text] of [
  ["a megabyte of words", "turn on the lamp ".repeat(60_000)],
  ["a megabyte of one word", "x".repeat(1_000_000)],
]) {
  const heard = timed(`hear ${name}`, () => large.hear(text));
  timed(`why of ${name}`, () => large.why(heard));
}
const huge = timed("open 100,000 devices", () => home(100_000));
timed("check of 100,000 devices", () => checkPhrasebook(huge));

const ids = Array.from({ length: 13 }, (_, index) => `r-${index}`);
const fan = ids.map(
  (id) => `  ${id}: { do: [${ids.map((other) => `{ run: ${other} }`).join(", ")}] }`,
);
const circling = readPhrasebook([{ path: "home.yaml", text: `routines:\n${fan.join("\n")}\n` }]);
timed("check of 13 routines that run each other", () => checkPhrasebook(circling));
timed("run one of them", () => simulate(circling).run("r-0"));
