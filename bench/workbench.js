// Times the workbench in the browser on a home of many devices: from a key to fresh findings, from a phrase
// to its explanation, and what a first look loads.
import { gzipSync } from "node:zlib";
import { chromium } from "playwright-core";
import { preview } from "vite";

const devices = Number(process.argv[2] ?? 1000);
const kinds = ["light", "fan", "plug", "blind", "heater"];
const names = ["amber", "birch", "cedar", "dune", "ember"];
const rooms = Math.ceil(devices / 20);
const text = [
  "phrasebook: Many things",
  "languages: [en-GB]",
  "rooms:",
  ...Array.from({ length: rooms }, (_, room) => `  room-${room}: {}`),
  "voicepoints: { desk: { room: room-0 } }",
  "intents:",
  "  wake-up: { patterns: 'wake [it] up', do: { set: { thing-0: { power: on } } }, reply: Awake. }",
  "devices:",
  ...Array.from(
    { length: devices },
    (_, at) =>
      `  thing-${at}: { kind: ${kinds[at % 5]}, room: room-${at % rooms}, name: ${names[at % 5]} ${at} }`,
  ),
  "",
].join("\n");

const root = "examples/workbench";
const server = await preview({ root, preview: { host: "127.0.0.1", port: 0 }, logLevel: "silent" });
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking", "--no-first-run"],
});
const context = await browser.newContext({ serviceWorkers: "block", bypassCSP: true });
const page = await context.newPage();
const loaded = [];
page.on("response", (response) => loaded.push(response));
await page.goto(`http://127.0.0.1:${server.httpServer.address().port}/`);
await page.waitForSelector(".room");
// What is looked at after the first phrase is loaded later.
const first = new Map();
for (const response of loaded.slice()) {
  first.set(response.url(), gzipSync(await response.body(), { level: 9 }).length / 1000);
}
const weight = [...first.values()].reduce((sum, each) => sum + each, 0);
console.log(`first look      ${weight.toFixed(0)} kB gzip in ${first.size} files`);

await page.evaluate(`{
  const data = new DataTransfer();
  data.items.add(new File([${JSON.stringify(text)}], "home.yaml"));
  const drop = new DragEvent("drop", { dataTransfer: data, bubbles: true, cancelable: true });
  document.querySelector(".bench").dispatchEvent(drop);
}`);
await page.waitForSelector("h1:has-text('Many things')");

/** Milliseconds of what was measured under a name, without the first ones. */
async function measured(name, skip) {
  const all = await page.evaluate(
    `performance.getEntriesByName("${name}").map(({ duration }) => duration)`,
  );
  return all.slice(skip).sort((one, other) => one - other);
}
const at = (all, share) => all[Math.min(all.length - 1, Math.floor(all.length * share))];
const told = (all) =>
  `median ${at(all, 0.5).toFixed(1)}, 95th percentile ${at(all, 0.95).toFixed(1)} ms of ${all.length}`;

await page.waitForSelector("#device-thing-1");
await page.waitForTimeout(3000);
const spoken = [];
for (let turn = 0; turn < 60; turn++) {
  const before = (await measured("phrase", 0)).length;
  await page.fill("#phrase", `turn ${turn % 2 === 0 ? "on" : "off"} birch ${5 * turn + 1}`);
  await page.press("#phrase", "Enter");
  await page.waitForFunction(`performance.getEntriesByName("phrase").length > ${before}`);
  const last = await page.evaluate(`performance.getEntriesByName("phrase").at(-1).duration`);
  // The first ones make the automaton, and warm it.
  if (turn >= 5) spoken.push(last);
  await page.waitForTimeout(100);
  // Beginning anew is no phrase.
  await page.evaluate(`document.querySelector(".turns .row button:nth-child(2)")?.click()`);
  await page.waitForTimeout(250);
}
console.log(`a phrase        ${told(spoken.sort((one, other) => one - other))}`);

await page.keyboard.press("Alt+2");
await page.waitForSelector(".cm-content");
await page.waitForTimeout(3000);
await page.click(".cm-content");
await page.keyboard.press("Control+f");
await page.waitForSelector(".cm-search input[name=search]");
await page.keyboard.type("name: birch 5");
await page.keyboard.press("Enter");
await page.keyboard.press("Escape");
await page.focus(".cm-content");
await page.keyboard.press("ArrowRight");
const typed = (await measured("read", 0)).length;
const checked = (await measured("checked", 0)).length;
for (let key = 0; key < 80; key++) {
  await page.keyboard.type(key % 2 === 0 ? "x" : "y");
  await page.waitForTimeout(400);
}
console.log(`a key, read     ${told(await measured("read", typed + 10))}`);
console.log(`a key, checked  ${told(await measured("checked", checked + 10))}`);
// The same work each time, at the same pace: what it varies by, the machine varies by.
const same = await page.evaluate(`(async () => {
  const took = [];
  for (let turn = 0; turn < 120; turn++) {
    const began = performance.now();
    for (let at = 0, sum = 0; at < 2e7; at++) sum += at % 7;
    took.push(performance.now() - began);
    await new Promise((then) => setTimeout(then, 100));
  }
  return took.slice(20).sort((one, other) => one - other);
})()`);
console.log(`the same work   ${told(same)}`);
await browser.close();
await server.close();
