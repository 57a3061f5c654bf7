import type { Finding, Remedy, Severity } from "../source/finding.ts";
import { nearest } from "../source/nearest.ts";
import type { Position } from "../source/position.ts";
import type { Context } from "./context.ts";
import type { Document, Path } from "./document.ts";
import { type Known, idsAmong, isAmong } from "./sightings.ts";

type KeyOf<T> = T extends readonly unknown[] ? number : T extends object ? keyof T : never;
type At<T, Key> = T extends object ? (Key extends keyof T ? T[Key] : undefined) : undefined;
type Given<T> = Exclude<T, null | undefined>;

/** What else a finding says beside its rule, message and fix. */
interface More {
  severity?: Severity;
  also?: Position[];
  /** Where it stands, if that is not where the value does. */
  at?: Position;
  remedy?: Remedy;
}

/** An id that is not all of what is written, and where it stands. */
interface Referring {
  id?: string | undefined;
  at?: Position;
  on?: "key" | "value";
}

/**
 * A value as it was written, with where it stands and whom to tell what is wrong with it. All readers
 * take one. A class, since a large home has a hundred thousand of them, and their places are worked
 * out only when asked for.
 */
export class Cursor<T> {
  readonly value: T;
  readonly context: Context;
  readonly document: Document;
  readonly #parent: Cursor<unknown> | undefined;
  readonly #key: PropertyKey;
  #keyAt: Position | undefined;

  constructor(
    value: T,
    { context, document }: { context: Context; document: Document },
    parent?: Cursor<unknown>,
    key: PropertyKey = "",
  ) {
    this.value = value;
    this.context = context;
    this.document = document;
    this.#parent = parent;
    this.#key = key;
  }

  /** The key under which it stands: of an entry of a section, its id. */
  get id(): string {
    return String(this.#key);
  }

  get path(): Path {
    return this.#parent ? [...this.#parent.path, this.#key] : [];
  }

  /** Where the value starts. */
  get at(): Position {
    return this.document.at(this.path);
  }

  /** Where the key before it starts. */
  get keyAt(): Position {
    return (this.#keyAt ??= this.document.atKey(this.path));
  }

  /** Where a character of a text stands. */
  inside(offset: number): Position {
    return this.document.inside(this.path, offset);
  }

  /** What stands under a key, which may be nothing. */
  key<Key extends KeyOf<T>>(key: Key): Cursor<At<T, Key>>;
  key(key: PropertyKey): Cursor<unknown> {
    const { value } = this;
    const isThere = typeof value === "object" && value !== null && Object.hasOwn(value, key);
    return new Cursor<unknown>(isThere ? Reflect.get(value, key) : undefined, this, this, key);
  }

  /** What stands under a key; undefined where nothing does. */
  given<Key extends KeyOf<T>>(key: Key): Cursor<Given<At<T, Key>>> | undefined;
  given(key: PropertyKey): Cursor<unknown> | undefined {
    const { value } = this;
    if (typeof value !== "object" || value === null || !Object.hasOwn(value, key)) return undefined;
    const found: unknown = Reflect.get(value, key);
    return found === undefined || found === null
      ? undefined
      : new Cursor<unknown>(found, this, this, key);
  }

  /** The items of a list. */
  items<Item>(this: Cursor<readonly Item[]>): Cursor<Item>[] {
    return this.value.map((item, index) => new Cursor(item, this, this, index));
  }

  /** The entries of a map, each with its key as `id`. */
  entries<Entry>(this: Cursor<Readonly<Record<string, Entry>>>): Cursor<Entry>[] {
    return Object.entries(this.value).map(([key, entry]) => new Cursor(entry, this, this, key));
  }

  /** Another value at the same place: what was written, in another form. */
  as<Other>(value: Other): Cursor<Other> {
    return new Cursor(value, this, this.#parent, this.#key);
  }

  /** The same place, read in another context. */
  within(context: Context): Cursor<T> {
    return new Cursor(this.value, { context, document: this.document }, this.#parent, this.#key);
  }

  /** Tells what is wrong with the value, and what to write instead. */
  report(rule: string, message: string, fix?: string, more: More = {}): void {
    const { severity = "error", also, at = this.at, remedy } = more;
    const finding: Finding = { rule, severity, message, at };
    if (fix !== undefined) finding.fix = fix;
    if (also) finding.also = also;
    if (remedy) finding.remedy = remedy;
    this.context.findings.push(finding);
  }

  /**
   * Whether an id that is written here stands for something; reported where it does not. It is the value,
   * or the key, or the id of which the text is made up.
   */
  refers(what: string, known: Known, { id, at, on = "value" }: Referring = {}): boolean {
    const isKey = on === "key";
    const written = id ?? (isKey ? this.id : String(this.value));
    this.mentions(what, known, { id: written, on });
    if (isAmong(known, written)) return true;
    this.#unknown(what, written, known, at ?? (isKey ? this.keyAt : this.at));
    return false;
  }

  /** Tells of an id that is written here, and may stand for something. */
  mentions(what: string, known: Known, { id, on = "value" }: Referring = {}): void {
    const isKey = on === "key";
    const written = id ?? (isKey ? this.id : String(this.value));
    this.context.watcher?.({ sees: "reference", what, id: written, known, place: this, isKey });
  }

  /** Tells which values are listed for what stands here, if any are, and what may be written. */
  lists(what: string, known: readonly string[], allowed: string): void {
    this.context.watcher?.({ sees: "value", what, known, allowed, place: this });
  }

  /** Reports an id that stands for nothing, with the nearest one that does. */
  #unknown(what: string, id: string, known: Known, at: Position): void {
    const ids = idsAmong(known);
    const near = nearest(id, ids);
    const list = ids.length > 8 ? `${ids.slice(0, 8).join(", ")} …` : ids.join(", ");
    const fix =
      ids.length === 0 ? `define a ${what} first` : near ? `write ${near}` : `write one of ${list}`;
    this.report("unknown-reference", `there is no ${what} "${id}"`, fix, { at });
  }

  /** Takes it that what stands here could not be read, whatever it may have decided. */
  doubt(): void {
    this.context.doubts.left(this.document, this.path);
  }
}

/** One text, or each of several. */
export function listOf(cursor: Cursor<string | string[]>): Cursor<string>[] {
  const { value } = cursor;
  return typeof value === "string" ? [cursor.as(value)] : cursor.as(value).items();
}
