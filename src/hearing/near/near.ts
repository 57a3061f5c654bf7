import { anyWord, followersOf, ruleOf, slotOf, symbolOf } from "../../automaton/network.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import { given } from "../../source/given.ts";
import type { Position } from "../../source/position.ts";
import type { Engine } from "../understand/engine.ts";
import type { Understood } from "../understand/understand.ts";
import { type Change, nearEnough, singleChanges } from "./changes.ts";
import { createNameSearch, unlikeness } from "./likeness.ts";
import type { Paste } from "./paste.ts";
import { tried } from "./tried.ts";

/** Something that would have been understood, and where it parts from what was said. */
export interface NearMiss {
  /** What is the matter with the words: another is expected, they are too many or too few. */
  miss: "word" | "name" | "value" | "extra" | "missing" | "end";
  /** The words that stopped it, as said; empty when a word is missing. */
  words: string;
  /** UTF-16 offsets of those words in the utterance. */
  start: number;
  end: number;
  /** What would have been understood there. */
  expected: readonly string[];
  intent?: string;
  pattern?: string;
  at: Position;
  message: string;
  /** YAML that makes the phrase understood, ready to paste, and what to do with it. */
  paste?: Paste;
}

/** Near misses that are told. */
const mostTold = 3;

/**
 * What comes nearest to an utterance that nothing understands. Everything that one change would
 * mend is found exactly: the states that the words before reach, and the states that the words
 * after complete, meet on both sides of it.
 */
export function nearMisses(book: Phrasebook, engine: Engine, understood: Understood): NearMiss[] {
  const { utterance } = understood;
  // Everything is one word away from nothing.
  if (utterance.words.length === 0) return [];
  const changes = singleChanges(engine, understood);
  const told = new Map<string, NearMiss>();
  const free = freeRules(engine);
  // What takes any words comes near to every phrase.
  const cost = ({ cost: own, state }: Change): number =>
    own + (free.has(ruleOf(engine.network, state)) ? 0.2 : 0);
  // Words that are nearly a name are that name, and stand for nothing else.
  const named = changes.filter(({ holder, cost: own }) => holder && own <= nearEnough);
  const isName = ({ miss, from, end }: Change): boolean =>
    miss !== "name" && named.some((other) => from < other.end && end > other.from);
  for (const change of changes.sort((a, b) => cost(a) - cost(b))) {
    if (isName(change)) continue;
    const miss = describe(book, engine, utterance, change);
    const key = `${miss.miss} ${miss.start} ${miss.expected.join()}`;
    // Once some words are known to be off, more words around them say nothing new.
    const isWider = [...told.values()].some(
      (other) => other.miss === "name" && miss.miss === "name" && contains(miss, other),
    );
    if (!told.has(key) && !isWider) told.set(key, miss);
    if (told.size >= mostTold) break;
  }
  if (told.size === 0) {
    for (const miss of furthest(engine, understood)) {
      told.set(`${miss.start} ${miss.expected.join()}`, miss);
    }
  }
  return [...told.values()].slice(0, mostTold);
}

/** Rules with free text in them. */
function freeRules({ network }: Engine): Set<number> {
  const free = new Set<number>();
  network.symbol.forEach((symbol, state) => {
    if (symbol === anyWord) free.add(ruleOf(network, state));
  });
  return free;
}

function contains(wide: NearMiss, narrow: NearMiss): boolean {
  return wide.start <= narrow.start && wide.end >= narrow.end;
}

