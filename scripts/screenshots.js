// Takes the pictures of docs/screenshots from the demo, or those that are named: the pages in Chromium, the
// commands as they print. Needs Chromium, and for the commands Xvfb, xterm and ImageMagick.
import { execFileSync, spawn } from "node:child_process";
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { chromium } from "playwright-core";
import { preview } from "vite";
import { openPhrasebook } from "calm-phrase/node";
import { openPage, startBroker, startHouse, startLive } from "@calm-phrase/live";

const folder = "docs/screenshots";
const only = process.argv.slice(2);
const isWanted = (picture) => only.length === 0 || only.includes(picture);

const launch = () =>
  chromium.launch({
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking", "--disable-sync"],
  });

/** Pictures of a built example in the browser. */
async function example(name, take) {
  const server = await preview({
    root: `examples/${name}`,
    preview: { host: "127.0.0.1", port: 0 },
    logLevel: "silent",
  });
  const browser = await launch();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`http://127.0.0.1:${server.httpServer.address().port}/`);
  const shot = async (picture) => {
    if (!isWanted(picture)) return;
    await sleep(700);
    await page.screenshot({ path: `${folder}/${picture}.png` });
  };
  await take(page, shot);
  await browser.close();
  await server.close();
}

async function pages() {
  await example("first-words", async (page, shot) => {
    await page.fill("#phrase", "please set the extractor to sixty percent");
    await page.press("#phrase", "Enter");
    await shot("first-words");
  });
  await example("wall-panel", async (page, shot) => {
    await page.fill("input", "turn on the till lamp");
    await page.press("input", "Enter");
    await page.waitForSelector("#till-lamp.on");
    await shot("wall-panel");
  });
  await example("workbench", async (page, shot) => {
    await page.waitForSelector(".room");
    const phrases = [
      "open the gate",
      "extractor to sixty percent",
      "turn on the display lights and dim the loft ceiling light to 30",
    ];
    for (const phrase of phrases) {
      await page.fill("#phrase", phrase);
      await page.press("#phrase", "Enter");
      await sleep(500);
    }
    await shot("workbench-desk");
    await page.keyboard.press("Alt+2");
    await page.waitForSelector(".cm-content");
    await page.locator(".files button", { hasText: "intents.yaml" }).click();
    await sleep(1500);
    await page
      .locator(".cm-line", { hasText: "set | run | give" })
      .click({ position: { x: 130, y: 8 } });
    await page.mouse.move(700, 790);
    await sleep(1500);
    await shot("workbench-phrasebook");
    await page.keyboard.press("Alt+3");
    await page.waitForSelector(".counts");
    await page.locator(".suite summary").first().click();
    await shot("workbench-suites");
    await page.keyboard.press("Alt+4");
    await page.waitForSelector(".axis");
    await page.locator(".log button", { hasText: "evening-firing starts" }).click();
    await shot("workbench-day");
    await page.keyboard.press("Alt+5");
    await page.waitForSelector(".confusions li", { timeout: 180_000 });
    await page.locator(".sound-map button").first().focus();
    await page.locator(".confusions .button").first().click();
    await page.waitForSelector(".remedies li", { timeout: 60_000 });
    await shot("workbench-sound");
  });
}

/** A command in a terminal window of 100 columns, on a screen of its own. */
async function terminal(name, command, rows, wait = 7000) {
  if (!isWanted(name)) return;
  const display = ":97";
  const screen = spawn("Xvfb", [display, "-screen", "0", "1280x800x24"], { stdio: "ignore" });
  await sleep(1500);
  const window = spawn(
    "xterm",
    [
      ...["-display", display, "-geometry", `100x${rows}+0+0`, "-fa", "DejaVu Sans Mono"],
      ...["-fs", "11", "-bg", "#1d1f21", "-fg", "#d8d8d8", "+sb", "-e"],
      ...["sh", "-c", `cd demo/oxbow-pottery; ${command}; sleep 60`],
    ],
    {
      stdio: "ignore",
      env: {
        ...process.env,
        PATH: `${process.cwd()}/node_modules/.bin:${process.env.PATH}`,
        LC_ALL: "C.UTF-8",
      },
    },
  );
  await sleep(wait);
  execFileSync("import", [
    "-display",
    display,
    "-window",
    "root",
    "-trim",
    `${folder}/${name}.png`,
  ]);
  window.kill();
  screen.kill();
  await sleep(500);
}

