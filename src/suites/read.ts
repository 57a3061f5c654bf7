import { type Book, asBook } from "../book/book.ts";
import { contextOf } from "../document/context.ts";
import { Cursor, listOf } from "../document/cursor.ts";
import {
  type Document,
  type Path,
  type SourceText,
  readDocument,
  readTexts,
} from "../document/document.ts";
import { validate } from "../document/validate.ts";
import type { Conditions } from "../model/condition.ts";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { type Shared, readCase } from "./case-reader.ts";
import { conditionsAt } from "./reading.ts";
import type { RunPart, Share } from "./parting.ts";
import { type SuiteDefinition, type TableDefinition, caseSchema, suiteSchema } from "./schema.ts";
import { type Setting, readSetups, settingOf } from "./setting.ts";
import type { Case, Suite, UnreadCase } from "./suite.ts";
import { type Tables, filled, partOf, readRows } from "./table.ts";

/**
 * Reads suite files; findings hold what is wrong with them.
 *
 * @param sources The suites, and the `.csv` tables that they name.
 */
export function readSuites(of: Book, sources: readonly SourceText[]): Suites {
  return readShares(of, { sources, shares: new Map() });
}

/** Reads some of the cases of suites; all of what nothing is told of. */
export function readShares(of: Book, { sources, shares }: RunPart): Suites {
  const book = asBook(of);
  const texts = readTexts(sources);
  const isTable = ({ path }: SourceText): boolean => /\.csv$/iu.test(path);
  const tables = new Map(texts.filter(isTable).map((source) => [source.path, source]));
  const opened = texts.filter((source) => !isTable(source)).map((each) => openSuite(book, each));
  // A setup may stand in any of the suites.
  const setups = new Map<string, Setting>();
  for (const each of opened) {
    const before = each.findings.length;
    if (each.top) readSetups(book, each.top, setups);
    each.isUnread ||= each.findings.length > before;
  }
  const suites = {
    suites: opened.flatMap((each) => {
      const share = shares.get(each.source.path) ?? wholeSuite;
      const suite = readSuite(book, each, { setups, tables, share });
      return isBegun(share) || suite.cases.length > 0 ? suite : [];
    }),
    problems: opened.flatMap(({ findings }) => findings),
  };
  readBy.set(suites, book);
  return suites;
}

/** Suites as they were read, and what is wrong with them. */
export interface Suites {
  suites: readonly Suite[];
  problems: readonly Finding[];
}

/** The phrasebook against which suites were read. */
const readBy = new WeakMap<object, Book>();

/**
 * Suites as somebody passes them who need not have read their type.
 *
 * @throws WrongUse for what `readSuites` did not read against this phrasebook.
 */
export function asSuites(book: Book, suites: unknown): Suites {
  if (isReadBy(book, suites)) return suites;
  throw new WrongUse("pass the suites that readSuites read with this phrasebook");
}

function isReadBy(book: Book, suites: unknown): suites is Suites {
  return typeof suites === "object" && suites !== null && readBy.get(suites) === book;
}

/** A suite as it is written, held against its shape. */
interface Opened {
  source: SourceText;
  document: Document;
  top: Cursor<SuiteDefinition> | undefined;
  findings: Finding[];
  /** Indexes of cases that cannot be read. */
  unread: Set<number>;
  /** Whether more than single cases cannot be. */
  isUnread: boolean;
}

function openSuite(book: Book, source: SourceText): Opened {
  const context = contextOf(book);
  const { findings } = context;
  const document = readDocument(source, findings);
  const unread = new Set<number>();
  let isUnread = false;
  const leave = ([section, index]: Path): void => {
    if (section === "cases" && typeof index === "number") unread.add(index);
    else isUnread = true;
  };
  document.lost.forEach(leave);
  const content = validate(suiteSchema, document, findings, leave);
  const whole = new Cursor(content, { context, document });
  if (!content && findings.length === 0) {
    const fix = 'write what is to be tested: suite: "closing time", cases: […]';
    whole.report("empty-suite", "there is nothing in this suite", fix);
  }
  if (content?.cases.length === 0 && unread.size === 0) {
    const fix = "write a case: { hear: open the gate, expect: unknown }";
    whole.key("cases").report("empty-suite", "this suite has no cases", fix);
  }
  isUnread ||= !content || content.cases.length + unread.size === 0;
  return { source, document, top: content && whole.as(content), findings, unread, isUnread };
}

/** What suites that are read together share. */
interface Beside {
  setups: Shared["setups"];
  tables: Tables;
  /** The cases that are read. */
  share: Share;
}

/** Whether a share is that with which a suite begins, and which tells of it as a whole. */
function isBegun({ from, to }: Share): boolean {
  return from === 0 && to > 0;
}