function describe(
  book: Phrasebook,
  engine: Engine,
  utterance: Utterance,
  change: Change,
): NearMiss {
  const { network } = engine;
  const { miss, from, end, state, holder } = change;
  const rule = engine.rules[ruleOf(network, state)];
  const first = utterance.words[from];
  const start = first?.start ?? utterance.text.length;
  const stop = end > from ? (utterance.words[end - 1]?.end ?? start) : start;
  const words = utterance.text.slice(start, stop);
  const mended = (instead: readonly string[]) =>
    tried({ book, engine, utterance }, change, instead);
  const symbol = symbolOf(network, state);
  const slot = rule?.intent.slots.get(slotOf(network, state) ?? "");
  const base = {
    miss,
    words,
    start,
    end: stop,
    at: rule?.pattern.at ?? { file: "", line: 1, column: 1 },
    ...(rule ? { intent: rule.intent.id, pattern: rule.pattern.text } : {}),
  };
  switch (miss) {
    case "name": {
      if (!holder) {
        const message = `nothing is called "${words}"`;
        return { ...base, expected: [], message };
      }
      const { entity, name } = holder;
      return {
        ...base,
        expected: [name.text],
        at: name.at,
        message: `nothing is called "${words}"; ${change.sounds ? "it sounds like" : "the nearest name is"} "${name.text}" (${entity.type} ${entity.id})`,
        ...given({ paste: mended(name.words)?.alias(holder, words) }),
      };
    }
    case "value": {
      const what = slot ? `a value for $${slot.name} (${slot.type})` : "a value";
      return { ...base, expected: [], message: `"${words}" is not ${what}` };
    }
    case "extra": {
      const message = `"${words}" is one word too many`;
      const paste = mended([])?.pattern(words);
      return { ...base, expected: [], message, ...given({ paste }) };
    }
    case "missing": {
      const expected = slot ? `$${slot.name}` : engine.lexicon.word(symbol);
      const place = first ? `before "${first.text}"` : "at the end";
      const message = `"${expected}" is missing ${place}`;
      // A slot that could be left out would have no value.
      const paste = slot ? undefined : mended([expected])?.pattern(words);
      return { ...base, expected: [expected], message, ...given({ paste }) };
    }
    case "word": {
      const expected = engine.lexicon.word(symbol);
      const sound = change.sounds ? ", which sounds the same" : "";
      const message = `"${words}" stands where the pattern has "${expected}"${sound}`;
      const paste = mended([expected])?.pattern(words);
      return { ...base, expected: [expected], message, ...given({ paste }) };
    }
  }
}

/** More than one change is needed: the word that the longest beginning stopped at. */
function furthest(engine: Engine, { utterance, chart, starts }: Understood): NearMiss[] {
  const { network, lexicon, names } = engine;
  const reached = chart.sets.findLastIndex((set) => set !== undefined);
  const at = Math.max(reached, 0);
  const word = utterance.words[at];
  const set = chart.sets[at];
  const next = new Set((set?.states ?? []).flatMap((state) => followersOf(network, state)));
  if (!set || starts.has(at)) for (const state of network.starts.flat()) next.add(state);
  const expected = [...next].map((state) => {
    const symbol = symbolOf(network, state);
    return symbol >= 0 ? lexicon.word(symbol) : `$${slotOf(network, state) ?? ""}`;
  });
  const ranked = [...new Set(expected)].sort(
    (a, b) => unlikeness(word?.text ?? "", a) - unlikeness(word?.text ?? "", b),
  );
  const [state] = next;
  const rule = state === undefined ? undefined : engine.rules[ruleOf(network, state)];
  const fallback = names.holders[0]?.name.at ?? { file: "", line: 1, column: 1 };
  const start = word?.start ?? utterance.text.length;
  const miss: NearMiss = {
    miss: word ? "word" : "end",
    words: word ? utterance.text.slice(word.start, word.end) : "",
    start,
    end: word?.end ?? start,
    expected: ranked.slice(0, 5),
    at: rule?.pattern.at ?? fallback,
    ...(rule && at > 0 ? { intent: rule.intent.id, pattern: rule.pattern.text } : {}),
    message: word
      ? `nothing goes on with "${utterance.text.slice(word.start, word.end)}"`
      : "the phrase stops short",
  };
  return [miss, ...namesWithin(engine, utterance)];
}

/** Names that some words of the utterance come close to. */
function namesWithin(engine: Engine, utterance: Utterance): NearMiss[] {
  const search = createNameSearch(engine, utterance);
  const found: { cost: number; told: NearMiss }[] = [];
  for (let from = 0; from < utterance.words.length; from++) {
    for (let end = from + 1; end <= Math.min(utterance.words.length, from + 4); end++) {
      const near = search(from, end);
      if (!near || near.cost > 0.34) continue;
      const { entity, name } = near.holder;
      const start = utterance.words[from]?.start ?? 0;
      const stop = utterance.words[end - 1]?.end ?? start;
      const words = utterance.text.slice(start, stop);
      const message =
        near.cost === 0
          ? `"${words}" is ${entity.type} ${entity.id}, but no pattern takes the words around it`
          : `"${words}" ${near.sounds ? "sounds like" : "is near"} "${name.text}" (${entity.type} ${entity.id})`;
      const expected = [name.text];
      const { cost } = near;
      found.push({
        cost,
        told: { miss: "name", words, start, end: stop, expected, at: name.at, message },
      });
    }
  }
  return found.sort((a, b) => a.cost - b.cost).map(({ told }) => told);
}
