import { expect, test } from "vitest";
import { exampleFor } from "./support/browser.ts";

const example = exampleFor("first-words");

async function say(phrase: string): Promise<void> {
  await example.page.fill("#phrase", phrase);
  await example.page.press("#phrase", "Enter");
  // The words stand side by side without spaces between them.
  const words = JSON.stringify(phrase.replaceAll(" ", ""));
  await example.page.waitForFunction(
    `document.querySelector("#heard .words")?.textContent === ${words}`,
  );
}

test("a phrase colours its words, changes the room and is answered", async () => {
  expect(await example.page.textContent("#kiln-vent")).toContain("speed 0");
  await say("extractor to sixty percent");
  expect(await example.page.textContent(".effect")).toBe("kiln-vent { speed: 60 }");
  expect(await example.page.textContent(".reply")).toBe("“extractor at 60 percent.”");
  expect(await example.page.locator("#heard .word.slot").allTextContents()).toEqual([
    "extractor",
    "sixty",
    "percent",
  ]);
  expect(await example.page.locator("#heard .word.pattern").allTextContents()).toEqual(["to"]);
  expect(await example.page.textContent("#kiln-vent.changed")).toContain("speed 60");
});

test("the speaker's room decides", async () => {
  await example.page.selectOption("#at", "kiln-shelf");
  await say("turn on the ceiling light");
  expect(await example.page.textContent(".effect")).toContain("unsure");
  await example.page.selectOption("#at", "stove-side");
  await example.page.click("form button");
  await example.page.waitForSelector("#galley-ceiling-light.on");
  expect(await example.page.locator("#loft-ceiling-light.on").count()).toBe(0);
});

test("an unknown phrase shows the nearest name and what to paste, and changes nothing", async () => {
  await say("extractr to sixty");
  expect(await example.page.textContent(".effect")).toBe("unknown");
  expect(await example.page.locator("#heard").textContent()).toContain(
    'the nearest name is "extractor"',
  );
  expect(await example.page.textContent(".paste")).toContain("aliases: [extractr]");
  expect(await example.page.locator(".changed").count()).toBe(0);
});
