import { join } from "node:path";
import { type Browser, type Page, chromium } from "playwright-core";
import { type PreviewServer, preview } from "vite";
import { afterAll, beforeAll, expect } from "vitest";

/** A built example, served, and a page that shows it. */
interface Shown {
  browser: Browser;
  page: Page;
  address: string;
  /** What went wrong on its pages. */
  mishaps: readonly string[];
  close: () => Promise<void>;
}

/** The system's Chromium, without a window. */
export function launchBrowser(): Promise<Browser> {
  return chromium.launch({
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
}

/** Serves a built example on loopback and opens it in the system's Chromium. */
async function showExample(name: string): Promise<Shown> {
  const root = join(import.meta.dirname, "../../examples", name);
  const server: PreviewServer = await preview({
    root,
    preview: { host: "127.0.0.1", port: 0 },
    logLevel: "silent",
  });
  const browser = await launchBrowser();
  const mishaps: string[] = [];
  /** Longest that anything on a page takes on a busy machine, in milliseconds. */
  const patience = 40_000;
  // A page's policy on scripts would hold for those of a test as well.
  const viewport = { width: 1280, height: 800 };
  const context = await browser.newContext({ viewport, bypassCSP: true });
  context.on("page", (page) => {
    page.on("pageerror", (error) => mishaps.push(error.message));
    page.on("console", (message) => {
      if (message.type() === "error") mishaps.push(message.text());
    });
  });
  context.setDefaultTimeout(patience);
  const page = await context.newPage();
  const bound = server.httpServer.address();
  if (typeof bound !== "object" || !bound) throw new Error("the page is not served");
  const address = `http://127.0.0.1:${bound.port}/`;
  await page.goto(address);
  const close = async (): Promise<void> => {
    await browser.close();
    await server.close();
  };
  return { browser, page, address, mishaps, close };
}

/** A built example for the tests of a file: opened before them, and without a mishap after them. */
export function exampleFor(name: string): { readonly page: Page; readonly shown: Shown } {
  let shown: Shown | undefined;
  beforeAll(async () => {
    shown = await showExample(name);
  });
  afterAll(async () => {
    await shown?.close();
    expect(shown?.mishaps).toEqual([]);
  });
  const there = (): Shown => {
    if (!shown) throw new Error("the example is there once tests begin");
    return shown;
  };
  return {
    get page() {
      return there().page;
    },
    get shown() {
      return there();
    },
  };
}
