import type { LanguagePack } from "../language/pack.ts";
import { splitWords } from "../language/words.ts";
import { createBeginnings } from "../pattern/beginning.ts";
import { choice, optional, sequence, words } from "../pattern/build.ts";
import { parsePattern } from "../pattern/parse.ts";
import type { Pattern } from "../pattern/tree.ts";

/**
 * A pattern with articles before its nouns: "the colour of". Small words are passed over when they are heard,
 * so that no pattern has them.
 *
 * @param isFirst Whether it begins a command: what comes first there is most often a verb, whatever else it
 * may be.
 */
export function withArticles(tree: Pattern, pack: LanguagePack, isFirst: boolean): Pattern {
  const { nouns, small } = wordsOf(pack);
  const isNoun = (item: Pattern): boolean =>
    item.type === "words"
      ? nouns.has(item.words[0] ?? "")
      : item.type === "choice" && item.options.every((option) => isNoun(option.pattern));
  /** What comes after what may be left out may be first as well. */
  const inOrder = (items: readonly Pattern[], first: boolean): Pattern[] => {
    let isStill = first;
    return items.map((item) => {
      const made = inner(item, isStill);
      if (item.type !== "repeat" || item.minimum > 0) isStill = false;
      return made;
    });
  };
  const inner = (item: Pattern, first: boolean): Pattern => {
    if (!first && small && isNoun(item)) return sequence(optional(small), item);
    switch (item.type) {
      case "sequence":
        return { ...item, items: inOrder(item.items, first) };
      case "choice":
        return {
          ...item,
          options: item.options.map((option) => ({
            ...option,
            pattern: inner(option.pattern, first),
          })),
        };
      case "repeat":
        return { ...item, item: inner(item.item, first) };
      default:
        return item;
    }
  };
  return inner(tree, isFirst);
}

interface ArticleWords {
  nouns: ReadonlySet<string>;
  small: Pattern | undefined;
}

const known = new WeakMap<LanguagePack, ArticleWords>();

/** The words of a language that have articles, and these, gathered once. */
function wordsOf(pack: LanguagePack): ArticleWords {
  let found = known.get(pack);
  if (!found) known.set(pack, (found = { nouns: nounsIn(pack), small: articlesIn(pack) }));
  return found;
}

function articlesIn(pack: LanguagePack): Pattern | undefined {
  const said = pack.small.flatMap((text) => splitWords(text, pack).map((word) => word.text));
  return said.length === 0 ? undefined : choice(said.map((word) => words(word)));
}

/** Words that have an article: for properties, levels and amounts. */
function nounsIn({ language, properties, levels, amounts }: LanguagePack): ReadonlySet<string> {
  const said = [
    ...Object.values(properties),
    ...Object.values(levels),
    amounts.small,
    amounts.large,
  ].flat();
  const beginningOf = createBeginnings(() => undefined);
  return new Set(
    said.flatMap((text) => {
      const parsed = parsePattern(text, { language });
      return parsed.ok ? [...beginningOf(parsed.pattern).first] : [];
    }),
  );
}
