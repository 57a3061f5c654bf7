import {
  type Book,
  type Reader,
  createReader,
  type SimulatedHome,
  describeOutcome,
  printEvent,
  simulate,
  tellReason,
} from "calm-phrase";
import { packsOf } from "./languages.ts";
import type { DeskView, DeviceView, HomeFile, HomeView, Said, TurnView } from "./views.ts";

const readers = new Map<string, Reader>();

/** The phrasebook among some files, ready to listen. */
export async function bookOf(files: readonly HomeFile[]): Promise<Book> {
  const languages = await packsOf(files);
  const key = languages.map(({ language }) => language).join();
  let reader = readers.get(key);
  if (!reader) readers.set(key, (reader = createReader({ languages })));
  return reader(files.filter(({ path }) => /(?<!\.suite|\.day)\.ya?ml$/iu.test(path)));
}

let known: { files: readonly HomeFile[]; book: Book } | undefined;

/** A home in which some things were said, one after another. */
export async function atDesk(
  files: readonly HomeFile[],
  turns: readonly Said[],
  time: string,
): Promise<DeskView> {
  if (!isSame(known?.files, files)) known = { files, book: await bookOf(files) };
  const { book } = known;
  const home = simulate(book, { time });
  let took = 0;
  const told = turns.map((said): TurnView => {
    if (said.wait !== undefined) return passing(home, said, said.wait);
    const start = performance.now();
    const at = book.voicepoints.has(said.at) ? { at: said.at } : {};
    const language = book.languages.includes(said.language) ? { language: said.language } : {};
    const turn = home.converse({ ...at, ...language }).say(said.text);
    const { words, readings, nearest, barred } = book.why(turn.heard);
    const view = {
      said,
      understood: turn.heard.text,
      outcome: turn.outcome,
      told: describeOutcome(turn.heard),
      reply: turn.reply,
      words,
      readings,
      nearest,
      barred: barred.map((each) => ({ ...each, told: tellReason(each.why) })),
      changed: turn.performed.changes.map(({ device }) => device),
      failed: turn.performed.failed,
    };
    took = performance.now() - start;
    return view;
  });
  return { home: homeView(book, home.states()), turns: told, time: home.time(), took };
}

/** Time that passes, with what changes in it. */
function passing(home: SimulatedHome, said: Said, seconds: number): TurnView {
  const before = home.log().length;
  home.wait(seconds);
  const events = home.log().slice(before);
  return {
    said,
    understood: said.text,
    outcome: "passed",
    told: events.map(({ event }) => printEvent(event)).join("; "),
    reply: "",
    words: [],
    readings: [],
    nearest: [],
    barred: [],
    changed: events.flatMap(({ event }) => (event.event === "changed" ? event.device : [])),
    failed: [],
  };
}

function isSame(
  one: readonly HomeFile[] | undefined,
  other: readonly HomeFile[],
): one is HomeFile[] {
  return (
    one?.length === other.length &&
    one.every(({ path, text }, index) => {
      return path === other[index]?.path && text === other[index].text;
    })
  );
}

/** What a home consists of, with the states of its devices. */
export function homeView(
  book: Book,
  states: Readonly<Record<string, DeviceView["state"]>>,
): HomeView {
  const devices = [...book.devices.values()];
  const viewOf = (inRoom: (room: string | undefined) => boolean): DeviceView[] =>
    devices
      .filter(({ room }) => inRoom(room))
      .map(({ id, names, kind, voice }) => {
        return { id, name: names[0]?.text ?? id, kind, voice, state: states[id] ?? {} };
      });
  const rooms = [...book.rooms.values()].map(({ id, names }) => {
    return { id, name: names[0]?.text ?? id, devices: viewOf((room) => room === id) };
  });
  const nowhere = viewOf((room) => room === undefined || !book.rooms.has(room));
  return {
    name: book.name,
    languages: book.languages,
    voicepoints: [...book.voicepoints.values()].map(({ id, room }) => ({ id, room })),
    rooms:
      nowhere.length > 0 ? [...rooms, { id: "", name: "in no room", devices: nowhere }] : rooms,
  };
}
