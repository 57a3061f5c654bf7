import type { Utterance } from "../automaton/utterance.ts";
import { listEffects } from "../commands/describe.ts";
import { statesAfter } from "../commands/effects.ts";
import {
  type Conclusion,
  type Heard,
  type HeardBase,
  type Spoken,
  effectsOf,
  isToDo,
  outcomeVersion,
} from "../commands/outcome.ts";
import { type StatesOf, initialState } from "../commands/states.ts";
import type { Speaker } from "../commands/targets.ts";
import { matchLanguage, packOf } from "../language/packs.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { State } from "../model/property.ts";
import { textOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { replyTo } from "../speech/replies.ts";
import type { Speech } from "../speech/speech.ts";
import { firstLanguage } from "../document/said.ts";
import { parseLocal } from "../time/local.ts";
import { devicesAbout } from "./compose/about.ts";
import { compose } from "./compose/compose.ts";
import type { Command, Composition } from "./compose/parting.ts";
import { inserted } from "./compose/inserted.ts";
import { isClear, repaired } from "./compose/repaired.ts";
import { pick } from "./understand/stretch.ts";
import { type Concluding, conclude } from "./compose/conclude.ts";
import { type HearContext, readContext } from "./context.ts";
import { type Why, explain } from "./explain/why.ts";
import { nearMisses } from "./near/near.ts";
import { type Engine, engineFor } from "./understand/engine.ts";
import type { Reading } from "./understand/evaluate.ts";
import { tellHeard } from "./witnessed.ts";
import { type Understood, clearReading } from "./understand/understand.ts";

/**
 * Understands one utterance. A pure function of the text and its context: it takes any text, and
 * comes to exactly one outcome.
 *
 * @throws WrongUse for a voicepoint that there is not.
 */
export function hearUtterance(book: Phrasebook, spoken: unknown, given: unknown): Heard {
  const context = readContext(book, given);
  const text = textOf(spoken) ?? "";
  const language = homeLanguage(book, context.language);
  const listening = listen(book, text, language, context);
  const { engine, composition } = listening;
  const about = aboutAll(composition);
  const conclusion = concludeAll(listening);
  if (book.witness) tellHeard(book.witness, { book, engine }, listening, conclusion);
  return asHeard({ text, language, context: spokenOf(context), about }, conclusion);
}

/** An outcome of an utterance. Each is written out, since objects that are spread take long to make. */
function asHeard(
  { text, language, context, about }: Omit<HeardBase, "version" | "commands">,
  conclusion: Conclusion,
): Heard {
  const version = outcomeVersion;
  const { commands } = conclusion;
  switch (conclusion.outcome) {
    case "ask": {
      const { outcome, slot } = conclusion;
      return { version, text, language, context, outcome, commands, about, slot };
    }
    case "unsure": {
      const { outcome, choices } = conclusion;
      return { version, text, language, context, outcome, commands, about, choices };
    }
    case "refuse": {
      const { outcome, reasons } = conclusion;
      return { version, text, language, context, outcome, commands, about, reasons };
    }
    default: {
      const { outcome } = conclusion;
      return { version, text, language, context, outcome, commands, about };
    }
  }
}

/** The part of a context that is plain data. */
function spokenOf({ at, time, chosen, it, said }: HearContext): Spoken {
  const spoken: { -readonly [Key in keyof Spoken]: Spoken[Key] } = {};
  if (at !== undefined) spoken.at = at;
  if (time !== undefined) spoken.time = time;
  if (chosen !== undefined) spoken.chosen = chosen;
  if (it !== undefined) spoken.it = it;
  if (said !== undefined) spoken.said = said;
  return spoken;
}

/** What is said back to what was heard, in these states. */
export function replyToHeard(book: Phrasebook, heard: Heard, states?: StatesOf): string {
  const { language, context } = heard;
  return replyTo(
    speechAfter(book, heard, { ...context, language, ...(states && { states }) }),
    heard,
  );
}

/** Everything that led to what was heard. */
export function explainHeard(book: Phrasebook, heard: Heard, states?: StatesOf): Why {
  const { text, language, context, outcome } = heard;
  const listening = listen(book, text, language, { ...context, ...(states && { states }) });
  const { engine, composition } = listening;
  const isUnheard =
    outcome === "unknown" &&
    composition.commands.every(({ understood }) => understood.ranked.length === 0);
  const nearest = isUnheard ? nearMisses(book, engine, composition.nearest) : [];
  return explain(book, listening, nearest);
}

/** An utterance and the ways to understand it. */
interface Listening {
  engine: Engine;
  utterance: Utterance;
  composition: Composition;
  chosen: string | undefined;
  concluding: Concluding;
}

function listen(book: Phrasebook, text: string, language: string, context: HearContext): Listening {
  const { at, time, chosen, it, said } = context;
  const engine = engineFor(book, language);
  const spoken = engine.prepare(text);
  const now = time === undefined ? undefined : parseLocal(time);
  const speaker: Speaker = {
    room: at === undefined ? undefined : book.voicepoints.get(at)?.room,
    time: now,
    chosen,
    it,
    said,
    ...given({ lastOn: context.lastOn }),
    context: spokenIn({ language, state: stateOf(book, context) }, context),
  };
  const speak = (conclusion: Conclusion): string =>
    replyTo(speechAfter(book, conclusion, { ...context, language }), conclusion);
  const { utterance, composition } = composed(book, engine, spoken, speaker);
  return {
    engine,
    utterance,
    composition,
    chosen,
    concluding: { book, language, now, speak },
  };
}

/** An utterance as it is said, or restated where only that is understood. */
function composed(
  book: Phrasebook,
  engine: Engine,
  said: Utterance,
  speaker: Speaker,
): Pick<Listening, "utterance" | "composition"> {
  const composedOf = (words: Utterance): Composition => compose(book, engine, words, speaker);
  const composition = composedOf(said);
  if (isClear(composition)) return { utterance: said, composition };
  const end = engine.orNot(said);
  const asked = end === undefined ? undefined : composedOf(pick(said, { from: 0, end }, []));
  if (asked && isClear(asked) && isAsked(asked)) return { utterance: said, composition: asked };
  const utterance = engine.restate(said);
  if (utterance !== said) {
    const other = composedOf(utterance);
    if (isClear(other)) return { utterance, composition: other };
  }
  const mended = repaired(engine, said, composedOf) ?? inserted(engine, said, composedOf);
  return { utterance: said, composition: mended ?? composition };
}

/** Whether nothing but questions is said. */
function isAsked({ commands }: Composition): boolean {
  return commands.every(({ understood }) => {
    return clearReading(understood)?.meaning.result === "tell";
  });
}

/** What functions that compute steps are given, beside slots. */
function spokenIn(
  known: Speaker["context"],
  { at, time }: Pick<HearContext, "at" | "time">,
): Speaker["context"] {
  if (at !== undefined) known.at = at;
  if (time !== undefined) known.time = time;
  return known;
}

function concludeAll({ utterance, composition, concluding, chosen }: Listening): Conclusion {
  const { commands, other, isOffer, isDoubtful } = composition;
  const first = conclude(concluding, commands);
  if (isOffer) return offered(first);
  // What would be done is asked about; why it cannot be is told as ever.
  if ((isDoubtful || isStateAsked(utterance, commands)) && isToDo(first)) {
    return concluding.book.offers ? offered(first) : { outcome: "unknown", commands: [] };
  }
  return other ? either(concluding, first, conclude(concluding, other), chosen) : first;
}

/** "Front door locked?": a thing and its state, written as a question, is no order. */
function isStateAsked({ text }: Utterance, [command, more]: readonly Command[]): boolean {
  if (!command || more || !/\?\s*$/u.test(text)) return false;
  const reading = clearReading(command.understood);
  const { words, small } = command.understood.utterance;
  const [first] = words;
  if (!first || !reading) return false;
  // Politeness was taken off: "could I have the lamp on?"
  const isWhole = !/[\p{L}\p{N}]/u.test(text.slice(0, first.start));
  const thing = small.indexOf(false);
  return (
    isWhole &&
    reading.pattern.origin === "vocabulary" &&
    reading.fillings.some(({ from, reading: read }) => from === thing && read.read === "target")
  );
}

/** What is only offered; what needs the code is not. */
function offered(conclusion: Conclusion): Conclusion {
  const { outcome, commands } = conclusion;
  if (outcome !== "act" && outcome !== "confirm") return { outcome: "unknown", commands: [] };
  return { outcome: "offer", commands };
}

function stateOf(book: Phrasebook, { states }: HearContext): (device: string) => State {
  return (id) => states?.(id) ?? initialState(book, id);
}

/** What a reply is made from: states as they are once all has worked. */
function speechAfter(
  book: Phrasebook,
  conclusion: Pick<HeardBase, "commands">,
  context: HearContext & { language: string },
): Speech {
  const { language, time } = context;
  return {
    book,
    pack: packOf(book, language),
    language,
    states: statesAfter(book, stateOf(book, context), effectsOf(conclusion)),
    today: () => (time === undefined ? undefined : parseLocal(time)?.date),
  };
}

/** Two ways to part an utterance into commands: one outcome where both come to the same. */
function either(
  { speak }: Concluding,
  first: Conclusion,
  second: Conclusion,
  chosen: string | undefined,
): Conclusion {
  if (!isToDo(first) || !isToDo(second)) return isToDo(first) ? first : second;
  const told = (conclusion: Conclusion): string => listEffects(effectsOf(conclusion)).join();
  if (told(first) === told(second)) return first;
  const choices = [first, second].map(({ commands }, index) => ({
    id: `way ${index + 1}`,
    label: speak({ outcome: "act", commands }).replace(/\.$/u, ""),
    commands,
  }));
  const picked = choices.findIndex(({ id }) => id === chosen);
  return [first, second][picked] ?? { outcome: "unsure", commands: [], choices };
}

/** What all commands are about, as far as each has one meaning. */
function aboutAll({ commands }: Composition): readonly string[] {
  const [only, more] = commands;
  if (only && !more) return aboutOf(only.understood);
  return [...new Set(commands.flatMap(({ understood }) => aboutOf(understood)))];
}

function aboutOf({ ranked }: Understood): readonly string[] {
  let kept: Reading | undefined;
  for (const each of ranked) {
    if (!each.kept) continue;
    if (kept) return [];
    kept = each.reading;
  }
  return kept ? devicesAbout(kept) : [];
}

/** The language of a home that a tag means; its first one where it speaks no such language. */
export function homeLanguage(
  book: Pick<Phrasebook, "languages" | "packs">,
  tag: string | undefined,
): string {
  const first = firstLanguage(book);
  if (tag === undefined) return first;
  return matchLanguage(book, tag) ?? first;
}
