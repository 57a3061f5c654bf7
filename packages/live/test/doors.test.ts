import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { request } from "node:http";
import { connect } from "node:net";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type Scene, scene, tokens, until } from "./scene.ts";

let home: Scene;
beforeAll(async () => {
  home = await scene();
});
afterAll(async () => {
  await home.close();
});

/** A request with headers that fetch would not send. */
function raw(path: string, headers: Record<string, string>, method = "GET"): Promise<number> {
  return new Promise((resolve, reject) => {
    const asked = request(home.door.url + path, { method, headers }, ({ statusCode = 0 }) => {
      resolve(statusCode);
    });
    asked.on("error", reject);
    asked.end();
  });
}

const bearer = { authorization: `Bearer ${tokens.all}` };

describe("phrases over HTTP", () => {
  test("come to outcome, effects and reply, and on request to the why", async () => {
    const { status, body } = await home.ask("/hear", { body: { text: "fan to 40 percent" } });
    expect(status).toBe(200);
    expect(body).toMatchObject({
      outcome: "act",
      told: "fan { speed: 40 }",
      reply: "fan at 40 percent.",
      effects: [{ device: "fan", set: { speed: 40 } }],
      changes: [{ device: "fan", property: "speed", from: 0, to: 40 }],
      failed: [],
    });
    expect(body).not.toHaveProperty("why");
    const why = await home.ask("/hear", { body: { text: "fan to 40 percent", why: true } });
    expect(why.body["why"]).toMatchObject({ words: expect.any(Array) as unknown });
  });

  test("have a memory for each session, and the guards of devices", async () => {
    const hear = async (text: string, session: string) =>
      (await home.ask("/hear", { body: { text, session } })).body["outcome"];
    expect(await hear("unlock the door", "one")).toBe("confirm");
    expect(await hear("yes", "two")).toBe("unknown");
    expect(home.house.states()["door"]).toEqual({ locked: true });
    expect(await hear("yes", "one")).toBe("act");
    expect(home.house.states()["door"]).toEqual({ locked: false });
  });

  test.each([
    ["no text", {}],
    ["a text that is none", { text: 7 }],
    ["a longer one than anybody says", { text: "x".repeat(501) }],
    ["more than belongs there", { text: "hello", grant: "all" }],
    ["a voicepoint that there is not", { text: "hello", at: "nowhere" }],
    ["a language that is not spoken", { text: "hello", language: "xx" }],
    ["no JSON", "{"],
    ["too much", JSON.stringify({ text: "x".repeat(10_000) })],
  ])("tell what is wrong with %s", async (_, body) => {
    const { status, body: told } = await home.ask("/hear", { body });
    expect([400, 413]).toContain(status);
    expect(told).toHaveProperty("wrong");
  });
});

test("a phrase over MQTT is answered at its voicepoint", async () => {
  const broker = home.live.connections.brokerOf("broker");
  const said: unknown[] = [];
  broker?.listen("voice/till/said", (text) => said.push(JSON.parse(text)));
  await broker?.ready();
  const message = { topic: "voice/till/heard", retain: false, quality: 1, within: 1 } as const;
  await broker?.publish({ ...message, text: "turn on the fan" });
  await until(() => said.length === 1);
  expect(said).toEqual([{ text: "fan on.", time: expect.any(String) as unknown }]);
  await broker?.publish({ ...message, text: '{"text":"turn off the fan","language":"en"}' });
  await until(() => said.length === 2);
});

