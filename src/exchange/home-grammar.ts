import { type Book, asBook } from "../book/book.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { textOf } from "../source/border.ts";
import { isKnown } from "../commands/access.ts";
import { isAble } from "../commands/ability.ts";
import { planIntent } from "../commands/plan.ts";
import colorNames from "color-name";
import { spokenNames } from "../phrasebook/names.ts";
import { devicesOf } from "../commands/members.ts";
import { monthNames, weekdayNames } from "../language/calendar.ts";
import type { LanguagePack } from "../language/pack.ts";
import { packFor } from "../language/packs.ts";
import { stateWords } from "../language/vocabulary.ts";
import { splitWords } from "../language/words.ts";
import type { Grammar, GrammarRule } from "../pattern/grammar.ts";
import { parsePattern } from "../pattern/parse.ts";
import { referencesOf } from "../pattern/references.ts";
import type { Pattern } from "../pattern/tree.ts";
import type {
  Device,
  Intent,
  Nameable,
  NumberSlot,
  Phrasebook,
  Slot,
  TargetSlot,
} from "../phrasebook/model.ts";
import { fragmentTree } from "../phrasebook/references.ts";

const span = [0, 0] as const;

function sequence(...items: (Pattern | undefined)[]): Pattern {
  const said = items.filter((item) => item !== undefined);
  const [only] = said;
  return only && said.length === 1 ? only : { type: "sequence", items: said, span };
}

function choice(options: readonly (Pattern | undefined)[]): Pattern {
  const said = options.filter((option) => option !== undefined);
  const [only] = said;
  if (!only) return { type: "void", span };
  if (said.length === 1) return only;
  return { type: "choice", options: said.map((pattern) => ({ pattern })), span };
}

function optional(item: Pattern): Pattern {
  return { type: "repeat", item, minimum: 0, maximum: 1, span };
}

function reference(name: string): Pattern {
  return { type: "reference", name, span };
}

/**
 * Everything that can be said to a home in one language, names included, as a grammar for a speech
 * recogniser. Every phrase of it is understood; free words are `$GARBAGE`.
 */
export function grammarOf(given: Book, tag?: string): Grammar {
  const book = asBook(given);
  const language = homeLanguage(book, textOf(tag));
  const pack = packFor(language);
  const rules = new Map<string, GrammarRule>();
  if (!pack) return { language, root: "main", rules };
  const said = (texts: readonly string[]): Pattern | undefined => {
    const distinct = new Set(
      texts
        .map((text) => splitWords(text, language).map((word) => word.text))
        .map((words) => words.join(" ")),
    );
    distinct.delete("");
    const options = [...distinct].map((text) =>
      sequence(...text.split(" ").map((word): Pattern => ({ type: "words", words: [word], span }))),
    );
    return options.length === 0 ? undefined : choice(options);
  };
  const parsed = (texts: readonly string[]): Pattern =>
    choice(
      texts.map((text) => {
        const result = parsePattern(text, language);
        return result.ok ? result.pattern : undefined;
      }),
    );
  const define = (name: string, make: () => Pattern): Pattern => {
    if (!rules.has(name)) {
      rules.set(name, { pattern: { type: "void", span }, isPublic: false });
      rules.set(name, { pattern: make(), isPublic: false });
    }
    return reference(name);
  };
  const home: Writing = { book, pack, language, said, parsed, define };

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
            .map(({ tree }) => patternOf(home, intent, tree, intent.id)),
        ),
      ),
    );
    const then = define("then", () => said(pack.times.then) ?? { type: "void", span });
    const when = define("when", () => {
      const { when: forms } = pack.times;
      const parts = { duration: durationRule(home), time: timeRule(home), date: dateRule(home) };
      return filled(parsed(Object.values(forms).flat()), parts);
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
    pattern: rules.get("main")?.pattern ?? { type: "void", span },
    isPublic: true,
  });
  return { language, root: "main", rules };
}

/** What the parts of a grammar are written with. */
interface Writing {
  book: Phrasebook;
  pack: LanguagePack;
  language: string;
  said: (texts: readonly string[]) => Pattern | undefined;
  parsed: (texts: readonly string[]) => Pattern;
  /** Adds a rule once, and refers to it. */
  define: (name: string, make: () => Pattern) => Pattern;
}

/** A pattern with its references led to rules of the grammar. */
function patternOf(home: Writing, intent: Intent, tree: Pattern, owner: string): Pattern {
  const inner = (item: Pattern): Pattern => patternOf(home, intent, item, owner);
  switch (tree.type) {
    case "sequence":
      return { ...tree, items: tree.items.map(inner) };
    case "choice":
      return {
        ...tree,
        options: tree.options.map((option) => ({ ...option, pattern: inner(option.pattern) })),
      };
    case "repeat":
      return { ...tree, item: inner(tree.item) };
    case "reference": {
      const slot = intent.slots.get(tree.name);
      if (slot) return slotRule(home, intent, slot);
      const fragment = fragmentTree(home.book.fragments.get(tree.name), home.language);
      if (!fragment) return { type: "void", span };
      // A fragment that holds slots is another one in each intent.
      const uses = referencesOf(fragment).some(({ name }) => intent.slots.has(name));
      const name = uses ? `in-${owner}-${tree.name}` : `part-${tree.name}`;
      return home.define(name, () => patternOf(home, intent, fragment, owner));
    }
    default:
      return tree;
  }
}

