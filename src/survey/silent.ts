import { type Engine, engineFor } from "../hearing/understand/engine.ts";
import { phrases } from "../pattern/phrases.ts";
import { referencesOf } from "../pattern/references.ts";
import type { Book } from "../book/book.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { ChoiceValue } from "../model/spoken.ts";
import type { Device } from "../model/home.ts";
import type { Intent } from "../phrasebook/model.ts";
import type { Slot } from "../slot-types/slot.ts";
import { checkValue } from "../model/property.ts";
import type { Finding } from "../source/finding.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import { type Owned, ownPatterns } from "./heard.ts";
import { samplePhrases } from "./sample.ts";

/** What is allowed, and passes in silence until somebody speaks. */
export function checkSilent(book: Book): Finding[] {
  const own = ownPatterns(book);
  const intents = [...new Set(own.map(({ intent }) => intent))];
  return [
    ...book.languages.flatMap((language) => {
      const inLanguage = own.filter(({ pattern }) => pattern.language === language);
      return inLanguage.flatMap((each) => checkPattern(book, engineFor(book, language), each));
    }),
    ...intents.flatMap((intent) => checkIntent(book, intent)),
    ...intents.flatMap((intent) =>
      [...intent.slots.values()].flatMap((slot) => checkSlot(intent, slot)),
    ),
    ...checkDevices(book),
  ];
}

/** Devices of a kind share its properties, which are looked at once as long as they are right. */
function checkDevices({ devices }: Book): Finding[] {
  const right = new Set<Device["properties"]>();
  const found: Finding[] = [];
  for (const device of devices.values()) {
    if (right.has(device.properties)) continue;
    const findings = checkRanges(device);
    if (findings.length === 0) right.add(device.properties);
    found.push(...findings);
  }
  return found;
}

const warning = (rule: string, at: Finding["at"], message: string, fix: string): Finding => {
  return { rule, severity: "warning", message, fix, at };
};

/** Phrases of one pattern that are looked at. */
const mostLooked = 200;

/** Patterns that take what was meant for nobody, or for everybody. */
function checkPattern(book: Book, engine: Engine, { intent, pattern }: Owned): Finding[] {
  const { at, language, tree } = pattern;
  const texts = referencesOf(tree).filter(({ name }) => intent.slots.get(name)?.fills === "words");
  if (texts.length > 0 && isOnlyText(book, intent, tree, language)) {
    const message =
      "free words alone are enough for this pattern, so it takes whatever nothing else does";
    return [warning("pattern-greedy", at, message, "say a word of its own in it")];
  }
  let looked = 0;
  for (const phrase of samplePhrases(book, intent, pattern, [])) {
    if (looked++ >= mostLooked) break;
    const utterance = engine.prepare(phrase);
    const count = utterance.words.length;
    const isCourtesy =
      engine.starts(utterance).has(count) ||
      engine.ends(utterance).has(0) ||
      utterance.small.every(Boolean);
    if (count > 0 && isCourtesy) {
      const message = `"${phrase}" (${language}) is a courtesy that may stand before or after any phrase, and alone it is ${intent.id}`;
      return [warning("pattern-courtesy", at, message, "say more in it")];
    }
    if (engine.whens(utterance).some(({ from, end }) => from === 0 && end === count)) {
      const message = `"${phrase}" (${language}) only says when, which any command may`;
      return [warning("pattern-when", at, message, "say what is to be done in it")];
    }
  }
  return [];
}

/** Whether some phrase of a pattern has no word but those of free text. */
function isOnlyText(book: Book, intent: Intent, tree: Pattern, language: string): boolean {
  const resolve = (name: string): Pattern | undefined =>
    intent.slots.has(name)
      ? intent.slots.get(name)?.fills === "words"
        ? { type: "nothing", span: [0, 0] }
        : { type: "words", words: ["…"], span: [0, 0] }
      : fragmentTree(book.fragments.get(name), language);
  let looked = 0;
  for (const words of phrases(tree, resolve)) {
    if (words.length === 0) return true;
    if (looked++ >= mostLooked) return false;
  }
  return false;
}

