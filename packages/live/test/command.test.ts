import { type ChildProcess, execFile, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { promisify } from "node:util";
import { expect, test } from "vitest";
import { freePort, text, tokens, until } from "./scene.ts";

const cli = join(import.meta.dirname, "../../../dist/cli.js");
const demo = join(import.meta.dirname, "../../../demo/oxbow-pottery");
const run = promisify(execFile);
const live = (...args: string[]) => run(process.execPath, [cli, "live", ...args]);

interface Started {
  child: ChildProcess;
  said: () => string;
}

async function start(...args: string[]): Promise<Started> {
  const child = spawn(process.execPath, [cli, "live", ...args], {
    stdio: ["ignore", "pipe", "inherit"],
  });
  let said = "";
  child.stdout.on("data", (part) => (said += String(part)));
  await until(() => said.endsWith("\n"), 20);
  return { child, said: () => said };
}

async function stop({ child }: Started): Promise<number | null> {
  const gone = once(child, "exit");
  child.kill("SIGTERM");
  const [code] = (await gone) as [number | null];
  return code;
}

test("a home is started, tells what is bound and open, is stopped, and goes on", async () => {
  const folder = mkdtempSync(join(tmpdir(), "calm-"));
  const port = await freePort();
  writeFileSync(join(folder, "home.yaml"), text.replace("port: 18999", `port: ${port}`));
  const [kept, log] = [join(folder, "kept"), join(folder, "home.log")];
  const args = ["--in", join(folder, "home.yaml"), "--keep", kept, "--log", log];
  const first = await start(...args, "--json");
  const report = JSON.parse(first.said()) as Record<string, unknown>;
  expect(report).toMatchObject({
    home: "A small shop",
    wentOn: false,
    unbound: ["spare"],
    connections: [
      { id: "broker", isThere: false, devices: 6 },
      { id: "web", isThere: true, devices: 3 },
    ],
    lacks: [{ what: "broker is not there" }],
  });
  const hear = (said: string) =>
    fetch(`http://127.0.0.1:${port}/hear`, {
      method: "POST",
      headers: { authorization: `Bearer ${tokens.all}`, "content-type": "application/json" },
      body: JSON.stringify({ text: said, session: "phone" }),
    }).then((answer) => answer.json());
  expect(await hear("unlock the door")).toMatchObject({ outcome: "confirm" });
  expect(await stop(first)).toBe(0);

  const second = await start(...args, "--page");
  expect(second.said()).toContain("goes on    from what was kept when it stopped");
  // What is told of the page comes after all else.
  const page = /page +http:\/\/127\.0\.0\.1:\d+\/try\/[\w-]{43}\n +until \d\d:\d\d/;
  await until(() => page.test(second.said()), 20);
  // The question of before is still open, and the lock is out of reach.
  expect(await hear("yes")).toMatchObject({ outcome: "act", failed: ["door"] });
  expect(await stop(second)).toBe(0);
  const numbers = readFileSync(log, "utf8").match(/"number":\d+/g) ?? [];
  expect(numbers).toEqual(numbers.map((_, at) => `"number":${at + 1}`));
});

test("a broker, a house and a home try the demo, and end", async () => {
  const { stdout } = await live("try", "--in", demo);
  expect(stdout).toContain("arrived: kiln-vent speed 60\n  says “extractor at 60 percent.”");
  expect(stdout).toContain("arrived: loft-heating target 21");
  expect(stdout).toContain("close-up starts: address closing");
});

test("a token and a key are printed once, with the line to write", async () => {
  const { stdout } = await live("token", "phone");
  expect(stdout).toMatch(/^[\w-]{43}\n\ndoors:\n {2}tokens:\n {4}phone: "sha256:[0-9a-f]{64}"\n$/);
  expect((await live("key", "tidy", "lamp")).stdout).toMatch(
    /^\/key\/[\w-]{43}\n\naddresses:\n {2}tidy:/,
  );
});

test("wrong use is told, and so is a phrasebook that is not in order", async () => {
  await expect(live("--bogus")).rejects.toMatchObject({ code: 2 });
  await expect(live("--in", "nowhere-at-all")).rejects.toMatchObject({ code: 2 });
  const folder = mkdtempSync(join(tmpdir(), "calm-"));
  writeFileSync(join(folder, "home.yaml"), "doors: { host: 0.0.0.0 }\n");
  await expect(live("--in", folder)).rejects.toMatchObject({
    code: 1,
    stderr: expect.stringContaining("0.0.0.0 is open to others without a token") as unknown,
  });

  // A port that somebody else has: told, and nothing is left running.
  const port = await freePort();
  const other = createServer();
  await new Promise<void>((resolve) => other.listen(port, "127.0.0.1", resolve));
  writeFileSync(join(folder, "home.yaml"), `doors: { port: ${port} }\n`);
  await expect(live("--in", folder)).rejects.toMatchObject({
    code: 2,
    stderr: expect.stringContaining("EADDRINUSE") as unknown,
  });
  await new Promise((resolve) => other.close(resolve));
});
