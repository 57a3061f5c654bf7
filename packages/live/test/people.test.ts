import { afterEach, describe, expect, test } from "vitest";
import { printEvent } from "calm-phrase";
import { startBroker } from "../src/index.ts";
import { connectBroker } from "../src/broker.ts";
import { type Scene, type SceneOptions, scene, text, until } from "./scene.ts";

/** A shop of two people, with a second broker and something that is asked at intervals. */
const shop = text
  .replace(
    "routines:",
    `people: { ann: { name: Ann }, bo: { name: Bo } }
contacts:
  ann:
    over: broker
    presence: { from: shop/$person/place, at: /is, is: in the shop }
    notify: { to: shop/$person/news, json: { says: $value, tag: $tag } }
  bo: { over: web, presence: { from: people/bo, every: 1s }, notify: { to: tell/bo } }
routines:
  empty:
    triggers: [{ presence: everyone away }]
    do: { set: { lamp: { power: "off" } } }
  news:
    triggers: [{ phrase: tell ann }]
    do:
      - try: [{ notify: ann, text: "It costs $value.", tag: shop }]
        failed: [{ say: Ann cannot be told. }]
  both: { triggers: [{ phrase: tell both }], do: { notify: [ann, bo], text: Tea. } }
  out: { triggers: [{ phrase: send it }], do: { send: { over: second, to: far/away, text: gone } } }
  hook: { triggers: [{ phrase: ring it }], do: { send: { over: web, to: hooks/ring, text: $value } } }`,
  )
  .replace("connections:", `connections:\n  second: { url: "mqtt://127.0.0.1:2" }`)
  .replace(
    "sources:",
    `sources:
  board: { tells: { line: { type: string, default: nothing } }, over: web, report: { from: board, every: 1s } }`,
  );

const open: (() => unknown)[] = [];
afterEach(async () => {
  for (const close of open.splice(0).reverse()) await close();
});

async function people(options: SceneOptions = {}): Promise<Scene> {
  const second = await startBroker();
  open.push(() => second.close());
  const others = { second: second.url, ...options.others };
  const home = await scene({ change: () => shop, ...options, others });
  open.push(() => home.close());
  return home;
}

const say = async ({ live }: Scene, phrase: string) =>
  live.home.converse({ at: "till" }).say(phrase);
const told = ({ live }: Scene): string[] => live.home.log().map(({ event }) => printEvent(event));

describe("people", () => {
  test("the home of these tests is in order but for a message that may go to two brokers", async () => {
    const { book } = await people();
    expect(book.problems).toMatchObject([{ rule: "which-broker", severity: "warning" }]);
  });

  test("are at home or away as a broker or a web service tells", async () => {
    const home = await people();
    home.live.home.report("lamp", { power: "on" });
    home.house.set("lamp", { power: "on" });
    home.house.presence("ann", "away");
    await until(() => told(home).includes("ann is away"));
    expect(told(home)).not.toContain("empty starts: everyone is away");
    home.house.presence("bo", "away");
    await until(() => home.house.states()["lamp"]?.["power"] === "off");
    home.house.presence("ann", "home");
    await until(() => told(home).includes("ann is home"));
  });

  test("are told things over what reaches them, with the tag and nothing filled into the text", async () => {
    const home = await people();
    const heard: string[] = [];
    const listener = connectBroker({ url: home.broker });
    open.push(() => listener.close());
    listener.listen("shop/ann/news", (message) => heard.push(message));
    await listener.ready();
    await say(home, "tell ann");
    await until(() => heard.length > 0);
    expect(heard.map((each): unknown => JSON.parse(each))).toEqual([
      { says: "It costs $value.", tag: "shop" },
    ]);
    expect(told(home)).toContain("told ann “It costs $value.” [shop]");
    const turn = await say(home, "tell both");
    expect(home.house.orders()).toContain("bo notify Tea.");
    expect(turn.performed.failed).toEqual([]);
  });

  test("who cannot be told is a step that failed", async () => {
    const lost = await startBroker();
    const home = await people({ broker: lost.url });
    await lost.close();
    await until(() => home.live.connections.states().some(({ isThere }) => !isThere));
    const turn = await say(home, "tell ann");
    expect(turn.reply).toBe("Ann cannot be told.");
    expect(told(home).some((line) => line.startsWith("ann was not told"))).toBe(true);
  });
});

describe("messages out", () => {
  test("go over the connection that is written", async () => {
    const second = await startBroker();
    open.push(() => second.close());
    const home = await people({ others: { second: second.url } });
    const heard: string[] = [];
    const listener = connectBroker({ url: second.url });
    open.push(() => listener.close());
    listener.listen("far/away", (message) => heard.push(message));
    await listener.ready();
    await say(home, "send it");
    await until(() => heard.length > 0);
    expect(heard).toEqual(["gone"]);
    expect(told(home)).toContain("sent to far/away “gone”");
  });

  test("that no path takes have failed, and are told so", async () => {
    const home = await people();
    expect((await say(home, "ring it")).reply).toBe("Not all of that could be done.");
    expect(told(home)).toContain("not sent to hooks/ring: it answers 404");
  });
});

test("what is asked at intervals is known without being asked", async () => {
  const home = await people();
  home.house.set("board", { line: "closed at noon" });
  await until(() => home.live.home.states()["board"]?.["line"] === "closed at noon");
  expect((await say(home, "what is the board")).reply).toBe("closed at noon");
  home.house.fault("board", { fault: "offline" });
  expect((await say(home, "what is the line of the board")).reply).toContain("closed at noon");
});

test("what is asked for when somebody wants to know is asked before it is told", async () => {
  const home = await people();
  home.house.set("weather", { sky: "rain", high: 9 });
  expect((await say(home, "what is the high of the weather")).reply).toBe("weather: high 9 °C.");
  home.house.fault("weather", { fault: "offline" });
  expect((await say(home, "what is the high of the weather")).reply).toBe(
    "weather did not answer.",
  );
});
