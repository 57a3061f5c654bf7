import { type Cursor, listOf } from "../document/cursor.ts";
import { readLength } from "../document/lengths.ts";
import { readReply } from "../document/replies.ts";
import { readPatterns } from "../document/said.ts";
import { stateWords } from "../language/vocabulary.ts";
import type { Device } from "../model/home.ts";
import type { AskStep, Step } from "../model/step.ts";
import { given } from "../source/given.ts";
import { readCalls, readNudges, readSets, readToggles } from "./orders.ts";
import type { StepDefinition, StepsDefinition } from "./definition/steps.ts";
import { type SlotScope, speakableIn } from "./scope.ts";
import { readConditions } from "./states.ts";
import { readTarget, slotName } from "./step-values.ts";
import { checkWritten } from "./written.ts";

type Written<Key extends string> = Cursor<Extract<StepDefinition, Readonly<Record<Key, unknown>>>>;

/** Reads steps, holding each value against the device that it is meant for. */
export function readSteps(steps: Cursor<StepsDefinition> | undefined, scope: SlotScope): Step[] {
  if (!steps) return [];
  const { value } = steps;
  const each = Array.isArray(value) ? steps.as(value).items() : [steps.as(value)];
  return each.flatMap((step) => readStep(step, scope) ?? []);
}

function readStep(cursor: Cursor<StepDefinition>, scope: SlotScope): Step | undefined {
  const { value: step, at } = cursor;
  if ("set" in step) {
    return { step: "order", orders: readSets(cursor.as(step).key("set"), scope), at };
  }
  if ("nudge" in step) {
    return { step: "order", orders: readNudges(cursor.as(step).key("nudge"), scope), at };
  }
  if ("toggle" in step) {
    return { step: "order", orders: readToggles(cursor.as(step).key("toggle"), scope), at };
  }
  if ("call" in step) return { step: "order", orders: readCalls(cursor.as(step), scope), at };
  if ("tell" in step) return readTell(cursor.as(step).key("tell"), scope);
  if ("say" in step) return readSay(cursor.as(step), scope);
  if ("notify" in step) return readNotify(cursor.as(step), scope);
  if ("wait" in step) return readWait(cursor.as(step), scope);
  if ("if" in step) {
    const branch = cursor.as(step);
    const condition = readConditions(branch.key("if"), scope.home.devices);
    const then = readSteps(branch.key("then"), scope);
    const otherwise = readSteps(branch.given("else"), scope);
    return { step: "if", condition, then, otherwise, at };
  }
  if ("try" in step) {
    const steps = readSteps(cursor.as(step).key("try"), scope);
    return { step: "try", steps, failed: readSteps(cursor.as(step).key("failed"), scope), at };
  }
  if ("ask" in step) return readAsk(cursor.as(step), scope);
  if ("run" in step) return readRun(cursor.as(step), scope);
  if ("hear" in step) return readHear(cursor.as(step), scope);
  return readSend(cursor.as(step).key("send"), scope);
}

function readSay(cursor: Written<"say">, scope: SlotScope): Step | undefined {
  const { home } = scope;
  const at = cursor.given("at");
  const places = new Set(["voicepoint", "everywhere", ...home.rooms.keys(), ...home.zones.keys()]);
  if (at && !at.refers("room", places)) return undefined;
  const text = readReply(cursor.key("say"), speakableIn(scope));
  return { step: "say", text, where: at?.value ?? "voicepoint", at: cursor.at };
}

function readNotify(cursor: Written<"notify">, scope: SlotScope): Step | undefined {
  const who = cursor.key("notify");
  const people = listOf(who);
  if (!people.every((person) => person.refers("person", scope.people))) return undefined;
  const text = readReply(cursor.key("text"), speakableIn(scope));
  const ids = people.map(({ value }) => value);
  return { step: "notify", people: ids, text, ...given({ tag: cursor.value.tag }), at: cursor.at };
}

function readWait(cursor: Written<"wait">, { slots }: SlotScope): Step | undefined {
  const written = cursor.key("wait");
  const slot = slotName(written.value);
  const known = slot === undefined ? undefined : slots.get(slot);
  if (known?.type === "duration") {
    return { step: "wait", wait: { refer: "slot", slot: known.name }, at: cursor.at };
  }
  const value = readLength(written);
  return value === undefined
    ? undefined
    : { step: "wait", wait: { refer: "value", value }, at: cursor.at };
}

