/** Milliseconds of a Monday in January 2024, from which `Intl` tells the names of days. */
const aMonday = 1_704_067_200_000;
const dayLength = 86_400_000;

function nameOf(language: string, unit: "weekday" | "month", time: number): string {
  return new Intl.DateTimeFormat(language, { [unit]: "long", timeZone: "UTC" }).format(time);
}

/** The names of the days of the week in a language, from Monday on. */
export function weekdayNames(language: string): string[] {
  return Array.from({ length: 7 }, (_, day) =>
    nameOf(language, "weekday", aMonday + day * dayLength),
  );
}

/** The names of the months in a language, from January on. */
export function monthNames(language: string): string[] {
  return Array.from({ length: 12 }, (_, month) =>
    nameOf(language, "month", aMonday + (month * 30.5 + 10) * dayLength),
  );
}
