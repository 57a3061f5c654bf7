import type { Position } from "../../source/position.ts";
import { distance } from "fastest-levenshtein";
import type { Chart } from "../../automaton/chart.ts";
import {
  anyWord,
  followersOf,
  fragmentOf,
  ruleOf,
  slotOf,
  slotTypeOf,
  spanOf,
  symbolOf,
} from "../../automaton/network.ts";
import type { SlotReading } from "../../slot-types/slot.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import { splitWords } from "../../language/words.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import { printPosition } from "../../source/position.ts";
import type { Engine } from "../understand/engine.ts";
import type { Holder } from "../../slot-types/expression.ts";
import { soundOf } from "./sound.ts";
import type { Understood } from "../understand/understand.ts";

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
  paste?: { yaml: string; how: string };
}

/** Near misses that are told. */
const mostTold = 3;

/** One change that would make the utterance understood: words at `from` up to `end` are in the way. */
interface Change {
  miss: Exclude<NearMiss["miss"], "end">;
  from: number;
  end: number;
  /** The state that the words should have led to; for `extra`, the one they came after. */
  state: number;
  /** Lower is nearer. */
  cost: number;
  holder?: Holder;
  /** Alike in sound rather than in spelling. */
  sounds?: boolean;
}

/**
 * What comes nearest to an utterance that nothing understands. Everything that one change would
 * mend is found exactly: the states that the words before reach, and the states that the words
 * after complete, meet on both sides of it.
 */
