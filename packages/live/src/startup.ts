import type { Live } from "./live.ts";
import type { OpenDoor } from "./doors.ts";

/** What is bound, what is not and why, and which doors are open. */
export interface StartupReport {
  home: string;
  shadow: boolean;
  wentOn: boolean;
  connections: { id: string; url: string; isThere: boolean; devices: number }[];
  unbound: string[];
  /** How people are told things, and over what it is told whether they are at home. */
  people: { id: string; notify?: string; presence?: string }[];
  doors: { url: string; routes: OpenDoor["routes"] }[];
  /** Voicepoints that are heard over a broker. */
  voice?: { connection: string; voicepoints: string[] };
  addresses: { id: string; runs: string; guard: string; keys: string[] }[];
  /** What does not work, and what to do about it. */
  lacks: { what: string; fix: string }[];
}

export function startupReport(
  live: Pick<Live, "book" | "connections" | "shadow" | "wentOn">,
  doors: readonly OpenDoor[],
): StartupReport {
  const { book, connections } = live;
  const bindings = [...book.bindings.values()];
  const unbound = [...book.devices.keys()].filter((id) => !book.bindings.has(id));
  const voice = book.doors?.voice;
  const states = connections.states();
  return {
    home: book.name,
    shadow: live.shadow !== undefined,
    wentOn: live.wentOn,
    connections: states.map((each) => ({
      ...each,
      devices: bindings.filter(({ connection }) => connection === each.id).length,
    })),
    unbound,
    people: [...book.people.keys()].map((id) => {
      const { connection, notify, presence } = book.contacts.get(id) ?? {};
      return {
        id,
        ...(connection !== undefined && notify && { notify: connection }),
        ...(connection !== undefined && presence && { presence: connection }),
      };
    }),
    doors: doors.map(({ url, routes }) => ({ url, routes })),
    ...(voice && {
      voice: { connection: voice.connection, voicepoints: [...book.voicepoints.keys()] },
    }),
    addresses: [...book.addresses.values()].map(({ id, runs, guard, keys }) => ({
      id,
      runs,
      guard,
      keys: [...keys.keys()],
    })),
    lacks: lacksOf(live, states),
  };
}

function lacksOf(
  { book }: Pick<Live, "book">,
  states: ReturnType<Live["connections"]["states"]>,
): StartupReport["lacks"] {
  const lacks: StartupReport["lacks"] = [];
  if (book.connections.size === 0) {
    lacks.push({
      what: "no device is reached: the phrasebook has no connections",
      fix: "write connections: and bindings:, as docs/live.md tells",
    });
  }
  for (const { id, url, isThere } of states) {
    if (!isThere) lacks.push({ what: `${id} is not there`, fix: `start the broker at ${url}` });
  }
  if (!book.doors) {
    lacks.push({ what: "no door is open: the phrasebook has no doors", fix: "write doors:" });
  } else if (book.doors.tokens.length === 0) {
    lacks.push({
      what: "nobody can ask over HTTP: there is no token",
      fix: "calm-phrase live token phone",
    });
  }
  return lacks;
}

/** The same for somebody to read. */
export function printStartup(report: StartupReport): string {
  const lines = [`${report.home}, live${report.shadow ? ", in the shadow: nothing is done" : ""}`];
  const row = (name: string, text: string): void => {
    lines.push(`  ${name.padEnd(11)}${text}`);
  };
  const rows = (name: string, texts: readonly string[]): void => {
    for (const [at, text] of texts.entries()) row(at === 0 ? name : "", text);
  };
  if (report.wentOn) row("goes on", "from what was kept when it stopped");
  rows(
    "devices",
    report.connections.map(({ id, url, isThere, devices }) => {
      return `${count(devices, "device")} over ${id}, ${url}${isThere ? "" : ", which is not there"}`;
    }),
  );
  if (report.unbound.length > 0) row("not bound", report.unbound.join(", "));
  rows(
    "people",
    report.people.map(({ id, notify = "the log alone", presence }) => {
      const known = presence === undefined ? "" : `, at home or not by ${presence}`;
      return `${id} is told things by ${notify}${known}`;
    }),
  );
  for (const { url, routes } of report.doors) {
    row("door", url);
    for (const { method, path, needs } of routes)
      row("", `${`${method} ${path}`.padEnd(22)}needs ${needs}`);
  }
  if (report.voice) {
    const { connection, voicepoints } = report.voice;
    row("hears", `${voicepoints.join(", ")} over ${connection}`);
  }
  rows(
    "addresses",
    report.addresses.map(({ id, runs, guard, keys }) => {
      const guarded = guard === "free" ? "" : `, with ${guard === "code" ? "the code" : "confirm"}`;
      const open = keys.length === 0 ? "" : `, by the address alone: ${keys.join(", ")}`;
      return `${id} runs ${runs}${guarded}${open}`;
    }),
  );
  for (const { what, fix } of report.lacks) lines.push(`  ! ${what}`, `    → ${fix}`);
  return lines.join("\n");
}

function count(number: number, noun: string): string {
  return `${number} ${noun}${number === 1 ? "" : "s"}`;
}
