import type { Value } from "../model/property.ts";
import type { CaseHome } from "../home/simulated/simulate.ts";
import { doneBy } from "../suites/effect.ts";

/** What devices did, as a case expects it. */
export function doneIn({ deeds, state }: CaseHome): Record<string, unknown> {
  const { properties, calls } = doneBy(deeds(), state);
  const set: Record<string, Record<string, Value>> = {};
  for (const [device, changes] of properties) {
    set[device] = Object.fromEntries([...changes].map(([name, { value }]) => [name, value]));
  }
  const call = Object.fromEntries([...calls].map(([device, [first = ""]]) => [device, first]));
  return Object.keys(call).length === 0 ? { set } : { set, call };
}
