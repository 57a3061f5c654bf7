import { MessageSyntaxError, isVariableRef, parseMessage, visit } from "messageformat";
import { nearest } from "../source/nearest.ts";
import { type Context, report } from "./context.ts";
import type { Document, Path } from "./document.ts";
import type { Reply } from "./model.ts";
import { saidTexts } from "./said.ts";
import type { ReplyDefinition } from "./schema.ts";

/** What replies may speak of beside slots: what was done, what was not, and how much of each. */
export const resultVariables = ["done", "failed", "doneCount", "failedCount"];

/** Reads a reply in each language: Unicode MessageFormat 2, whose variables must be known ones. */
export function readReply(
  context: Context,
  document: Document,
  path: Path,
  reply: ReplyDefinition | undefined,
  variables: Iterable<string>,
): Map<string, Reply> {
  const known = [...variables];
  const replies = new Map<string, Reply>();
  for (const { text, language, path: under } of saidTexts(context, document, path, reply)) {
    replies.set(language, { text, at: document.inside(under, 0) });
    const place = (offset: number) => document.inside(under, offset);
    for (const name of variablesOf(context, text, place)) {
      if (known.includes(name)) continue;
      const near = nearest(name, known);
      const list = known.map((each) => `{$${each}}`).join(", ");
      report(
        context,
        "unknown-reference",
        place(Math.max(0, text.indexOf(`$${name}`))),
        `the reply speaks of $${name}, which this intent does not have`,
        near
          ? `write {$${near}}`
          : list === ""
            ? "this intent has no slots"
            : `write one of ${list}`,
      );
    }
  }
  return replies;
}

function variablesOf(
  context: Context,
  text: string,
  place: (offset: number) => ReturnType<Document["at"]>,
): Set<string> {
  const names = new Set<string>();
  const own = new Set<string>();
  try {
    const message = parseMessage(text);
    for (const { type, name } of message.declarations) if (type === "local") own.add(name);
    visit(message, {
      value: (value) => {
        if (isVariableRef(value)) names.add(value.name);
      },
    });
  } catch (error) {
    const offset = error instanceof MessageSyntaxError ? error.start : 0;
    const what = error instanceof Error ? error.message : String(error);
    const fix = "write variables as {$name}; a brace that is meant as text needs a backslash: \\{";
    report(context, "reply-syntax", place(offset), `the reply cannot be read: ${what}`, fix);
  }
  for (const name of own) names.delete(name);
  return names;
}
