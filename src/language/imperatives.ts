import type { Imperatives } from "./pack.ts";
import { closed } from "./syllables.ts";

/**
 * An action that is called by an infinitive as an order, with the place of the thing: "amasa $target" of
 * "amasar", "halte $target an" of "anhalten". Nothing for words that are no infinitives.
 */
export function ordersOf(said: string, imperatives: Imperatives): string[] {
  const { endings, object = "", isOpen } = imperatives;
  const [verb = "", ...rest] = said.split(" ");
  const particle = particleOf(verb, imperatives);
  const whole = particle === undefined ? verb : verb.slice(particle.length);
  const ending = endings.find(([infinitive]) => whole.endsWith(infinitive));
  if (!ending) return [];
  const [infinitive, ...orders] = ending;
  const stem = whole.slice(0, whole.length - infinitive.length);
  const spoken = isOpen === true ? closed(stem) : stem;
  return orders.map((order) =>
    particle === undefined
      ? [spoken + order, ...rest, `${object} $target`].join(" ")
      : [spoken + order, "$target", ...rest, particle].join(" "),
  );
}

/** What stands before a verb as one word with it: "an" of "anhalten", and "flach" of "flachstellen" as of any verb. */
function particleOf(
  infinitive: string,
  { particles = [], separable = [] }: Imperatives,
): string | undefined {
  const known = particles.find(
    (each) => infinitive.startsWith(each) && infinitive.length > each.length + 3,
  );
  if (known !== undefined) return known;
  const verb = separable.find((each) => infinitive.endsWith(each));
  const before = verb === undefined ? "" : infinitive.slice(0, infinitive.length - verb.length);
  return before.length > 2 ? before : undefined;
}
