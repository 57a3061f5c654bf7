import type { Book } from "../book/book.ts";
import type { Slots } from "../commands/outcome.ts";
import { planIntent } from "../commands/plan.ts";
import { propertiesRead } from "../commands/question.ts";
import { packOf } from "../language/packs.ts";
import { stateWords } from "../language/vocabulary.ts";
import type { TellStep } from "../model/step.ts";
import { phrase } from "../pattern/build.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Intent } from "../phrasebook/model.ts";
import { choicePatterns } from "../slot-types/choices.ts";
import { plainest } from "./sample.ts";

/** A question with a mark where a device is named, and the properties that it may be about. */
export interface QuestionSample {
  phrase: string;
  properties: readonly string[];
}

/**
 * The questions that can be asked about one device: first whether it is in a state, then what the
 * value of something is.
 *
 * @param mark What stands in the place of its name.
 */
export function sampleQuestions(book: Book, language: string, mark: string): QuestionSample[] {
  const whether: QuestionSample[] = [];
  const values: QuestionSample[] = [];
  for (const intent of book.intents.values()) {
    const { orders, tells } = planIntent(intent);
    const [tell] = tells;
    if (!tell || orders.length > 0 || intent.compute) continue;
    if (tell.form !== "whether" && tell.form !== "value") continue;
    const into = tell.form === "whether" ? whether : values;
    for (const { slots, said } of askedIn(book, language, intent, tell)) {
      const asked = plainest(book, intent, { language, mark, said });
      if (asked !== undefined)
        into.push({ phrase: asked, properties: propertiesRead(tell, slots) });
    }
  }
  return [...whether, ...values];
}

/** What can be asked after in a question: what fills its slot, and what is said for that. */
function askedIn(
  book: Book,
  language: string,
  intent: Intent,
  tell: TellStep,
): { slots: Slots; said: Pattern | undefined }[] {
  const asked = tell.form === "value" ? tell.property : "is" in tell ? tell.is : tell.state;
  if (typeof asked === "string" || !("slot" in asked)) return [{ slots: {}, said: undefined }];
  const filled = (value: string, said: readonly Pattern[]) => ({
    slots: { [asked.slot]: { value, words: "" } },
    said: said[0],
  });
  const slot = intent.slots.get(asked.slot);
  // Verbs ask what words ask as well.
  if (slot?.fills !== "value" || slot.alike === "state verb") return [];
  if ("state" in tell) {
    const { states } = packOf(book, language);
    return stateWords.map((word) => filled(word, states[word].slice(0, 1).map(phrase)));
  }
  return (slot.values ?? []).map((each) =>
    filled(String(each.value), choicePatterns([each], language)),
  );
}
