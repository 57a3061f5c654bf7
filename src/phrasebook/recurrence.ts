/** What is wrong with a recurrence rule, and what to write instead. */
export interface RuleProblem {
  message: string;
  fix: string;
  severity: "error" | "warning";
}

const frequencies = ["DAILY", "WEEKLY", "MONTHLY", "YEARLY"];
const days = "MO|TU|WE|TH|FR|SA|SU";
const byDay = new RegExp(`^([+-]?(?:[1-9]|[1-4]\\d|5[0-3]))?(?:${days})$`, "u");
/** Parts that say at what time of a day, which the trigger itself says. */
const ofTime = ["BYHOUR", "BYMINUTE", "BYSECOND"];

/** Highest value of each part that is a list of whole numbers, and whether it counts from the end. */
const numbered: Readonly<Record<string, { most: number; fromEnd: boolean }>> = {
  BYMONTH: { most: 12, fromEnd: false },
  BYMONTHDAY: { most: 31, fromEnd: true },
  BYYEARDAY: { most: 366, fromEnd: true },
  BYWEEKNO: { most: 53, fromEnd: true },
  BYSETPOS: { most: 366, fromEnd: true },
};

/**
 * Holds a recurrence rule against RFC 5545, section 3.3.10, for the days on which something fires.
 */
export function checkRule(rule: string): RuleProblem[] {
  const problems: RuleProblem[] = [];
  const wrong = (message: string, fix: string, severity: RuleProblem["severity"] = "error") => {
    problems.push({ message, fix, severity });
  };
  const parts = new Map<string, string>();
  for (const part of rule.split(";")) {
    const [name = "", value, more] = part.split("=");
    if (value === undefined || more !== undefined || name === "" || value === "") {
      wrong(`"${part}" is no part of a rule`, "write parts as FREQ=WEEKLY, with ; between them");
    } else if (parts.has(name)) wrong(`${name} is there twice`, "keep one of them");
    else {
      parts.set(name, value);
      const fix = checkPart(name, value);
      if (fix !== undefined) wrong(`${name}=${value} cannot be`, fix);
    }
  }
  const frequency = parts.get("FREQ") ?? "";
  if (!parts.has("FREQ")) wrong("the rule does not say how often", "begin it with FREQ=WEEKLY");
  const needs = (part: string, allowed: readonly string[]): void => {
    if (!parts.has(part) || allowed.includes(frequency)) return;
    wrong(
      `${part} has no place in a rule that is ${frequency}`,
      `write FREQ=${allowed.join(" or FREQ=")}`,
    );
  };
  needs("BYWEEKNO", ["YEARLY"]);
  needs("BYYEARDAY", ["YEARLY"]);
  needs("BYMONTHDAY", ["DAILY", "MONTHLY", "YEARLY"]);
  if (/\d/u.test(parts.get("BYDAY") ?? "")) {
    needs("BYDAY", ["MONTHLY", "YEARLY"]);
    if (parts.has("BYWEEKNO"))
      wrong("a numbered day stands beside BYWEEKNO", "leave one of them out");
  }
  if (parts.has("COUNT") && parts.has("UNTIL"))
    wrong("COUNT and UNTIL exclude each other", "keep one");
  const isBy = [...parts.keys()].some((name) => name.startsWith("BY") && name !== "BYSETPOS");
  if (parts.has("BYSETPOS") && !isBy)
    wrong("BYSETPOS chooses from nothing", "add BYDAY or another part");
  for (const name of ofTime) {
    if (!parts.has(name)) continue;
    wrong(`${name} is passed over: the trigger says at what time`, `take ${name} out`, "warning");
  }
  return problems;
}

/** The parts of a rule that is right, by their names. */
export function partsOf(rule: string): Map<string, string> {
  return new Map(
    rule.split(";").map((part): [string, string] => {
      const [name = "", value = ""] = part.split("=");
      return [name, value];
    }),
  );
}

/** What to write instead of the value of a part; undefined for one that can be. */
function checkPart(name: string, value: string): string | undefined {
  const list = value.split(",");
  const range = numbered[name];
  if (range && Object.hasOwn(numbered, name)) {
    const { most, fromEnd } = range;
    const isSo = list.every((each) => {
      const number = Number(each);
      const isForm = (fromEnd ? /^[+-]?\d{1,3}$/u : /^\d{1,3}$/u).test(each);
      return isForm && number !== 0 && Math.abs(number) <= most;
    });
    return isSo
      ? undefined
      : `write numbers from 1 to ${most}${fromEnd ? ", or from the end -1" : ""}`;
  }
  switch (name) {
    case "FREQ":
      return frequencies.includes(value) ? undefined : `write one of ${frequencies.join(", ")}`;
    case "INTERVAL":
    case "COUNT":
      return /^[1-9]\d{0,4}$/u.test(value) ? undefined : "write a whole number from 1";
    case "UNTIL":
      return parseUntil(value) ? undefined : "write a date such as 20261224, or 20261224T180000Z";
    case "BYDAY":
      return list.every((each) => byDay.test(each))
        ? undefined
        : "write days such as MO,TU or -1FR";
    case "WKST":
      return new RegExp(`^(?:${days})$`, "u").test(value) ? undefined : "write a day such as MO";
    case "BYHOUR":
    case "BYMINUTE":
    case "BYSECOND":
      return list.every((each) => /^\d{1,2}$/u.test(each)) ? undefined : "write numbers";
    case "DTSTART":
      return "take it out: rules begin on Monday, 1 January 2001";
    default:
      return "write parts that RFC 5545 has: FREQ, INTERVAL, BYDAY, BYMONTH and so on";
  }
}

/** The end of a rule: a whole day, or an instant by the clock of the home or of UTC. */
export interface Until {
  /** `2026-12-24`. */
  date: string;
  /** `18:00:00`; left out for a whole day. */
  time?: string;
  isUtc: boolean;
}

export function parseUntil(text: string): Until | undefined {
  const found = /^(\d{4})(\d\d)(\d\d)(?:T(\d\d)(\d\d)(\d\d)(Z)?)?$/u.exec(text);
  if (!found) return undefined;
  const [, year, month, day, hours, minutes, seconds, utc] = found;
  const date = `${year ?? ""}-${month ?? ""}-${day ?? ""}`;
  const at = new Date(`${date}T${hours ?? "00"}:${minutes ?? "00"}:${seconds ?? "00"}Z`);
  if (Number.isNaN(at.getTime()) || at.toISOString().slice(0, 10) !== date) return undefined;
  const time = hours === undefined ? {} : { time: `${hours}:${minutes ?? ""}:${seconds ?? ""}` };
  return { date, ...time, isUtc: utc !== undefined };
}
