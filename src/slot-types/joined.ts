import type { TargetExpression } from "./expression.ts";
import { isPlace } from "./narrowing.ts";

/** Whether something is a place and no thing, or begins with one. */
export function isPlaced(expression: TargetExpression): boolean {
  const [first = expression] = expression.target === "list" ? expression.items : [];
  if (first.target === "named") return first.holders.some(({ entity }) => isPlace(entity.type));
  return first.target !== "kind";
}

/**
 * A list, unless it has both a place and things by their kind: a place would widen it; or something beside
 * everything, which says no more: "everything and the loft" is "everything in the loft", heard badly.
 */
export function joined(
  first: TargetExpression,
  rest: TargetExpression,
): TargetExpression | undefined {
  const items = [first, ...(rest.target === "list" ? rest.items : [rest])];
  const isBare = (item: TargetExpression): boolean =>
    item.target === "named" && item.holders.every(({ entity }) => isPlace(entity.type));
  // "The ones" of a list are of the kind of what stands beside them.
  if (items.some(({ target }) => target === "ones")) return undefined;
  if (items.some((item) => item.target === "everything" && !item.place)) return undefined;
  const widens = items.some(isBare) && items.some(({ target }) => target === "kind");
  return widens ? undefined : { target: "list", items };
}
