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
import { isOfPhrasebook } from "../files/sorts.ts";
import { packsOf } from "./languages.ts";
import type { DeskNews, DeviceView, HomeFile, HomeView, Said, States, TurnView } from "./views.ts";

const readers = new Map<string, Reader>();

async function readBook(files: readonly HomeFile[]): Promise<Book> {
  const languages = await packsOf(files);
  const key = languages.map(({ language }) => language).join();
  let reader = readers.get(key);
  if (!reader) readers.set(key, (reader = createReader({ languages })));
  return reader(files.filter(isOfPhrasebook));
}

let known: { files: readonly HomeFile[]; book: Promise<Book> } | undefined;

/** The phrasebook among some files, ready to listen; read once for the same texts. */
export function bookOf(files: readonly HomeFile[]): Promise<Book> {
  if (!known || !isSame(known.files, files)) known = { files, book: readBook(files) };
  return known.book;
}

/** A home in which some things were said, kept so that the next thing is said in it. */
interface Kept {
  book: Book;
  time: string;
  home: SimulatedHome;
  turns: TurnView[];
  /** The states that were told last. */
  told: States;
}

let kept: Kept | undefined;

/** What a home consists of. */
export async function atHome(files: readonly HomeFile[]): Promise<HomeView> {
  return homeView(await bookOf(files));
}

/** A home in which some things were said, one after another: what is new since the turns that are known. */
export async function atDesk(
  files: readonly HomeFile[],
  turns: readonly Said[],
  { time, known }: { time: string; known: number },
): Promise<DeskNews> {
  const book = await bookOf(files);
  const goesOn =
    kept?.book === book &&
    kept.time === time &&
    kept.turns.length <= turns.length &&
    kept.turns.every(({ said }, index) => isSameSaid(said, turns[index]));
  const now: Kept =
    kept && goesOn ? kept : { book, time, home: simulate(book, { time }), turns: [], told: {} };
  kept = now;
  const from = goesOn ? Math.min(known, now.turns.length) : 0;
  for (const said of turns.slice(now.turns.length))
    now.turns.push(
      said.wait === undefined ? spoken(now, said) : passing(now.home, said, said.wait),
    );
  const { home, told } = now;
  const states = home.states();
  now.told = states;
  const news = from === 0 ? states : changedIn(told, states);
  return { from, states: news, turns: now.turns.slice(from), time: home.time() };
}

/** Those states that are other ones than before. */
function changedIn(before: States, now: States): States {
  return Object.fromEntries(
    Object.entries(now).filter(([device, state]) => {
      return Object.entries(state).some(([name, value]) => before[device]?.[name] !== value);
    }),
  );
}

function isSameSaid(one: Said, other: Said | undefined): boolean {
  return (
    one.text === other?.text &&
    one.at === other.at &&
    one.language === other.language &&
    one.wait === other.wait
  );
}

/** What was said, with all that led to what came of it. */
function spoken({ book, home }: Kept, said: Said): TurnView {
  const at = book.voicepoints.has(said.at) ? { at: said.at } : {};
  const language = book.languages.includes(said.language) ? { language: said.language } : {};
  const turn = home.converse({ ...at, ...language }).say(said.text);
  const { words, readings, nearest, barred } = book.why(turn.heard);
  return {
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

/** Whether files have the same names and texts. */
export function isSame(one: readonly HomeFile[], other: readonly HomeFile[]): boolean {
  return (
    one.length === other.length &&
    one.every(({ path, text }, index) => {
      return path === other[index]?.path && text === other[index].text;
    })
  );
}

const views = new WeakMap<Book, HomeView>();

/** What a home consists of. */
export function homeView(book: Book): HomeView {
  const made = views.get(book);
  if (made) return made;
  const devices = [...book.devices.values()];
  const viewOf = (inRoom: (room: string | undefined) => boolean): DeviceView[] =>
    devices
      .filter(({ room }) => inRoom(room))
      .map(({ id, names, kind, voice }) => {
        return { id, name: names[0]?.text ?? id, kind, voice };
      });
  const rooms = [...book.rooms.values()].map(({ id, names }) => {
    return { id, name: names[0]?.text ?? id, devices: viewOf((room) => room === id) };
  });
  const nowhere = viewOf((room) => room === undefined || !book.rooms.has(room));
  const view = {
    name: book.name,
    languages: book.languages,
    voicepoints: [...book.voicepoints.values()].map(({ id, room }) => ({ id, room })),
    rooms:
      nowhere.length > 0 ? [...rooms, { id: "", name: "in no room", devices: nowhere }] : rooms,
  };
  views.set(book, view);
  return view;
}
