import type { Referred, Rule } from "../../automaton/network.ts";
import { type Plan, planIntent } from "../../commands/plan.ts";
import type { Device } from "../../model/home.ts";
import { isKnown } from "../../model/known.ts";
import type { SpokenPattern } from "../../model/spoken.ts";
import type { Pattern } from "../../pattern/tree.ts";
import type { Intent, Phrasebook } from "../../phrasebook/model.ts";
import { fragmentTree } from "../../phrasebook/references.ts";
import type { Symbols } from "./symbols.ts";

/** A pattern, with the intent that it says. */
export interface EngineRule {
  intent: Intent;
  pattern: SpokenPattern;
  plan: Plan;
}

/** The patterns of a language that something of this home can do. */
export function rulesOf(book: Phrasebook, language: string): EngineRule[] {
  const abilities = abilitiesOf(book);
  return [...book.intents.values()].flatMap((intent): EngineRule[] => {
    const plan = planIntent(intent);
    const isAble = canBeDone(plan, abilities);
    return intent.patterns.flatMap((pattern): EngineRule[] => {
      // What nothing that speech knows of can do is not understood at all.
      const isIdle = pattern.origin === "vocabulary" && !isAble;
      return pattern.language !== language || isIdle ? [] : [{ intent, pattern, plan }];
    });
  });
}

export function ruleFor(
  intent: Intent,
  { tree }: SpokenPattern,
  { refer, symbols }: { refer: Rule["refer"]; symbols: Symbols },
): Rule {
  return {
    tree,
    refer(name): Referred | undefined {
      const slot = intent.slots.get(name);
      if (!slot) return refer(name);
      if (slot.fills === "words") return { refer: "text" };
      return { refer: "slot", symbol: symbols.symbolOf(slot) };
    },
  };
}

/** The properties and actions of all devices that speech knows of. */
function abilitiesOf({ devices }: Phrasebook): ReadonlySet<string> {
  const abilities = new Set<string>();
  const seen = new Set<Device["properties"]>();
  for (const device of devices.values()) {
    if (!isKnown(device)) continue;
    // Devices of a kind share its properties.
    if (!seen.has(device.properties)) {
      seen.add(device.properties);
      for (const name of device.properties.keys()) abilities.add(name);
    }
    for (const action of device.actions) abilities.add(`${action}()`);
  }
  return abilities;
}

function canBeDone({ asked }: Plan, abilities: ReadonlySet<string>): boolean {
  return [...asked.values()].every(
    ({ properties, actions }) =>
      properties.every((name) => abilities.has(name)) &&
      actions.every((action) => abilities.has(`${action}()`)),
  );
}

/** What the fragments of a phrasebook stand for in a language. */
export function fragmentsIn(book: Phrasebook, language: string): Rule["refer"] {
  const trees = new Map<string, Pattern | undefined>();
  for (const fragment of book.fragments.values()) {
    trees.set(fragment.name, fragmentTree(fragment, language));
  }
  return (name) => {
    const pattern = trees.get(name);
    return pattern && { refer: "pattern", pattern, fragment: name };
  };
}
