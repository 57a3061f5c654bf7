import { expect, test } from "vitest";
import { startLive } from "../src/index.ts";
import { scene, until } from "./scene.ts";

test("a home in the shadow does nothing, and tells what it would have done beside what was", async () => {
  const home = await scene();
  const shadow = await startLive(home.book, {
    shadow: true,
    urls: { broker: home.broker, ...home.house.urls },
  });
  const heard = () => shadow.home.log().filter(({ event }) => event.event === "understood").length;
  const changed = (power: string) => () => shadow.home.states()["fan"]?.["power"] === power;
  const broker = home.live.connections.brokerOf("broker");
  const said: string[] = [];
  broker?.listen("voice/till/said", (text) => said.push(text));
  await broker?.ready();
  const say = async (text: string): Promise<void> => {
    const before = heard();
    const topic = "voice/till/heard";
    await broker?.publish({ topic, text, retain: false, quality: 1, within: 1 });
    await until(() => heard() > before);
  };
  await say("turn on the fan");
  await until(changed("on"));
  await until(() => said.length === 1);
  expect(home.house.orders()).toEqual(["fan power on"]);
  expect(shadow.shadow?.end()).toEqual([
    {
      text: "turn on the fan",
      would: { "fan power": "on" },
      done: { "fan power": "on" },
      verdict: "same",
    },
  ]);
  home.house.fault("fan", { fault: "fails", times: "always" });
  await say("turn off the fan");
  await until(() => said.length === 2);
  await say("is the fan on");
  expect(
    shadow.shadow
      ?.end()
      .slice(1)
      .map(({ done, verdict }) => [done, verdict]),
  ).toEqual([
    [{}, "other"],
    [{}, "neither"],
  ]);
  await shadow.close();
  await home.close();
});
