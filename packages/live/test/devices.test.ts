import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { printEvent } from "calm-phrase";
import { type Scene, scene, until } from "./scene.ts";

let home: Scene;
beforeEach(async () => {
  home = await scene();
});
afterEach(async () => {
  await home.close();
});

const say = async (text: string) => home.live.home.converse({ at: "till" }).say(text);
const told = (): string[] => home.live.home.log().map(({ event }) => printEvent(event));

test("the home of these tests is in order", () => {
  expect(home.book.problems).toEqual([]);
});

describe("devices over both protocols", () => {
  test.each([
    ["turn on the lamp", "lamp", { power: "on" }, "lamp on."],
    ["set the lamp to 41 percent", "lamp", { brightness: 41 }, "lamp at 41 percent."],
    ["make the lamp red", "lamp", { colour: "#ff0000" }, "lamp in red."],
    ["unlock the door", "door", undefined, "Are you sure?"],
    ["set the stove to 21.5 degrees", "stove", { target: 21.5 }, "stove at 21.5 degrees."],
  ])("%s", async (phrase, device, state, reply) => {
    const turn = await say(phrase);
    expect(turn.reply).toBe(reply);
    expect(turn.performed.failed).toEqual([]);
    if (state === undefined) return;
    expect(home.house.states()[device]).toMatchObject(state);
    expect(home.live.home.states()[device]).toMatchObject(state);
  });

  test("what moves is on its way, and told once it is there", async () => {
    home.live.home.report("blind", { position: 95 });
    home.house.set("blind", { position: 95 });
    expect((await say("open the blind")).performed.changes).toEqual([
      { device: "blind", property: "position", from: 95, to: 100 },
    ]);
    expect(home.live.home.states()["blind"]).toMatchObject({ position: 95 });
    await until(() => home.live.home.states()["blind"]?.["position"] === 100);
  });

  test("a hand at the switch, a sensor and a button are told, and set routines off", async () => {
    home.house.set("lamp", { power: "on" });
    await until(() => home.live.home.states()["lamp"]?.["power"] === "on");
    home.house.set("gauge", { humidity: 80, temperature: 18.5 });
    await until(() => home.house.states()["fan"]?.["power"] === "on");
    expect(home.live.home.states()["gauge"]).toEqual({ humidity: 80, temperature: 18.5 });
    home.house.press("bell");
    await until(() => told().includes("tidy ends"));
    expect(told()).toContain("sent to mqtt:shop/tidied “done”");
    expect(home.house.states()).toMatchObject({ lamp: { power: "off" }, fan: { power: "off" } });
  });
});

describe("a reply is true", () => {
  test("of a device that is not there", async () => {
    home.house.fault("fan", { fault: "offline" });
    await until(() => home.live.reach.away().includes("fan"));
    const turn = await say("turn on the fan");
    expect(turn).toMatchObject({ reply: "fan did not answer.", performed: { failed: ["fan"] } });
    home.house.fault("fan", undefined);
    await until(() => home.live.reach.away().length === 0);
    expect((await say("turn on the fan")).reply).toBe("fan on.");
  });

  test("of one that fails, one that lies and one that is silent", async () => {
    home.house.fault("fan", { fault: "fails", times: "always" });
    expect((await say("turn on the fan")).reply).toBe("fan did not answer.");
    home.house.fault("fan", { fault: "lies" });
    expect((await say("turn on the fan")).reply).toBe("fan did not answer.");
    expect(home.live.home.states()["fan"]).toMatchObject({ power: "off" });
    home.house.fault("stove", { fault: "offline" });
    expect((await say("set the stove to 21 degrees")).reply).toBe("stove did not answer.");
    expect((await say("turn on the spare")).reply).toBe("spare did not answer.");
  });

  test("of one that is late, and one that repeats itself", async () => {
    home.house.fault("fan", { fault: "late", seconds: 0.4 });
    expect((await say("turn on the fan")).reply).toBe("fan on.");
    // Too late to be an answer: what it tells then is its state all the same.
    home.house.fault("fan", { fault: "late", seconds: 1.5 });
    expect((await say("turn off the fan")).reply).toBe("fan did not answer.");
    await until(() => home.live.home.states()["fan"]?.["power"] === "off");
    home.house.fault("fan", { fault: "repeats" });
    const before = told().length;
    expect((await say("turn on the fan")).reply).toBe("fan on.");
    await until(() => told().length >= before + 4);
    expect(told().filter((each) => each === "fan power: off → on")).toHaveLength(2);
  });

  test("of one that rounds", async () => {
    home.house.fault("fan", { fault: "rounds", to: 50 });
    expect((await say("set the fan to 60 percent")).reply).toBe("fan: speed 50 %.");
    expect(home.live.home.states()["fan"]).toMatchObject({ speed: 50 });
  });

  test("of steps: the branch for what failed runs, and the end says so", async () => {
    home.house.set("lamp", { power: "on" });
    home.house.fault("fan", { fault: "fails", times: "always" });
    await until(() => home.live.home.states()["lamp"]?.["power"] === "on");
    home.house.set("fan", { power: "on" });
    await until(() => home.live.home.states()["fan"]?.["power"] === "on");
    await say("tidy up");
    await until(() => told().some((each) => each.startsWith("tidy ends")));
    expect(told()).toContain("said “The fan stays on.” (till)");
  });
});

describe("a source", () => {
  test("is asked when somebody asks for it, and answered truly", async () => {
    home.house.set("weather", { sky: "rain", high: 9 });
    expect((await say("what is the weather")).reply).toBe("rain, up to 9 degrees.");
    expect((await say("what is the high of the weather")).reply).toBe("weather: high 9 °C.");
    home.house.fault("weather", { fault: "offline" });
    expect((await say("what is the weather")).performed.failed).toEqual(["weather"]);
  });
});

describe("what a device tells that cannot be", () => {
  test("is noted, and changes nothing", async () => {
    const before = home.live.home.states();
    for (const [topic, payload] of [
      ["shop/lamp/power", "MAYBE"],
      ["shop/lamp/brightness", "bright"],
      ["shop/lamp/brightness", "1e99"],
      ["shop/lamp/colour", "[1,2]"],
      ["shop/fan/speed", "-5"],
      ["shop/door/locked", '{"deep":{"er":1}}'],
      ["shop/gauge/humidity", "\u0000\u001b[31m"],
      ["shop/gauge/humidity", "x".repeat(70_000)],
    ] as const) {
      await home.live.connections
        .brokerOf("broker")
        ?.publish({ topic, text: payload, retain: false, quality: 1, within: 1 });
    }
    await until(() => home.logged().filter(({ event }) => event === "unread").length === 7);
    expect(home.live.home.states()).toEqual(before);
  });
});
