import type { Utterance } from "../automaton/utterance.ts";
import { leafOf } from "../automaton/network.ts";
import { isSafeEffect } from "../commands/access.ts";
import type { Conclusion, HeardCommand } from "../commands/outcome.ts";
import type { Witness } from "../model/witness.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { Holder, PlaceExpression, TargetExpression } from "../slot-types/expression.ts";
import type { ValuedSlot } from "../slot-types/slot.ts";
import { barredIn } from "./barred.ts";
import type { Composition } from "./compose/parting.ts";
import type { Engine } from "./understand/engine.ts";
import type { Reading } from "./understand/evaluate.ts";

/** A phrasebook and the language of it in which something was heard. */
interface Heard {
  book: Phrasebook;
  engine: Engine;
}

/** Tells what of a phrasebook took part in what was heard; nothing of readings that lost. */
export function tellHeard(
  witness: Witness,
  { book, engine }: Heard,
  { utterance, composition }: { utterance: Utterance; composition: Composition },
  conclusion: Conclusion,
): void {
  if (conclusion.outcome === "unknown" || conclusion.outcome === "offer") {
    tellBarred(witness, book, engine.language, utterance);
    return;
  }
  for (const { understood } of composition.commands) {
    for (const { reading, kept } of understood.ranked) {
      if (kept) tellReading(witness, { book, engine }, reading);
    }
    for (const narrowing of understood.narrowings) {
      if (narrowing.narrow === "place") tellPlace(witness, narrowing.place);
      else tellTarget(witness, narrowing.without);
    }
  }
  for (const command of conclusion.commands) tellCommand(witness, book, conclusion, command);
}

/** What voice is barred from and was named: it came to nothing, as it has to. */
function tellBarred(
  witness: Witness,
  book: Phrasebook,
  language: string,
  utterance: Utterance,
): void {
  for (const { device: id } of barredIn(book, language, utterance)) {
    const device = book.devices.get(id);
    if (device) witness.used(device, "barred");
  }
}

function tellReading(witness: Witness, { book, engine }: Heard, reading: Reading): void {
  const { intent, pattern, path, fillings, targets } = reading;
  const leaves = path.steps.flatMap(({ state }) => leafOf(engine.network, state) ?? []);
  witness.said(pattern, leaves);
  const filled = new Set<string>();
  for (const { slot, reading: read, words } of fillings) {
    filled.add(slot.name);
    if (read.read === "target") tellTarget(witness, read.target, targets.get(slot.name)?.holders);
    else if (slot.fills === "value") tellValue(witness, book, { slot, words }, valueOf(read));
  }
  for (const slot of intent.slots.values()) {
    if (slot.fills === "value" && slot.default !== undefined && !filled.has(slot.name)) {
      witness.used(slot, "default");
    }
  }
}

function valueOf(read: Exclude<Reading["fillings"][number]["reading"], { read: "target" }>) {
  return read.read === "value" ? read.value : undefined;
}

/** A value at a limit of its slot, or one that has words of its own there. */
function tellValue(
  witness: Witness,
  { routines }: Phrasebook,
  { slot, words }: { slot: ValuedSlot; words: string },
  value: unknown,
): void {
  const { minimum, maximum } = slot.limits ?? {};
  if (minimum !== undefined && value === minimum) witness.used(slot, "minimum");
  if (maximum !== undefined && value === maximum) witness.used(slot, "maximum");
  const own = slot.values?.find((each) => each.value === value);
  if (own && Number.isNaN(Number.parseFloat(words))) witness.used(own);
  if (slot.type !== "routine") return;
  for (const name of routines.get(String(value))?.names ?? []) {
    if (name.text.toLowerCase() === words.toLowerCase()) witness.used(name);
  }
}

/** The names that were said: of several things that bear one, those that were meant. */
function tellTarget(witness: Witness, target: TargetExpression, settled?: readonly Holder[]): void {
  switch (target.target) {
    case "named":
      tellHolders(witness, target.holders, settled);
      return;
    case "within":
      tellTarget(witness, target.of, settled);
      tellPlace(witness, target.place);
      return;
    case "kind":
    case "everything":
    case "unsaid":
    case "ones":
      if (target.place !== undefined) tellPlace(witness, target.place);
      return;
    case "list":
      for (const item of target.items) tellTarget(witness, item, settled);
      return;
    case "except":
      tellTarget(witness, target.from, settled);
      tellTarget(witness, target.without);
      return;
    default:
  }
}

function tellPlace(witness: Witness, place: PlaceExpression): void {
  if (typeof place !== "string") tellHolders(witness, place);
}

function tellHolders(
  witness: Witness,
  holders: readonly Holder[],
  settled: readonly Holder[] = holders,
): void {
  for (const { entity, name } of holders) {
    if (settled.some((other) => other.entity === entity)) witness.used(name);
  }
}

/** What a command does at once: its steps, and the guards that it came to. */
function tellCommand(
  witness: Witness,
  book: Phrasebook,
  { outcome }: Conclusion,
  command: HeardCommand,
): void {
  const intent = book.intents.get(command.intent);
  const isDone = outcome === "act" || outcome === "answer";
  if (isDone && command.runs === undefined) {
    for (const step of intent?.steps ?? []) witness.used(step);
  }
  for (const effect of command.effects) {
    const device = book.devices.get(effect.device);
    if (!device || device.voice === "free") continue;
    if (isSafeEffect(device, effect)) witness.used(device, "safe");
    else if (outcome === device.voice) witness.used(device, outcome);
  }
}
