import { withArticle } from "../source/article.ts";
import { type Book, asBook } from "../book/book.ts";
import type { Device } from "../model/home.ts";
import { type Finding, compareFindings } from "../source/finding.ts";
import { checkCircles } from "./circles.ts";
import { checkLosing } from "./losing.ts";
import { checkNames } from "./names.ts";
import { checkOutside } from "./outside.ts";
import { checkOverlaps } from "./overlap.ts";
import { checkReach } from "./reach.ts";
import { checkRoutines } from "./routines.ts";
import { checkWeights, weighed } from "./rules.ts";
import { checkLanguages } from "./languages.ts";
import { checkSilent } from "./silent.ts";
import { checkSteps } from "./steps.ts";
import { checkTaken } from "./shadowed.ts";

/**
 * Looks over a whole phrasebook for what is allowed and yet likely to disappoint, beside what
 * reading it found.
 */
export function checkPhrasebook(given: Book): Finding[] {
  const book = asBook(given);
  const devices = [...book.devices.values()];
  const findings = [
    ...devices.flatMap((device) => checkPlace(book, device)),
    ...devices.flatMap((device) => checkRisk(book, device)),
    ...checkCode(book),
    ...[...book.groups.values()].flatMap(checkGroup),
    ...checkLanguages(book),
    ...checkNames(book),
    ...checkOverlaps(book),
    ...checkLosing(book),
    ...checkTaken(book),
    ...checkSilent(book),
    ...checkSteps(book),
    ...checkRoutines(book),
    ...checkReach(book),
    ...checkCircles(book),
    ...checkOutside(book),
  ];
  return [...checkWeights(book), ...weighed(book, findings)].sort(compareFindings);
}

/** Kinds that are carried about, or are nowhere. */
const roaming: ReadonlySet<string> = new Set(["locator", "vacuum", "source"]);

function checkPlace({ rooms }: Book, { id, room, kind, at }: Device): Finding[] {
  if (room !== undefined || rooms.size === 0 || roaming.has(kind)) return [];
  return [
    {
      rule: "no-room",
      severity: "warning",
      message: `${id} is in no room, so no place reaches it`,
      fix: "give it a room",
      at,
    },
  ];
}

function checkRisk({ kinds }: Book, { id, kind, voice, at }: Device): Finding[] {
  const usual = kinds.get(kind)?.voice ?? "free";
  if (voice !== "free" || usual === "free") return [];
  return [
    {
      rule: "unguarded",
      severity: "warning",
      message: `a misheard phrase can do anything with ${id}, ${withArticle(kind)}`,
      fix: `write voice: ${usual}, or leave voice out`,
      at,
    },
  ];
}

/** A question for a code that there is none of can never be answered. */
function checkCode({ code, devices }: Book): Finding[] {
  const guarded = [...devices.values()].filter(({ voice }) => voice === "code");
  const [first] = guarded;
  if (code !== undefined || !first) return [];
  const names = guarded.map(({ id }) => id).join(", ");
  return [
    {
      rule: "no-code",
      severity: "warning",
      message: `voice needs the code for ${names}, and the phrasebook has none, so no answer is right`,
      fix: 'write code: "4711", with a code of your own',
      at: first.at,
    },
  ];
}

function checkGroup({
  id,
  devices,
  at,
}: {
  id: string;
  devices: readonly string[];
  at: Finding["at"];
}) {
  if (devices.length > 0) return [];
  const finding: Finding = {
    rule: "empty-group",
    severity: "warning",
    message: `the group ${id} has nothing in it`,
    fix: "add members, or remove it",
    at,
  };
  return [finding];
}
