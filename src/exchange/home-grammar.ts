import { type Book, asBook } from "../book/book.ts";
import { isAble } from "../commands/ability.ts";
import { planIntent } from "../commands/plan.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { packOf } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Device } from "../model/home.ts";
import { isKnown } from "../model/known.ts";
import {
  choice,
  fillReferences,
  nothingToSay,
  optional,
  reference,
  sequence,
  words,
} from "../pattern/build.ts";
import type { Grammar, GrammarRule } from "../pattern/grammar.ts";
import { parsePattern } from "../pattern/parse.ts";
import { referencesOf } from "../pattern/references.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Intent, Phrasebook } from "../phrasebook/model.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import { dateGrammar } from "../slot-types/date.ts";
import { durationGrammar } from "../slot-types/duration.ts";
import type { Slot, TargetSlot, Writing } from "../slot-types/slot.ts";
import { targetGrammar } from "../slot-types/target.ts";
import { timeGrammar } from "../slot-types/time.ts";
import { textOf } from "../source/border.ts";

/**
 * Everything that can be said to a home in one language, names included, as a grammar for a speech
 * recogniser. Every phrase of it is understood; free words are `$GARBAGE`.
 */
export function grammarOf(given: Book, tag?: string): Grammar {
  const book = asBook(given);
  const language = homeLanguage(book, textOf(tag));
  const pack = packOf(book, language);
  const rules = new Map<string, GrammarRule>();
  const said = (texts: readonly string[]): Pattern | undefined => {
    const distinct = new Set(
      texts
        .map((text) => splitWords(text, pack).map((word) => word.text))
        .map((words) => words.join(" ")),
    );
    distinct.delete("");
    const options = [...distinct].map((text) =>
      sequence(...text.split(" ").map((word) => words(word))),
    );
    return options.length === 0 ? undefined : choice(options);
  };
  const parsed = (texts: readonly string[]): Pattern =>
    choice(
      texts.map((text) => {
        const result = parsePattern(text, pack);
        return result.ok ? result.pattern : undefined;
      }),
    );
  const define = (name: string, make: () => Pattern): Pattern => {
    if (!rules.has(name)) {
      rules.set(name, { pattern: nothingToSay, isPublic: false });
      rules.set(name, { pattern: make(), isPublic: false });
    }
    return reference(name);
  };
  const base: Base = { home: book, pack, language, said, parsed, define };

  define("main", () => {
    const address = book.address.filter((each) => each.language === language);
    const opening = define("opening", () =>
      choice([...address.map(({ tree }) => tree), parsed(pack.courtesies.opening)]),
    );
    const closing = define("closing", () => parsed(pack.courtesies.closing));
    const command = define("command", () =>
      choice(
        [...book.intents.values()].flatMap((intent) =>
          intent.patterns
            .filter((pattern) => pattern.language === language)
            .map(({ tree }) => patternOf(book, base, intent, tree)),
        ),
      ),
    );
    const then = define("then", () => said(pack.times.then) ?? nothingToSay);
    const when = define("when", () => {
      const { when: forms } = pack.times;
      const writing: Writing = { ...base, owner: "when", led: (tree) => tree };
      const parts = new Map([
        ["duration", durationGrammar(writing)],
        ["time", timeGrammar(writing)],
        ["date", dateGrammar(writing)],
      ]);
      return fillReferences(parsed(Object.values(forms).flat()), (name) => parts.get(name));
    });
    const timed = choice([
      command,
      sequence(command, when),
      sequence(when, command),
      sequence(command, then, command),
    ]);
    return sequence(optional(opening), timed, optional(closing));
  });
  rules.set("main", {
    pattern: rules.get("main")?.pattern ?? nothingToSay,
    isPublic: true,
  });
  return { language, root: "main", rules };
}

/** A pattern with its references led to rules of the grammar. */
function patternOf(book: Book, writing: Base, intent: Intent, tree: Pattern): Pattern {
  return fillReferences(tree, (name) => {
    const slot = intent.slots.get(name);
    if (slot) return slotRule(book, writing, intent, slot);
    const fragment = fragmentTree(book.fragments.get(name), writing.language);
    if (!fragment) return undefined;
    // A fragment that holds slots is another one in each intent.
    const uses = referencesOf(fragment).some(({ name: inner }) => intent.slots.has(inner));
    const rule = uses ? `in-${intent.id}-${name}` : `part-${name}`;
    return writing.define(rule, () => patternOf(book, writing, intent, fragment));
  });
}

/** What rules are written with, before it is known for which slot. */
type Base = Omit<Writing, "owner" | "led">;

function slotRule(book: Book, base: Base, intent: Intent, slot: Slot): Pattern {
  if (slot.fills === "words") return { type: "garbage", span: [0, 0] };
  const writing: Writing = {
    ...base,
    owner: `${intent.id}-${slot.name}`,
    led: (tree) => patternOf(book, base, intent, tree),
  };
  if (slot.fills === "value") return slot.grammar(writing);
  const devices = ableDevices(book, intent, slot);
  return targetGrammar(writing, slot, { key: `target-${signature(intent, slot)}`, devices });
}

/** What an intent asks of whatever fills a slot, as a name: slots that ask alike share rules. */
function signature(intent: Intent, slot: TargetSlot): string {
  const { properties = [], actions = [] } = planIntent(intent).asked.get(slot.name) ?? {};
  const narrowed = [...(slot.kinds ?? []), slot.room, slot.sort, slot.named ? "named" : undefined];
  const parts = [
    ...new Set([...properties, ...actions]),
    ...narrowed.filter((part) => part !== undefined),
  ];
  return parts.length === 0 ? "any" : parts.join("-");
}

function ableDevices(book: Phrasebook, intent: Intent, slot: TargetSlot): Device[] {
  const asked = { slot, ...planIntent(intent).asked.get(slot.name) };
  return [...book.devices.values()].filter((device) => isKnown(device) && isAble(device, asked));
}
