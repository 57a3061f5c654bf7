import type { Page } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { type Shown, showExample } from "./support/browser.ts";

let shown: Shown;
let page: Page;

beforeAll(async () => {
  shown = await showExample("first-words");
  ({ page } = shown);
});

afterAll(async () => {
  await shown.close();
  expect(shown.mishaps).toEqual([]);
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
