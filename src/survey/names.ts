import type { Book } from "../book/book.ts";
import type { Device, Name, Nameable } from "../model/home.ts";
import type { Finding } from "../source/finding.ts";
import { intentOf } from "../commands/outcome.ts";
import { describeOutcome } from "../commands/describe.ts";
import { createSieve } from "./sieve.ts";

interface Borne {
  entity: Nameable;
  name: Name;
}

/** Names that get in the way of each other, or of a phrase. */
export function checkNames(book: Book): Finding[] {
  return [...book.languages.flatMap((language) => checkIn(book, language)), ...routineNames(book)];
}

/** Routines whose name is a phrase that does something else. */
function routineNames(book: Book): Finding[] {
  return [...book.routines.values()].flatMap(({ id, names }) =>
    names.flatMap((name) => phraseIn(book, name, { of: `the routine ${id}`, means: id })),
  );
}

/** A name that is heard as a phrase of its own, other than of the intent that it means. */
function phraseIn(
  book: Book,
  { text, language, at }: Name,
  { of, means }: { of: string; means?: string },
): Finding[] {
  const heard = book.hear(text, { language });
  const intent = intentOf(heard);
  if (intent === undefined || heard.outcome === "refuse" || intent === means) return [];
  return [
    {
      rule: "name-is-phrase",
      severity: "warning",
      message: `the name "${text}" (${language}) of ${of} is itself a phrase: ${describeOutcome(heard)}`,
      fix: "give it another name",
      at,
    },
  ];
}

function checkIn(book: Book, language: string): Finding[] {
  const mayBeSaid = createSieve(book, language);
  const first = new Map<string, Borne>();
  // Nearly all names are borne by one thing, and a home may have a hundred thousand.
  const shared = new Map<string, Borne[]>();
  for (const map of [book.devices, book.groups, book.rooms, book.zones]) {
    for (const entity of map.values()) {
      for (const name of entity.names) {
        if (name.language !== language) continue;
        const key = name.words.join(" ");
        const one = first.get(key);
        const others = shared.get(key);
        if (others) others.push({ entity, name });
        else if (one) shared.set(key, [one, { entity, name }]);
        else first.set(key, { entity, name });
      }
    }
  }
  const findings: Finding[] = [];
  for (const borne of shared.values()) {
    findings.push(...clashes(borne, language), ...deadAliases(borne, language));
  }
  for (const { entity, name } of first.values()) {
    // A name of one word is no command.
    if (name.words.length < 2 || !mayBeSaid(name.words)) continue;
    findings.push(...phraseIn(book, name, { of: entity.id }));
  }
  return findings;
}

/** Things of one name that neither what is asked nor the speaker's room tells apart. */
function clashes(borne: readonly Borne[], language: string): Finding[] {
  const seen: Seen = { places: new Map(), devices: new Map(), abilities: new Map() };
  return borne.flatMap((one): Finding[] => {
    const other = alikeIn(seen, one);
    if (!other) return [];
    return [
      {
        rule: "name-clash",
        severity: "warning",
        message: `"${one.name.text}" (${language}) is ${other.entity.id} and ${one.entity.id} at once, so it always asks which`,
        fix: "give one of them another name",
        at: one.name.at,
        also: [other.name.at],
      },
    ];
  });
}

/** Aliases that never count, since something else has the words as its name and can do the same. */
function deadAliases(borne: readonly Borne[], language: string): Finding[] {
  const names = borne.filter(({ name }) => !name.alias);
  return borne.flatMap((one): Finding[] => {
    if (!one.name.alias) return [];
    const other = names.find(({ entity }) => entity !== one.entity && covers(entity, one.entity));
    if (!other) return [];
    return [
      {
        rule: "alias-dead",
        severity: "warning",
        message: `the alias "${one.name.text}" (${language}) of ${one.entity.id} never counts: ${other.entity.id} has it as its name`,
        fix: "give it another alias, or take this one out",
        at: one.name.at,
        also: [other.name.at],
        remedy: { remedy: "take out" },
      },
    ];
  });
}

/** Whether something can do all that another can, so that nothing that is asked tells them apart. */
function covers(one: Nameable, other: Nameable): boolean {
  if (one.type !== "device" || other.type !== "device") return one.type !== "device";
  const able = new Set(abilitiesOf(one));
  return abilitiesOf(other).every((ability) => able.has(ability));
}

/** The first bearers of a name, by what could tell them from another: name or alias first. */
interface Seen {
  places: Map<boolean, Borne>;
  devices: Map<boolean, Borne>;
  /** Devices by their room and each thing that they can do. */
  abilities: Map<string, Borne>;
}

/** An earlier bearer that nothing tells from this one, which is kept for those to come. */
function alikeIn({ places, devices, abilities }: Seen, one: Borne): Borne | undefined {
  const { entity, name } = one;
  const { alias } = name;
  if (entity.type !== "device") {
    const other = places.get(alias) ?? devices.get(alias);
    if (!places.has(alias)) places.set(alias, one);
    return other?.entity === entity ? undefined : other;
  }
  const keys = abilitiesOf(entity).map((ability) => `${alias} ${entity.room ?? ""} ${ability}`);
  const other = places.get(alias) ?? keys.flatMap((key) => abilities.get(key) ?? [])[0];
  for (const key of keys) if (!abilities.has(key)) abilities.set(key, one);
  if (!devices.has(alias)) devices.set(alias, one);
  return other?.entity === entity ? undefined : other;
}

function abilitiesOf({ properties, actions }: Device): string[] {
  return [
    ...[...properties].flatMap(([name, { readOnly }]) => (readOnly ? [] : [name])),
    ...actions,
  ];
}