/** A copy of the demo in which one case expects something else: its failure, and the page of results. */
async function failing() {
  const copy = mkdtempSync(join(tmpdir(), "oxbow-pottery-"));
  cpSync("demo/oxbow-pottery", copy, { recursive: true });
  const path = join(copy, "suites/names.suite.yaml");
  const added = `
  - name: the vent by its alias
    note: the hood over the kiln
    hear: please set the extractor to sixty percent
    expect: { set: { kiln-vent: { speed: 50 } } }
`;
  writeFileSync(path, readFileSync(path, "utf8").trimEnd() + added);
  const cli = join(process.cwd(), "dist/cli.js");
  await terminal("failure", `cd ${copy}; node ${cli} test names`, 36);
  try {
    execFileSync("node", [cli, "test", "--report", "html=page.html"], { cwd: copy });
  } catch {
    // A case fails, as it has to.
  }
  const browser = await launch();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`file://${join(copy, "page.html")}`);
  await page.fill("[name=search]", "extractor");
  await page.screenshot({ path: `${folder}/page.png` });
  await browser.close();
  rmSync(copy, { recursive: true });
}

/** The page to try addresses, of the demo on a house of stand-ins. */
async function tryPage() {
  const { book } = await openPhrasebook("demo/oxbow-pottery");
  const broker = await startBroker();
  const brokers = { "bench-broker": broker.url };
  const house = await startHouse(book, { brokers });
  const live = await startLive(book, { urls: { ...brokers, ...house.urls } });
  const door = "http://127.0.0.1:18437";
  const opened = await openPage(live, { door });
  const browser = await launch();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(opened.url);
  await page.locator("button").first().click();
  await page.locator(".happened b").first().waitFor();
  await page.locator("summary").last().click();
  await page.screenshot({ path: `${folder}/live-page.png` });
  await browser.close();
  await opened.close();
  await live.close();
  await house.close();
  await broker.close();
}

/** A copy of the demo with another alias, another reply and another wait, beside the demo itself. */
async function changed() {
  const copy = mkdtempSync(join(tmpdir(), "oxbow-pottery-"));
  cpSync("demo/oxbow-pottery", copy, { recursive: true });
  for (const [file, was, is] of [
    ["home.yaml", "en: yard", "en: garden"],
    ["intents.yaml", "{$target} at {$speed} percent.", "{$target} to {$speed} percent."],
    ["routines.yaml", "wait: 10m", "wait: 12m"],
  ]) {
    const path = join(copy, file);
    writeFileSync(path, readFileSync(path, "utf8").replace(was, is));
  }
  const cli = join(process.cwd(), "dist/cli.js");
  const demo = join(process.cwd(), "demo/oxbow-pottery");
  const compare = `cd ${copy}; FORCE_COLOR=1 node ${cli} compare ${demo} | head -40`;
  await terminal("compare", compare, 42, 20_000);
  rmSync(copy, { recursive: true });
}

const call = (args) => `node ../../dist/cli.js ${args}`;
if (
  [
    "first-words",
    "wall-panel",
    "workbench-desk",
    "workbench-phrasebook",
    "workbench-suites",
    "workbench-day",
    "workbench-sound",
  ].some(isWanted)
)
  await pages();
await terminal("hear", call('hear "please set the extractor to sixty percent"'), 17);
await terminal("hear-unknown", call('hear "extractr to sixty"'), 12);
await terminal("coverage", `${call("test --coverage")} | tail -22`, 24);
if (["failure", "page"].some(isWanted)) await failing();
if (isWanted("live-page")) await tryPage();
if (isWanted("compare")) await changed();
await terminal("sayable", `${call("sayable")} | head -40`, 42);
const mishear = call("mishear --language en --within 1 --remedies 4 2>/dev/null");
await terminal("mishear", `FORCE_COLOR=1 ${mishear} | head -36`, 42, 45_000);
await terminal("day", call('day --script "a damp Friday"'), 44);
await terminal(
  "run",
  `${call("run start-drying --set glaze-sensor.humidity=80")}; echo; ${call("run close-up --dry")}`,
  36,
);
const talk = [
  "hold the drying cabinet",
  "forty",
  "turn it off",
  "open the gate",
  "no",
  "remind me to stir",
  "+10m",
  "not yet",
];
await terminal("talk", `printf '${talk.join("\\n")}' | ${call("hear --at till")}`, 40);
