import { join } from "node:path";
import { type Browser, type Page, chromium } from "playwright-core";
import { type PreviewServer, preview } from "vite";
import { afterAll, beforeAll, expect, test } from "vitest";

let server: PreviewServer;
let browser: Browser;
let page: Page;
const mishaps: string[] = [];

beforeAll(async () => {
  const root = join(import.meta.dirname, "../examples/first-words");
  server = await preview({ root, preview: { host: "127.0.0.1", port: 0 }, logLevel: "silent" });
  browser = await chromium.launch({
    executablePath: process.env["CHROMIUM"] ?? "/usr/bin/chromium",
    args: [
      "--no-sandbox",
      "--disable-gpu",
      "--disable-background-networking",
      "--disable-component-update",
      "--disable-sync",
      "--no-first-run",
    ],
  });
  page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  page.on("pageerror", (error) => mishaps.push(error.message));
  page.on("console", (message) => {
    if (message.type() === "error") mishaps.push(message.text());
  });
  const address = server.httpServer.address();
  if (typeof address !== "object" || !address) throw new Error("the page is not served");
  await page.goto(`http://127.0.0.1:${address.port}/`);
});

afterAll(async () => {
  await browser.close();
  await server.close();
  expect(mishaps).toEqual([]);
});

async function say(phrase: string): Promise<void> {
  await page.fill("#phrase", phrase);
  await page.press("#phrase", "Enter");
  // The words stand side by side without spaces between them.
  const words = JSON.stringify(phrase.replaceAll(" ", ""));
  await page.waitForFunction(`document.querySelector("#heard .words")?.textContent === ${words}`);
}

test("a phrase colours its words, changes the room and is answered", async () => {
  expect(await page.textContent("#kiln-vent")).toContain("speed 0");
  await say("extractor to sixty percent");
  expect(await page.textContent(".effect")).toBe("kiln-vent { speed: 60 }");
  expect(await page.textContent(".reply")).toBe("“extractor at 60 percent.”");
  expect(await page.locator("#heard .word.slot").allTextContents()).toEqual([
    "extractor",
    "sixty",
    "percent",
  ]);
  expect(await page.locator("#heard .word.pattern").allTextContents()).toEqual(["to"]);
  expect(await page.textContent("#kiln-vent.changed")).toContain("speed 60");
});

test("the speaker's room decides", async () => {
  await page.selectOption("#at", "kiln-shelf");
  await say("turn on the ceiling light");
  expect(await page.textContent(".effect")).toContain("unsure");
  await page.selectOption("#at", "stove-side");
  await page.click("form button");
  await page.waitForSelector("#galley-ceiling-light.on");
  expect(await page.locator("#loft-ceiling-light.on").count()).toBe(0);
});

test("an unknown phrase shows the nearest name and what to paste, and changes nothing", async () => {
  await say("extractr to sixty");
  expect(await page.textContent(".effect")).toBe("unknown");
  expect(await page.locator("#heard").textContent()).toContain('the nearest name is "extractor"');
  expect(await page.textContent(".paste")).toContain("aliases: [extractr]");
  expect(await page.locator(".changed").count()).toBe(0);
});
