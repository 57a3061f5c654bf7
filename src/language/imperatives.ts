import type { Imperatives } from "./pack.ts";

/**
 * An action that is called by an infinitive as an order, with the place of the thing: "amasa $target" of
 * "amasar", "halte $target an" of "anhalten". Nothing for words that are no infinitives.
 */
export function ordersOf(said: string, { endings, particles = [], isOpen }: Imperatives): string[] {
  const [verb = "", ...rest] = said.split(" ");
  const particle = particles.find((each) => verb.startsWith(each) && verb.length > each.length + 3);
  const whole = particle === undefined ? verb : verb.slice(particle.length);
  const ending = endings.find(([infinitive]) => whole.endsWith(infinitive));
  if (!ending) return [];
  const [infinitive, ...orders] = ending;
  const stem = whole.slice(0, whole.length - infinitive.length);
  const spoken = isOpen === true ? closed(stem) : stem;
  return orders.map((order) =>
    particle === undefined
      ? [spoken + order, ...rest, "$target"].join(" ")
      : [spoken + order, "$target", ...rest, particle].join(" "),
  );
}

/** The stem of a Dutch verb where its syllable is closed: "kneed" of "kneden", "zet" of "zetten", "geef" of "geven". */
function closed(stem: string): string {
  const single = stem.replace(/([^aeiou])\1$/u, "$1");
  const long =
    single === stem ? stem.replace(/(^|[^aeiou])([aeou])([^aeiouwxj])$/u, "$1$2$2$3") : single;
  return long.replace(/v$/u, "f").replace(/z$/u, "s");
}
