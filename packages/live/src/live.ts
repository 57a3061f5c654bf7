import {
  type Book,
  type Driver,
  type HomeSnapshot,
  type Keeper,
  type LiveHome,
  type LogEntry,
  type State,
  type TimeSource,
  openHome,
  valuesOrdered,
} from "calm-phrase";
import { type Connections, openConnections } from "./connections.ts";
import { machineTime } from "calm-phrase/node";
import { type LogFile, openLogFile } from "./log-file.ts";
import { createMetrics, type Metrics } from "./metrics.ts";
import { type Reach, createReach } from "./reach.ts";
import { type Shadow, createShadow } from "./shadow.ts";
import { type Store, openStore } from "./store.ts";
import { createTelling } from "./telling.ts";
import { listenToVoice } from "./voice.ts";

export interface LiveStart {
  /** The folder in which it is written down what the home is; nothing is kept when left out. */
  store?: string | undefined;
  /** The file of the log, in JSON lines. */
  log?: string | undefined;
  /** Logins of connections by the names that the phrasebook has for them: the environment. */
  logins?: Readonly<Record<string, string | undefined>> | undefined;
  time?: TimeSource | undefined;
  /** URLs in place of those that the phrasebook has for connections, by their ids. */
  urls?: Readonly<Record<string, string>> | undefined;
  /** States that it begins with, where nothing is kept. */
  states?: Readonly<Record<string, State>> | undefined;
  /** Hears and decides all, and does nothing. */
  shadow?: boolean | undefined;
  /** Seconds that it waits for brokers before it begins; 3 when left out. */
  patience?: number | undefined;
}

/** A home that is connected to its devices. */
export interface Live {
  book: Book;
  home: LiveHome;
  reach: Reach;
  connections: Connections;
  metrics: Metrics;
  /** Notes something in the log that is no entry of the home. */
  note: LogFile["note"];
  /** What it would have done beside what was done, where it does nothing. */
  shadow: Shadow | undefined;
  /** Whether it went on from what was kept. */
  wentOn: boolean;
  close: () => Promise<void>;
}

/** Connects a home to its devices, and goes on from what was kept of it. */
export async function startLive(book: Book, options: LiveStart = {}): Promise<Live> {
  const { time = machineTime(), logins = {}, patience = 3, states } = options;
  const log = options.log === undefined ? silentLog : openLogFile({ path: options.log });
  const store = options.store === undefined ? undefined : openStore(options.store);
  const metrics = createMetrics();
  const connections = openConnections(book.connections, {
    logins,
    urls: options.urls,
    onChange: (connection, isThere) => {
      log.note(isThere ? "connected" : "disconnected", { connection });
    },
  });
  const reach = createReach({
    book,
    connections,
    time,
    unread: (device, property, text) => {
      metrics.unread();
      log.note("unread", { device, property, text: text.slice(0, 200) });
    },
  });
  const shadow = options.shadow === true ? createShadow(time, log.note) : undefined;
  const telling = createTelling(book, connections);
  await connections.ready(patience);
  const from: HomeSnapshot | undefined = store?.snapshot();
  // What came in before comes in once more until something new does: the log has it already, since a line
  // of the log is written at once, and what came in is kept a moment later.
  let isPast = from !== undefined;
  const keeper: Keeper | undefined = store && {
    rest: store.keeper.rest,
    add(received) {
      isPast = false;
      store.keeper.add(received);
    },
  };
  const onLog = (entry: LogEntry): void => {
    if (isPast) return;
    log.write(entry);
    metrics.happened(entry.event);
    if (shadow) shadow.happened(entry.event);
    else telling.take(entry);
  };
  const home = openHome(book, {
    driver: shadow ? shadowing(book, shadow) : store ? savedFirst(reach, store) : reach,
    time,
    answerTime: answerTimeOf(book),
    onLog,
    ...(states && { states }),
    ...(keeper && { keeper }),
    ...(from && { from }),
  });
  isPast = false;
  reach.begin(home);
  listenToVoice({ book, home, connections, metrics });
  await connections.listening();
  return {
    book,
    home,
    reach,
    connections,
    metrics,
    note: log.note,
    shadow,
    wentOn: from !== undefined,
    async close() {
      home.close();
      reach.close();
      await telling.done();
      await connections.close();
      await store?.close();
      log.close();
    },
  };
}

/** Lets nothing out before it is written down that it goes out. */
function savedFirst(reach: Reach, store: Pick<Store, "saved">): Driver {
  return {
    order: (effect, state) =>
      reach.counted(async () => {
        await store.saved();
        return reach.order(effect, state);
      }),
    send: (message) =>
      reach.counted(async () => {
        await store.saved();
        return reach.send(message);
      }),
    notify: (note) =>
      reach.counted(async () => {
        await store.saved();
        return reach.notify(note);
      }),
  };
}

/** What a home that only hears along does: all is taken, and nothing goes out. */
function shadowing(book: Book, shadow: Shadow): Driver {
  return {
    order(effect, state) {
      shadow.ordered(effect.device, valuesOrdered(book, state, effect));
      return undefined;
    },
    send: () => undefined,
    notify: () => undefined,
  };
}

const silentLog: LogFile = {
  write: () => undefined,
  note: () => undefined,
  close: () => undefined,
};

/** Seconds in which the slowest device has answered, or failed. */
function answerTimeOf({ bindings }: Book): number {
  const longest = [...bindings.values()].map(({ within, tries }) => within * tries * 2);
  return Math.max(10, ...longest) + 1;
}
