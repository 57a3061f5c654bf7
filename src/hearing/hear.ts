import { prepareUtterance } from "../automaton/utterance.ts";
import { matchLanguage } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import { type State, startState } from "../phrasebook/property.ts";
import { textOf } from "../source/border.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { parseLocal } from "../time/local.ts";
import { compose } from "./compose.ts";
import { type Conclusion, conclude } from "./conclude.ts";
import { type HearContext, readContext } from "./context.ts";
import { listEffects } from "./describe.ts";
import { statesAfter } from "./effects.ts";
import { devicesAbout } from "./about.ts";
import { engineFor } from "./engine.ts";
import { nearMisses } from "./near.ts";
import type { Heard, HeardBase, Why } from "./outcome.ts";
import { outcomeVersion } from "./outcome.ts";
import { replyTo } from "./spoken.ts";
import type { Understood } from "./understand.ts";
import { explain } from "./why.ts";

/**
 * Understands one utterance. A pure function of the text and its context: it takes any text, and
 * comes to exactly one outcome. The reply and the why are worked out when read.
 *
 * @throws WrongUse for a voicepoint that there is not.
 */
export function hearUtterance(book: Phrasebook, spoken: string, context: HearContext): Heard {
  const {
    at,
    language: tag,
    time,
    chosen,
    it,
    said,
    states = () => undefined,
  } = readContext(book, context);
  const text = textOf(spoken) ?? "";
  const language = homeLanguage(book, tag);
  const engine = engineFor(book, language);
  const words = splitWords(text, language);
  const utterance = prepareUtterance(text, words, engine.lexicon, engine.small);
  const room = at === undefined ? undefined : book.voicepoints.get(at)?.room;
  const now = time === undefined ? undefined : parseLocal(time);
  const stateOf = (id: string): State =>
    states(id) ?? startState(book.devices.get(id)?.properties ?? new Map());
  const place = { ...(at === undefined ? {} : { at }), ...(time === undefined ? {} : { time }) };
  const speaker = {
    room,
    time: now,
    chosen,
    it,
    said,
    context: { language, state: stateOf, ...place },
  };
  const composition = compose(book, engine, utterance, speaker);
  const { commands, other } = composition;
  const speak = (conclusion: Conclusion): string => {
    const effects = "effects" in conclusion ? conclusion.effects : [];
    const after = statesAfter(book, stateOf, effects);
    const today = (): string | undefined => now?.date;
    return replyTo({ book, pack: engine.pack, language, states: after, today }, conclusion);
  };
  const concluding = { book, language, now, speak };
  const first = conclude(concluding, commands);
  const outcome = other ? either(speak, first, conclude(concluding, other), chosen) : first;
  return new Hearing(
    book,
    outcome,
    text,
    language,
    at,
    speak,
    () => commands.flatMap(({ understood }) => aboutOf(understood)),
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
function either(
  speak: (conclusion: Conclusion) => string,
  first: Conclusion,
  second: Conclusion,
  chosen: string | undefined,
): Conclusion {
  if (!("effects" in first) || !("effects" in second)) return "effects" in first ? first : second;
  const effectsOf = (conclusion: typeof first): string => listEffects(conclusion.effects).join();
  if (effectsOf(first) === effectsOf(second)) return first;
  const choices = [first, second].map((conclusion, index) => ({
    id: `way ${index + 1}`,
    label: speak({ ...conclusion, outcome: "act" }).replace(/\.$/u, ""),
    intent: conclusion.intent,
    effects: conclusion.effects,
  }));
  const picked = choices.findIndex(({ id }) => id === chosen);
  return [first, second][picked] ?? { outcome: "unsure", choices };
}

/** What a command is about, if there is one meaning. */
function aboutOf({ ranked }: Understood): string[] {
  const kept = ranked.filter((each) => each.kept);
  const [only] = kept;
  return only && kept.length === 1 ? devicesAbout(only.reading) : [];
}

/**
 * What was heard, with the reply and the why worked out when they are read. They are accessors of
 * a class because accessors of each object would take longer to make than hearing takes.
 */
class Hearing implements HeardBase {
  readonly version = outcomeVersion;
  readonly #book: Phrasebook;
  readonly text: string;
  readonly language: string;
  readonly #conclusion: Conclusion;
  readonly #at: string | undefined;
  readonly #replyTo: (conclusion: Conclusion) => string;
  readonly #about: () => readonly string[];
  readonly #explain: () => Why;

  constructor(
    book: Phrasebook,
    conclusion: Conclusion,
    text: string,
    language: string,
    at: string | undefined,
    replyTo: (conclusion: Conclusion) => string,
    about: () => readonly string[],
    explain: () => Why,
  ) {
    this.#book = book;
    this.text = text;
    this.language = language;
    if (at !== undefined) Object.assign(this, { at });
    Object.assign(this, conclusion);
    this.#conclusion = conclusion;
    this.#at = at;
    this.#replyTo = replyTo;
    this.#about = about;
    this.#explain = explain;
  }

  /** The same, once somebody has said yes or the code. */
  grant(): Heard {
    const conclusion = this.#conclusion;
    if (conclusion.outcome !== "confirm" && conclusion.outcome !== "code") {
      return this as HeardBase as Heard;
    }
    return this.#with({ ...conclusion, outcome: "act", granted: conclusion.outcome });
  }

  /** As it was heard, whatever was done to it since; undefined when another phrasebook heard it. */
  static asHeard(book: Phrasebook, heard: object): Heard | undefined {
    return #book in heard && heard.#book === book ? heard.#with(heard.#conclusion) : undefined;
  }

  #with(conclusion: Conclusion): Heard {
    return new Hearing(
      this.#book,
      conclusion,
      this.text,
      this.language,
      this.#at,
      this.#replyTo,
      this.#about,
      this.#explain,
    ) as HeardBase as Heard;
  }

  get reply(): string {
    return this.#replyTo(this.#conclusion);
  }

  get about(): readonly string[] {
    return [...new Set(this.#about())];
  }

  get why(): Why {
    return this.#explain();
  }

  toJSON(): object {
    return Object.assign({}, this, { reply: this.reply, about: this.about, why: this.why });
  }
}

/**
 * What a phrasebook heard, as it heard it: what was written by hand, changed since, or heard by
 * another was held to no guard of this one.
 */
export function heardBy(book: Phrasebook, heard: unknown): Heard {
  const own = typeof heard === "object" && heard !== null && Hearing.asHeard(book, heard);
  if (own) return own;
  const message = "a home performs only what its own phrasebook heard: pass on what hear returned";
  throw new WrongUse(message, "not-heard-here");
}

/** The language of a home that a tag means; its first one where it speaks no such language. */
export function homeLanguage({ languages }: Phrasebook, tag: string | undefined): string {
  const first = languages[0] ?? "en";
  if (tag === undefined) return first;
  return matchLanguage(languages, tag) ?? first;
}
