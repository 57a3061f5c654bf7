import type { Book } from "../book/book.ts";
import { effectsOf } from "../commands/outcome.ts";
import { spokenNames } from "../model/names.ts";
import type { Reply } from "../model/spoken.ts";
import { effectsExpected } from "../suites/judge.ts";
import type { CaseFailed, Mend } from "../suites/results.ts";
import { runCase } from "../suites/run-case.ts";
import type { Case } from "../suites/suite.ts";
import { gatheringIn } from "./gathering.ts";
import type { Part } from "./parts.ts";

/** Most words of a phrase that are taken for a name. */
const mostWords = 4;

/** The smallest change to a phrasebook that would make a case pass, where one is known. */
export function mendOf(
  book: Book,
  each: Case,
  result: CaseFailed,
  touched: ReadonlySet<Part>,
): Mend | undefined {
  return (
    guardMend(book, each, result) ??
    replyMend(each, result, touched) ??
    aliasMend(book, each, result)
  );
}

/** A phrase acted that was to ask: the one device that it came to lacks its guard. */
function guardMend({ devices }: Book, { expect }: Case, { heard }: CaseFailed): Mend | undefined {
  const { outcome } = expect;
  if (heard?.outcome !== "act" || (outcome !== "confirm" && outcome !== "code")) return undefined;
  const [id, more] = new Set(effectsOf(heard).map(({ device }) => device));
  const device = id !== undefined && more === undefined ? devices.get(id) : undefined;
  return device && { at: device.at, change: `write "voice: ${outcome}" in ${device.id}` };
}

/** Something else is said, and only that: one reply took part that has no values in it. */
function replyMend(
  { expect: { reply } }: Case,
  { failures }: CaseFailed,
  touched: ReadonlySet<Part>,
): Mend | undefined {
  if (reply === undefined || /[*?]/u.test(reply)) return undefined;
  if (failures.some(({ about }) => about !== "reply")) return undefined;
  const [failure, another] = failures;
  const said = [...touched].filter(({ key }) => isReply(key) && key.text === failure?.actual);
  const [part, more] = said;
  return part && !more && !another
    ? { at: part.at, change: `write "${reply}" in place of "${part.what}"` }
    : undefined;
}

function isReply(key: object): key is Reply {
  return "text" in key && "states" in key;
}

/**
 * Words that nothing is called: with the name of what is expected in their place the case passes, so
 * that they are an alias of it.
 */
function aliasMend(book: Book, each: Case, { heard, failures }: CaseFailed): Mend | undefined {
  const isUnheard = heard?.outcome === "unknown" || heard?.outcome === "offer";
  if (each.script || !isUnheard || failures.length === 0) return undefined;
  const words = each.phrase.split(/\s+/u);
  const candidates = expectedNames(book, each);
  // The fewer words an alias has, the less else it changes.
  for (let length = 1; length <= mostWords; length++) {
    for (let from = 0; from + length <= words.length; from++) {
      const alias = words.slice(from, from + length).join(" ");
      for (const { id, at, name } of candidates) {
        const phrase = [...words.slice(0, from), name, ...words.slice(from + length)].join(" ");
        const { result } = runCase(book, { ...without(each), phrase });
        if (result.passed) return { at, change: `give ${id} the alias "${alias}"` };
      }
    }
  }
  return undefined;
}

/** A case that has to pass, whatever it says of that. */
function without(each: Case): Case {
  const { fails, ...rest } = each;
  return fails === undefined ? each : rest;
}

/** What is expected to be done something with, and what gathers just that, each with a name of it. */
function expectedNames(book: Book, { expect, language }: Case) {
  const ids = new Set(
    effectsExpected(expect).flatMap(({ set, nudge, scale, call }) =>
      [set, nudge, scale, call].flatMap((each) => [...(each?.keys() ?? [])]),
    ),
  );
  const gathering = gatheringIn(book).flatMap(({ entity, members }) =>
    ids.size > 0 && [...ids].every((id) => members.has(id)) ? entity : [],
  );
  const [only] = ids;
  const alone = ids.size === 1 && only !== undefined ? book.devices.get(only) : undefined;
  const first = book.languages[0] ?? language;
  return [...(alone ? [alone] : []), ...gathering].flatMap((entity) => {
    const [name] = spokenNames(entity, language, first);
    return name ? [{ id: entity.id, at: entity.at, name: name.text }] : [];
  });
}
