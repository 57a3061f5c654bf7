import type { Said } from "./vocabulary.ts";

export const durationUnits = { second: 1, minute: 60, hour: 3600, day: 86_400, week: 604_800 };

export type DurationUnit = keyof typeof durationUnits;

export const durationUnitNames = ["second", "minute", "hour", "day", "week"] as const;

/** What the sun does that people tell a time by. */
export const spokenSunEvents = ["sunrise", "sunset", "dawn", "dusk"] as const;

/** How a language tells a time by the sun. The first of `at` and `until` are plain words, for replies. */
export interface SunWords {
  at: Said;
  until: Said;
  /** Patterns with `$duration`; their first are for replies as well. */
  before: Said;
  after: Said;
}

/** How a language says durations, times, dates, and when something is to be done. */
export interface TimeWords {
  /** Words for one and several of a unit, and its signs; the first two are one and several. */
  units: Readonly<Record<DurationUnit, Said>>;
  /** Words for one before a unit: "a minute". */
  one: Said;
  /** What may stand between a number and its unit: "ten more minutes". */
  more?: Said;
  /** Durations with words of their own, in seconds. */
  durations: Readonly<Record<number, Said>>;
  /** Between the parts of a duration: "an hour and ten minutes". */
  joiners: Said;
  /** Ways to say a time of the clock. */
  clock: readonly ClockForm[];
  /** Times with words of their own, as `HH:MM`. */
  moments: Readonly<Record<string, Said>>;
  /** Patterns with `$time` that tell before noon, after noon, and by night. */
  morning: Said;
  afternoon: Said;
  night: Said;
  /** Days from today by their own words, by how many days ahead. */
  days: Readonly<Record<0 | 1 | 2, Said>>;
  /** Patterns with `$weekday`, for the next such day; names come from `Intl`. */
  weekday: Said;
  /** Patterns with `$day`, `$month` and perhaps `$year`; names of months come from `Intl`. */
  date: Said;
  /** Patterns with `$date` for a part of a day; one without it is a part of tomorrow. */
  partOf: { morning: Said; afternoon: Said; night: Said };
  /**
   * When a command is to be done, how long it lasts, and both ends of it in one (`span`): patterns with `$duration`,
   * `$unit` (one of it), `$time`, `$hour` (a bare one after noon), `$end` and `$date`. `before` and `after` are so long before and after a time, `minutes` those said without their unit, and `ofDay` forms for times that no number alone is.
   */
  when: {
    in: Said;
    at: Said;
    for: Said;
    until: Said;
    span: Said;
    before: Said;
    after: Said;
    minutes?: Said;
    ofDay?: Said;
  };
  /** Times told by the sun, and a reply to a command for then, with `$when` and `$reply`. */
  sun?: { reply: string } & Readonly<Record<(typeof spokenSunEvents)[number], SunWords>>;
  /** Between commands: "and", "then". */
  then: Said;
}

/**
 * One way to say a time of the clock, as patterns with `$hour` (0 to 24) or `$face` (1 to 12) and
 * perhaps `$minute` (1 to 59) or `$tens` (10 to 59), or with `$clock` (18:30) or `$dotted` (18.30).
 */
export interface ClockForm {
  said: Said;
  /** Minutes after the hour; before it when negative. */
  minutes?: number;
  /** The minutes said come before the hour. */
  before?: true;
}
