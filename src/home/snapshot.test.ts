import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import type { Effect } from "../commands/outcome.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { type LiveHome, openHome } from "./live.ts";
import type { DeviceResult } from "./ports.ts";
import type { HomeSnapshot } from "./snapshot.ts";

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `
code: "4711"
place: { latitude: 52.5, longitude: 1.7, timezone: Europe/London }
rooms: { shop: {}, yard: {} }
voicepoints: { till: { room: shop }, gate-post: { room: yard } }
people: { mara: {}, joss: {} }
devices:
  lamp: { kind: light, room: shop }
  fan: { kind: fan, room: shop }
  bell: { kind: button, room: shop }
  gate: { kind: gate, room: yard }
  siren: { kind: alarm, room: shop }
  stove: { kind: thermostat, room: shop }
  gauge: { kind: sensor, room: shop, properties: [humidity] }
routines:
  dry:
    triggers: [{ state: { gauge: { humidity: above 70 } }, lasting: 10m }]
    rest: 1h
    do: [{ set: { fan: { power: "on", speed: 60 } } }, { wait: 20m }, { set: { fan: { power: "off" } } }]
  evening:
    triggers: [{ time: "18:30" }, { sun: 10 minutes after sunset }]
    do: { set: { lamp: { power: "on" } } }
  away: { triggers: [{ presence: everyone away }], do: { set: { lamp: { power: "off" } } } }
  air:
    triggers: [{ phrase: air the shop }, { press: bell }]
    overlap: queue
    do:
      - ask: Shall I?
        answers: [{ hear: ["yes"], do: [{ wait: 5m }, { set: { fan: { power: "on" } } }] }]
`,
  },
]);

const began = Date.parse("2026-03-02T17:40Z") / 1000;

/** A home, the time that it lives in, and devices that do at once what they are asked. */
class Place {
  #now: number;
  #waiting: { at: number; act: () => void }[] = [];
  readonly orders: Effect[] = [];
  readonly home: LiveHome;