const wholeSuite: Share = { from: 0, to: 1 };

function readSuite(book: Book, opened: Opened, { setups, tables, share }: Beside): Suite {
  const { source, document, top, findings, unread } = opened;
  const before = findings.length;
  const tags = top?.given("tags");
  const shared: Shared | undefined = top && {
    setting: settingOf(book, top, setups),
    setups,
    tags: tags ? listOf(tags).map(({ value }) => value) : [],
  };
  const forbidden = top?.given("never");
  const never = forbidden && conditionsAt(book, forbidden);
  const isUnread = opened.isUnread || findings.length > before;

  const cases = new Map<number, readonly (Case | UnreadCase)[]>();
  // Where parts were left out, places are told by the text as it was written.
  const whole = unread.size > 0 || isUnread ? readDocument(source, []) : document;
  const lost = (path: Path): UnreadCase => unreadCase(whole.at(path), findings, path);
  const items = top?.given("cases")?.items() ?? [];
  const count = items.length + unread.size;
  const isOwn = (place: number): boolean =>
    place >= Math.floor(share.from * count) && place < Math.floor(share.to * count);
  for (const index of unread) if (isOwn(index)) cases.set(index, [lost(["cases", index])]);
  /** Reads a case, or what stands in its place where it cannot be read. */
  const attempt = (
    cursor: Cursor<unknown>,
    at: Position,
    read: () => Case[],
  ): readonly (Case | UnreadCase)[] => {
    const errors = findings.length;
    const own = read();
    const wrong = findings.slice(errors).filter(({ severity }) => severity === "error");
    return wrong.length === 0 ? withNever(own, never) : [unreadCase(at, wrong, cursor.path)];
  };
  for (const each of items) {
    if (!shared) break;
    const { value } = each;
    const place = Number(document.written(each.path)[1]);
    if (!isOwn(place)) continue;
    const own =
      "rows" in value
        ? readTable(book, each.as(value), { shared, tables, attempt })
        : attempt(each, each.at, () => readCase(book, each.as(value), shared));
    if (!unread.has(place)) cases.set(place, own);
  }
  const inOrder = [...cases].sort(([a], [b]) => a - b).flatMap(([, each]) => each);
  const name = top?.value.suite ?? document.path;
  const first = isUnread && isBegun(share) ? [lost([])] : [];
  return { name, file: document.path, cases: [...first, ...inOrder] };
}

/** A case for each row of its table. */
function readTable(
  book: Book,
  cursor: Cursor<TableDefinition>,
  {
    shared,
    tables,
    attempt,
  }: {
    shared: Shared;
    tables: Tables;
    attempt: (
      cursor: Cursor<unknown>,
      at: Position,
      read: () => Case[],
    ) => readonly (Case | UnreadCase)[];
  },
): readonly (Case | UnreadCase)[] {
  const { context, document, path } = cursor;
  const { findings } = context;
  const before = findings.length;
  const rows = readRows(cursor, tables);
  const used = new Set<string>();
  const cases = rows.flatMap((row) =>
    attempt(cursor, row.at, () => {
      const errors = findings.length;
      const part = partOf(document, path, filled(cursor.value, row, used));
      const written = validate(caseSchema, part, findings);
      const own =
        written && readCase(book, new Cursor(written, { context, document: part }), shared);
      for (const finding of findings.slice(errors)) finding.also ??= [row.at];
      return (own ?? []).map((each) => ({ ...each, position: row.at }));
    }),
  );
  for (const column of new Set(rows.flatMap(({ cells }) => Object.keys(cells)))) {
    if (used.has(column)) continue;
    const message = `the column "${column}" is used nowhere in the case`;
    const fix = `write $${column} where its value belongs, or take it out`;
    cursor.key("rows").report("unused-column", message, fix, { severity: "warning" });
  }
  const isUnread = findings.slice(before).some(({ severity }) => severity === "error");
  return cases.length === 0 && isUnread
    ? [unreadCase(cursor.at, findings.slice(before), path)]
    : cases;
}

function withNever(cases: readonly Case[], never: Conditions | undefined): readonly Case[] {
  return never ? cases.map((one) => ({ ...one, never })) : cases;
}

/** What stands in the place of a case that cannot be read, with the first finding about it. */
function unreadCase(position: Position, findings: readonly Finding[], path: Path): UnreadCase {
  const isWhole = path.length === 0;
  const errors = findings.filter(({ severity }) => severity === "error");
  const isAfter = ({ at }: Finding): boolean => at.line >= position.line;
  const about = isWhole ? errors[0] : (errors.find(isAfter) ?? errors[0]);
  const phrase = isWhole ? "the whole suite" : "a case that cannot be read";
  return { phrase, position, problem: about?.message ?? "it cannot be read" };
}
