// A home in a process of its own, to be killed: it goes on from what it kept, and runs what it is told to.
import { createInterface } from "node:readline";
import { openPhrasebook } from "calm-phrase/node";
import { startLive } from "@calm-phrase/live";

const [folder, store, log, broker] = process.argv.slice(2);
const { book } = await openPhrasebook(folder);
const live = await startLive(book, { store, log, urls: { broker } });
live.home.on(({ event }) => {
  if (event.event === "ended") console.log(`ended ${event.routine}`);
});
console.log("ready");
for await (const line of createInterface(process.stdin)) void live.home.run(line);
