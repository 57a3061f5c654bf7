import { prepareUtterance } from "../../automaton/utterance.ts";
import type { LanguagePack } from "../../language/pack.ts";
import { splitWords } from "../../language/words.ts";
import { createLexicon } from "../../lexicon/lexicon.ts";
import type { AskStep } from "../../model/step.ts";
import { type Form, createForms } from "../../slot-types/forms.ts";

/** What may be said in answer, or about what was done before. */
export type Sort = "yes" | "no" | "cancel" | "again" | "undo";

const sorts = ["yes", "no", "cancel", "again", "undo"] as const satisfies readonly Sort[];

/** What tells answers in a language; made once, since it is the same in every home. */
const sorters = new WeakMap<LanguagePack, (text: string) => Sort | undefined>();

export function sorterFor(pack: LanguagePack): (text: string) => Sort | undefined {
  let sorter = sorters.get(pack);
  if (!sorter) {
    const choices = sorts.map((sort) => [sort, pack.conversation[sort]] as const);
    sorters.set(pack, (sorter = createChooser<Sort>(choices, pack)));
  }
  return sorter;
}

/** Which of the answers to a step's question was given; undefined when it is none of them. */
export function answerTo(
  { answers }: AskStep,
  text: string,
  { language, pack }: { language: string; pack: LanguagePack },
): number | undefined {
  const said = answers.map(({ patterns }) =>
    patterns.filter((pattern) => pattern.language === language).map((each) => each.text),
  );
  return createChooser(said.entries(), pack)(text);
}

/** Tells which of several things a whole text says, each by patterns of its own. */
function createChooser<T>(
  choices: Iterable<readonly [T, readonly string[]]>,
  pack: LanguagePack,
): (text: string) => T | undefined {
  const lexicon = createLexicon();
  const forms = [...choices].map(([choice, said]): Form<object, T> => {
    return { said, make: () => choice };
  });
  const read = createForms<object, T>(forms, {}, { pack, lexicon });
  return (text) => {
    const words = splitWords(text, pack);
    const utterance = prepareUtterance(text, words, lexicon, new Set());
    return read(utterance, 0).find(({ end }) => end === words.length)?.value;
  };
}
