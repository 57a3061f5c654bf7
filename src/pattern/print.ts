import type { Option, Pattern } from "./tree.ts";

/** Words that ABNF reads as they are, which are XML name tokens (section 2.1); others are quoted. */
const plain = /^[\p{L}\p{M}\p{N}._:-]+$/u;

/**
 * Writes a pattern in the ABNF form of SRGS 1.0. Reading it back gives the same tree, apart from
 * spans and needless brackets.
 */
export function printPattern(pattern: Pattern): string {
  switch (pattern.type) {
    case "words": {
      const [first = ""] = pattern.words;
      if (pattern.words.length === 1 && plain.test(first)) return first;
      return `"${pattern.words.join(" ")}"`;
    }
    case "sequence":
      return pattern.items.map(printItem).join(" ");
    case "choice":
      return pattern.options.map(printOption).join(" | ");
    case "repeat":
      return printRepeat(pattern);
    case "reference":
      return `$${pattern.name}`;
    case "nothing":
      return "$NULL";
    case "void":
      return "$VOID";
    case "garbage":
      return "$GARBAGE";
  }
}

function printOption({ weight, pattern }: Option): string {
  const text = pattern.type === "choice" ? `(${printPattern(pattern)})` : printPattern(pattern);
  return weight === undefined ? text : `/${weight}/ ${text}`;
}

/** One unit of a sequence or repeat: bracketed where ABNF would read it as something wider. */
function printItem(pattern: Pattern): string {
  const wide = pattern.type === "choice" || pattern.type === "sequence";
  return wide ? `(${printPattern(pattern)})` : printPattern(pattern);
}

function printRepeat(pattern: Pattern & { type: "repeat" }): string {
  const { item, minimum, maximum, probability } = pattern;
  if (minimum === 0 && maximum === 1 && probability === undefined) return `[${printPattern(item)}]`;
  const counts =
    maximum === Infinity ? `${minimum}-` : minimum === maximum ? minimum : `${minimum}-${maximum}`;
  const chance = probability === undefined ? "" : ` /${probability}/`;
  return `${printItem(item)}<${counts}${chance}>`;
}
