import {
  MessageFormat,
  MessageSyntaxError,
  isFunctionRef,
  isVariableRef,
  parseMessage,
  validate,
  visit,
} from "messageformat";
import { DefaultFunctions, type MessageFunction } from "messageformat/functions";
import { nearest } from "../source/nearest.ts";

/** What is wrong with a message, where in it, and what to write instead. */
export interface MessageProblem {
  message: string;
  fix: string;
  /** UTF-16 offset in its source. */
  offset: number;
}

export interface MessageRead {
  problems: readonly MessageProblem[];
  /** Variables that come from outside. */
  variables: ReadonlySet<string>;
}

/**
 * A text that people say for a value, which stands for the value where a message selects by it.
 */
export class SaidValue {
  readonly value: string;
  readonly said: string;

  constructor(value: string, said: string) {
    this.value = value;
    this.said = said;
  }

  toString(): string {
    return this.said;
  }
}

/** Selects a value by what it is, and tells it by what is said for it. */
const string: MessageFunction<"string"> = (context, options, operand) => {
  const plain = DefaultFunctions.string(context, options, operand);
  if (!(operand instanceof SaidValue)) return plain;
  return { ...plain, selectKey: (keys) => (keys.has(operand.value) ? operand.value : null) };
};

const functions = { ...DefaultFunctions, string };

/** Makes a message: Unicode MessageFormat 2 (Unicode TR 35, part 9) with its default functions. */
export function makeMessage(source: string, language: string) {
  return new MessageFormat(language, source, { bidiIsolation: "none", functions });
}

export type Message = ReturnType<typeof makeMessage>;

/** Reads a message, with all that is wrong with it: its syntax, its data model, its functions. */
export function readMessage(source: string, language: string): MessageRead {
  const problems: MessageProblem[] = [];
  const variables = new Set<string>();
  try {
    const message = parseMessage(source);
    const local = message.declarations.flatMap(({ type, name }) =>
      type === "local" ? [name] : [],
    );
    visit(message, {
      value: (value) => {
        if (isVariableRef(value) && !local.includes(value.name)) variables.add(value.name);
      },
      functionRef: (ref) => {
        if (isFunctionRef(ref)) problems.push(...checkFunction(source, ref.name));
      },
    });
    validate(message, (type) => {
      problems.push({
        message: `the reply cannot be used: ${told(type)}`,
        fix: fixFor(type),
        offset: 0,
      });
    });
    if (problems.length === 0) makeMessage(source, language);
  } catch (error) {
    const offset = error instanceof MessageSyntaxError ? error.start : 0;
    const what = error instanceof Error ? error.message : String(error);
    const fix = "write variables as {$name}; a brace that is meant as text needs a backslash: \\{";
    problems.push({ message: `the reply cannot be read: ${what}`, fix, offset });
  }
  return { problems, variables };
}

function checkFunction(source: string, name: string): MessageProblem[] {
  if (Object.hasOwn(functions, name)) return [];
  const known = Object.keys(functions);
  const near = nearest(name, known);
  return [
    {
      message: `replies have no function :${name}`,
      fix: `write ${near ? `:${near}` : `one of ${known.map((each) => `:${each}`).join(", ")}`}`,
      offset: Math.max(0, source.indexOf(`:${name}`)),
    },
  ];
}

/** The errors of the data model in words (Unicode TR 35, part 9, "Data Model Errors"). */
function told(type: string): string {
  return type.replaceAll("-", " ");
}

function fixFor(type: string): string {
  switch (type) {
    case "missing-fallback":
      return "add a variant for all other values: * {{…}}";
    case "duplicate-variant":
      return "keep one of the variants that have the same keys";
    case "key-mismatch":
      return "give every variant a key for each variable after .match";
    case "missing-selector-annotation":
      return "say what is selected by: .input {$name :string}, or :number";
    case "duplicate-declaration":
      return "declare each variable once";
    default:
      return "write each option of a function once";
  }
}