/** Intents that come to nothing. */
function checkIntent(book: Book, intent: Intent): Finding[] {
  const { id, steps, compute, reply, failed, at, patterns } = intent;
  const isVocabulary = patterns.some(({ origin }) => origin === "vocabulary");
  if (isVocabulary || steps.length > 0 || compute || book.routines.has(id)) return [];
  if (reply.size > 0 || failed.size > 0) return [];
  return [warning("intent-idle", at, `${id} neither does nor says anything`, "add do or reply")];
}

/** Slots whose values or questions can never be as meant. */
function checkSlot(intent: Intent, slot: Slot): Finding[] {
  return [...checkDefault(slot), ...checkWords(slot), ...checkQuestion(intent, slot)];
}

function checkDefault(slot: Slot): Finding[] {
  if (slot.fills !== "value" || slot.default === undefined) return [];
  const why = slot.misfit(slot.default);
  if (why === undefined) return [];
  const message = `the default of $${slot.name}, ${slot.default}, ${why}`;
  return [warning("default-outside", slot.at, message, "write another default")];
}

/** One word that is said for two values. */
function checkWords(slot: Slot): Finding[] {
  if (slot.fills !== "value" || !slot.values) return [];
  const said = new Map<string, ChoiceValue>();
  for (const value of slot.values) {
    for (const { tree, language, at } of value.patterns) {
      let looked = 0;
      for (const words of phrases(tree, () => undefined)) {
        if (looked++ >= mostLooked) break;
        const key = `${language} ${words.join(" ")}`;
        const other = said.get(key);
        if (other && other !== value) {
          const message = `"${words.join(" ")}" (${language}) is said for ${other.value} and for ${value.value} of $${slot.name}`;
          return [warning("value-clash", at, message, "keep it for one of them")];
        }
        said.set(key, value);
      }
    }
  }
  return [];
}

/** A question that is never asked, since the slot is said in every phrase. */
function checkQuestion({ patterns, slots }: Intent, slot: Slot): Finding[] {
  if (!slot.ask || patterns.length === 0) return [];
  const isAlways = patterns.every(({ tree }) => alwaysSays(tree, slot.name, slots));
  if (!isAlways) return [];
  const message = `every pattern says $${slot.name}, so nobody is ever asked for it`;
  return [
    warning(
      "ask-idle",
      slot.at,
      message,
      "make it optional in a pattern: [to $name], or take ask out",
    ),
  ];
}

function alwaysSays(tree: Pattern, name: string, slots: ReadonlyMap<string, Slot>): boolean {
  switch (tree.type) {
    case "reference":
      return tree.name === name;
    case "sequence":
      return tree.items.some((item) => alwaysSays(item, name, slots));
    case "choice":
      return tree.options.every(({ pattern }) => alwaysSays(pattern, name, slots));
    case "repeat":
      return tree.minimum > 0 && alwaysSays(tree.item, name, slots);
    default:
      return false;
  }
}

/** Properties that can hold nothing. */
function checkRanges({ id, properties, at }: Device): Finding[] {
  return [...properties].flatMap(([name, schema]): Finding[] => {
    const { minimum, maximum } = schema;
    if (minimum !== undefined && maximum !== undefined && minimum > maximum) {
      const message = `the range of ${name} of ${id} goes backwards, from ${minimum} to ${maximum}`;
      return [
        warning("range-backwards", at, message, `write minimum: ${maximum}, maximum: ${minimum}`),
      ];
    }
    if (schema.enum?.length === 0 || checkValue(schema, schema.default).ok) return [];
    const message = `${id} starts with ${name} ${schema.default}, which it cannot be`;
    return [warning("default-outside", at, message, "write another default")];
  });
}