  constructor(
    now: number,
    from?: HomeSnapshot,
    order?: (effect: Effect) => DeviceResult | Promise<DeviceResult>,
  ) {
    this.#now = now;
    this.home = openHome(book, {
      time: {
        now: () => this.#now,
        after: (seconds, act) => {
          const timer = { at: this.#now + seconds, act };
          this.#waiting.push(timer);
          return () => (this.#waiting = this.#waiting.filter((each) => each !== timer));
        },
      },
      driver: {
        order: (effect) => {
          this.orders.push(effect);
          if (order) return order(effect);
          return "set" in effect ? { ok: true, values: effect.set } : undefined;
        },
      },
      ...(from === undefined ? {} : { from }),
    });
  }

  pass(seconds: number): void {
    const until = this.#now + seconds;
    for (;;) {
      const [next] = this.#waiting
        .filter(({ at }) => at <= until)
        .sort((one, other) => one.at - other.at);
      if (!next) break;
      this.#waiting = this.#waiting.filter((each) => each !== next);
      this.#now = Math.max(this.#now, next.at);
      next.act();
    }
    this.#now = until;
  }

  get time(): number {
    return this.#now;
  }

  say(text: string, at = "till"): void {
    void this.home.converse({ at }).say(text);
  }

  /** The same home somewhere else, by way of what can be kept in a file. */
  moved(): Place {
    const kept = JSON.parse(JSON.stringify(this.home.snapshot())) as HomeSnapshot;
    this.home.close();
    return new Place(this.#now, kept);
  }
}

type Happening = (place: Place) => void;
const happening: fc.Arbitrary<Happening> = fc.oneof(
  fc
    .constantFrom(
      "turn on the lamp",
      "turn it off",
      "turn off the fan in ten minutes",
      "lamp to 40 percent for half an hour",
      "open the gate",
      "yes",
      "no",
      "air the shop",
      "disarm the siren",
      "arm the siren",
      "4711",
      "1234",
      "undo that",
      "again",
      "set the stove to cool",
      "stove off",
      "turn on the stove",
      "hum a tune",
    )
    .chain((text) =>
      fc.constantFrom("till", "gate-post").map((at): Happening => (place) => {
        place.say(text, at);
      }),
    ),
  fc.integer({ min: 60, max: 80 }).map((humidity): Happening => (place) => {
    place.home.report("gauge", { humidity });
  }),
  fc
    .constantFrom<["mara" | "joss", "home" | "away"]>(
      ["mara", "away"],
      ["joss", "away"],
      ["mara", "home"],
      ["joss", "home"],
    )
    .map(([person, is]): Happening => (place) => {
      place.home.presence(person, is);
    }),
  fc.constant<Happening>((place) => {
    place.home.press("bell");
  }),
  fc.integer({ min: 1, max: 3000 }).map((seconds): Happening => (place) => {
    place.pass(seconds);
  }),
);

const log = ({ home }: Place, from = 0): unknown[] =>
  home
    .log()
    .slice(from)
    .map((entry) => entry);

test("a home that was moved goes on as one that was not, whatever happened", () => {
  const all = fc.array(happening, { maxLength: 12 });
  fc.assert(
    fc.property(all, all, (before, after) => {
      const stayed = new Place(began);
      const first = new Place(began);
      for (const each of before) for (const place of [stayed, first]) each(place);
      const moved = first.moved();
      expect(moved.orders).toEqual([]);
      expect(moved.home.states()).toEqual(stayed.home.states());
      const [was, is] = [stayed.home.log().length, moved.home.log().length];
      for (const place of [stayed, moved]) {
        for (const each of after) each(place);
        place.pass(7200);
      }
      expect(log(moved, is)).toEqual(log(stayed, was));
      expect(moved.home.states()).toEqual(stayed.home.states());
    }),
    { numRuns: 300 },
  );
});

describe("what is kept", () => {
  test("is small where nothing is on its way", () => {
    const place = new Place(began);
    for (let day = 0; day < 900; day++) {
      place.home.report("gauge", { humidity: 40 + (day % 20) });
      place.pass(60);
    }
    expect(place.home.snapshot().since).toEqual([]);
  });

  test("has the code in it nowhere", () => {
    const place = new Place(began);
    place.say("arm the siren");
    place.say("disarm the siren");
    place.say("4711");
    place.say("air the shop");
    expect(JSON.stringify(place.home.snapshot())).not.toContain("4711");
    expect(place.home.states()["siren"]).toEqual({ armed: "off" });
    expect(place.moved().home.states()["siren"]).toEqual({ armed: "off" });
  });

  test("can be read again, whatever was passed by mistake", () => {
    const place = new Place(began);
    const wrong = undefined as never;
    place.home.press(wrong);
    place.home.report("gauge", { humidity: NaN });
    place.home.report(wrong, wrong);
    place.home.presence("mara", wrong);
    place.say(wrong);
    void place.home.run("evening", { length: null, of: [1, "x"] } as never);
    place.say("turn off the lamp in ten minutes");
    expect(place.moved().home.states()).toEqual(place.home.states());
  });

  test("is no less where devices report while they are asked", () => {
    const place: Place = new Place(began, undefined, (effect) => {
      place.home.report("gauge", { humidity: 75 });
      return "set" in effect ? { ok: true, values: effect.set } : { ok: true };
    });
    place.say("turn off the fan in ten minutes");
    place.say("turn on the lamp");
    const moved = place.moved();
    expect(moved.home.states()).toEqual(place.home.states());
    // Ten minutes after sunset, and after ten minutes.
    moved.pass(700);
    expect(moved.orders.map(({ device }) => device)).toEqual(["lamp", "fan", "fan"]);
  });
});

test("an order that was never answered is asked again, and that is told", () => {
  const waiting = new Promise<DeviceResult>(() => undefined);
  const place = new Place(began, undefined, () => waiting);
  place.say("turn on the lamp");
  place.pass(4);
  const moved = place.moved();
  expect(moved.orders).toEqual([{ device: "lamp", set: { power: "on" } }]);
  const events = moved.home.log().map(({ event }) => event);
  expect(events).toContainEqual({ event: "repeated", what: "lamp" });
  expect(events).toContainEqual(
    expect.objectContaining({ event: "changed", device: "lamp", to: "on" }),
  );
});

describe("a home that was off for a while", () => {
  const after = (seconds: number, ...phrases: string[]): Place => {
    const place = new Place(began);
    for (const phrase of phrases) place.say(phrase);
    const kept = place.home.snapshot();
    place.home.close();
    const later = new Place(began + seconds, kept);
    later.pass(1);
    return later;
  };

  test("does what was due meanwhile", () => {
    const place = after(3600, "turn on the lamp", "turn off the lamp in ten minutes");
    expect(place.home.states()["lamp"]?.["power"]).toBe("off");
  });

  test("and passes over what clock and sun would have set off", () => {
    const place = after(2 * 86_400);
    expect(place.orders).toEqual([]);
    expect(place.home.log().map(({ event }) => event)).toContainEqual(
      expect.objectContaining({ event: "skipped", routine: "evening" }),
    );
    place.pass(86_400);
    expect(place.orders).toContainEqual({ device: "lamp", set: { power: "on" } });
  });
});

test.each([{}, "home", { version: 2 }, null, { version: 1, rest: {}, since: [] }])(
  "%j is no snapshot",
  (from) => {
    expect(() => new Place(began, from as HomeSnapshot)).toThrow(WrongUse);
  },
);