export function nearMisses(
  book: Phrasebook,
  engine: Engine,
  { utterance, chart, starts, ends }: Understood,
): NearMiss[] {
  const changes = singleChanges(engine, utterance, chart, starts, ends);
  const told = new Map<string, NearMiss>();
  const free = freeRules(engine);
  // What takes any words comes near to every phrase.
  const cost = ({ cost: own, state }: Change): number =>
    own + (free.has(ruleOf(engine.network, state)) ? 0.2 : 0);
  for (const change of changes.sort((a, b) => cost(a) - cost(b))) {
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
    for (const miss of furthest(engine, utterance, chart, starts)) {
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

function singleChanges(
  engine: Engine,
  utterance: Utterance,
  chart: Chart<SlotReading>,
  starts: ReadonlySet<number>,
  ends: ReadonlySet<number>,
): Change[] {
  const { network } = engine;
  const count = utterance.numbers.length;
  const complete = completions(engine, utterance, chart, ends);
  const changes: Change[] = [];
  const nearestNames = createNameSearch(engine, utterance);

  for (let at = 0; at <= count; at++) {
    const before = [...(chart.sets[at]?.states ?? [])];
    const next = new Set(before.flatMap((state) => followersOf(network, state)));
    if (starts.has(at)) for (const state of network.starts.flat()) next.add(state);
    const word = utterance.texts[at];
    if (word !== undefined) {
      for (const state of before) {
        if (complete[at + 1]?.has(state)) {
          changes.push({ miss: "extra", from: at, end: at + 1, state, cost: 0.65 });
        }
      }
    }
    for (const state of next) {
      const symbol = symbolOf(network, state);
      const type = slotTypeOf(symbol);
      if (complete[at]?.has(state) && symbol !== anyWord) {
        changes.push({ miss: "missing", from: at, end: at, state, cost: 0.6 });
      }
      if (word === undefined) continue;
      if (symbol >= 0 && complete[at + 1]?.has(state)) {
        const likeness = compare(word, engine.lexicon.word(symbol));
        changes.push({ miss: "word", from: at, end: at + 1, state, ...likeness });
      } else if (type !== undefined) {
        for (let end = at + 1; end <= Math.min(count, at + 5); end++) {
          if (!complete[end]?.has(state)) continue;
          const found = slotChanges(engine, state, at, end, nearestNames);
          // "The weel lamp" is nearer to the wheel lamp than to any lamp with a word too many.
          const isNear = found.some(({ holder, cost }) => holder && cost <= nearEnough);
          if (isNear || !holdsMatch(chart, type, at, end)) changes.push(...found);
        }
      }
    }
  }
  return changes;
}

/** Whether some of the words are what a slot takes already: then the others are too many. */
function holdsMatch(chart: Chart<SlotReading>, type: number, from: number, end: number): boolean {
  for (let at = from; at < end; at++) {
    if (chart.matches(type, at).some((match) => match.end <= end)) return true;
  }
  return false;
}

function slotChanges(
  engine: Engine,
  state: number,
  from: number,
  end: number,
  nearestNames: (from: number, end: number) => NameFound | undefined,
): Change[] {
  const { intent } = engine.rules[ruleOf(engine.network, state)] ?? {};
  const slot = intent?.slots.get(slotOf(engine.network, state) ?? "");
  if (slot?.type !== "target") {
    return end === from + 1 ? [{ miss: "value", from, end, state, cost: 0.7 }] : [];
  }
  const near = nearestNames(from, end);
  if (!near) return [{ miss: "name", from, end, state, cost: 0.8 + (end - from) / 100 }];
  return [{ miss: "name", from, end, state, ...near }];
}

/** For each place, the states from which the words after it complete a pattern. */
function completions(
  engine: Engine,
  utterance: Utterance,
  chart: Chart<SlotReading>,
  ends: ReadonlySet<number>,
): Set<number>[] {
  const { network } = engine;
  const count = utterance.numbers.length;
  const complete = Array.from({ length: count + 1 }, () => new Set<number>());
  const accepting = network.accepts.flatMap((accepts, state) => (accepts ? [state] : []));
  for (let at = count; at >= 0; at--) {
    const here = complete[at];
    if (!here) continue;
    if (ends.has(at)) for (const state of accepting) here.add(state);
    if (at === count) continue;
    if (utterance.small[at]) for (const state of complete[at + 1] ?? []) here.add(state);
    network.follow.forEach((follow, state) => {
      if (follow.some((next) => leads(engine, utterance, chart, complete, next, at))) {
        here.add(state);
      }
    });
  }
  return complete;
}

function leads(
  { network }: Engine,
  { numbers }: Utterance,
  chart: Chart<SlotReading>,
  complete: readonly ReadonlySet<number>[],
  state: number,
  at: number,
): boolean {
  const symbol = symbolOf(network, state);
  const type = slotTypeOf(symbol);
  if (type !== undefined)
    return chart.matches(type, at).some(({ end }) => complete[end]?.has(state));
  if (symbol !== anyWord && symbol !== numbers[at]) return false;
  return complete[at + 1]?.has(state) === true;
}

/** What words cost that sound the same and are spelled otherwise. */
const soundCost = 0.25;

/** How unlike two words are, by spelling or by sound, whichever is nearer. */
function compare(said: string, expected: string): { cost: number; sounds: boolean } {
  const cost = unlikeness(said, expected);
  if (cost <= soundCost) return { cost, sounds: false };
  const sound = soundOf(said);
  const sounds = sound.length > 1 && sound === soundOf(expected);
  return { cost: sounds ? soundCost : cost, sounds };
}

/** From 0 for the same spelling to 1 for no letter in common. */
function unlikeness(said: string, expected: string): number {
  const longer = Math.max(said.length, expected.length, 1);
  // Letters too many are the least that they differ by, and enough to tell.
  const least = Math.abs(said.length - expected.length) / longer;
  return least > tooUnlike ? least : distance(said, expected) / longer;
}

/** Beyond this unlikeness it is not worth working out how unlike two words are. */
const tooUnlike = 0.8;

/** A name this like is meant, even where some of its words could be understood alone. */
const nearEnough = 0.3;

/** Beyond this unlikeness a name is no help. */
const mostUnlike = 0.5;

interface NameFound {
  holder: Holder;
  cost: number;
  sounds: boolean;
}

function createNameSearch({ names }: Engine, { texts }: Utterance) {
  const known = new Map<string, NameFound | undefined>();
  const spoken = names.holders.map((holder) => ({ holder, name: holder.name.words.join(" ") }));
  let sounds: Map<string, Holder> | undefined;
  const soundsLike = (said: string): Holder | undefined => {
    const key = soundOf(said);
    if (key.length < 2) return undefined;
    sounds ??= new Map(
      spoken.map(({ holder, name }) => [soundOf(name), holder] as const).reverse(),
    );
    return sounds.get(key);
  };
  return (from: number, end: number): NameFound | undefined => {
    const said = texts.slice(from, end).join(" ");
    if (known.has(said)) return known.get(said);
    let best: NameFound | undefined;
    for (const { holder, name } of spoken) {
      const longer = Math.max(said.length, name.length);
      if (Math.abs(said.length - name.length) / longer > (best?.cost ?? mostUnlike)) continue;
      const cost = unlikeness(said, name);
      if (cost <= mostUnlike && cost < (best?.cost ?? 1)) best = { holder, cost, sounds: false };
    }
    if ((best?.cost ?? 1) > soundCost) {
      const holder = soundsLike(said);
      if (holder) best = { holder, cost: soundCost, sounds: true };
    }
    known.set(said, best);
    return best;
  };
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
        paste: aliasPaste(book, holder, words, engine.language),
      };
    }
    case "value": {
      const what = slot ? `a value for $${slot.name} (${slot.type})` : "a value";
      return { ...base, expected: [], message: `"${words}" is not ${what}` };
    }
    case "extra": {
      const message = `"${words}" is one word too many`;
      return { ...base, expected: [], message, ...patternPaste(engine, "extra", state, words) };
    }
    case "missing": {
      const expected = slot ? `$${slot.name}` : engine.lexicon.word(symbol);
      const place = first ? `before "${first.text}"` : "at the end";
      const message = `"${expected}" is missing ${place}`;
      // A slot that could be left out would have no value.
      const paste = slot ? {} : patternPaste(engine, "missing", state, words);
      return { ...base, expected: [expected], message, ...paste };
    }
    case "word": {
      const expected = engine.lexicon.word(symbol);
      const sound = change.sounds ? ", which sounds the same" : "";
      const message = `"${words}" stands where the pattern has "${expected}"${sound}`;
      return {
        ...base,
        expected: [expected],
        message,
        ...patternPaste(engine, "word", state, words),
      };
    }
  }
}

