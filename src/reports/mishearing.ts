import type { SoundAlike, SoundName } from "../mishearing/alike.ts";
import type { Confusion } from "../mishearing/confusions.ts";
import type { Mishearing } from "../mishearing/mishearings.ts";
import type { OpenHearing, Variant } from "../mishearing/open-hearing.ts";
import type { Remedy, Tried } from "../mishearing/remedies.ts";
import { printPosition } from "../source/position.ts";
import { pad, shorten, width } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** A confusion with what helps against it, as far as that was tried. */
export interface Remedied {
  confusion: Confusion;
  remedies: readonly Remedy[];
}

/** Confusions that are told in full. */
const mostTold = 25;

/** What phrases are taken for, the worst first. */
export function printMishearings(
  mishearings: readonly Mishearing[],
  confusions: readonly Remedied[],
  paint: Paint,
): string {
  const bad = confusions.filter(({ confusion }) => confusion.verdict !== "harmless");
  const told = bad.slice(0, mostTold).map((each) => printConfusion(each, paint));
  const more = bad.length - told.length;
  const cut = mishearings.filter(({ isExhaustive }) => !isExhaustive).length;
  return [
    ...told,
    ...(more > 0 ? [paint.quiet(`and ${more} more: --json tells all of them`)] : []),
    ...(bad.length > 0 ? [""] : []),
    countConfusions(confusions, mishearings.length, paint),
    ...(cut > 0 ? [paint.warn(`the search was not exhaustive for ${phrases(cut)}`)] : []),
  ].join("\n");
}

function phrases(count: number): string {
  return count === 1 ? "1 phrase" : `${count} phrases`;
}

/** How many confusions there are of each sort. */
function countConfusions(confusions: readonly Remedied[], count: number, paint: Paint): string {
  const of = (verdict: Confusion["verdict"]): number =>
    confusions.filter(({ confusion }) => confusion.verdict === verdict).length;
  const unsafe = of("unsafe");
  const text = `${phrases(count)}, ${unsafe} unsafe confusions, ${of("wrong")} wrong, ${of("harmless")} harmless`;
  return unsafe > 0 ? paint.bad(text) : paint.good(text);
}

function printConfusion({ confusion, remedies }: Remedied, paint: Paint): string {
  const { verdict, distance, cases, why } = confusion;
  const [worst] = cases;
  if (!worst) return "";
  const { mishearing, taken: of } = worst;
  const mark = verdict === "unsafe" ? paint.bad(pad(verdict, 7)) : paint.warn(pad(verdict, 7));
  const count = cases.length > 1 ? paint.quiet(`  ${phrases(cases.length)}`) : "";
  const because = why === undefined ? "" : paint.quiet(`  ${why}`);
  const [here, there] = [of.places.spoken ?? mishearing.spoken.position, of.places.taken].map(
    (place) => (place ? paint.quiet(`  ${printPosition(place)}`) : ""),
  );
  const from = (text: string): string => shorten(text, width - 12);
  return [
    `${mark} ${distance.toFixed(2)}  ${paint.strong(shorten(describeConfusion(confusion), 56))}${count}${because}`,
    `  “${from(mishearing.spoken.phrase)}”${here}`,
    paint.quiet(`    ${from(mishearing.spoken.effect)}`),
    `  “${from(of.phrase)}”${there}`,
    paint.quiet(`    ${from(of.effect)}`),
    ...remedies.slice(0, 2).map((remedy) => `  ${paint.good("try")} ${describeRemedy(remedy)}`),
    "",
  ].join("\n");
}

/** "off" taken for "on"; words that are lost or made up. */
export function describeConfusion({ spoken, taken }: Pick<Confusion, "spoken" | "taken">): string {
  if (spoken === "" && taken === "") return "the same words";
  if (spoken === "") return `“${taken}” heard where nothing is said`;
  if (taken === "") return `“${spoken}” not heard`;
  return `“${spoken}” taken for “${taken}”`;
}

/** What helps against a confusion, and what is left then, in a line. */
export function describeRemedy(remedy: Remedy): string {
  return `${whatToDo(remedy)}: ${leftAfter(remedy)}`;
}

function whatToDo(remedy: Remedy): string {
  switch (remedy.remedy) {
    case "wording":
      return `saying “${remedy.say}”`;
    case "guard":
      return `voice: confirm for ${remedy.device}`;
    case "name":
      return `calling ${remedy.device} “${remedy.name}” and not “${remedy.before}”`;
  }
}

function leftAfter({ left, failing }: Tried): string {
  const nearest = left
    ? `the next is ${left.verdict} at ${left.distance.toFixed(2)}, “${shorten(left.phrase, 30)}”`
    : "nothing else happens that near";
  if (failing === 0) return nearest;
  return `${nearest}; ${failing === 1 ? "1 case fails" : `${failing} cases fail`} until they say so too`;
}

/** Names that sound alike, the nearest first. */
export function printSoundAlikes(alikes: readonly SoundAlike[], paint: Paint): string {
  if (alikes.length === 0) return paint.good("no names sound alike");
  return alikes
    .map(({ spoken, taken, distance }) => {
      const places = [spoken.at, taken.at].flatMap((at) => (at ? printPosition(at) : []));
      return [
        `${distance.toFixed(2)}  ${paint.name(spoken.text)} ${paint.quiet(of(spoken))}  →  ${paint.name(taken.text)} ${paint.quiet(`${of(taken)}  ${spoken.language}`)}`,
        ...(places.length > 0 ? [paint.quiet(`      ${places.join("  ")}`)] : []),
      ].join("\n");
    })
    .join("\n");
}

function of({ of: sort, id }: SoundName): string {
  return `${sort} ${id}`;
}

/** What slips of an open recogniser come to: those that do something else, and how many do not. */
export function printSlips(hearings: readonly OpenHearing[], paint: Paint): string {
  const all = hearings.flatMap((hearing) =>
    hearing.variants.map((variant) => ({ hearing, variant })),
  );
  const count = (verdict: Variant["verdict"]): number =>
    all.filter(({ variant }) => variant.verdict === verdict).length;
  const lines = (["unsafe", "wrong"] as const).flatMap((verdict) =>
    all
      .filter(({ variant }) => variant.verdict === verdict)
      .map(({ hearing, variant }) => {
        const mark = verdict === "unsafe" ? paint.bad("unsafe ") : paint.warn("wrong  ");
        const why = variant.why === undefined ? "" : paint.quiet(`  ${variant.why}`);
        const lead = `${mark}  “${shorten(hearing.phrase, 42)}” → “${shorten(variant.phrase, 42)}”${why}`;
        return `${lead}\n${paint.quiet(`           ${shorten(variant.effect, width - 12)}`)}`;
      }),
  );
  const summary = `${all.length} slips: ${count("same")} come to the same, ${count("harmless")} to nothing, ${count("wrong")} to something wrong, ${count("unsafe")} unsafe`;
  return [...lines, ...(lines.length > 0 ? [""] : []), summary].join("\n");
}
