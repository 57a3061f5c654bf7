import type { PlaceExpression, TargetExpression } from "./expression.ts";

/** What is said apart from a thing and narrows it: where it is, or what is left out of it. */
export type Narrowing =
  { narrow: "place"; place: PlaceExpression } | { narrow: "except"; without: TargetExpression };

/** The place that an expression names, or undefined when it names something else. */
export function placeOf(expression: TargetExpression): PlaceExpression | undefined {
  if (expression.target === "here" || expression.target === "there") return expression.target;
  if (expression.target !== "named") return undefined;
  const places = expression.holders.filter(({ entity }) => isPlace(entity.type));
  return places.length > 0 ? places : undefined;
}

/** An expression with what was said apart from it, or undefined when it cannot be narrowed so. */
export function narrowed(
  expression: TargetExpression,
  narrowing: Narrowing,
): TargetExpression | undefined {
  if (narrowing.narrow === "place") return narrow(expression, narrowing.place);
  const without = among(expression, narrowing.without);
  return without && { target: "except", from: expression, without };
}

/** An expression with a place said apart from it, or undefined when it has a place already. */
export function narrow(
  expression: TargetExpression,
  place: PlaceExpression,
): TargetExpression | undefined {
  switch (expression.target) {
    // "Make it warmer in here": what is at hand there.
    case "it":
      return { target: "unsaid", place };
    case "kind":
    case "unsaid":
    case "everything": {
      const within = placeWithin(expression.place, place);
      return within && { ...expression, place: within };
    }
    case "named":
      if (isNamedPlace(expression)) return undefined;
      return { target: "within", of: expression, place };
    case "list": {
      const items: TargetExpression[] = [];
      for (const item of expression.items) {
        const inPlace = narrow(item, place);
        if (!inPlace) return undefined;
        items.push(inPlace);
      }
      return { target: "list", items };
    }
    case "except": {
      const from = narrow(expression.from, place);
      return from && { ...expression, from };
    }
    default:
      return undefined;
  }
}

/** A place in a place: "everywhere upstairs" is upstairs. Two others are not one in the other. */
function placeWithin(
  one: PlaceExpression | undefined,
  other: PlaceExpression,
): PlaceExpression | undefined {
  if (one === undefined || one === "everywhere") return other;
  return other === "everywhere" ? one : undefined;
}

/** What "the ones in the kitchen" are, said beside something that was named by its kind. */
export function among(of: TargetExpression, said: TargetExpression): TargetExpression | undefined {
  if (said.target !== "ones") return said;
  const kind = kindIn(of);
  return kind && { ...kind, many: said.many, all: "all", place: said.place };
}

function kindIn(expression: TargetExpression): (TargetExpression & { target: "kind" }) | undefined {
  switch (expression.target) {
    case "kind":
      return expression;
    case "list":
      return expression.items.map(kindIn).findLast((kind) => kind !== undefined);
    case "except":
      return kindIn(expression.from);
    default:
      return undefined;
  }
}

export function isPlace(type: string): boolean {
  return type === "room" || type === "zone";
}

/** Whether rooms or zones are named, and no things. */
export function isNamedPlace(expression: TargetExpression): boolean {
  return (
    expression.target === "named" && expression.holders.every(({ entity }) => isPlace(entity.type))
  );
}

/** Whether only what tells a thing apart is said: "the coffee", of which "is ready" is hardly said of a coffee maker. */
export function isBare(expression: TargetExpression): boolean {
  return expression.target === "named" && expression.holders.every(({ name }) => name.bare);
}
