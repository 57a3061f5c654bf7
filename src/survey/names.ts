import type { Book } from "../home/book.ts";
import { spokenNames } from "../hearing/names.ts";
import type { Device, Name, Nameable } from "../phrasebook/model.ts";
import type { Finding } from "../source/finding.ts";
import { describeOutcome } from "../hearing/describe.ts";
import { createSieve } from "./sieve.ts";

interface Borne {
  entity: Nameable;
  name: Name;
}

/** Names that get in the way of each other, or of a phrase. */
export function checkNames(book: Book): Finding[] {
  return book.languages.flatMap((language) => {
    const mayBeSaid = createSieve(book, language);
    const byWords = new Map<string, Borne[]>();
    for (const map of [book.devices, book.groups, book.rooms, book.zones]) {
      for (const entity of map.values()) {
        for (const name of spokenNames(entity, language, book.languages[0] ?? language)) {
          // A name of another language is looked at there.
          if (name.language !== language) continue;
          const key = name.words.join(" ");
          const borne = byWords.get(key);
          if (borne) borne.push({ entity, name });
          else byWords.set(key, [{ entity, name }]);
        }
      }
    }
    return [...byWords.values()].flatMap((borne) => [
      ...clashes(borne, language),
      ...(mayBeSaid(borne[0]?.name.words ?? []) ? swallows(book, borne, language) : []),
    ]);
  });
}

/** Things of one name that neither what is asked nor the speaker's room tells apart. */
function clashes(borne: readonly Borne[], language: string): Finding[] {
  if (borne.length < 2) return [];
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

/** A name that is a command on its own: whoever says it, does it. */
function swallows(book: Book, [first]: readonly Borne[], language: string): Finding[] {
  if (!first || first.name.words.length < 2) return [];
  const { entity, name } = first;
  const heard = book.hear(name.text, { language });
  if (!("intent" in heard) || heard.outcome === "refuse") return [];
  return [
    {
      rule: "name-is-phrase",
      severity: "warning",
      message: `the name "${name.text}" (${language}) of ${entity.id} is itself a phrase: ${describeOutcome(heard)}`,
      fix: "give it another name",
      at: name.at,
    },
  ];
}
