import { runAutomaton } from "../automaton/chart.ts";
import { findPaths } from "../automaton/paths.ts";
import { prepareUtterance } from "../automaton/utterance.ts";
import { packFor } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Nameable, Phrasebook } from "../phrasebook/model.ts";
import type { State } from "../phrasebook/property.ts";
import { answerQuestion } from "./answer.ts";
import type { Engine } from "./engine.ts";
import { type Reading, evaluatePath } from "./evaluate.ts";
import { spokenNames } from "./names.ts";
import { nearMisses } from "./near.ts";
import type { Choice, Heard, HeardBase, Why } from "./outcome.ts";
import { outcomeVersion } from "./outcome.ts";
import { type Ranked, rankReadings } from "./rank.ts";
import { formatReply, replyIn } from "./reply.ts";
import { explain } from "./why.ts";

/** Where an utterance is spoken. */
export interface HearContext {
  /** Id of the voicepoint that hears it. */
  at?: string;
  /** BCP 47 tag; the phrasebook's first language when left out. */
  language?: string;
  /** The state of a device, for questions; the one it starts with when left out. */
  states?: (device: string) => State | undefined;
}

/**
 * Understands one utterance. A pure function of the text and its context: it takes any text, never
 * throws, and comes to exactly one outcome. The reply and the why are worked out when read.
 */
export function hearUtterance(
  book: Phrasebook,
  engineFor: (language: string) => Engine,
  text: string,
  { at, language: tag, states = () => undefined }: HearContext,
): Heard {
  const language = homeLanguage(book, tag);
  const engine = engineFor(language);
  const words = splitWords(text, language);
  const utterance = prepareUtterance(text, words, engine.lexicon, engine.small);
  const starts = engine.starts(utterance);
  const ends = engine.ends(utterance);
  const chart = runAutomaton(engine.sets, engine.types, utterance, starts);
  const paths = findPaths(engine.network, chart, utterance, starts, ends);
  const room = at === undefined ? undefined : book.voicepoints.get(at)?.room;
  const readings: Reading[] = [];
  for (const path of paths.found) {
    const reading = evaluatePath(book, engine, utterance, path, { room });
    if (reading) readings.push(reading);
  }
  const ranked = rankReadings(readings, room);

  const outcome = conclude(book, ranked, language);
  return new Hearing(
    outcome,
    text,
    language,
    at,
    () => replyTo(book, outcome, ranked, language, engine, states),
    () => {
      const isUnheard = outcome.outcome === "unknown" && readings.length === 0;
      const nearest = isUnheard ? nearMisses(book, engine, utterance, chart, starts, ends) : [];
      return explain(engine, utterance, ranked, paths, nearest);
    },
  ) as HeardBase as Heard;
}

/**
 * What was heard, with the reply and the why worked out when they are read. They are accessors of
 * a class because accessors of each object would take longer to make than hearing takes.
 */
class Hearing implements HeardBase {
  readonly version = outcomeVersion;
  readonly text: string;
  readonly language: string;
  readonly #replyTo: () => string;
  readonly #explain: () => Why;

  constructor(
    conclusion: Conclusion,
    text: string,
    language: string,
    at: string | undefined,
    replyTo: () => string,
    explain: () => Why,
  ) {
    this.text = text;
    this.language = language;
    if (at !== undefined) Object.assign(this, { at });
    Object.assign(this, conclusion);
    this.#replyTo = replyTo;
    this.#explain = explain;
  }

