import { parse } from "csv-parse/browser/esm/sync";
import { type Book, asBook } from "../book/book.ts";
import type { SourceText } from "../document/document.ts";
import { matchLanguage } from "../language/packs.ts";
import { membersOf, textOf } from "../source/border.ts";
import type { Finding } from "../source/finding.ts";
import { given } from "../source/given.ts";
import type { Position } from "../source/position.ts";
import { parseLocal } from "../time/local.ts";

/** One thing that a live system heard. */
export interface HeardEntry {
  text: string;
  language: string;
  at?: string;
  /** Local time. */
  time?: string;
  /** What it did then, where that is known: as `calm-phrase hear` tells effects. */
  did?: string;
  position: Position;
}

/** What a log holds, and what of it could not be taken. */
export interface HeardLog {
  entries: readonly HeardEntry[];
  problems: readonly Finding[];
}

/** Names of the columns, the first of them as it is called here. */
const columns = {
  text: ["text", "heard", "phrase"],
  at: ["at", "voicepoint"],
  time: ["time"],
  language: ["language"],
  did: ["did", "effect"],
} as const;

type Column = keyof typeof columns;

/**
 * Reads what a live system heard: a table with a column `text`, and perhaps `at`, `time`, `language` and
 * `did`; or JSON, an object a line with these members, of which the log of a live home is one. Lines of a log
 * that tell something else are passed over.
 */
export function readHeardLog(of: Book, given: SourceText): HeardLog {
  const book = asBook(of);
  const { path, text } = membersOf(given);
  return readEntries(book, { path: textOf(path) ?? "a log", text: textOf(text) ?? "" });
}

function readEntries(book: Book, source: SourceText): HeardLog {
  const problems: Finding[] = [];
  const rows = /^\s*\{/u.test(source.text) ? linesOf(source, problems) : tableOf(source, problems);
  const entries = rows.flatMap(({ cells, line }): HeardEntry[] => {
    const position = { file: source.path, line, column: 1 };
    const text = cells.text?.trim() ?? "";
    if (text === "") return [];
    const tag = cells.language;
    const language = tag === undefined ? book.languages[0] : matchLanguage(book, tag);
    const report = (message: string, fix: string): HeardEntry[] => {
      problems.push({ rule: "unknown-reference", severity: "warning", message, fix, at: position });
      return [];
    };
    if (language === undefined) {
      return report(
        `the home does not speak "${tag ?? ""}"`,
        `write one of ${book.languages.join(", ")}`,
      );
    }
    const { at, time, did } = cells;
    if (at !== undefined && !book.voicepoints.has(at)) {
      return report(
        `there is no voicepoint "${at}"`,
        `write one of ${[...book.voicepoints.keys()].join(", ")}`,
      );
    }
    const local = time === undefined ? undefined : localOf(time);
    if (time !== undefined && local === undefined) {
      return report(`"${time}" is no time`, "write one as in 2026-03-01T18:30");
    }
    return [{ text, language, ...given({ at, time: local, did }), position }];
  });
  if (rows.length > 0 && !rows.some(({ names }) => names.some(isOfText))) {
    problems.push(withoutText(rows, source.path));
  }
  return { entries, problems };
}

function isOfText(name: string): boolean {
  return columns.text.some((each) => each === name);
}

function withoutText(rows: readonly Row[], file: string): Finding {
  const there = [...new Set(rows.flatMap(({ names }) => names))];
  return {
    rule: "wrong-shape",
    severity: "error",
    message: `nothing in it tells what was heard: there is ${there.join(", ")}`,
    fix: `call that one of ${columns.text.join(", ")}`,
    at: { file, line: 1, column: 1 },
  };
}

interface Row {
  cells: Partial<Record<Column, string>>;
  /** What its cells are called in the log. */
  names: readonly string[];
  line: number;
}

function rowOf(value: Readonly<Record<string, unknown>>, line: number): Row {
  return { cells: cellsOf(value), names: Object.keys(value), line };
}

function cellsOf(value: Readonly<Record<string, unknown>>): Row["cells"] {
  const cells: Row["cells"] = {};
  for (const [column, names] of Object.entries(columns)) {
    const name = names.find((each) => typeof value[each] === "string" && value[each] !== "");
    const cell = name === undefined ? undefined : value[name];
    if (isColumn(column) && typeof cell === "string") cells[column] = cell;
  }
  return cells;
}

function isColumn(text: string): text is Column {
  return Object.hasOwn(columns, text);
}

function linesOf({ path, text }: SourceText, problems: Finding[]): Row[] {
  return text.split(/\r?\n/u).flatMap((line, index): Row[] => {
    if (line.trim() === "") return [];
    const value = parsed(line);
    if (value === undefined) {
      const message = "this line is no JSON";
      const at = { file: path, line: index + 1, column: 1 };
      problems.push({ rule: "wrong-shape", severity: "warning", message, at });
      return [];
    }
    const members = membersOf(value);
    // In the log of a live home "at" is the time of a line, and what was heard stands beside it.
    const { event } = members;
    const row = rowOf(members, index + 1);
    if (event === undefined) return [row];
    if (event !== "heard") return [];
    const { at: where, ...rest } = row.cells;
    const isTime = where !== undefined && localOf(where) !== undefined;
    return [{ ...row, cells: { ...rest, ...given(isTime ? { time: where } : { at: where }) } }];
  });
}

function parsed(line: string): unknown {
  try {
    return JSON.parse(line);
  } catch {
    return undefined;
  }
}

function tableOf({ path, text }: SourceText, problems: Finding[]): Row[] {
  try {
    const rows: unknown = parse(text, {
      bom: true,
      columns: true,
      info: true,
      trim: true,
      skip_empty_lines: true,
      relax_column_count: true,
    });
    return (Array.isArray(rows) ? rows : []).map((each) => {
      const { record, info } = membersOf(each);
      return rowOf(membersOf(record), Number(membersOf(info)["lines"]));
    });
  } catch (error) {
    const message = `this is no table: ${error instanceof Error ? error.message : String(error)}`;
    const at = { file: path, line: 1, column: 1 };
    problems.push({ rule: "wrong-shape", severity: "error", message, at });
    return [];
  }
}

/** A time as a suite writes it; seconds and zones are passed over. */
function localOf(time: string): string | undefined {
  const [local] = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}/u.exec(time.replace(" ", "T")) ?? [];
  return local !== undefined && parseLocal(local) ? local : undefined;
}
