import type { Position } from "../source/position.ts";
import { nearest } from "../source/nearest.ts";
import type { Document, Path } from "./document.ts";
import { valueAt } from "./value-at.ts";

/** What a rule over many devices may ask of them. */
const ruleConditions = ["kind", "room", "zone", "group", "name"] as const;

export type RuleConditions = Partial<Record<(typeof ruleConditions)[number], string | undefined>>;

/** What a part that cannot be read may decide, were it readable. */
export type Reach =
  | { of: "everything" }
  | { of: "device" | "kind" | "room" | "zone" | "group" | "address" | "doors"; id: string }
  /** The devices that a rule over many may be about, by what of it can be read. */
  | { of: "rule"; rule: RuleConditions };

/** A mistake in something that decides what voice may do. */
export interface Doubt {
  reach: Reach;
  at: Position;
}

/**
 * Keeps mistakes in what decides on guards. Guards fail closed: whatever such a part could touch,
 * voice is barred from until it is mended.
 */
export interface Doubts {
  /** A part of a document was left out. */
  left: (document: Document, path: Path) => void;
  add: (reach: Reach, at: Position) => void;
  all: () => readonly Doubt[];
  /** Whether something may say more than was read of it. */
  isOpen: (
    of: "room" | "zone" | "group" | "address" | "doors" | "everything",
    id: string,
  ) => boolean;
}

export function createDoubts(): Doubts {
  const doubts: Doubt[] = [];
  const open = new Set<string>();
  const add: Doubts["add"] = (reach, at) => {
    doubts.push({ reach, at });
    open.add(`${reach.of} ${"id" in reach ? reach.id : ""}`);
  };
  return {
    add,
    left(document, path) {
      const reach = reachOf(document.value, path);
      if (reach) add(reach, document.atKey(path));
    },
    all: () => doubts,
    isOpen: (of, id) => open.has(`${of} ${id}`) || open.has(`${of} `),
  };
}

const places = { rooms: "room", zones: "zone", groups: "group" } as const;

/** Sections of a file in which nothing decides on guards. */
const harmless: ReadonlySet<string> = new Set([
  ...["phrasebook", "languages", "address", "place", "code", "voicepoints", "people"],
  ...["vocabulary", "colours", "pronunciations", "fragments", "intents", "routines"],
  ...["connections", "bindings", "sources", "contacts"],
]);

/** What a part at a path decides; undefined for one that decides nothing about guards. */
function reachOf(root: unknown, path: Path): Reach | undefined {
  const [section, id, key] = path.map(String);
  if (section === undefined) return { of: "everything" };
  if (harmless.has(section)) return undefined;
  switch (section) {
    case "rooms":
    case "zones":
    case "groups": {
      const names = ["name", "aliases"];
      if (key !== undefined && names.includes(key)) return undefined;
      return { of: places[section], id: id ?? "" };
    }
    case "doors":
      return { of: "doors", id: "" };
    case "addresses":
      return { of: "address", id: id ?? "" };
    case "devices":
      // A device that is left out as a whole is none, for speech as for everything else.
      if (id === undefined || (key === undefined && path.length === 1)) return undefined;
      return isAboutGuards(root, path.slice(2)) ? { of: "device", id } : undefined;
    case "kinds":
      if (id === undefined) return { of: "everything" };
      return isAboutGuards(root, path.slice(2)) ? { of: "kind", id } : undefined;
    case "voice": {
      const rule = valueAt(root, path.slice(0, 2));
      return id === undefined ? { of: "everything" } : { of: "rule", rule: readable(rule) };
    }
    default:
      return section === "uses" || isAboutGuards(root, path) ? { of: "everything" } : undefined;
  }
  /** Whether what was left out there is a guard, or may have been meant as one. */
  function isAboutGuards(whole: unknown, [first]: Path): boolean {
    if (first === undefined || guardKeys.includes(String(first))) return true;
    if (known.includes(String(first))) return false;
    const near = nearest(String(first).toLowerCase(), guardKeys);
    return near !== undefined || holdsGuard(valueAt(whole, path));
  }
}

const guardKeys = [
  "voice",
  "safe",
  "safe-actions",
  "bulk",
  "kind",
  "room",
  "replaces",
  "kinds",
  "uses",
];
/** Keys of devices and kinds that are no guards, whatever stands under them. */
const known = ["name", "aliases", "actions", "properties", "optional", "said", "devices"];

/** Whether somewhere in a value stands what a guard is written with. */
export function holdsGuard(value: unknown): boolean {
  if (typeof value === "string") return /^(?:confirm|code|barred)$/iu.test(value.trim());
  if (typeof value !== "object" || value === null) return false;
  return Object.entries(value).some(([key, each]) => key === "voice" || holdsGuard(each));
}

/** The conditions of a rule that are texts; what else it says cannot narrow it. */
function readable(rule: unknown): RuleConditions {
  const conditions: RuleConditions = {};
  for (const key of ruleConditions) {
    const value = valueAt(rule, [key]);
    if (typeof value === "string") conditions[key] = value;
  }
  return conditions;
}
