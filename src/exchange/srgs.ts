import { madeOf } from "../source/wrong-use.ts";
import { type Grammar, type GrammarRule, danglingReference } from "../pattern/grammar.ts";
import { withLegalNames } from "../pattern/rule-names.ts";
import type { Option, Pattern } from "../pattern/tree.ts";
import { splitWords } from "../language/words.ts";
import {
  type Element,
  type Node,
  Wrong,
  element,
  elementsOf,
  printXml,
  readXml,
  text,
} from "./xml.ts";

/** The XML namespace of SRGS 1.0 (section 4.3). */
const namespace = "http://www.w3.org/2001/06/grammar";
/** Highest count that a repeat may have. */
const highestCount = 100;

export type XmlParsed =
  | { ok: true; grammar: Grammar }
  | { ok: false; error: { message: string; fix: string; line?: number } };

/**
 * Reads a grammar in the XML form of SRGS 1.0. Tags, examples, metadata and lexicons are passed
 * over.
 */
export function parseSrgsXml(text: string): XmlParsed {
  const read = readXml(text, readGrammar);
  return read.ok ? { ok: true, grammar: read.value } : read;
}

function readGrammar(document: Element): Grammar {
  const top = elementsOf(document).find(({ name }) => name === "grammar");
  if (!top) throw new Wrong("there is no grammar element", `write <grammar xmlns="${namespace}">`);
  const { "xml:lang": language = "en", root, mode } = top.attributes;
  if (mode !== undefined && mode !== "voice") {
    throw new Wrong(`a grammar of mode "${mode}" is not of words`, 'write mode="voice"', top.line);
  }
  const rules = new Map<string, GrammarRule>();
  for (const element of elementsOf(top)) {
    const { id, scope } = element.attributes;
    if (element.name !== "rule") continue;
    if (id === undefined) throw new Wrong("a rule has no id", 'write id="main"', element.line);
    const name = ruleName(id);
    if (rules.has(name)) {
      throw new Wrong(`the rule "${id}" is defined twice`, "rename one", element.line);
    }
    const pattern = readContent(element, language);
    rules.set(name, { pattern, isPublic: scope === "public" });
  }
  const [first] = rules.keys();
  const chosen = root === undefined ? first : ruleName(root);
  if (chosen === undefined) throw new Wrong("the grammar has no rule", "write one", top.line);
  const grammar = { language, root: chosen, rules };
  const missing = rules.has(chosen) ? danglingReference(grammar) : chosen;
  if (missing !== undefined) {
    throw new Wrong(`there is no rule "${missing}"`, "define it, or refer to another");
  }
  return grammar;
}

/** XML names may have characters that names in the ABNF form may not. */
function ruleName(id: string): string {
  return id.replace(/[^\p{L}\p{M}\p{N}_-]/gu, "-");
}

const passedOver = new Set(["tag", "example", "meta", "metadata", "lexicon"]);

function readContent(element: Element, language: string): Pattern {
  const items = element.children.flatMap((child): Pattern[] => {
    if (typeof child === "string") return readTokens(child, language);
    if (passedOver.has(child.name)) return [];
    switch (child.name) {
      case "token":
        return [
          words(child.children.filter((part) => typeof part === "string").join(" "), language),
        ];
      case "item":
        return [repeated(readContent(child, language), child)];
      case "one-of":
        return [{ type: "choice", options: readOptions(child, language), span: none }];
      case "ruleref":
        return [readReference(child)];
      default: {
        const fix = "write item, one-of, ruleref or token";
        throw new Wrong(`<${child.name}> has no place in a rule`, fix, child.line);
      }
    }
  });
  const [only] = items;
  if (!only) return { type: "nothing", span: none };
  return items.length === 1 ? only : { type: "sequence", items, span: none };
}

const none = [0, 0] as const;

/** Words as tokens; what stands between quotation marks is one (section 2.1). */
function readTokens(text: string, language: string): Pattern[] {
  return [...text.matchAll(/"([^"]*)"|[^\s"]+/g)].flatMap((found) => {
    const token = found[1] ?? found[0];
    return splitWords(token, { language }).length > 0 ? [words(token, language)] : [];
  });
}

function words(text: string, language: string): Pattern {
  return {
    type: "words",
    words: splitWords(text, { language }).map((word) => word.text),
    span: none,
  };
}

