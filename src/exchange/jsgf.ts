import { fillReferences, reference, sequence } from "../pattern/build.ts";
import type { Grammar } from "../pattern/grammar.ts";
import type { Pattern, Repeat } from "../pattern/tree.ts";
import { membersOf, textsOf } from "../source/border.ts";
import { madeOf } from "../source/wrong-use.ts";

/** What a text in a token would be read as (section 2.1 of the note). */
const special = /[\s;=|*+<>()[\]{}/"\\]/u;

export interface JsgfOptions {
  /** Words that stand for any words, since JSGF has none for that. */
  anyWords?: readonly string[];
}

/** The rule of words that stand for any words. */
const anyRule = "any-words";

/**
 * Writes a grammar in the JSpeech Grammar Format (W3C Note, 5 June 2000). It has no word for any words: where
 * some are given they stand for them, and otherwise phrases with free words are left out; the rules concerned
 * are told. What can never be said is left out, since `<VOID>` drops more than itself in some recognisers.
 */
export function printJsgf(
  grammar: Grammar,
  options: JsgfOptions = {},
): { text: string; withoutFreeWords: readonly string[] } {
  const anyWords = textsOf(membersOf(options)["anyWords"]);
  return madeOf("grammar", () => printRules(grammar, anyWords));
}

function printRules(
  { language, root, rules }: Grammar,
  anyWords: readonly string[],
): ReturnType<typeof printJsgf> {
  const lost = new Set<string>();
  const bodies = new Map<string, Pattern>();
  for (const [name, { pattern }] of rules) {
    const sayable = withoutVoid(pattern, () => {
      if (anyWords.length > 0) return { type: "reference", name: anyRule, span: [0, 0] };
      lost.add(name);
      return undefined;
    });
    if (sayable) bodies.set(name, sayable);
  }
  dropEmpty(bodies);
  const lines = [`#JSGF V1.0 UTF-8 ${language};`, "grammar home;"];
  for (const [name, body] of bodies) {
    const scope = rules.get(name)?.isPublic || name === root ? "public " : "";
    lines.push("", `${scope}<${name}> = ${print(body)};`);
  }
  if (anyWords.length > 0) {
    const words = anyWords.map(token).join(" | ");
    lines.push("", `<${anyRule}> = (${words})+;`);
  }
  return { text: `${lines.join("\n")}\n`, withoutFreeWords: [...lost] };
}

/** A pattern without what can never be said; `undefined` where nothing is left. */
function withoutVoid(pattern: Pattern, free: () => Pattern | undefined): Pattern | undefined {
  switch (pattern.type) {
    case "void":
      return undefined;
    case "garbage":
      return free();
    case "sequence": {
      const items = pattern.items.map((item) => withoutVoid(item, free));
      const said = items.filter((item) => item !== undefined);
      return said.length < items.length ? undefined : sequence(...said);
    }
    case "choice": {
      const options = pattern.options.flatMap((option) => {
        const said = withoutVoid(option.pattern, free);
        return said ? [{ ...option, pattern: said }] : [];
      });
      return options.length === 0 ? undefined : { ...pattern, options };
    }
    case "repeat": {
      const item = withoutVoid(pattern.item, free);
      if (item) return { ...pattern, item };
      return pattern.minimum === 0 ? { type: "nothing", span: [0, 0] } : undefined;
    }
    default:
      return pattern;
  }
}

/** Leaves out what refers to rules that are left out. */
function dropEmpty(bodies: Map<string, Pattern>): void {
  for (let changed = true; changed;) {
    changed = false;
    for (const [name, body] of bodies) {
      const left = withoutVoid(withoutLost(body, bodies), () => undefined);
      if (left) bodies.set(name, left);
      else {
        bodies.delete(name);
        changed = true;
      }
    }
  }
}

function withoutLost(pattern: Pattern, bodies: ReadonlyMap<string, Pattern>): Pattern {
  return fillReferences(pattern, (name) =>
    bodies.has(name) || name === anyRule ? reference(name) : undefined,
  );
}

/** Marks within a word, such as an apostrophe, are part of it as they are. */
function token(word: string): string {
  return special.test(word) ? `"${word.replace(/[\\"]/gu, "\\$&")}"` : word;
}

function print(pattern: Pattern): string {
  switch (pattern.type) {
    case "words":
      return pattern.words.map(token).join(" ");
    case "sequence":
      return pattern.items.length === 0 ? "<NULL>" : pattern.items.map(unit).join(" ");
    case "choice":
      return printChoice(pattern);
    case "repeat":
      return repeated(pattern);
    case "reference":
      return `<${pattern.name}>`;
    default:
      return "<NULL>";
  }
}

/** Weights go before all alternatives or none (section 4.2). */
function printChoice({ options }: Pattern & { type: "choice" }): string {
  const isWeighted = options.some(({ weight }) => weight !== undefined);
  return options
    .map(({ weight = 1, pattern: option }) => {
      const text = option.type === "choice" ? `(${print(option)})` : print(option);
      return isWeighted ? `/${weight}/ ${text}` : text;
    })
    .join(" | ");
}

function unit(pattern: Pattern): string {
  const isWide = pattern.type === "choice" || pattern.type === "sequence";
  return isWide ? `(${print(pattern)})` : print(pattern);
}

/** The least that a weight may be: it is above 0. */
const least = 0.001;

/** JSGF has `[…]`, `*` and `+`; counts are written out, and so is how likely something is left out. */
function repeated({ item, minimum, maximum, probability }: Repeat): string {
  const once = `(${print(item)})`;
  if (minimum === 0 && maximum === 1 && probability !== undefined) {
    const chances = [probability, 1 - probability].map((each) =>
      Math.max(least, each).toPrecision(2),
    );
    return `(/${Number(chances[0])}/ ${once} | /${Number(chances[1])}/ <NULL>)`;
  }
  const must = Array<string>(minimum).fill(once);
  if (maximum === Infinity) {
    return minimum === 0 ? `${once}*` : [...must.slice(1), `${once}+`].join(" ");
  }
  let more = "";
  for (let extra = minimum; extra < maximum; extra++) {
    more = more === "" ? `[${print(item)}]` : `[${once} ${more}]`;
  }
  const all = [...must, ...(more === "" ? [] : [more])];
  if (all.length === 0) return "<NULL>";
  return all.length === 1 ? (all[0] ?? "") : `(${all.join(" ")})`;
}
