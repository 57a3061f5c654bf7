import { expect, test } from "vitest";
import { exampleFor } from "./support/browser.ts";

const example = exampleFor("wall-panel");

async function say(phrase: string, reply: RegExp): Promise<void> {
  await example.page.fill("input", phrase);
  await example.page.press("input", "Enter");
  await example.page.waitForFunction(
    `${String(reply)}.test(document.querySelector("#reply").textContent)`,
  );
}

test("shows its room, and does what is said once the device has answered", async () => {
  expect(await example.page.textContent("h1")).toBe("showroom");
  await say("turn on the till lamp", /till lamp on/u);
  await example.page.waitForSelector("#till-lamp.on");
});

test("asks back before it acts, and knows what is answered", async () => {
  await say("unlock the shop door", /sure/u);
  expect(await example.page.textContent("#showroom-lock")).toContain("locked true");
  await say("yes", /unlock/u);
  await example.page.waitForSelector("#showroom-lock:has-text('locked false')");
});

test("is another panel in another room", async () => {
  await example.page.goto(`${example.shown.address}?at=sofa`);
  await example.page.waitForSelector("#loft-radio");
  await say("turn on the ceiling light", /ceiling light on/u);
  await example.page.waitForSelector("#loft-ceiling-light.on");
});