function readOptions(element: Element, language: string): Option[] {
  const options = elementsOf(element)
    .filter(({ name }) => name === "item")
    .map((item): Option => {
      const { weight } = item.attributes;
      const pattern = repeated(readContent(item, language), item);
      if (weight === undefined) return { pattern };
      if (Number(weight) > 0) return { weight: Number(weight), pattern };
      throw new Wrong(`"${weight}" is no weight`, "write a number above 0", item.line);
    });
  if (options.length > 0) return options;
  throw new Wrong("<one-of> has no item", "write <item>…</item> in it", element.line);
}

/** `repeat="0-1"` with `repeat-prob` (section 2.5). */
function repeated(item: Pattern, { attributes, line }: Element): Pattern {
  const { repeat } = attributes;
  if (repeat === undefined) return item;
  const found = /^\s*(\d+)\s*(-)?\s*(\d+)?\s*$/.exec(repeat);
  const minimum = Number(found?.[1]);
  const maximum = found?.[3] ? Number(found[3]) : found?.[2] ? Infinity : minimum;
  const isTooMany = minimum > highestCount || (maximum > highestCount && maximum !== Infinity);
  if (!found || maximum < minimum || isTooMany) {
    throw new Wrong(`"${repeat}" is no repeat`, 'write repeat="0-1" or repeat="1-"', line);
  }
  const probability = Number(attributes["repeat-prob"]);
  const chance = probability >= 0 && probability <= 1 ? { probability } : {};
  return { type: "repeat", item, minimum, maximum, ...chance, span: none };
}

function readReference({ attributes: { uri, special }, line }: Element): Pattern {
  if (special === "NULL") return { type: "nothing", span: none };
  if (special === "VOID") return { type: "void", span: none };
  if (special === "GARBAGE") return { type: "garbage", span: none };
  if (uri?.startsWith("#")) {
    return { type: "reference", name: ruleName(uri.slice(1)), span: none };
  }
  const message = `the grammar refers to another one: ${uri ?? "nothing"}`;
  throw new Wrong(message, "copy that rule into this grammar", line);
}

/** Writes a grammar in the XML form of SRGS 1.0. Reading it back gives the same phrases. */
export function printSrgsXml(grammar: Grammar): string {
  return madeOf("grammar", () => printRules(grammar));
}

function printRules(grammar: Grammar): string {
  const { language, root, rules } = withLegalNames(grammar);
  /** Texts side by side as one, so that their words stay apart. */
  const withTexts = (nodes: readonly Node[]): Node[] => {
    const joined: Node[] = [];
    for (const node of nodes) {
      const last = joined.at(-1);
      if (last && "#text" in last && "#text" in node) {
        joined[joined.length - 1] = text(`${String(last["#text"])} ${String(node["#text"])}`);
      } else joined.push(node);
    }
    return joined;
  };
  const print = (pattern: Pattern): Node[] => {
    switch (pattern.type) {
      case "words": {
        const [first = ""] = pattern.words;
        return pattern.words.length === 1
          ? [text(first)]
          : [element("token", [text(pattern.words.join(" "))])];
      }
      case "sequence":
        return withTexts(pattern.items.flatMap(print));
      case "choice":
        return [
          element(
            "one-of",
            pattern.options.map(({ weight, pattern: option }) =>
              element(
                "item",
                print(option),
                weight === undefined ? {} : { weight: String(weight) },
              ),
            ),
          ),
        ];
      case "repeat": {
        const { minimum, maximum, probability } = pattern;
        const high = maximum === Infinity ? "" : String(maximum);
        const repeat = minimum === maximum ? String(minimum) : `${minimum}-${high}`;
        const chance = probability === undefined ? {} : { "repeat-prob": String(probability) };
        return [element("item", print(pattern.item), { repeat, ...chance })];
      }
      case "reference":
        return [element("ruleref", [], { uri: `#${pattern.name}` })];
      case "nothing":
        return [element("ruleref", [], { special: "NULL" })];
      case "void":
        return [element("ruleref", [], { special: "VOID" })];
      case "garbage":
        return [element("ruleref", [], { special: "GARBAGE" })];
    }
  };
  const body = [...rules].map(([id, { pattern, isPublic }]) =>
    element("rule", print(pattern), { id, ...(isPublic ? { scope: "public" } : {}) }),
  );
  const attributes = {
    version: "1.0",
    xmlns: namespace,
    "xml:lang": language,
    root,
    mode: "voice",
  };
  return printXml(element("grammar", body, attributes));
}
