import { plainly } from "../document/validate.ts";
import { membersOf, textOf } from "../source/border.ts";
import { madeOf } from "../source/wrong-use.ts";
import { parse } from "csv-parse/browser/esm/sync";
import { stringify } from "csv-stringify/browser/esm/sync";
import { deviceSchema } from "../phrasebook/schema/home.ts";
import type { DeviceDefinition } from "../phrasebook/definition/home.ts";
import type { SaidDefinition } from "../document/shapes.ts";
import { type SkippedPart, type Taken, idFrom } from "./taken.ts";

/*
 * Devices as a table (RFC 4180), one row each. The columns are the keys of a device; a name or
 * aliases in a language have that language in brackets, `aliases (de)`, several separated by
 * semicolons; what is more than a text is written as JSON.
 */

const plainColumns = ["id", "kind", "room", "voice"] as const;
const jsonColumns = ["safe", "safe-actions", "bulk", "properties", "actions"] as const;

/** The cells of a row, and the line that it ends on. */
interface Line {
  record: readonly string[];
  info: { lines: number };
}

function isLine(row: unknown): row is Line {
  const { record, info } = membersOf(row);
  return Array.isArray(record) && typeof membersOf(info)["lines"] === "number";
}

/**
 * Reads devices from a table. A row that cannot be used is told with its line; the others are taken.
 *
 * @param name What the table is called where a row of it is told of.
 * @param language BCP 47 tag of the columns that name none, where other columns do.
 */
