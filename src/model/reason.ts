import { type Value, type ValueProblem, explainValueProblem } from "./property.ts";
import { withArticle } from "../source/article.ts";
import { printDuration } from "../time/duration.ts";
import { madeOf } from "../source/wrong-use.ts";
import { type Position, printPosition } from "../source/position.ts";

/** Why something cannot be done, or why a device has no part in it. */
export type Reason =
  /** A property of a device, or a slot where no device is told, cannot have the value. */
  | { reason: "value"; device?: string; property: string; problem: ValueProblem }
  /** A time or date is none that its slot takes. */
  | { reason: "outside"; slot: string; minimum?: string; maximum?: string; value: string }
  /** Two values were said for one slot. */
  | { reason: "both"; slot: string; first: Value; second: Value }
  /** A device, group, room or zone cannot do what was asked. */
  | { reason: "unable"; id: string; lack: Lack }
  /** No command to many takes it along: it has to be named itself. */
  | { reason: "alone"; id?: string }
  /** Voice needs a confirmation or the code for it alone. */
  | { reason: "guarded"; device: string; needs: "confirm" | "code" }
  /** Voice is barred from it, which only tools tell; until a mistake is mended, where it is one. */
  | { reason: "barred"; device: string; until?: Position }
  /** There is nothing of what was named, or nothing of a kind in a place. */
  | { reason: "nothing"; of?: string }
  /** Nothing is left once what was excepted is out. */
  | { reason: "left" }
  /** Words stand for no place that a name could be in. */
  | { reason: "place"; words: string }
  /** "It", "here" or "there" stands for nothing. */
  | { reason: "nowhere"; said: "here" | "there" | "it" }
  /** It is not known what day it is. */
  | { reason: "day" }
  /** It is not known where the home is, and so not where the sun stands. */
  | { reason: "sun" }
  /** A local time is over. */
  | { reason: "past"; time: string }
  /** Seconds to wait, or that something is to last, are none or too many. */
  | { reason: "length"; seconds: number }
  /** Two times are said for one command. */
  | { reason: "times" }
  /** An answer cannot be given at another time. */
  | { reason: "later" }
  /** What a routine or a device did cannot be taken back after a while. */
  | { reason: "stays"; id: string }
  /** A function that computes steps failed; with what is for its developer. */
  | { reason: "broken"; what: string };

/** What something has not got that was asked of it. */
export type Lack =
  | { lack: "kind"; kind: string; asked: readonly string[] }
  | { lack: "room"; room: string }
  /** None of these properties; an empty list where nothing that was asked has a name. */
  | { lack: "property"; properties: readonly string[] }
  /** A property that is to be set can only be read. */
  | { lack: "setting"; property: string }
  | { lack: "number"; property: string }
  | { lack: "action"; action: string }
  /** Of a group or a place: no device that can do it. */
  | { lack: "device" };

/**
 * A reason in English, with ids: for those who write the phrasebook.
 *
 * @throws WrongUse for anything that is no reason.
 */
export function tellReason(reason: Reason): string {
  return madeOf("reason", () => tell(reason));
}

function tell(reason: Reason): string {
  switch (reason.reason) {
    case "value": {
      const { device, property, problem } = reason;
      const what = device === undefined ? property : `the ${property} of ${device}`;
      return `${what} ${explainValueProblem(problem)}`;
    }
    case "outside": {
      const { slot, minimum, maximum, value } = reason;
      const range = [
        ...(minimum === undefined ? [] : [`from ${minimum}`]),
        ...(maximum === undefined ? [] : [`to ${maximum}`]),
      ];
      return `${slot} goes ${range.join(" ")}, not ${value}`;
    }
    case "both":
      return `${reason.slot} cannot be both ${reason.first} and ${reason.second}`;
    case "unable":
      return tellLack(reason.id, reason.lack);
    case "alone":
      return `${reason.id ?? "it"} has to be named itself`;
    case "guarded": {
      const need = reason.needs === "code" ? "the code" : "a confirmation";
      return `${reason.device} needs ${need} of its own`;
    }
    case "barred": {
      const { device, until } = reason;
      const mended = until ? ` until ${printPosition(until)} is mended` : "";
      return `voice is barred from ${device}${mended}`;
    }
    case "nothing":
      return reason.of === undefined
        ? "there is nothing to do it"
        : `there is no ${reason.of} to do it`;
    case "left":
      return "nothing is left of it";
    case "place":
      return `"${reason.words}" is no place for it`;
    case "nowhere":
      return `nobody knows what "${reason.said}" is`;
    case "day":
      return "it is not known what day it is";
    case "sun":
      return "it is not known where the sun stands: the phrasebook has no place";
    case "past":
      return `${reason.time} has passed`;
    case "length":
      return `${printDuration(reason.seconds)} is no time to wait`;
    case "times":
      return "two times are said for one command";
    case "later":
      return "an answer cannot wait";
    case "stays":
      return `what ${reason.id} does cannot be undone after a while`;
    case "broken":
      return reason.what;
  }
}

/** Several ways in which something cannot be done, each once. */
export function tellReasons(reasons: readonly Reason[]): string {
  return [...new Set(reasons.map(tellReason))].join("; ");
}

function tellLack(id: string, lack: Lack): string {
  switch (lack.lack) {
    case "kind":
      return `${id} is ${withArticle(lack.kind)}, not ${withArticle(lack.asked.join(" or "))}`;
    case "room":
      return `${id} is not in ${lack.room}`;
    case "property":
      return lack.properties.length === 0
        ? `${id} has nothing of the sort`
        : `${id} has no ${lack.properties.join(" or ")}`;
    case "setting":
      return `the ${lack.property} of ${id} can only be read`;
    case "number":
      return `the ${lack.property} of ${id} is no number`;
    case "action":
      return `${id} cannot ${lack.action}`;
    case "device":
      return `${id} has nothing that can do it`;
  }
}
