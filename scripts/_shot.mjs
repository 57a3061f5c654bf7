import { chromium } from "playwright-core"; import { preview } from "vite";
const server = await preview({ root: "examples/workbench", preview: { host: "127.0.0.1", port: 0 }, logLevel: "silent" });
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox","--disable-gpu","--disable-background-networking","--disable-component-update","--disable-sync","--no-first-run"] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.on("pageerror", (e) => console.log("pageerror", e.message)); page.on("console", (m) => { if (m.type() === "error" || m.type()==="warning") console.log("console", m.text().slice(0,300)); });
let bytes = 0; page.on("response", async (r) => { try { if (r.url().includes("/assets/")) { } } catch {} });
await page.goto(`http://127.0.0.1:${server.httpServer.address().port}/`);
const shot = async (n) => { await page.waitForTimeout(500); await page.screenshot({ path: `/tmp/wb-${n}.png` }); };
const say = async (t) => { await page.fill("#phrase", t); await page.press("#phrase","Enter"); await page.waitForTimeout(400); };
const which = process.argv.slice(2);
await page.waitForSelector(".room");
if (which.includes("desk")) { await say("extractor to sixty percent"); await say("turn on the display lights"); await say("open the gate"); await say("extractor to half and turn off the spots"); await shot("desk"); await say("extractr to sixty"); await shot("desk-unknown"); }
if (which.includes("book")) { await page.keyboard.press("Alt+2"); await page.waitForSelector(".cm-content"); await page.waitForTimeout(1500); await page.click("text=intents.yaml"); await page.waitForTimeout(800); await page.click(".cm-line:nth-child(7)"); await page.waitForTimeout(800); await shot("book"); }
if (which.includes("suites")) { await page.keyboard.press("Alt+3"); await page.waitForSelector(".counts"); await shot("suites"); }
if (which.includes("day")) { await page.keyboard.press("Alt+4"); await page.waitForSelector(".axis"); await shot("day"); }
if (which.includes("dark")) { await page.keyboard.press("Alt+1"); await page.waitForSelector("#phrase"); await page.evaluate(() => { document.documentElement.dataset.look = "dark"; }); await say("turn on the display lights"); await shot("dark"); }
await browser.close(); await server.close();
