import { type ChildProcess, execFile, execFileSync, spawn } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { promisify } from "node:util";
import { afterAll, beforeAll, expect, test } from "vitest";
import { openDoors } from "../src/index.ts";
import { type Scene, freePort, scene, tokens, until } from "./scene.ts";

const run = promisify(execFile);
const folder = mkdtempSync(join(tmpdir(), "calm-"));
let broker: ChildProcess;
let home: Scene;
let url: string;

/** A broker of somebody else's, with a login. */
async function startOther(port: number): Promise<ChildProcess> {
  const conf = join(folder, "broker.conf");
  const passwords = join(folder, "passwords");
  writeFileSync(passwords, "");
  execFileSync("mosquitto_passwd", ["-b", passwords, "shop", "kept"]);
  const user = process.getuid?.() === 0 ? "user root\n" : "";
  writeFileSync(conf, `listener ${port} 127.0.0.1\npassword_file ${passwords}\n${user}`);
  const started = spawn("mosquitto", ["-c", conf], {
    env: { ...process.env, PATH: `${process.env["PATH"] ?? ""}:/usr/sbin` },
    stdio: "ignore",
  });
  await new Promise((resolve) => setTimeout(resolve, 500));
  return started;
}

beforeAll(async () => {
  const port = await freePort();
  broker = await startOther(port);
  url = `mqtt://127.0.0.1:${port}`;
  home = await scene({
    broker: url,
    login: "shop:kept",
    logins: { BROKER: "shop:kept" },
    change: (text) =>
      text.replace('"mqtt://127.0.0.1:1" }', '"mqtt://127.0.0.1:1", login: BROKER }'),
  });
});
afterAll(async () => {
  await home.close();
  broker.kill();
});

const curl = async (...args: string[]): Promise<unknown> => {
  const { stdout } = await run("curl", ["-s", ...args]);
  return JSON.parse(stdout) as unknown;
};
const asJson = (body: unknown): string[] => [
  ...["-H", `authorization: Bearer ${tokens.all}`, "-H", "content-type: application/json"],
  ...["-d", JSON.stringify(body)],
];

test("a broker and a client that are not ours", async () => {
  const answer = await curl(`${home.door.url}/hear`, ...asJson({ text: "turn on the lamp" }));
  expect(answer).toMatchObject({ outcome: "act", reply: "lamp on.", failed: [] });
  expect(home.house.states()["lamp"]).toMatchObject({ power: "on" });
  expect(await curl(`${home.door.url}/call/tidy`, ...asJson({}))).toMatchObject({ called: true });
  expect(home.house.states()["lamp"]).toMatchObject({ power: "off" });
  expect(await curl(`${home.door.url}/key/${tokens.key}`)).toMatchObject({ called: true });
});

test("a broker that goes and comes back", async () => {
  const port = Number(new URL(url).port);
  broker.kill();
  await until(() => home.live.connections.states()[0]?.isThere === false);
  const gone = await home.live.home.converse().say("turn on the fan");
  expect(gone.reply).toBe("fan did not answer.");
  broker = await startOther(port);
  await until(() => home.live.connections.states()[0]?.isThere === true, 10);
  // What could not go out then does not go out now.
  expect(home.house.orders().filter((order) => order === "fan power on")).toEqual([]);
  await until(() => home.house.states()["fan"]?.["power"] === "off");
  await new Promise((resolve) => setTimeout(resolve, 1500));
  expect((await home.live.home.converse().say("turn on the fan")).reply).toBe("fan on.");
});

test("a door with TLS", async () => {
  const [key, certificate] = [join(folder, "key.pem"), join(folder, "cert.pem")];
  const subject = ["-subj", "/CN=localhost", "-addext", "subjectAltName=DNS:localhost"];
  execFileSync(
    "openssl",
    [
      "req",
      "-x509",
      "-newkey",
      "rsa:2048",
      "-nodes",
      "-days",
      "2",
      "-keyout",
      key,
      "-out",
      certificate,
      ...subject,
    ],
    { stdio: "ignore" },
  );
  const { doors } = home.book;
  if (!doors) throw new Error("no doors");
  const door = await openDoors(home.live, { ...doors, port: 0, tls: { certificate, key } });
  const own = door.url.replace("127.0.0.1", "localhost");
  expect(own).toMatch(/^https:/);
  expect(await curl("--cacert", certificate, `${own}/health`)).toEqual({ ok: true });
  await expect(run("curl", ["-s", `${own}/health`])).rejects.toThrow();
  await door.close();
});
