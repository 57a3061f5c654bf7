/**
 * What mishearing takes: `node bench/mishearing.js`. The names of a home with a thousand of them that sound alike, and
 * the nearest phrases with another effect for the English phrases of the demo's suites, each in a process
 * that was just begun.
 */
import { dictionary } from "cmu-pronouncing-dictionary";
import { readPhrasebook, readSuites } from "../dist/index.js";
import { findMishearings, findSoundAlikes } from "../dist/mishearing.js";
import { openPhrasebook } from "../dist/node.js";

const seconds = (since) => ((performance.now() - since) / 1000).toFixed(1);

/** A fixed piece of work, by which runs on a busy machine can be held against each other. */
function sameWork() {
  const begun = performance.now();
  let sum = 0;
  for (let index = 0; index < 2e8; index++) sum = (sum + index * index) % 1_000_003;
  return `${((performance.now() - begun) / 1000).toFixed(2)} s (${sum % 10})`;
}

const words = Object.keys(dictionary).filter((word) => /^[a-z]{4,7}$/u.test(word));
const names = Array.from({ length: 1000 }, (_, index) => {
  return `${words[(index * 7919) % words.length]} ${["lamp", "fan", "blind", "spot"][index % 4]}`;
});
const devices = names.map(
  (name, index) => `  d${index}: { kind: light, name: ${JSON.stringify(name)} }`,
);
const book = readPhrasebook([{ path: "home.yaml", text: `devices:\n${devices.join("\n")}\n` }]);
let begun = performance.now();
const alikes = findSoundAlikes(book, { dictionary });
console.log(`1,000 names: ${alikes.length} pairs that sound alike in ${seconds(begun)} s`);

const demo = await openPhrasebook("demo/oxbow-pottery");
const suites = readSuites(demo.book, demo.suiteSources);
begun = performance.now();
const found = findMishearings(demo.book, { suites, dictionary, languages: ["en"], most: 1 });
const exhaustive = found.filter(({ isExhaustive }) => isExhaustive).length;
console.log(
  `${found.length} phrases of the demo: the nearest other effects in ${seconds(begun)} s, ${exhaustive} of them exhaustively`,
);
console.log(`the same work: ${sameWork()}`);