export function devicesFromCsv(given: string, name = "table", language = "en"): Taken {
  const [text, file] = [textOf(given) ?? "", textOf(name) ?? "table"];
  const devices: Record<string, DeviceDefinition> = {};
  const skipped: SkippedPart[] = [];
  let rows: Line[];
  const { delimiter, from } = delimiterOf(text);
  try {
    const parsed: readonly unknown[] = parse(text, {
      bom: true,
      delimiter,
      from_line: from,
      info: true,
      relax_column_count: true,
      relax_quotes: true,
      skip_empty_lines: true,
      trim: true,
    });
    rows = parsed.filter(isLine);
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return { devices, skipped: [{ where: file, reason: `this is no table: ${reason}` }] };
  }
  const [header, ...body] = rows;
  const seen = new Set<string>();
  const columns = (header?.record ?? []).map((name) => {
    // The language in brackets keeps its case.
    const column = name.replace(/^[^(]*/u, (word) => word.toLowerCase()).replace(/\s+\(/u, " (");
    if (column === "" || !seen.has(column)) {
      seen.add(column);
      return column;
    }
    skipped.push({ where: `${file}:${from}`, reason: `the column "${column}" is there twice` });
    return "";
  });
  if (!columns.includes("kind")) {
    const reason = "the first row has to name the columns, kind among them";
    return { devices, skipped: [{ where: `${file}:${from}`, reason }] };
  }
  for (const column of columns) {
    if (column !== "" && !isKnown(column)) {
      skipped.push({
        where: `${file}:${from}`,
        reason: `the column "${column}" says nothing of a device`,
      });
    }
  }
  for (const { record, info } of body) {
    if (record.every((cell) => cell === "")) continue;
    const where = `${file}:${info.lines}`;
    const row = readRow(columns, record, language);
    if (!row.ok) {
      skipped.push({ where, reason: row.reason });
    } else if (Object.hasOwn(devices, row.id)) {
      skipped.push({ where, reason: `there is a row for "${row.id}" before this one` });
    } else {
      devices[row.id] = row.device;
    }
  }
  return { devices, skipped };
}

/**
 * Spreadsheets of many countries part cells with semicolons: the first line may say so, `sep=;`, and
 * otherwise the sign that stands in the first row most often does.
 */
function delimiterOf(text: string): { delimiter: string; from: number } {
  const [first = "", second = ""] = text.replace(/^\uFEFF/u, "").split(/\r?\n/u, 2);
  const told = /^"?sep=(.)"?$/iu.exec(first.trim())?.[1];
  if (told !== undefined) return { delimiter: told, from: 2 };
  const row = (first.trim() === "" ? second : first).replace(/"[^"]*"/gu, "");
  const counts = [",", ";", "\t"].map((sign) => ({ sign, count: row.split(sign).length }));
  counts.sort((a, b) => b.count - a.count);
  return { delimiter: counts[0]?.sign ?? ",", from: 1 };
}

type Row = { ok: true; id: string; device: DeviceDefinition } | { ok: false; reason: string };

function readRow(columns: readonly string[], record: readonly string[], language: string): Row {
  const cells = new Map<string, string>();
  columns.forEach((column, index) => {
    const cell = record[index] ?? "";
    if (cell !== "" && column !== "") cells.set(column, cell);
  });
  const more = record.slice(columns.length).filter((cell) => cell !== "");
  if (more.length > 0) {
    return { ok: false, reason: `it has ${record.length} cells for ${columns.length} columns` };
  }
  const id = cells.get("id") ?? idFrom(cells.get("name") ?? "");
  if (id === "") return { ok: false, reason: "it has neither an id nor a name" };
  const device: Record<string, unknown> = {};
  for (const column of ["kind", "room", "voice"]) {
    const cell = cells.get(column);
    // What is a word of ours is written in one case.
    if (cell !== undefined) device[column] = column === "room" ? cell : cell.toLowerCase();
  }
  for (const key of ["name", "aliases"] as const) {
    const said = readSaid(cells, key, language);
    if (said !== undefined) device[key] = said;
  }
  for (const column of jsonColumns) {
    const cell = cells.get(column);
    if (cell === undefined) continue;
    const isJson = /^(?:[[{]|true$|false$)/i.test(cell);
    try {
      const value: unknown = isJson ? JSON.parse(lowered(cell)) : splitList(cell);
      device[column] = value;
    } catch {
      return { ok: false, reason: `"${column}" is no JSON: ${cell}` };
    }
  }
  const checked = deviceSchema.safeParse(device, plainly);
  if (checked.success) return { ok: true, id, device: checked.data };
  const [issue] = checked.error.issues;
  const key = issue?.path.join(".") ?? "";
  return { ok: false, reason: `${key}: ${issue?.message ?? "it is no device"}` };
}

/** A spreadsheet writes truth values in capitals. */
function lowered(cell: string): string {
  return /^(?:true|false)$/iu.test(cell) ? cell.toLowerCase() : cell;
}

const inLanguage = /^(name|aliases)(?: \((.+)\))?$/;

function isKnown(column: string): boolean {
  return (
    inLanguage.test(column) || [...plainColumns, ...jsonColumns].some((known) => known === column)
  );
}

function readSaid(
  cells: ReadonlyMap<string, string>,
  key: string,
  main: string,
): SaidDefinition | undefined {
  const said: Record<string, string | string[]> = {};
  let first: string | string[] | undefined;
  for (const [column, cell] of cells) {
    const [, name, language] = inLanguage.exec(column) ?? [];
    if (name !== key) continue;
    const list = splitList(cell);
    const value = list.length === 1 ? (list[0] ?? "") : list;
    if (language === undefined) first = value;
    else said[language] = value;
  }
  if (Object.keys(said).length === 0) return first;
  if (first === undefined) return said;
  const { [main]: more = [], ...others } = said;
  const names = [first, more].flat();
  return { [main]: names.length === 1 ? first : names, ...others };
}

/** Semicolons separate; one that is meant is doubled. */
function splitList(cell: string): string[] {
  return cell
    .replaceAll(";;", "\u0000")
    .split(";")
    .map((part) => part.replaceAll("\u0000", ";").trim())
    .filter((part) => part !== "");
}

/** Writes devices as a table, with a column for every language that names are written in. */
export function devicesToCsv(devices: Readonly<Record<string, DeviceDefinition>>): string {
  return madeOf("map of devices", () => printRows(devices));
}

function printRows(devices: Readonly<Record<string, DeviceDefinition>>): string {
  const rows = Object.entries(devices).map(([id, device]) => {
    const cells: Record<string, string> = { id, kind: device.kind };
    if (device.room !== undefined) cells["room"] = device.room;
    if (device.voice !== undefined) cells["voice"] = device.voice;
    writeSaid(cells, "name", device.name);
    writeSaid(cells, "aliases", device.aliases);
    for (const column of jsonColumns) {
      if (device[column] !== undefined) cells[column] = JSON.stringify(device[column]);
    }
    return cells;
  });
  const used = new Set(rows.flatMap((cells) => Object.keys(cells)));
  const order = ["id", "kind", "room", "name", "aliases", "voice", ...jsonColumns];
  const columns = [...used].sort((a, b) => rank(order, a) - rank(order, b) || (a < b ? -1 : 1));
  return stringify(rows, { header: true, columns });
}

function rank(order: readonly string[], column: string): number {
  return order.indexOf(column.split(" ")[0] ?? column);
}

function writeSaid(cells: Record<string, string>, key: string, said: SaidDefinition | undefined) {
  const join = (texts: string | readonly string[]): string =>
    (typeof texts === "string" ? [texts] : texts)
      .map((text) => text.replaceAll(";", ";;"))
      .join("; ");
  if (said === undefined) return;
  if (typeof said === "string" || Array.isArray(said)) cells[key] = join(said);
  else for (const [tag, texts] of Object.entries(said)) cells[`${key} (${tag})`] = join(texts);
}