const sections = { device: "devices", group: "groups", room: "rooms", zone: "zones" } as const;

function aliasPaste(
  book: Phrasebook,
  { entity }: Holder,
  words: string,
  language: string,
): NonNullable<NearMiss["paste"]> {
  const said = words.toLocaleLowerCase(language);
  const list = `[${quoted(said)}]`;
  const isFirst = book.languages[0] === language;
  const aliases = isFirst ? list : `{ ${language}: ${list} }`;
  return {
    yaml: `${sections[entity.type]}:\n  ${entity.id}:\n    aliases: ${aliases}`,
    how: `add this alias to ${entity.id}, ${printPosition(entity.at)}`,
  };
}

/** The pattern with the words let in, if they concern its own text and not that of a fragment. */
function patternPaste(
  engine: Engine,
  miss: "extra" | "missing" | "word",
  state: number,
  words: string,
): Pick<NearMiss, "paste"> {
  const { network } = engine;
  const rule = engine.rules[ruleOf(network, state)];
  if (!rule || fragmentOf(network, state) !== undefined) return {};
  const { text, at } = rule.pattern;
  const [start, end] = spanOf(network, state);
  const written = text.slice(start, end);
  const said = splitWords(words, engine.pack)
    .map((word) => word.text)
    .join(" ");
  const both = `${written} | ${said}`;
  const either = isAlternative(text, start, end) ? both : `(${both})`;
  const piece = { extra: `${written} [${said}]`, missing: `[${written}]`, word: either }[miss];
  const pattern = text.slice(0, start) + piece + text.slice(end);
  const isOwn = rule.pattern.origin === "phrasebook";
  const adds = isOwn ? "" : "\n    adds: true";
  return {
    paste: {
      yaml: `intents:\n  ${rule.intent.id}:${adds}\n    patterns:\n      - ${quoted(pattern)}`,
      how: isOwn
        ? `put this pattern in the place of the one at ${printPosition(at)}`
        : `add this pattern to ${rule.intent.id}, which comes with Calm Phrase`,
    },
  };
}

/** Whether a stretch of a pattern is a whole alternative, so that another may stand beside it. */
function isAlternative(text: string, start: number, end: number): boolean {
  const before = text.slice(0, start).trimEnd().at(-1) ?? "|";
  const after = text.slice(end).trimStart().at(0) ?? "|";
  return "|([".includes(before) && "|)]".includes(after);
}

/** As a YAML flow scalar, quoted where YAML would read it as something else. */
function quoted(text: string): string {
  return /^[\p{L}][\p{L}\p{N} '-]*$/u.test(text) ? text : JSON.stringify(text);
}

/** More than one change is needed: the word that the longest beginning stopped at. */
function furthest(
  engine: Engine,
  utterance: Utterance,
  chart: Chart<SlotReading>,
  starts: ReadonlySet<number>,
): NearMiss[] {
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
