import { type Utterance, pausesIn } from "../../automaton/utterance.ts";
import type { Engine } from "../understand/engine.ts";
import type { Stretch } from "../understand/stretch.ts";

/** Where an utterance may be parted: at words between commands, at a pause, or where more is added. */
export interface Joiner extends Stretch {
  /** Whether what follows only adds to what was said of a thing: "… at ten percent". */
  leans: boolean;
}

/** Most places that an utterance is parted at. */
const mostJoiners = 8;

/** Whether anything of the home is named, or what was spoken of last. */
export function namesAny(engine: Engine, utterance: Utterance): boolean {
  return engine.speaksOfIt(utterance) || namesOwn(engine, utterance);
}

/** Whether anything of the home is named in its own words. */
export function namesOwn(engine: Engine, utterance: Utterance): boolean {
  return utterance.texts.some((_, at) => engine.naming(utterance, at) !== undefined);
}

/** Where an utterance may be parted, those first that are told most clearly. */
export function joinersIn(engine: Engine, utterance: Utterance): Joiner[] {
  const { words, texts } = utterance;
  // "Be so kind and …" opens a phrase; its "and" parts nothing.
  const begun = Math.max(...engine.starts(utterance));
  const joiners: Joiner[] = engine
    .joiners(utterance)
    .filter(({ end }) => end > begun)
    .map((joiner) => ({ ...joiner, leans: false }));
  const isAt = (at: number): boolean =>
    joiners.some(({ from, end, leans }) => !leans && (at === from || at === end));
  for (const at of pausesIn(utterance)) {
    if (!isAt(at)) joiners.push({ from: at, end: at, leans: false });
  }
  // More can only be added where something is named.
  const isNamed = namesAny(engine, utterance);
  for (let at = 1; isNamed && at < words.length - 1; at++) {
    if (!engine.besides.has(texts[at] ?? "") || isAt(at)) continue;
    joiners.push({ from: at, end: at, leans: true }, { from: at, end: at + 1, leans: true });
  }
  return joiners.slice(0, mostJoiners).sort((a, b) => a.from - b.from || a.end - b.end);
}
