import { holds } from "../model/condition.ts";
import type { Device } from "../model/home.ts";
import type { Value } from "../model/property.ts";
import type { StateTest } from "../model/state-words.ts";
import { nameIn } from "../model/names.ts";
import type { Question } from "../commands/outcome.ts";
import type { Speech } from "./speech.ts";
import { type WrittenIn, writtenQuantity } from "./quantities.ts";
import { formatReply } from "./format.ts";

/** Most devices of which it is told that none of them is so. */
const mostTold = 4;

/** Answers a question from states; a device without one is as it starts. */
export function answerQuestion(speech: Speech, question: Question): string {
  const { book, pack, language, states } = speech;
  const devices = question.devices.flatMap((id) => book.devices.get(id) ?? []);
  const valueOf = (device: Device, property: string): Value =>
    states(device.id)?.[property] ?? device.properties.get(property)?.default ?? "";
  const nameOf = (device: Device): string => nameIn(book, device, language) ?? device.id;
  const list = (names: readonly string[]): string =>
    new Intl.ListFormat(language, { type: "conjunction" }).format(names);

  if (question.form === "value") {
    const { property } = question;
    const spoken = pack.properties[property]?.[0] ?? property;
    return devices
      .map((device) => {
        const value = printValue(speech, device, property, valueOf(device, property));
        const variables = { name: nameOf(device), property: spoken, value };
        return formatReply(pack.answers.value, language, variables);
      })
      .join(" ");
  }

  const isSo = (device: Device): boolean => {
    const test = testOf(device, question.tests);
    return test !== undefined && holds(test.condition, valueOf(device, test.property));
  };
  const those = devices.filter(isSo);
  const { state } = question;
  if (question.form === "which") {
    if (those.length === 0) return formatReply(pack.answers.none, language, {});
    return formatReply(pack.answers.list, language, { list: list(those.map(nameOf)) });
  }
  // Nobody wants to hear of all of a home that none of it is so.
  if (question.form === "any" && those.length === 0 && devices.length > mostTold) {
    return formatReply(pack.answers.none, language, {});
  }
  const isYes = question.form === "any" ? those.length > 0 : those.length === devices.length;
  const told = question.form === "any" && !isYes ? devices : isYes ? those : notIn(devices, those);
  const name = list(told.map(nameOf));
  // "Did I lock it" is answered by what it is, and not by the verb.
  const isVerb = Object.values(pack.doing).some((words) => words.includes(state));
  const isImplied = told.some((device) => testOf(device, question.tests)?.implied);
  const now =
    isYes && !isVerb && !isImplied ? state : actualState(speech, told, question.tests, valueOf);
  return formatReply(isYes ? pack.answers.yes : pack.answers.no, language, { name, state: now });
}

function notIn(devices: readonly Device[], those: readonly Device[]): Device[] {
  return devices.filter((device) => !those.includes(device));
}

/** What tells whether a device is so: the first test of a property that it has. */
function testOf(device: Device, tests: readonly StateTest[]): StateTest | undefined {
  return tests.find(({ property }) => device.properties.has(property));
}

/** What they are instead, if it is the same for all. */
function actualState(
  speech: Speech,
  devices: readonly Device[],
  tests: readonly StateTest[],
  valueOf: (device: Device, property: string) => Value,
): string {
  const values = devices.flatMap((device) => {
    const test = testOf(device, tests);
    if (!test) return [];
    return [printValue(speech, device, test.property, valueOf(device, test.property))];
  });
  return [...new Set(values)].join(", ");
}

/** A value in the words and number format of a language. */
export function printValue(
  speech: WrittenIn,
  device: Device,
  property: string,
  value: Value,
): string {
  if (typeof value !== "number") {
    const said = speech.pack.values[property]?.[String(value)]?.[0];
    if (said !== undefined || typeof value !== "boolean") return said ?? String(value);
    return speech.pack.states[value ? "on" : "off"][0] ?? String(value);
  }
  return writtenQuantity(speech, value, device.properties.get(property)?.unit);
}
