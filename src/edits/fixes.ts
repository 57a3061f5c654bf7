import { distance } from "fastest-levenshtein";
import { type Edit, editFor } from "../document/mending.ts";
import { type Sighting, idsAmong, isAmong } from "../document/sightings.ts";
import type { Finding } from "../source/finding.ts";
import { printPosition } from "../source/position.ts";
import { schemaOf } from "./kinds-of-files.ts";
import { valuesAt } from "./schema.ts";
import { type Parsed, idIn, insideOf, fileIn, offsetOf, scalarAt, stretchOf } from "./texts.ts";
import { type Workspace, keptOf, asked } from "./workspace.ts";

/** A way to mend a finding, for somebody to choose. */
export interface Fix {
  title: string;
  edits: readonly Edit[];
}

/** Ways that are told of one finding. */
const mostFixes = 3;

/**
 * Ways to mend a finding of a workspace, the likeliest first: what is known to mend it, and for what stands
 * for nothing the nearest of what there is. Empty where only the person can know.
 */
export function fixesFor(workspace: Workspace, finding: Finding): Fix[] {
  return asked(workspace, "finding", () => {
    const file = fileIn(workspace, finding.at.file);
    if (!file || finding.at.line < 1) return [];
    const certain = editFor(finding, file);
    const title =
      finding.remedy?.remedy === "take out" ? "take it out" : (finding.fix ?? "mend it");
    const fixes = certain ? [{ title, edits: [certain] }] : [];
    const others = [
      ...referencesInstead(workspace, file, finding),
      ...valuesInstead(workspace, file, finding),
    ];
    const known = new Set(certain ? [certain.text] : []);
    const added = others.filter(({ edits }) => edits.every(({ text }) => !known.has(text)));
    return [...fixes, ...added].slice(0, mostFixes);
  });
}

/** The nearest of what there is, in the place of an id that stands for nothing. */
function referencesInstead(workspace: Workspace, file: Parsed, finding: Finding): Fix[] {
  if (finding.rule !== "unknown-reference") return [];
  const found = scalarAt(file, offsetOf(file, finding.at));
  if (!found) return [];
  const inside = insideOf(file, found.node);
  const open = openIn(workspace).get(`${file.path} ${inside[0]}`) ?? [];
  return open.flatMap(({ id, known }) => {
    if (!finding.message.includes(`"${id}"`)) return [];
    const [stretch] = idIn(file, id, inside);
    return stretch ? nearestOf(file, { id, known: idsAmong(known) }, stretch) : [];
  });
}

type Reference = Extract<Sighting, { sees: "reference" }>;

const openOf = new WeakMap<Workspace, ReadonlyMap<string, Reference[]>>();

/** The ids of a workspace that stand for nothing, by the file and the start of the text that they are in. */
function openIn(workspace: Workspace): ReadonlyMap<string, Reference[]> {
  const made = openOf.get(workspace);
  if (made) return made;
  const open = new Map<string, Reference[]>();
  for (const sighting of keptOf(workspace).sightings) {
    if (sighting.sees !== "reference" || isAmong(sighting.known, sighting.id)) continue;
    const at = sighting.isKey ? sighting.place.keyAt : sighting.place.at;
    const file = fileIn(workspace, at.file);
    const found = file && scalarAt(file, offsetOf(file, at));
    if (!found) continue;
    const key = `${file.path} ${insideOf(file, found.node)[0]}`;
    open.set(key, [...(open.get(key) ?? []), sighting]);
  }
  openOf.set(workspace, open);
  return open;
}

/** The nearest of the values that are listed, in the place of one that cannot be. */
function valuesInstead(workspace: Workspace, file: Parsed, finding: Finding): Fix[] {
  if (finding.rule !== "wrong-value") return [];
  const offset = offsetOf(file, finding.at);
  const found = scalarAt(file, offset);
  if (!found || found.isKey) return [];
  const inside = insideOf(file, found.node);
  const id = file.text.slice(...inside);
  const root = schemaOf(workspace, file.path);
  const listed = root ? valuesAt(root, file.value, found.path).map(({ text }) => text) : [];
  const seen = keptOf(workspace).sightings.flatMap((sighting) => {
    const isHere =
      sighting.sees === "value" && printPosition(sighting.place.at) === printPosition(finding.at);
    return isHere ? sighting.known : [];
  });
  return nearestOf(file, { id, known: [...new Set([...listed, ...seen])] }, inside);
}

function nearestOf(
  file: Parsed,
  { id, known }: { id: string; known: readonly string[] },
  [start, end]: readonly [start: number, end: number],
): Fix[] {
  return known
    .map((text) => ({ text, far: distance(text, id) }))
    .sort((one, other) => one.far - other.far)
    .slice(0, mostFixes)
    .map(({ text }) => {
      return { title: `write ${text}`, edits: [{ ...stretchOf(file, start, end), text }] };
    });
}