function readRun(cursor: Written<"run">, { slots, routines }: SlotScope): Step | undefined {
  const { at, value } = cursor;
  const slot = slotName(value.run);
  const known = slot === undefined ? undefined : slots.get(slot);
  if (known?.type === "routine") {
    return { step: "run", routine: { refer: "slot", slot: known.name }, at };
  }
  return cursor.key("run").refers("routine", routines)
    ? { step: "run", routine: { refer: "routine", id: value.run }, at }
    : undefined;
}

function readHear(cursor: Written<"hear">, { voicepoints }: SlotScope): Step {
  const voicepoint = cursor.given("at");
  voicepoint?.refers("voicepoint", voicepoints);
  const at = given({ voicepoint: voicepoint?.value });
  return { step: "hear", phrase: cursor.value.hear, ...at, at: cursor.at };
}

function readSend(
  cursor: Cursor<Extract<StepDefinition, { send: unknown }>["send"]>,
  { connections }: SlotScope,
): Step | undefined {
  const { to, text = "", retain = false, method = "POST" } = cursor.value;
  const over = cursor.given("over");
  if (over && !over.refers("connection", connections)) return undefined;
  if (!over && !/^(?:mqtt:.+|https?:\/\/.+)$/.test(to)) {
    const fix = "write mqtt:home/kiln or https://example.org/hook, or over: and a connection";
    cursor.key("to").report("wrong-value", `"${to}" is no place to send to`, fix);
    return undefined;
  }
  const brokers = [...connections.values()].filter(({ protocol }) => protocol === "mqtt");
  if (!over && to.startsWith("mqtt:") && brokers.length > 1) {
    const ids = brokers.map(({ id }) => id).join(" or ");
    const fix = `write over: ${ids}`;
    cursor
      .key("to")
      .report("which-broker", "there are several brokers", fix, { severity: "warning" });
  }
  return { step: "send", ...given({ over: over?.value }), to, text, retain, method, at: cursor.at };
}

/** Time to answer in, in seconds, where none is written. */
const usualTime = 30;

function readAsk(cursor: Written<"ask">, scope: SlotScope): AskStep {
  const text = readReply(cursor.key("ask"), speakableIn(scope));
  const answers = cursor
    .key("answers")
    .items()
    .map((answer) => {
      const steps = readSteps(answer.given("do"), scope);
      return { patterns: readPatterns(answer.key("hear")), steps };
    });
  const written = cursor.given("within");
  const within = (written && readLength(written)) ?? usualTime;
  const silence = readSteps(cursor.given("silence"), scope);
  return { step: "ask", text, answers, within, silence, at: cursor.at };
}

/** A value that is asked about has to be one that the device can have. */
function checkAsked(
  cursor: Cursor<Extract<StepDefinition, { tell: unknown }>["tell"]>,
  device: Device | undefined,
): void {
  const { property, is } = cursor.value;
  if (!device || typeof property !== "string" || is === undefined) return;
  cursor.as({ property }).key("property").refers(`property of ${device.id}`, device.properties);
  const schema = device.properties.get(property);
  if (schema) checkWritten(cursor.as({ is }).key("is"), schema);
}

function readTell(
  cursor: Cursor<Extract<StepDefinition, { tell: unknown }>["tell"]>,
  scope: SlotScope,
): Step | undefined {
  const { form, property, state, is } = cursor.value;
  const written = cursor.key("target");
  const target = readTarget(written, written.value, scope);
  if (!target) return undefined;
  const base = { step: "tell", target, at: cursor.at } as const;
  if (form === "value") {
    if (property === undefined) {
      cursor.report("missing-key", '"property" is missing', "write a property");
      return undefined;
    }
    const slot = typeof property === "string" ? slotName(property) : undefined;
    return { ...base, form, property: slot === undefined ? property : { slot } };
  }
  if (is !== undefined) {
    if (typeof property !== "string") {
      cursor.report("wrong-value", '"is" is the value of one property', "write a property");
      return undefined;
    }
    const valued = slotName(is);
    if (valued !== undefined) return { ...base, form, property, is: { slot: valued } };
    checkAsked(cursor, target.refer === "device" ? scope.home.devices.get(target.id) : undefined);
    return { ...base, form, property, is };
  }
  const slot = slotName(state ?? "");
  const word = stateWords.find((each) => each === state);
  const asked = slot === undefined ? word : { slot };
  if (asked !== undefined) return { ...base, form, state: asked };
  const fix = `write one of ${stateWords.join(", ")}`;
  cursor.report("wrong-value", "there is no state to ask about", fix);
  return undefined;
}
