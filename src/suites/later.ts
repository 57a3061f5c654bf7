import { printWhen } from "../commands/describe.ts";
import type { Heard } from "../commands/outcome.ts";
import type { Deed } from "../home/scene.ts";
import type { CaseHome } from "../home/simulated/simulate.ts";
import type { State } from "../model/property.ts";
import { doneBy, isDone, printDone, printExpected } from "./effect.ts";
import type { CommandExpectation, Expectation } from "./expectation.ts";
import { type Check, effectsExpected } from "./judge.ts";
import { given } from "../source/given.ts";

/** Something that is to be done or undone later, which is judged once its time has come. */
export interface Later {
  /** Seconds since the home began. */
  due: number;
  judge: () => void;
}

/**
 * What an utterance with a when has still to come to: each effect at its time, nothing else, and
 * what is to last a while back again after it.
 *
 * @param said When it was said, in seconds since the home began, and the states before it.
 */
export function expectLater(
  expect: Expectation,
  heard: Heard,
  { home, now, before }: { home: CaseHome; now: number; before: (device: string) => State },
  check: Check,
): Later[] {
  const effects = effectsExpected(expect);
  if (heard.outcome !== "act" || !effects.some(({ when }) => when)) return [];
  const until = (point: string): number => home.elapsed() + home.secondsUntil(point);
  const mine = (): readonly Deed[] => home.deeds().filter(({ cause }) => cause.heard === heard);
  const begun = effects.map((effect) => {
    const { when = {} } = effect;
    const start = when.at === undefined ? now + (when.in ?? 0) : until(when.at);
    const last = when.until === undefined ? undefined : until(when.until);
    const end = when.for === undefined ? last : start + when.for;
    return { effect, start, ...given({ end }) };
  });
  const lasting = begun.flatMap(({ effect, end }) => (end === undefined ? [] : [{ effect, end }]));
  const last = Math.max(...begun.map(({ start }) => start));
  const isNear = (deed: Deed, instant: number): boolean => Math.abs(deed.elapsed - instant) < 1;
  const isBack = (deed: Deed): boolean => lasting.some(({ end }) => isNear(deed, end));
  const starts = [...new Set(begun.map(({ start }) => start))];
  return [
    // What is done at one moment may be undone at another.
    ...starts.map((start): Later => {
      const judge = (): void => {
        const own = begun.filter((each) => each.start === start).map(({ effect }) => effect);
        const devices = new Set(own.flatMap(({ set }) => [...(set?.keys() ?? [])]));
        // Something else may end when this begins.
        const isOther = (deed: Deed): boolean => isBack(deed) && !devices.has(deed.effect.device);
        const done = doneBy(mine().filter((deed) => isNear(deed, start) && !isOther(deed)));
        const isSo = isDone(own, done, expect.also === undefined);
        check("effect", isSo, printExpected(own, expect.also), printDone(done, own));
      };
      return { due: start, judge };
    }),
    {
      due: last,
      judge: () => {
        if (expect.also !== undefined) return;
        const isMeant = (deed: Deed): boolean =>
          isBack(deed) || starts.some((start) => isNear(deed, start));
        const more = mine().filter((deed) => !isMeant(deed));
        const told = printDone(doneBy(more), effects);
        check("effect", more.length === 0, printExpected(effects), told);
      },
    },
    ...lasting.map(({ effect, end }): Later => {
      return {
        due: end,
        judge: () => {
          judgeBack(
            effect,
            mine().filter((deed) => isNear(deed, end)),
            before,
            check,
          );
        },
      };
    }),
  ];
}

/** What lasts a while ends as it was before. */
function judgeBack(
  { set = new Map(), when = {} }: CommandExpectation,
  deeds: readonly Deed[],
  before: (device: string) => State,
  check: Check,
): void {
  for (const [device, properties] of set) {
    for (const property of Object.keys(properties)) {
      const wanted = before(device)[property];
      const value = deeds.find(({ effect }) => effect.device === device)?.values[property];
      const what = `${device} ${property} ${printWhen(when)}, and then`;
      check(
        "effect",
        value === wanted,
        `${what} ${wanted ?? ""}`,
        `${what} ${value ?? "the same"}`,
      );
    }
  }
}
