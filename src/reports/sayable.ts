import type { Book } from "../book/book.ts";
import { spokenNames } from "../model/names.ts";
import type { SayableDevice } from "../survey/sayable.ts";
import { wrap, wrapItems } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** A sheet of what can be said, room by room. */
export function printSayable(
  book: Book,
  devices: readonly SayableDevice[],
  language: string,
  paint: Paint,
): string {
  const rooms = [...book.rooms.values()].map((room) => {
    const name = spokenNames(room, language, book.languages[0] ?? language)[0]?.text ?? room.id;
    return { name, devices: devices.filter((device) => device.room === room.id) };
  });
  const elsewhere = devices.filter(({ room }) => room === undefined || !book.rooms.has(room));
  const all = [...rooms, { name: "elsewhere", devices: elsewhere }];
  return all
    .filter((room) => room.devices.length > 0)
    .map((room) => {
      const list = room.devices.map((device) => printDevice(device, paint));
      return [paint.strong(room.name), ...list].join("\n");
    })
    .join("\n\n");
}

function printDevice(
  { name, aliases, voice, safe, phrases, questions }: SayableDevice,
  paint: Paint,
): string {
  const also = aliases.length > 0 ? paint.quiet(`  also: ${aliases.join(", ")}`) : "";
  const lines = [`  ${paint.name(name)}${also}`];
  const guard = guards[voice];
  if (guard !== "") {
    const free = voice !== "barred" && safe.length > 0 ? `; always free: ${safe.join(", ")}` : "";
    lines.push(paint.warn(wrap(guard + free, 4)));
  }
  for (const said of [phrases, questions.map((question) => `${question}?`)]) {
    const quoted = said.map((phrase) => `“${phrase}”`);
    if (quoted.length > 0) lines.push(wrapItems(quoted, 4));
  }
  return lines.join("\n");
}

const guards = {
  free: "",
  confirm: "asks back first",
  code: "asks for the code",
  barred: "not by voice",
} as const;