function slotRule(home: Writing, intent: Intent, slot: Slot): Pattern {
  const { pack, book, said, define } = home;
  const own = (values: NumberSlot["values"]): (Pattern | undefined)[] =>
    values.flatMap(({ patterns }) =>
      patterns
        .filter(({ language }) => language === home.language)
        .map(({ tree }) => patternOf(home, intent, tree, intent.id)),
    );
  const owned = `choice-${intent.id}-${slot.name}`;
  switch (slot.type) {
    case "text":
      return { type: "garbage", span };
    case "target":
      return targetRule(home, intent, slot);
    case "choice":
      return define(owned, () => choice(own(slot.values)));
    case "colour":
      return define("colour", () =>
        choice([
          said(Object.values(pack.colours).flat()),
          said(Object.keys(colorNames)),
          said(
            book.colours.filter((each) => each.language === home.language).map(({ text }) => text),
          ),
        ]),
      );
    case "state":
      return define(
        "state",
        () => said(stateWords.flatMap((state) => pack.states[state])) ?? choice([]),
      );
    case "value":
      return define(`value-${slot.property}`, () => {
        const values = [...book.devices.values()].flatMap(
          ({ properties }) => properties.get(slot.property)?.enum ?? [],
        );
        const words = values.flatMap((value) => pack.values[slot.property]?.[value] ?? [value]);
        return said(words) ?? choice([]);
      });
    case "routine":
      return define(
        "routine",
        () =>
          said(
            [...book.routines.values()].flatMap((routine) =>
              spokenNames(routine, home.language, book.languages[0] ?? home.language).map(
                ({ text }) => text,
              ),
            ),
          ) ?? choice([]),
      );
    case "time":
      return timeRule(home);
    case "date":
      return dateRule(home);
    default: {
      const number = numberRule(home, slot);
      return slot.values.length === 0
        ? number
        : define(owned, () => choice([number, ...own(slot.values)]));
    }
  }
}

/** Whole numbers that a grammar spells out. */
function numbers({ pack, said }: Writing, lowest: number, highest: number, step = 1): Pattern {
  const values: string[] = [];
  for (let value = lowest; value <= highest; value += step)
    values.push(pack.numbers.cardinal(value));
  return said(values) ?? choice([]);
}

function numberRule(home: Writing, slot: NumberSlot): Pattern {
  const { pack, said, define } = home;
  const withUnit = (name: string, number: Pattern, unit: readonly string[]): Pattern =>
    define(name, () => {
      const sign = said(unit);
      return sequence(number, sign && optional(sign));
    });
  switch (slot.type) {
    case "percent":
      return withUnit(
        "percent",
        define("hundred", () => numbers(home, 0, 100)),
        pack.units.percent,
      );
    case "colour-temperature":
      return define("kelvin", () =>
        sequence(numbers(home, 1000, 9900, 100), said(pack.units.kelvin)),
      );
    case "duration":
      return durationRule(home);
    case "ordinal":
      return define("ordinal", () => {
        const values = Array.from({ length: 100 }, (_, index) => pack.numbers.ordinal(index + 1));
        return said(values) ?? choice([]);
      });
    default: {
      const words = slot.unit?.said.filter(({ language }) => language === home.language) ?? [];
      const unit = slot.type === "temperature" ? pack.units.celsius : words.map(({ text }) => text);
      const name =
        slot.type === "temperature"
          ? "degrees"
          : words.length > 0
            ? `number-${slot.unit?.name.replace(/\W/gu, "") ?? ""}`
            : "number";
      return withUnit(
        name,
        define("decimal", () => {
          const whole = define("hundred", () => numbers(home, 0, 100));
          const point = said(pack.numbers.point);
          const digit = define("digit", () => numbers(home, 0, 9));
          const minus = said(pack.numbers.minus);
          return sequence(
            minus && optional(minus),
            whole,
            point && optional(sequence(point, digit)),
          );
        }),
        unit,
      );
    }
  }
}

function durationRule(home: Writing): Pattern {
  const { pack, said, define } = home;
  return define("duration", () => {
    const number = define("hundred", () => numbers(home, 0, 100));
    const units = said(Object.values(pack.times.units).flat());
    return choice([sequence(number, units), said(Object.values(pack.times.durations).flat())]);
  });
}

