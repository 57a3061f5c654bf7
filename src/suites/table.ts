import { parse } from "csv-parse/browser/esm/sync";
import type { Cursor } from "../document/cursor.ts";
import type { Document, Path, SourceText } from "../document/document.ts";
import { membersOf } from "../source/border.ts";
import type { Position } from "../source/position.ts";
import type { TableDefinition } from "./schema.ts";

type Cell = string | number | boolean;

/** One row of a table, and where it stands. */
export interface Row {
  cells: Readonly<Record<string, Cell>>;
  at: Position;
}

/** The tables that stand beside suites, by their paths. */
export type Tables = ReadonlyMap<string, SourceText>;

/** The rows of a table as it is written in a case, or in a file beside the suite. */
export function readRows(cursor: Cursor<TableDefinition>, tables: Tables): Row[] {
  const { rows } = cursor.value;
  const written = cursor.key("rows");
  if (typeof rows !== "string") {
    const each = written.as(rows).items();
    if (each.length === 0) written.report("empty-suite", "this table has no rows", "write one");
    return each.map(({ value, at }) => ({ cells: value, at }));
  }
  const path = besides(cursor.document.path, rows);
  const table = tables.get(path);
  if (table) return rowsOf(table, written.as(rows));
  const beside = [...tables.keys()].map((each) => each.split("/").at(-1) ?? each);
  written.refers("table", beside, { id: rows });
  return [];
}

/** The path of a file that is named as from another. */
function besides(file: string, name: string): string {
  const parts = [...file.split("/").slice(0, -1)];
  for (const part of name.split("/")) {
    if (part === "..") parts.pop();
    else if (part !== ".") parts.push(part);
  }
  return parts.join("/");
}

/** The rows of a CSV file (RFC 4180); what looks like a number, true or false is one. */
function rowsOf({ path, text }: SourceText, cursor: Cursor<string>): Row[] {
  let lines: readonly unknown[];
  try {
    lines = parse(text, { bom: true, info: true, skip_empty_lines: true, trim: true });
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    const message = `${path} is no table: ${reason}`;
    cursor.report("wrong-table", message, "write one line of columns, then one a row");
    return [];
  }
  const [header = [], ...body] = lines.map((line) => {
    const record: unknown = membersOf(line)["record"];
    return Array.isArray(record) ? record.map(String) : [];
  });
  const ends = lines.map((line) => Number(membersOf(membersOf(line)["info"])["lines"]));
  if (body.length === 0) {
    cursor.report("empty-suite", `${path} has no rows`, "write a row under its columns");
  }
  return body.map((record, index) => ({
    cells: Object.fromEntries(header.map((column, at) => [column, cellOf(record[at] ?? "")])),
    at: { file: path, line: ends[index + 1] ?? 1, column: 1 },
  }));
}

function cellOf(text: string): Cell {
  if (/^-?\d+(?:\.\d+)?$/.test(text)) return Number(text);
  return text === "true" ? true : text === "false" ? false : text;
}

const column = /\$(\p{L}[\p{L}\p{N}_-]*)/gu;

/** A case with the cells of a row in it; a column that stands alone is a value of its own. */
export function filled(table: TableDefinition, { cells }: Row, used: Set<string>): unknown {
  const fillText = (text: string): Cell => {
    const [whole, name] = /^\$(\p{L}[\p{L}\p{N}_-]*)$/u.exec(text) ?? [];
    if (whole !== undefined && name !== undefined && Object.hasOwn(cells, name)) {
      used.add(name);
      return cells[name] ?? "";
    }
    return text.replace(column, (all, each: string) => {
      if (!Object.hasOwn(cells, each)) return all;
      used.add(each);
      return String(cells[each]);
    });
  };
  const fill = (value: unknown, key?: string): unknown => {
    if (typeof value === "string") {
      const text = fillText(value);
      // What is said is words, whatever they look like.
      return key === "hear" ? String(text) : text;
    }
    if (Array.isArray(value)) return value.map((each) => fill(each, key));
    if (typeof value !== "object" || value === null) return value;
    return Object.fromEntries(
      Object.entries(value).map(([each, inner]) => [String(fillText(each)), fill(inner, each)]),
    );
  };
  return fill(Object.fromEntries(Object.entries(table).filter(([key]) => key !== "rows")));
}

/** A part of a document, as a document of its own whose value is another. */
export function partOf(document: Document, path: Path, value: unknown): Document {
  const within = (inner: Path): Path => [...path, ...inner];
  return {
    path: document.path,
    value,
    broken: false,
    lost: [],
    drop: () => undefined,
    written: (inner) => inner,
    at: (inner) => document.at(within(inner)),
    atKey: (inner) => document.atKey(within(inner)),
    inside: (inner, offset) => document.inside(within(inner), offset),
  };
}