describe("addresses", () => {
  test("are called with a token, and tell what happened", async () => {
    const { status, body } = await home.ask("/call/tidy", { body: {} });
    expect(status).toBe(200);
    expect(body).toMatchObject({ called: true, reply: "Tidied.", failed: [] });
    expect(body["told"]).toContain("tidy starts: address tidy");
    expect(home.logged()).toContainEqual(
      expect.objectContaining({ event: "called", address: "tidy", by: "all", failed: [] }),
    );
  });

  test("take their slots, and ask to be sure where they are guarded", async () => {
    const call = async (body: unknown) => (await home.ask("/call/warm", { body })).status;
    expect(await call({ slots: { level: 21 } })).toBe(403);
    expect(await call({ slots: { level: 30 }, confirm: true })).toBe(400);
    expect(await call({ slots: { other: 21 }, confirm: true })).toBe(400);
    expect(await call({ slots: { level: 21 }, confirm: "true" })).toBe(400);
    expect(await call({ slots: { level: 21 }, confirm: true })).toBe(200);
    expect(home.house.states()["stove"]).toMatchObject({ target: 21 });
  });

  test("are all that is reachable, and by a key one of them alone", async () => {
    for (const path of ["/call/damp", "/call/power-on", "/call/__proto__", "/call/", "/call/%00"]) {
      expect((await home.ask(path, { body: {} })).status).toBe(404);
    }
    expect((await home.ask(`/key/${tokens.key}`, { token: "" })).body).toMatchObject({
      called: true,
    });
    expect(home.logged()).toContainEqual(
      expect.objectContaining({ event: "called", address: "tidy", by: "key old-phone" }),
    );
    expect((await home.ask("/key/another", { token: "" })).status).toBe(404);
    // A key is no token.
    expect((await home.ask("/call/tidy", { token: tokens.key, body: {} })).status).toBe(401);
  });
});

describe("who may ask", () => {
  const asked = [
    ["/hear", "hear"],
    ["/call/tidy", "call"],
    ["/metrics", "follow"],
    ["/states", "follow"],
    ["/events", "follow"],
  ] as const;

  test.each(asked)("%s: nobody without a token that is good for it", async (path, right) => {
    const body = right === "follow" ? undefined : { text: "turn on the lamp" };
    for (const token of ["", "wrong", `${tokens.all}x`, "Bearer", "a".repeat(5000)]) {
      expect([401, 431]).toContain((await home.ask(path, { token, body })).status);
    }
    const others = [tokens.follow, tokens.hear].filter((token) => !token.endsWith(right));
    for (const token of others) expect((await home.ask(path, { token, body })).status).toBe(403);
  });

  test("every route but health and keys needs a token, and there is no other", async () => {
    const open = home.door.routes.filter(({ needs }) => !needs.startsWith("a token"));
    expect(open.map(({ method, path, needs }) => `${method} ${path} needs ${needs}`)).toEqual([
      "GET /health needs nothing",
      "GET,POST /key/:key needs a key",
    ]);
    for (const path of ["/", "/try", "/page", "/docs", "/.env", "/hear/", "//hear", "/HEAR"]) {
      for (const method of ["GET", "POST", "PUT", "DELETE", "OPTIONS", "TRACE"]) {
        expect(await raw(path, {}, method)).toBeGreaterThanOrEqual(400);
      }
    }
  });

  test("only what calls the home by its name, and pages that it knows", async () => {
    expect(await raw("/states", { ...bearer, host: "evil.example" })).toBe(421);
    expect(await raw("/states", { ...bearer, host: "127.0.0.1.evil.example" })).toBe(421);
    expect(await raw("/states", { ...bearer, host: "shop.example:8437" })).toBe(200);
    expect(await raw("/states", { ...bearer, origin: "https://evil.example" })).toBe(403);
    expect(await raw("/states", { ...bearer, origin: "null" })).toBe(403);
    expect(await raw("/states", { ...bearer, origin: "https://panel.example" })).toBe(200);
  });

  test("it listens on this machine alone, where the report says and nowhere else", () => {
    const listening = execFileSync("ss", ["-Hltnp"], { encoding: "utf8" })
      .split("\n")
      .filter((line) => line.includes(`pid=${process.pid},`))
      .map((line) => line.trim().split(/\s+/)[3] ?? "");
    const named = [home.door.url, home.broker, ...Object.values(home.house.urls)].map(
      (url) => new URL(url).host,
    );
    expect(listening.sort()).toEqual(named.sort());
    expect(named.every((host) => host.startsWith("127.0.0.1:"))).toBe(true);
  });
});

