import axe from "axe-core";
import type { Browser, Page } from "playwright-core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { launchBrowser } from "../../../test/support/browser.ts";
import { type OpenPage, openPage } from "../src/page.ts";
import { type Scene, scene } from "./scene.ts";

let home: Scene;
let open: OpenPage;
let browser: Browser;
let page: Page;
const mishaps: string[] = [];
beforeAll(async () => {
  home = await scene();
  open = await openPage(home.live, { door: home.door.url });
  browser = await launchBrowser();
  page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  page.on("console", (message) => {
    if (message.type() === "error") mishaps.push(message.text());
  });
  page.on("pageerror", (error) => mishaps.push(error.message));
  await page.goto(open.url);
});
afterAll(async () => {
  await browser.close();
  await home.close();
});

test("shows each address with its slots, until when, and the call to copy", async () => {
  expect(await page.locator("h2").allTextContents()).toEqual(["tidy", "warm"]);
  expect(await page.locator("header").textContent()).toContain(open.until);
  await page.locator("#warm-name").locator("..").locator("summary").click();
  const call = await page.locator("pre").last().textContent();
  expect(call).toContain(`curl ${home.door.url}/call/warm`);
  expect(call).toContain('{"slots":{"level":"…"},"confirm":true}');
});

test("calls by keyboard, and tells what happened", async () => {
  await page.focus("#warm-level");
  await page.keyboard.type("22");
  await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  await page.locator(".happened b", { hasText: "Warm to 22" }).waitFor();
  expect(home.house.states()["stove"]).toMatchObject({ target: 22 });
  await page.fill("#warm-level", "99");
  await page.keyboard.press("Enter");
  await page.locator(".happened.not b", { hasText: "out of its range" }).waitFor();
});

test("has nothing that axe finds wrong, in light and dark, and no mishap", async () => {
  for (const colorScheme of ["light", "dark"] as const) {
    const context = await browser.newContext({ bypassCSP: true, colorScheme });
    const looked = await context.newPage();
    await looked.goto(open.url);
    await looked.addScriptTag({ content: axe.source });
    const found = await looked.evaluate(
      `axe.run().then(({ violations }) => violations.map(({ id, nodes }) => id + " " + nodes[0].html))`,
    );
    expect(found).toEqual([]);
    await context.close();
  }
  expect(mishaps).toEqual([]);
});

test("is nowhere but under its own address, and closes itself", async () => {
  const { origin } = new URL(open.url);
  expect(origin).toMatch(/^http:\/\/127\.0\.0\.1:/);
  for (const path of ["/", "/try", "/try/", "/try/guessed", "/try/guessed/call/tidy"]) {
    expect(
      (await fetch(origin + path, { method: path.endsWith("y") ? "POST" : "GET" })).status,
    ).toBe(404);
  }
  const brief = await openPage(home.live, { openFor: 200 });
  expect((await fetch(brief.url)).status).toBe(200);
  await brief.closed;
  await expect(fetch(brief.url)).rejects.toThrow();
  await open.close();
  await expect(fetch(open.url)).rejects.toThrow();
});