function timeRule(home: Writing): Pattern {
  const { pack, said, define } = home;
  return define("time", () => {
    const parts: Record<string, Pattern> = {
      hour: define("hour", () => numbers(home, 0, 24)),
      minute: define("minute", () => numbers(home, 1, 59)),
      tens: define("tens", () => numbers(home, 10, 59)),
    };
    // Digits are for the written forms of a time.
    const spoken = pack.times.clock.flatMap(({ said: texts }) => texts);
    const clock = define("clock", () =>
      choice([filled(home.parsed(spoken), parts), said(Object.values(pack.times.moments).flat())]),
    );
    const ofDay = [...pack.times.morning, ...pack.times.afternoon, ...pack.times.night];
    return choice([clock, filled(home.parsed(ofDay), { time: clock })]);
  });
}

function dateRule(home: Writing): Pattern {
  const { pack, said, define, language } = home;
  return define("date", () =>
    choice([
      said(Object.values(pack.times.days).flat()),
      filled(home.parsed(pack.times.weekday), {
        weekday: said(weekdayNames(language)) ?? choice([]),
      }),
      filled(home.parsed(pack.times.date), {
        day: define("day", () => {
          const days = Array.from({ length: 28 }, (_, index) => pack.numbers.ordinal(index + 1));
          return said(days) ?? choice([]);
        }),
        month: said(monthNames(language)) ?? choice([]),
        year: choice([]),
      }),
    ]),
  );
}

/** A pattern of the language pack with its parts filled in; what has no part is never said. */
function filled(tree: Pattern, parts: Readonly<Record<string, Pattern>>): Pattern {
  switch (tree.type) {
    case "sequence":
      return { ...tree, items: tree.items.map((item) => filled(item, parts)) };
    case "choice":
      return {
        ...tree,
        options: tree.options.map((option) => ({
          ...option,
          pattern: filled(option.pattern, parts),
        })),
      };
    case "repeat":
      return { ...tree, item: filled(tree.item, parts) };
    case "reference":
      return parts[tree.name] ?? { type: "void", span };
    default:
      return tree;
  }
}

/** The names, kinds and places that can fill a target slot, given what is asked of them. */
function targetRule(home: Writing, intent: Intent, slot: TargetSlot): Pattern {
  const { book, pack, language, said, define } = home;
  const small = said(pack.small);
  const article = small && define("article", () => small);
  const withArticle = (pattern: Pattern): Pattern =>
    article ? sequence(optional(article), pattern) : pattern;
  const namesOf = (entity: Nameable): string[] =>
    spokenNames(entity, language, book.languages[0] ?? language).map(({ text }) => text);
  const nameList = (entities: Iterable<Nameable>): Pattern | undefined =>
    said([...entities].flatMap(namesOf));
  const places = define("place", () =>
    choice([nameList([...book.rooms.values(), ...book.zones.values()])]),
  );
  const inPlace = said(pack.targets.inPlace);
  const preposition = inPlace && define("in-place", () => inPlace);
  if (slot.narrows !== undefined) return withArticle(places);

  const able = ableDevices(book, intent, slot);
  const ids = new Set(able.map(({ id }) => id));
  const key = `target-${signature(intent, slot)}`;
  return define(key, () => {
    const isAble = (entity: Nameable): boolean =>
      (slot.sort === undefined || entity.type === slot.sort) &&
      devicesOf(book, entity).some(({ id }) => ids.has(id));
    const entities: Nameable[] = [
      ...book.devices.values(),
      ...book.groups.values(),
      ...(slot.named ? [] : [...book.rooms.values(), ...book.zones.values()]),
    ];
    const one = define(`${key}-one`, () =>
      withArticle(nameList(entities.filter(isAble)) ?? choice([])),
    );
    if (slot.sort !== undefined) return one;
    const and = define("and", () => said(pack.targets.and) ?? choice([]));
    const listed = sequence(one, optional(sequence(and, one)));
    const kinds = [...new Set(able.map(({ kind }) => kind))].map((kind) => {
      const nouns = said([
        ...(pack.kinds[kind]?.many ?? []),
        ...book.kindNouns
          .filter((noun) => noun.kind === kind && noun.many && noun.language === language)
          .map(({ text }) => text),
      ]);
      if (!nouns) return undefined;
      // Devices of another kind, or ones that voice is barred from, make no place for these.
      const holders = new Set(able.filter((device) => device.kind === kind).map(({ id }) => id));
      const placed = nameList(
        [...book.rooms.values(), ...book.zones.values()].filter((place) =>
          devicesOf(book, place).some(({ id }) => holders.has(id)),
        ),
      );
      const inIt =
        placed &&
        preposition &&
        optional(sequence(preposition, article && optional(article), placed));
      return sequence(nouns, inIt);
    });
    if (kinds.every((kind) => kind === undefined)) return listed;
    const all = said(pack.targets.all);
    const kindRule = define(`${key}-kinds`, () =>
      sequence(
        all && optional(define("all", () => all)),
        article && optional(article),
        choice(kinds),
      ),
    );
    const everything = slot.named ? undefined : said(pack.targets.everything);
    return choice([listed, kindRule, everything]);
  });
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
