/**
 * Suites and cases in Vitest: matchers that hold a home to what it has to come to, and all suites of a
 * folder as tests, so that one command runs both.
 */
import { resolve } from "node:path";
import { describe, expect, test } from "vitest";
import { asBook } from "../book/book.ts";
import { traceSuites } from "../coverage/trace.ts";
import { openPhrasebook } from "../node/open.ts";
import { printFailure } from "../reports/failure.ts";
import { printFindings } from "../reports/findings.ts";
import { plain } from "../reports/paint.ts";
import { membersOf, textOf } from "../source/border.ts";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import { readSuites } from "../suites/read.ts";
import type { CaseResult } from "../suites/results.ts";

/** What a case is expected to come to, as in a suite: an outcome, or effects, replies, states and the rest. */
export type WrittenExpectation = string | Readonly<Record<string, unknown>>;

/** Where, when and in which home something is said, as in a suite. */
export interface WrittenSetting {
  /** The voicepoint. */
  at?: string;
  language?: string;
  /** Local time there, `2026-03-02T18:05`. */
  time?: string;
  /** States of devices before, by their ids. */
  given?: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
  /** Devices that misbehave, by their ids. */
  faults?: Readonly<Record<string, unknown>>;
}

/** A case as in a suite. */
export interface WrittenCase extends WrittenSetting {
  hear?: string;
  talk?: readonly unknown[];
  after?: unknown;
  never?: unknown;
  expect?: WrittenExpectation;
}

interface SpeechMatchers<R = unknown> {
  /**
   * A phrase said in a fresh home comes to what is expected, and to nothing else:
   * `expect(book).toHear("turn on the lamp", { set: { lamp: { power: "on" } } })`.
   */
  toHear: (phrase: string, expectation: WrittenExpectation, setting?: WrittenSetting) => R;
  /** A case as a suite has it holds: `expect(book).toProve({ after: [...], expect: { ... } })`. */
  toProve: (each: WrittenCase) => R;
}

declare module "vitest" {
  // eslint-disable-next-line @typescript-eslint/no-explicit-any, @typescript-eslint/no-empty-object-type -- as the library has it
  interface Matchers<T = any> extends SpeechMatchers<T> {}
}

/** Adds the matchers to `expect`. */
export function addMatchers(): void {
  expect.extend({
    toHear(received: unknown, phrase: unknown, expectation: unknown, setting: unknown) {
      return judged(received, { hear: phrase, expect: expectation, ...membersOf(setting) });
    },
    toProve: judged,
  });
}

/** Where cases stand that are in code. */
const place = { file: "in code", line: 0, column: 0 };

function judged(received: unknown, each: unknown) {
  const book = asBook(received);
  // JSON is YAML as well.
  const text = JSON.stringify({ suite: "in code", cases: [each] });
  const suites = readSuites(book, [{ path: place.file, text }]);
  const { problems, suites: results } = traceSuites(book, suites);
  const [result] = results.flatMap(({ cases }) => cases);
  const said = textOf(membersOf(each)["hear"]) ?? "the case";
  const pass = result?.passed === true && problems.length === 0;
  return {
    pass,
    message: () => {
      if (problems.length > 0) return printFindings(problems, plain);
      if (!result || result.passed) return `“${said}” comes to what is expected`;
      return printFailure({ ...result, position: place }, plain, {}).join("\n");
    },
  };
}

/**
 * Makes a test of every case of the suites in a folder, under their names, and one each of whether
 * phrasebook and suites can be read. To be awaited at the top of a test file.
 *
 * @param folder Path of the folder of a phrasebook.
 * @throws WrongUse when there is no such folder.
 */
export async function proveSuites(folder: string): Promise<void> {
  const { book, suiteSources } = await openPhrasebook(folder);
  const read = readSuites(book, suiteSources);
  const results = traceSuites(book, read);
  describe(book.name === "" ? folder : book.name, () => {
    test("the phrasebook has no errors", () => {
      refuse(book.problems);
    });
    test("the suites can be read", () => {
      refuse(read.problems);
    });
    for (const { suite, cases } of results.suites) {
      describe(suite, () => {
        for (const each of cases) proveCase(each);
      });
    }
  });
}

function proveCase(each: CaseResult): void {
  const name = each.name ?? each.phrase;
  if (each.passed && each.skipped !== undefined) {
    test.skip(`${name} (${each.skipped})`);
    return;
  }
  test(each.passed && each.fails !== undefined ? `${name} (fails: ${each.fails})` : name, () => {
    if (!each.passed) throw new Failed(printFailure(each, plain, {}).join("\n"), each.position);
  });
}

function refuse(problems: readonly Finding[]): void {
  const [first, ...others] = problems.filter(({ severity }) => severity === "error");
  if (first) throw new Failed(printFindings([first, ...others], plain), first.at);
}

/** What is wrong with a file, as if it had been thrown there: Vitest then shows the place. */
class Failed extends Error {
  constructor(message: string, { file, line, column }: Position) {
    super(`\n${message}`);
    this.name = "Failed";
    this.stack = `${this.name}: ${this.message}\n    at ${resolve(file)}:${line}:${column}`;
  }
}
