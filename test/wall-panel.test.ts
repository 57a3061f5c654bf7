import type { Page } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { type Shown, showExample } from "./support/browser.ts";

let shown: Shown;
let page: Page;

beforeAll(async () => {
  shown = await showExample("wall-panel");
  ({ page } = shown);
});

afterAll(async () => {
  await shown.close();
  expect(shown.mishaps).toEqual([]);
});

async function say(phrase: string, reply: RegExp): Promise<void> {
  await page.fill("input", phrase);
  await page.press("input", "Enter");
  await page.waitForFunction(`${String(reply)}.test(document.querySelector("#reply").textContent)`);
}

test("shows its room, and does what is said once the device has answered", async () => {
  expect(await page.textContent("h1")).toBe("showroom");
  await say("turn on the till lamp", /till lamp on/u);
  await page.waitForSelector("#till-lamp.on");
});

test("asks back before it acts, and knows what is answered", async () => {
  await say("unlock the shop door", /sure/u);
  expect(await page.textContent("#showroom-lock")).toContain("locked true");
  await say("yes", /unlock/u);
  await page.waitForSelector("#showroom-lock:has-text('locked false')");
});

test("is another panel in another room", async () => {
  await page.goto(`${shown.address}?at=sofa`);
  await page.waitForSelector("#loft-radio");
  await say("turn on the ceiling light", /ceiling light on/u);
  await page.waitForSelector("#loft-ceiling-light.on");
});
