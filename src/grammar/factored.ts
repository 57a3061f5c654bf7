import { choice, optional, sequence } from "../pattern/build.ts";
import { printPattern } from "../pattern/print.ts";
import type { Pattern } from "../pattern/tree.ts";

/**
 * A pattern in which alternatives that begin or end alike have what is alike written once. It is never longer
 * than it was, and says the same.
 */
export function factored(pattern: Pattern): Pattern {
  switch (pattern.type) {
    case "sequence":
      return sequence(...pattern.items.map(factored));
    case "repeat": {
      return { ...pattern, item: factored(pattern.item) };
    }
    case "choice":
      return joined(pattern.options.flatMap((option) => optionsOf(option.pattern)));
    default:
      return pattern;
  }
}

/** An alternative as what is said one after another. */
type Option = readonly Pattern[];

function optionsOf(pattern: Pattern): Option[] {
  if (pattern.type === "choice") return pattern.options.flatMap((each) => optionsOf(each.pattern));
  return [itemsOf(pattern)];
}

function itemsOf(pattern: Pattern): Pattern[] {
  if (pattern.type === "sequence") return pattern.items.flatMap(itemsOf);
  if (pattern.type !== "words") return [factored(pattern)];
  return pattern.words.map((word) => ({ ...pattern, words: [word] }));
}

/** Alternatives as one pattern: those that begin alike together, and then those that end alike. */
function joined(options: readonly Option[]): Pattern {
  const isEmpty = options.some((option) => option.length === 0);
  const front = grouped(
    options.filter((option) => option.length > 0),
    (option) => option[0],
    (option) => option.slice(1),
  );
  const parts = front.flatMap(({ item, rests }): Option[] => {
    const [only = []] = rests;
    return [rests.length === 1 ? [item, ...only] : [item, joined(rests)]];
  });
  const back = grouped(
    parts,
    (option) => option.at(-1),
    (option) => option.slice(0, -1),
  );
  const all = choice(
    back.map(({ item, rests }) => {
      const [only = []] = rests;
      if (rests.length === 1) return sequence(...only, item);
      const isBare = rests.some((rest) => rest.length === 0);
      const before = choice(
        rests.filter((rest) => rest.length > 0).map((rest) => sequence(...rest)),
      );
      return sequence(isBare ? optional(before) : before, item);
    }),
  );
  return isEmpty ? optional(all) : all;
}

/** Alternatives by what they have in one place, each alternative once. */
function grouped(
  options: readonly Option[],
  pick: (option: Option) => Pattern | undefined,
  drop: (option: Option) => Option,
): { item: Pattern; rests: Option[] }[] {
  const groups = new Map<string, { item: Pattern; rests: Map<string, Option> }>();
  for (const option of options) {
    const item = pick(option);
    if (!item) continue;
    const key = printPattern(item);
    const group = groups.get(key) ?? { item, rests: new Map<string, Option>() };
    const rest = drop(option);
    group.rests.set(rest.map(printPattern).join(" "), rest);
    groups.set(key, group);
  }
  return [...groups.values()].map(({ item, rests }) => ({ item, rests: [...rests.values()] }));
}
