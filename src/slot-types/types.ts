import * as z from "zod/mini";
import type { Cursor } from "../document/cursor.ts";
import { readReply } from "../document/replies.ts";
import { given } from "../source/given.ts";
import { choice } from "./choice.ts";
import type { SlotDefinition } from "./definition.ts";
import { colourTemperature } from "./colour-temperature.ts";
import { colour } from "./colour.ts";
import { date } from "./date.ts";
import { duration } from "./duration.ts";
import { integer, number } from "./number.ts";
import { ordinal } from "./ordinal.ts";
import { own } from "./own.ts";
import { percent } from "./percent.ts";
import { routine } from "./routine.ts";
import type { Slot, SlotBase } from "./slot.ts";
import { state } from "./state.ts";
import { target } from "./target.ts";
import { temperature } from "./temperature.ts";
import { text } from "./text.ts";
import { time } from "./time.ts";
import { value } from "./value.ts";

const shapes = [
  target.shapes.target,
  target.shapes.device,
  target.shapes.room,
  target.shapes.zone,
  target.shapes.group,
  percent.shape,
  number.shape,
  integer.shape,
  temperature.shape,
  duration.shape,
  time.shape,
  date.shape,
  ordinal.shape,
  colour.shape,
  colourTemperature.shape,
  choice.shape,
  value.shape,
  state.shape,
  routine.shape,
  text.shape,
  own.shape,
] as const;

const names = shapes.map(({ def }) => def.shape.type.def.values.join(", "));

/** A slot as it is written: its type, and what that asks. */
export const slotSchema = z.discriminatedUnion("type", shapes, {
  error: `write a map with a type: ${names.slice(0, -1).join(", ")} or ${names.at(-1) ?? ""}`,
});

/** Reads the slots of an intent or a routine. */
export function readSlots(
  slots: Cursor<Record<string, SlotDefinition>> | undefined,
  rooms: ReadonlySet<string>,
): Map<string, Slot> {
  const read = slots?.entries().map((slot): [string, Slot] => [slot.id, readSlot(slot, rooms)]);
  return new Map(read ?? []);
}

function readSlot(cursor: Cursor<SlotDefinition>, rooms: ReadonlySet<string>): Slot {
  const { value: written } = cursor;
  const ask = readReply(cursor.given("ask"), { slots: [], devices: new Map() });
  const base: SlotBase = {
    name: cursor.id,
    type: written.type,
    at: cursor.keyAt,
    ...given({ optional: written.optional, ask: ask.size > 0 ? ask : undefined }),
  };
  switch (written.type) {
    case "target":
    case "device":
    case "room":
    case "zone":
    case "group":
      return target.read(cursor.as(written), base, rooms);
    case "percent":
      return percent.read(cursor.as(written), base);
    case "number":
    case "integer":
      return number.read(cursor.as(written), base);
    case "temperature":
      return temperature.read(cursor.as(written), base);
    case "duration":
      return duration.read(cursor.as(written), base);
    case "time":
      return time.read(cursor.as(written), base);
    case "date":
      return date.read(cursor.as(written), base);
    case "ordinal":
      return ordinal.read(cursor.as(written), base);
    case "colour":
      return colour.read(cursor.as(written), base);
    case "colour-temperature":
      return colourTemperature.read(cursor.as(written), base);
    case "choice":
      return choice.read(cursor.as(written), base);
    case "value":
      return value.read(cursor.as(written), base);
    case "state":
      return state.read(cursor.as(written), base);
    case "routine":
      return routine.read(base);
    case "text":
      return text.read(base);
    case "own":
      return own.read(cursor.as(written), base);
  }
}
