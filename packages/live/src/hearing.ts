import { type Heard, WrongUse, describeOutcome, effectsOf } from "calm-phrase";
import { longestPhrase } from "./voice.ts";
import type { Live } from "./live.ts";

/** A phrase as it comes from outside. */
export interface PhraseRequest {
  text: string;
  at?: string;
  session?: string;
  language?: string;
  why?: boolean;
}

/** The form of the body of `POST /hear` (JSON Schema). */
export const phraseBody = {
  type: "object",
  required: ["text"],
  additionalProperties: false,
  properties: {
    text: { type: "string", maxLength: longestPhrase },
    at: { type: "string", maxLength: 100 },
    session: { type: "string", maxLength: 100 },
    language: { type: "string", maxLength: 35 },
    why: { type: "boolean" },
  },
} as const;

/** What a phrase came to, as it is answered. */
export interface PhraseAnswer {
  outcome: string;
  /** In a few words. */
  told: string;
  reply: string;
  effects: ReturnType<typeof effectsOf>;
  /** Properties whose value is another one now, or on its way to it. */
  changes: readonly unknown[];
  failed: readonly string[];
  why?: unknown;
}

/** Has a phrase heard, and tells what came of it; or what is wrong with how it was asked. */
export async function hearPhrase(
  { book, home, metrics }: Pick<Live, "book" | "home" | "metrics">,
  { text, at, session, language, why }: PhraseRequest,
): Promise<PhraseAnswer | { wrong: string }> {
  if (at !== undefined && !book.voicepoints.has(at))
    return { wrong: `there is no voicepoint ${at}` };
  if (language !== undefined && !book.languages.includes(language)) {
    return { wrong: `this home does not speak ${language}` };
  }
  const done = metrics.hearing();
  try {
    const context = {
      ...(at !== undefined && { at }),
      ...(session !== undefined && { session }),
      ...(language !== undefined && { language }),
    };
    const { heard, outcome, reply, performed } = await home.converse(context).say(text);
    done(outcome);
    return {
      outcome,
      told: describeOutcome(heard),
      reply,
      effects: effectsIn(heard),
      changes: performed.changes,
      failed: performed.failed,
      ...(why === true && { why: book.why(heard) }),
    };
  } catch (error) {
    done("wrong");
    if (error instanceof WrongUse) return { wrong: error.message };
    throw error;
  }
}

const effectsIn = (heard: Heard): PhraseAnswer["effects"] =>
  heard.outcome === "act" ? effectsOf(heard) : [];