  get reply(): string {
    return this.#replyTo();
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
  const exact = languages.find((language) => language.toLowerCase() === tag.toLowerCase());
  return exact ?? languages.find((language) => packFor(language) === packFor(tag)) ?? first;
}

type DistributiveOmit<T, Key extends PropertyKey> = T extends unknown ? Omit<T, Key> : never;
type Conclusion = DistributiveOmit<Heard, keyof HeardBase>;

/** Reasons that are told of several ways to understand what cannot be done. */
const mostReasons = 3;

function conclude(book: Phrasebook, ranked: readonly Ranked[], language: string): Conclusion {
  const best = ranked.filter(({ kept }) => kept).map(({ reading }) => reading);
  const [only] = best;
  // What voice is barred from does not exist as far as speech is concerned.
  if (!only || only.meaning.result === "absent") return { outcome: "unknown" };
  const { meaning } = only;
  const intent = only.intent.id;
  if (meaning.result === "unfit" || meaning.result === "refuse") {
    const reasons = best.flatMap((reading) =>
      "reason" in reading.meaning ? reading.meaning.reason : [],
    );
    const reason = [...new Set(reasons)].slice(0, mostReasons).join("; ");
    return { outcome: "refuse", intent, reason };
  }
  if (best.length > 1 || meaning.result === "choices") {
    const choices = best.flatMap((reading) => choicesOf(book, reading, language));
    return { outcome: "unsure", choices };
  }
  const { slots } = meaning;
  if (meaning.result === "tell") {
    return { outcome: "answer", intent, slots, question: meaning.question };
  }
  const { effects, skipped, access } = meaning;
  if (effects.length === 0) return { outcome: "answer", intent, slots };
  const outcome = access === "free" ? "act" : access;
  return { outcome, intent, slots, effects, skipped };
}

function choicesOf(
  book: Phrasebook,
  { intent, meaning, pattern }: Reading,
  language: string,
): Choice[] {
  switch (meaning.result) {
    case "do":
      return [{ label: pattern.text, intent: intent.id, effects: meaning.effects }];
    case "tell":
      return [{ label: pattern.text, intent: intent.id, effects: [] }];
    case "choices":
      return meaning.options.map(({ label: said, devices }) => {
        const [device] = devices;
        const own = device && devices.length === 1 ? nameIn(book, device, language) : undefined;
        const label = own ?? said;
        const room = book.rooms.get(device?.room ?? "");
        const place = room && nameIn(book, room, language);
        const full = place === undefined ? label : `${label} (${place})`;
        return { label: full, intent: intent.id, effects: [] };
      });
    default:
      return [{ label: meaning.reason, intent: intent.id, effects: [] }];
  }
}

function replyTo(
  book: Phrasebook,
  outcome: Conclusion,
  ranked: readonly Ranked[],
  language: string,
  { pack }: Engine,
  states: NonNullable<HearContext["states"]>,
): string {
  switch (outcome.outcome) {
    case "answer":
    case "act": {
      if ("question" in outcome) {
        return answerQuestion(book, pack, language, outcome.question, states);
      }
      const own = replyIn(ranked[0]?.reading.intent.reply ?? new Map(), language);
      const variables = Object.fromEntries(
        Object.entries(outcome.slots).map(([name, { value, words }]) => [
          name,
          typeof value === "number" ? value : words || value,
        ]),
      );
      return formatReply(own?.text ?? pack.replies.act, language, variables);
    }
    case "unsure": {
      const list = new Intl.ListFormat(language, { type: "disjunction" });
      const choices = list.format(outcome.choices.map(({ label }) => label));
      return formatReply(pack.replies.unsure, language, { choices });
    }
    case "refuse":
      return formatReply(pack.replies.refuse, language, {
        reason: withNames(book, outcome.reason, language),
      });
    default:
      return formatReply(pack.replies[outcome.outcome], language, {});
  }
}

/** A reason as it is spoken: with the names of devices in the place of their ids. */
function withNames(book: Phrasebook, reason: string, language: string): string {
  return reason
    .split(" ")
    .map((word) => {
      const device = book.devices.get(word);
      return (device && nameIn(book, device, language)) ?? word;
    })
    .join(" ");
}

function nameIn(book: Phrasebook, entity: Nameable, language: string): string | undefined {
  return spokenNames(entity, language, book.languages[0] ?? language)[0]?.text;
}
