import type { Book } from "../book/book.ts";
import type { Finding } from "../source/finding.ts";

/** What is allowed of what stands outside a home, and worth knowing of. */
export function checkOutside({ devices, bindings, addresses, doors }: Book): Finding[] {
  const unbound = [...devices.values()].flatMap(({ id, at }): Finding[] => {
    if (bindings.size === 0 || bindings.has(id)) return [];
    const message = `nothing tells how ${id} is reached`;
    return [
      { rule: "not-bound", severity: "warning", message, fix: "write it into a binding", at },
    ];
  });
  const keyed = [...addresses.values()].flatMap(({ id, keys, at }): Finding[] => {
    if (keys.size === 0) return [];
    const message = `${id} is called by its address alone, by whoever has it: ${[...keys.keys()].join(", ")}`;
    const fix = "take out the line of each key that is needed no more";
    return [{ rule: "address-keyed", severity: "note", message, fix, at }];
  });
  const idle: Finding[] =
    addresses.size > 0 && doors?.tokens.length === 0
      ? [...addresses.values()].flatMap(({ id, keys, at }): Finding[] => {
          if (keys.size > 0) return [];
          const message = `nobody can call ${id}: there is no token`;
          const fix = "make one: calm-phrase live token phone";
          return [{ rule: "address-idle", severity: "note", message, fix, at }];
        })
      : [];
  return [...unbound, ...keyed, ...idle];
}
