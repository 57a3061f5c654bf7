import { prepareUtterance } from "../automaton/utterance.ts";
import { matchLanguage } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import { parseLocal } from "../time/local.ts";
import { compose } from "./compose.ts";
import { type Conclusion, conclude } from "./conclude.ts";
import type { HearContext } from "./context.ts";
import { listEffects } from "./describe.ts";
import type { Engine } from "./engine.ts";
import { nearMisses } from "./near.ts";
import type { Heard, HeardBase, Why } from "./outcome.ts";
import { outcomeVersion } from "./outcome.ts";
import { type Speech, replyTo } from "./spoken.ts";
import { explain } from "./why.ts";

/**
 * Understands one utterance. A pure function of the text and its context: it takes any text, never
 * throws, and comes to exactly one outcome. The reply and the why are worked out when read.
 */
export function hearUtterance(
  book: Phrasebook,
  engineFor: (language: string) => Engine,
  text: string,
  { at, language: tag, time, chosen, states = () => undefined }: HearContext,
): Heard {
  const language = homeLanguage(book, tag);
  const engine = engineFor(language);
  const words = splitWords(text, language);
  const utterance = prepareUtterance(text, words, engine.lexicon, engine.small);
  const room = at === undefined ? undefined : book.voicepoints.get(at)?.room;
  const now = time === undefined ? undefined : parseLocal(time);
  const composition = compose(book, engine, utterance, { room, time: now, chosen });
  const { commands, other } = composition;
  const speech = { book, pack: engine.pack, language, states };
  const first = conclude(book, commands, language, now);
  const outcome = other ? either(speech, first, conclude(book, other, language, now)) : first;
  return new Hearing(
    outcome,
    text,
    language,
    at,
    (conclusion) => replyTo(speech, conclusion),
    () => {
      const isUnheard =
        outcome.outcome === "unknown" &&
        commands.every(({ understood }) => understood.ranked.length === 0);
      const nearest = isUnheard ? nearMisses(book, engine, composition.nearest) : [];
      return explain(book, engine, utterance, composition, nearest);
    },
  ) as HeardBase as Heard;
}

/** Two ways to part an utterance into commands: one outcome where both come to the same. */
function either(speech: Speech, first: Conclusion, second: Conclusion): Conclusion {
  if (!("effects" in first) || !("effects" in second)) return "effects" in first ? first : second;
  const effectsOf = (conclusion: typeof first): string => listEffects(conclusion.effects).join();
  if (effectsOf(first) === effectsOf(second)) return first;
  const choices = [first, second].map((conclusion) => ({
    label: replyTo(speech, { ...conclusion, outcome: "act" }).replace(/\.$/u, ""),
    intent: conclusion.intent,
    effects: conclusion.effects,
  }));
  return { outcome: "unsure", choices };
}

/**
 * What was heard, with the reply and the why worked out when they are read. They are accessors of
 * a class because accessors of each object would take longer to make than hearing takes.
 */
class Hearing implements HeardBase {
  readonly version = outcomeVersion;
  readonly text: string;
  readonly language: string;
  readonly #conclusion: Conclusion;
  readonly #at: string | undefined;
  readonly #replyTo: (conclusion: Conclusion) => string;
  readonly #explain: () => Why;

  constructor(
    conclusion: Conclusion,
    text: string,
    language: string,
    at: string | undefined,
    replyTo: (conclusion: Conclusion) => string,
    explain: () => Why,
  ) {
    this.text = text;
    this.language = language;
    if (at !== undefined) Object.assign(this, { at });
    Object.assign(this, conclusion);
    this.#conclusion = conclusion;
    this.#at = at;
    this.#replyTo = replyTo;
    this.#explain = explain;
  }

  /** The same, once somebody has said yes or the code. */
  grant(): Heard {
    const conclusion = this.#conclusion;
    if (conclusion.outcome !== "confirm" && conclusion.outcome !== "code") {
      return this as HeardBase as Heard;
    }
    return new Hearing(
      { ...conclusion, outcome: "act" },
      this.text,
      this.language,
      this.#at,
      this.#replyTo,
      this.#explain,
    ) as HeardBase as Heard;
  }

  get reply(): string {
    return this.#replyTo(this.#conclusion);
  }

  get why(): Why {
    return this.#explain();
  }

  toJSON(): object {
    return Object.assign({}, this, { reply: this.reply, why: this.why });
  }
}

function homeLanguage({ languages }: Phrasebook, tag: string | undefined): string {
  const first = languages[0] ?? "en";
  if (tag === undefined) return first;
  return matchLanguage(languages, tag) ?? first;
}
