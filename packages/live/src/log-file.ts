import { existsSync, readFileSync, renameSync, statSync } from "node:fs";
import type { LogEntry } from "calm-phrase";
import pino from "pino";

/** The log of a home as JSON lines, each with its number. */
export interface LogFile {
  write: (entry: LogEntry) => void;
  /** Something that is no entry of the home: a call, a door. */
  note: (event: string, about?: Readonly<Record<string, unknown>>) => void;
  close: () => void;
}

export interface LogFileOptions {
  path: string;
  /** Bytes after which a new file is begun, and the one before is kept under `.1`. */
  most?: number;
}

/** Files that are kept beside the one that is written. */
const kept = 4;

export function openLogFile({ path, most = 10_000_000 }: LogFileOptions): LogFile {
  let last = lastNumber(path);
  const stream = pino.destination({ dest: path, sync: true, mkdir: true });
  let size = existsSync(path) ? statSync(path).size : 0;
  const counted = {
    write(line: string): void {
      size += line.length;
      stream.write(line);
    },
  };
  const log = pino({ base: null, timestamp: pino.stdTimeFunctions.isoTime }, counted);
  const turn = (): void => {
    for (let at = kept; at > 0; at--) {
      const from = at === 1 ? path : `${path}.${at - 1}`;
      if (existsSync(from)) renameSync(from, `${path}.${at}`);
    }
    stream.reopen(path);
    size = 0;
  };
  const put = (line: Record<string, unknown>): void => {
    if (size > most) turn();
    log.info(line);
  };
  return {
    write({ time, event }) {
      last++;
      put({ number: last, at: time, ...event });
    },
    note(event, about = {}) {
      put({ event, ...about });
    },
    close() {
      stream.flushSync();
      stream.end();
    },
  };
}

/** The number of the last entry in a log; a line that was cut off by a stop is none. */
function lastNumber(path: string): number {
  for (const file of [path, `${path}.1`]) {
    if (!existsSync(file)) continue;
    const lines = readFileSync(file, "utf8").split("\n");
    for (const line of lines.reverse()) {
      const number = /"number":(\d+)/.exec(line)?.[1];
      if (number !== undefined && line.endsWith("}")) return Number(number);
    }
  }
  return 0;
}
