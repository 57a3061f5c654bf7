import type { LanguagePack } from "../language/pack.ts";
import {
  type VocabularyEntry,
  type VocabularyId,
  type WishId,
  vocabularyIds,
  wishIds,
} from "../language/vocabulary.ts";
import type { Context } from "../document/context.ts";
import { Cursor } from "../document/cursor.ts";
import { readDocument } from "../document/document.ts";
import { packFor } from "../language/packs.ts";
import { patternsAsking, patternsOf, patternsOfWish } from "./frames.ts";
import { type Wish, wishIntents } from "./wishes.ts";
import type { IntentDefinition } from "./definition/intents.ts";
import { type AskedIntent, type OwnIntent, askedIntents, ownIntents } from "./own-vocabulary.ts";
import { readIntent } from "./intents.ts";
import type { Intent } from "./model.ts";
import type { PhrasebookDefinition } from "./definition/phrasebook.ts";
import type { Scope } from "./scope.ts";
import { type VocabularyIntent, shippedIntents } from "./shipped.ts";
import { mapOf, section } from "./sections.ts";

/** The intents that come with Calm Phrase, as far as this home has use for them. */
export function readVocabulary(
  context: Context,
  tops: readonly Cursor<PhrasebookDefinition>[],
  scope: Scope,
): Map<string, Intent> {
  const without = new Set<string>();
  const packs = [...new Set(context.languages.flatMap((tag) => packFor(context, tag) ?? []))];
  const shipped = shippedIntents(packs, context.units);
  const isWishing = tops.some((top) => top.value.vocabulary?.with?.includes("wishes"));
  const wishes = isWishing ? wishIntents(packs, context.units) : undefined;
  const own = ownIntents(scope.home.devices.values(), isShipped(shipped), packs);
  const asked = askedIntents(scope.home.devices.values());
  const made = [...own, ...asked].map(({ id }) => id);
  const known = new Set<string>(["all", ...vocabularyIds, ...wishIds, ...made]);
  for (const top of tops) {
    for (const id of top.given("vocabulary")?.given("without")?.items() ?? []) {
      without.add(id.value);
      id.refers("intent of the vocabulary", known);
    }
  }
  // What the phrasebook has under the id is its own.
  const written = new Set(tops.flatMap((top) => Object.keys(top.value.intents ?? {})));
  const added = own.filter(({ id }) => !written.has(id));
  const ingredients = { packs, shipped, wishes, own: added, asked, without };
  const definition = vocabularyFor(scope, ingredients);
  const document = readDocument({ path: "vocabulary", definition }, context.findings);
  const top = new Cursor(definition, {
    document,
    context: { ...context, origin: "vocabulary", watcher: undefined },
  });
  const inside = { ...scope, fragments: new Map(), ...noIds };
  return mapOf(
    section([top], (each) => each.given("intents")),
    (entry) => readIntent(entry, inside),
  );
}

/** The vocabulary speaks of nothing that a home has of its own. */
const noIds = {
  routines: new Set<string>(),
  people: new Set<string>(),
  voicepoints: new Set<string>(),
};

/** What the vocabulary of a home is made of. */
interface Ingredients {
  packs: readonly LanguagePack[];
  shipped: Readonly<Record<VocabularyId, VocabularyIntent>>;
  /** Where the home takes what people say is wrong as wishes. */
  wishes: Readonly<Record<WishId, Wish>> | undefined;
  own: readonly OwnIntent[];
  asked: readonly AskedIntent[];
  without: ReadonlySet<string>;
}

/**
 * The vocabulary of a home: the intents for the properties and actions that its devices have, in
 * the languages that it speaks, as a phrasebook of its own.
 */
function vocabularyFor(
  { home, routines }: Scope,
  { packs, shipped, wishes, own, asked, without }: Ingredients,
): PhrasebookDefinition {
  const properties = new Set<string>();
  const actions = new Set<string>();
  for (const device of home.devices.values()) {
    for (const name of device.properties.keys()) properties.add(name);
    for (const name of device.actions) actions.add(name);
  }
  const isNeeded = ({ needs }: VocabularyIntent): boolean => {
    if (needs === "state") return properties.size > 0;
    if (needs === "routine") return routines.size > 0;
    return "property" in needs ? properties.has(needs.property) : actions.has(needs.action);
  };
  const made: NonNullable<PhrasebookDefinition["intents"]> = {};
  const add = (id: string, intent: Pick<IntentDefinition, "do" | "slots">, said: Sayings): void => {
    if (without.has(id) || without.has("all")) return;
    const patterns = packs.map((pack): [string, string[]] => [pack.language, said.patterns(pack)]);
    const replies = packs.map((pack): [string, string] => [pack.language, said.reply(pack)]);
    const isAnswered = replies.some(([, reply]) => reply !== "");
    made[id] = {
      patterns: Object.fromEntries(patterns.filter(([, all]) => all.length > 0)),
      slots: { ...intent.slots },
      do: intent.do,
      ...(isAnswered ? { reply: Object.fromEntries(replies) } : {}),
    };
  };
  for (const each of own) {
    add(each.id, each, {
      patterns: (pack) => patternsOf(pack, { states: each.states(pack), reply: "" }, each.framed),
      reply: (pack) => `{$target}: ${each.reply(pack)}.`,
    });
  }
  for (const each of asked) {
    add(each.id, each, {
      patterns: (pack) => patternsAsking(pack, each.property),
      reply: () => "",
    });
  }
  for (const id of vocabularyIds) {
    const intent = shipped[id];
    if (!isNeeded(intent)) continue;
    add(id, intent, {
      patterns: (pack) => patternsOf(pack, entryOf(pack, id, intent), intent.framed),
      reply: (pack) => pack.vocabulary[id].reply,
    });
  }
  for (const id of wishIds) {
    const wish = wishes?.[id];
    if (!wish || !isNeeded(wish)) continue;
    add(id, wish, {
      patterns: (pack) => patternsOfWish(pack, id),
      reply: (pack) => pack.vocabulary[wish.mends].reply,
    });
  }
  return { intents: made };
}

/** What is peculiar to an intent in a language, with that of intents that it is said like. */
function entryOf(
  { vocabulary }: LanguagePack,
  id: VocabularyId,
  { saidLike = [] }: VocabularyIntent,
): VocabularyEntry {
  const entries = [id, ...saidLike].map((each) => vocabulary[each]);
  const all = (key: Exclude<keyof VocabularyEntry, "reply">): string[] => [
    ...new Set(entries.flatMap((entry) => entry[key] ?? [])),
  ];
  const { reply } = vocabulary[id];
  const [patterns, states] = [all("patterns"), all("states")];
  return { patterns, states, deeds: all("deeds"), ceases: all("ceases"), reply };
}

/** How an intent is said and answered in a language. */
interface Sayings {
  patterns: (pack: LanguagePack) => string[];
  reply: (pack: LanguagePack) => string;
}

/** Tells the properties and actions that some intent that ships speaks of. */
function isShipped(
  all: Readonly<Record<string, VocabularyIntent>>,
): (sort: "property" | "action", id: string) => boolean {
  const known = new Set(
    Object.values(all).flatMap(({ needs }) =>
      typeof needs === "string"
        ? []
        : "property" in needs
          ? `property ${needs.property}`
          : `action ${needs.action}`,
    ),
  );
  return (sort, id) => known.has(`${sort} ${id}`);
}
