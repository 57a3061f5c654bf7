import { madeOf } from "../source/wrong-use.ts";
import type { Grammar } from "../pattern/grammar.ts";
import type { Pattern } from "../pattern/tree.ts";

/** Tokens that JSGF reads as they are; anything else is quoted. */
const plain = /^[\p{L}\p{M}\p{N}]+$/u;

/**
 * Writes a grammar in the JSpeech Grammar Format (W3C Note, 5 June 2000). It has no word for any
 * words, so what takes them is written as `<VOID>`, which is never said; the rules concerned are
 * told.
 */
export function printJsgf(grammar: Grammar): {
  text: string;
  withoutFreeWords: readonly string[];
} {
  return madeOf("grammar", () => printRules(grammar));
}

function printRules({ language, root, rules }: Grammar): ReturnType<typeof printJsgf> {
  const lost = new Set<string>();
  const lines = [`#JSGF V1.0 UTF-8 ${language};`, "grammar home;"];
  for (const [name, { pattern, isPublic }] of rules) {
    const scope = isPublic || name === root ? "public " : "";
    const body = print(pattern, () => lost.add(name));
    lines.push("", `${scope}<${name}> = ${body};`);
  }
  return { text: `${lines.join("\n")}\n`, withoutFreeWords: [...lost] };
}

function print(pattern: Pattern, lose: () => void): string {
  switch (pattern.type) {
    case "words": {
      const [first = ""] = pattern.words;
      if (pattern.words.length === 1 && plain.test(first)) return first;
      return pattern.words.map((word) => (plain.test(word) ? word : `"${word}"`)).join(" ");
    }
    case "sequence":
      return pattern.items.map((item) => unit(item, lose)).join(" ");
    case "choice":
      return pattern.options
        .map(({ weight, pattern: option }) => {
          const text = option.type === "choice" ? `(${print(option, lose)})` : print(option, lose);
          return weight === undefined ? text : `/${weight}/ ${text}`;
        })
        .join(" | ");
    case "repeat":
      return repeated(pattern, lose);
    case "reference":
      return `<${pattern.name}>`;
    case "nothing":
      return "<NULL>";
    case "void":
      return "<VOID>";
    case "garbage":
      lose();
      return "<VOID>";
  }
}

function unit(pattern: Pattern, lose: () => void): string {
  const isWide = pattern.type === "choice" || pattern.type === "sequence";
  return isWide ? `(${print(pattern, lose)})` : print(pattern, lose);
}

/** JSGF has `[…]`, `*` and `+`; counts are written out. */
function repeated(
  { item, minimum, maximum }: Pattern & { type: "repeat" },
  lose: () => void,
): string {
  const once = `(${print(item, lose)})`;
  const must = Array<string>(minimum).fill(once);
  if (maximum === Infinity) {
    return minimum === 0 ? `${once}*` : [...must.slice(1), `${once}+`].join(" ");
  }
  let optional = "";
  for (let extra = minimum; extra < maximum; extra++) {
    optional = optional === "" ? `[${print(item, lose)}]` : `[${once} ${optional}]`;
  }
  const all = [...must, ...(optional === "" ? [] : [optional])];
  if (all.length === 0) return "<NULL>";
  return all.length === 1 ? (all[0] ?? "") : `(${all.join(" ")})`;
}
