import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { effectsOf } from "../commands/outcome.ts";
import { definePhrasebook } from "./define.ts";

describe("a definition in TypeScript", () => {
  test("tells its functions what their slots hold", () => {
    const book = readPhrasebook([
      definePhrasebook({
        rooms: { loft: {} },
        devices: { lamp: { kind: "light", room: "loft", properties: ["colour"] } },
        intents: {
          even: {
            patterns: "even out $target to $level [for $who]",
            slots: {
              target: { type: "target" },
              level: { type: "percent" },
              who: { type: "text", optional: true },
            },
            do({ slots }) {
              const ids: readonly string[] = slots.target;
              const level: number = slots.level;
              const who: string | undefined = slots.who;
              const brightness = who === undefined ? level : 100;
              return ids.map((id) => ({ set: { [id]: { brightness } } }));
            },
          },
          hello: { patterns: "hello there home", reply: "Hello." },
        },
      }),
    ]);
    const effects = (text: string) => effectsOf(book.hear(text));
    expect(effects("even out the lamp to 40")).toEqual([
      { device: "lamp", set: { brightness: 40 } },
    ]);
    expect(effects("even out the lamp to 40 for mara")).toEqual([
      { device: "lamp", set: { brightness: 100 } },
    ]);
  });

  test("is held against itself by the compiler, as far as it names things", () => {
    const wrong = [
      definePhrasebook({
        rooms: { loft: {} },
        // @ts-expect-error there is no such room in this call
        devices: { lamp: { kind: "light", room: "lofft" } },
      }),
      // @ts-expect-error a device has a kind
      definePhrasebook({ devices: { lamp: {} } }),
      // @ts-expect-error no key is called so
      definePhrasebook({ devices: { lamp: { kind: "light", rom: "loft" } } }),
      definePhrasebook({
        intents: {
          sum: {
            patterns: "sum $one",
            slots: { one: { type: "number" } },
            // @ts-expect-error there is no such slot
            do: ({ slots }) => [{ wait: `${slots.two}s` }],
          },
        },
      }),
      // @ts-expect-error no slot is of such a type
      definePhrasebook({ intents: { a: { patterns: "$b", slots: { b: { type: "weight" } } } } }),
    ];
    expect(wrong).toHaveLength(5);
  });

  test("may name rooms that other files have", () => {
    const defined = definePhrasebook({ devices: { lamp: { kind: "light", room: "loft" } } });
    expect(
      readPhrasebook([{ path: "a.yaml", text: "rooms: { loft: {} }" }, defined]).problems,
    ).toEqual([]);
  });
});
