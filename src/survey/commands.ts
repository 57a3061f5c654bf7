import type { Book } from "../book/book.ts";
import type { Asked } from "../commands/ability.ts";
import { planIntent } from "../commands/plan.ts";
import type { Intent } from "../phrasebook/model.ts";
import { plainest } from "./sample.ts";

/** A phrase of an intent with a mark where a target is named, and what that has to have. */
export interface CommandSample {
  intent: Intent;
  phrase: string;
  asked: readonly Asked[];
}

/** The plainest way to say each command that is given to something, with a mark in place of its name. */
export function sampleCommands(book: Book, language: string, mark: string): CommandSample[] {
  return [...book.intents.values()].flatMap((intent): CommandSample[] => {
    if (![...intent.slots.values()].some(({ fills }) => fills === "target")) return [];
    const plan = planIntent(intent);
    if (plan.orders.length === 0 && !intent.compute) return [];
    const phrase = plainest(book, intent, { language, mark });
    const asked = [...plan.asked].map(([name, each]): Asked => {
      const slot = intent.slots.get(name);
      return slot?.fills === "target" ? { ...each, slot } : each;
    });
    return phrase === undefined ? [] : [{ intent, phrase, asked }];
  });
}
