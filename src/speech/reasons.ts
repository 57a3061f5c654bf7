import type { Reason } from "../model/reason.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { ValueProblem } from "../model/property.ts";
import { toldIn, toldUnit } from "../model/units.ts";
import { formatReply } from "./format.ts";
import { nameOf } from "./names.ts";
import type { Speech } from "./speech.ts";
import { spokenQuantity } from "./quantities.ts";
import { spokenTime } from "./times.ts";

/** Reasons that are spoken. */
const mostReasons = 2;

/** Why something cannot be, in the words of a language; empty for what is no news to a speaker. */
export function spokenReasons(speech: Speech, reasons: readonly Reason[]): string {
  const said = reasons.map((reason) => sayReason(speech, reason)).filter((text) => text !== "");
  return [...new Set(said)].slice(0, mostReasons).join("; ");
}

function sayReason(speech: Speech, reason: Reason): string {
  const { pack, language } = speech;
  const { refusals } = pack;
  const say = (text: string, variables: Record<string, unknown>): string =>
    formatReply(text, language, variables);
  switch (reason.reason) {
    case "value": {
      const { device, property, problem } = reason;
      const word = pack.properties[property]?.[0];
      const spoken = word ?? property.replaceAll("-", " ");
      // A slot goes by an id that nobody says, unless it has the name of a property.
      const what =
        device === undefined
          ? (word ?? refusals.that)
          : say(refusals.of, { property: spoken, name: nameOf(speech, device) });
      return say(...valueRefusal(speech, what, problem));
    }
    case "outside": {
      const { minimum, maximum, value } = reason;
      const range = { minimum, maximum, said: value };
      return say(rangeRefusal(refusals, range), { what: refusals.that, ...range });
    }
    case "both":
      return say(refusals.both, {
        what: pack.properties[reason.slot]?.[0] ?? refusals.that,
        first: reason.first,
        second: reason.second,
      });
    case "unable":
      return say(refusals.unable, { name: nameOf(speech, reason.id) });
    case "alone":
    case "guarded": {
      const id = reason.reason === "alone" ? reason.id : reason.device;
      return id === undefined ? refusals.named : say(refusals.alone, { name: nameOf(speech, id) });
    }
    // To speech, what it is barred from does not exist.
    case "barred":
    case "nothing":
    case "left":
      return refusals.nothing;
    case "place":
      return say(refusals.place, { words: reason.words });
    case "nowhere":
      return refusals.nowhere;
    case "day":
      return refusals.day;
    case "sun":
      return refusals.sun;
    case "past":
      return say(refusals.past, { time: spokenTime(reason.time) });
    case "length":
      return refusals.length;
    case "times":
      return refusals.times;
    case "later":
      return refusals.later;
    case "stays":
      return say(refusals.stays, { name: nameOf(speech, reason.id).replaceAll("-", " ") });
    case "broken":
      return "";
  }
}

/** The form for a range that is open at one end, or at none. */
function rangeRefusal(
  refusals: LanguagePack["refusals"],
  { minimum, maximum }: { minimum?: unknown; maximum?: unknown },
): string {
  if (minimum === undefined) return refusals.atMost;
  return maximum === undefined ? refusals.atLeast : refusals.between;
}

function valueRefusal(
  speech: Speech,
  what: string,
  problem: ValueProblem,
): [string, Record<string, unknown>] {
  const { refusals } = speech.pack;
  switch (problem.problem) {
    case "range": {
      const { minimum, maximum, unit } = problem;
      const text = rangeRefusal(refusals, problem);
      const print = (value: number | undefined): string =>
        value === undefined ? "" : spokenQuantity(speech, value, unit);
      // A duration has its units within it; others are told once.
      const isOnce = maximum !== undefined && toldUnit(unit, speech.book.units) !== "second";
      const first =
        isOnce && minimum !== undefined
          ? toldIn(minimum, unit, speech.book.units).value
          : print(minimum);
      const range = { minimum: first, maximum: print(maximum), said: print(problem.value) };
      return [text, { what, ...range }];
    }
    case "step": {
      const { nearest, unit, value } = problem;
      const choices = nearest.map((each) => spokenQuantity(speech, each, unit)).join(" / ");
      return [refusals.oneOf, { what, choices, said: spokenQuantity(speech, value, unit) }];
    }
    case "choice":
      return [refusals.oneOf, { what, choices: problem.choices.join(", "), said: problem.value }];
    case "type":
      return [refusals.oneOf, { what, choices: problem.expected, said: problem.value }];
  }
}