describe("what is told to whom", () => {
  test("events are streamed as they happen", async () => {
    const stream = await fetch(`${home.door.url}/events`, { headers: bearer });
    expect(stream.headers.get("content-type")).toBe("text/event-stream");
    const reader = stream.body?.getReader();
    let text = "";
    await home.ask("/hear", { body: { text: "turn on the lamp" } });
    while (!text.includes("event: said")) {
      const read = await reader?.read();
      if (read?.value instanceof Uint8Array) text += new TextDecoder().decode(read.value);
    }
    await reader?.cancel();
    const events = [...text.matchAll(/^event: (\w+)\ndata: (.*)$/gm)];
    expect(events.map(([, event]) => event)).toEqual(["heard", "understood", "changed", "said"]);
    expect(JSON.parse(events[2]?.[2] ?? "")).toMatchObject({ device: "lamp", to: "on" });
  });

  test("health says no more than that it is well; metrics are counted", async () => {
    expect((await home.ask("/health", { token: "" })).body).toEqual({ ok: true });
    const { body } = await home.ask("/metrics");
    expect(body["text"]).toMatch(/^calm_phrase_heard_seconds_count\{outcome="act"\} \d+$/m);
    expect(body["text"]).toMatch(/^calm_phrase_refused_requests_total\{why="token"\} \d+$/m);
  });

  test("no code, no token and no key stands in the log, and no control character raw", async () => {
    for (const said of ["4711", "four seven one one", "\u001b[31mturn on\u0007 the lamp\u0000"]) {
      await home.ask("/hear", { body: { text: said } });
    }
    const text = readFileSync(home.log, "utf8");
    for (const secret of ["4711", "four seven", ...Object.values(tokens)]) {
      expect(text).not.toContain(secret);
    }
    // eslint-disable-next-line no-control-regex
    expect(text).not.toMatch(/[\u0000-\u0009\u000b-\u001f\u007f]/);
  });
});

/** Requests and messages that cannot be meant. */
const tries = Number(process.env["MALFORMED"] ?? 400);

describe("what cannot be meant", () => {
  const noise = (at: number): string =>
    String.fromCharCode(...Array.from({ length: 60 }, (_, i) => (at * 7919 + i * i * 31) % 256));

  test("is turned away, and the home is as it was", async () => {
    const before = JSON.stringify(home.live.home.states());
    const port = Number(new URL(home.door.url).port);
    const broker = home.live.connections.brokerOf("broker");
    const topics = ["voice/till/heard", "shop/fan/power", "shop/lamp/colour", "gate/is"];
    const send = async (at: number): Promise<void> => {
      if (at % 2 === 0) {
        const topic = topics[(at / 2) % topics.length] ?? "";
        const message = { topic, text: `{"x":${noise(at)}`, retain: false, quality: 1 } as const;
        await broker?.publish({ ...message, within: 5 });
        return;
      }
      const lines = [
        noise(at),
        `POST /hear HTTP/1.1\r\nhost: localhost\r\n${noise(at)}\r\n\r\n`,
        `POST /call/tidy HTTP/1.1\r\nhost: localhost\r\ncontent-length: ${at}\r\n\r\n${noise(at)}`,
        `GET /${encodeURIComponent(noise(at))} HTTP/1.1\r\nhost: localhost\r\n\r\n`,
      ];
      await new Promise<void>((resolve) => {
        const socket = connect(port, "127.0.0.1", () => {
          socket.end(lines[((at - 1) / 2) % lines.length] ?? "", "latin1");
        });
        socket.on("error", () => undefined);
        socket.on("data", () => undefined);
        socket.on("close", () => {
          resolve();
        });
      });
    };
    const heap = (): number => process.memoryUsage().heapUsed / 1e6;
    for (let at = 0; at < tries / 2; at++) await send(at);
    const half = heap();
    for (let at = tries / 2; at < tries; at++) await send(at);
    expect(heap() - half).toBeLessThan(60);
    expect(JSON.stringify(home.live.home.states())).toBe(before);
    expect((await home.ask("/health", { token: "" })).body).toEqual({ ok: true });
  }, 1_200_000);

  test("more than anybody asks is slowed down", async () => {
    const slow = await scene();
    await slow.door.close();
    const { openDoors } = await import("../src/index.ts");
    if (!slow.book.doors) throw new Error("no doors");
    const door = await openDoors(slow.live, { ...slow.book.doors, port: 0 }, { rate: 1 });
    const statuses: number[] = [];
    for (let turn = 0; turn < 15; turn++) {
      statuses.push((await fetch(`${door.url}/health`)).status);
    }
    expect(statuses.filter((status) => status === 429)).toHaveLength(5);
    await door.close();
    await slow.live.close();
    await slow.house.close();
  });
});
