import type { Book } from "../home/book.ts";
import { spokenNames } from "../hearing/names.ts";
import type { Device, Name, Nameable } from "../phrasebook/model.ts";
import type { Finding } from "../source/finding.ts";
import { describeOutcome } from "../hearing/describe.ts";

interface Borne {
  entity: Nameable;
  name: Name;
}

/** Names that get in the way of each other, or of a phrase. */
export function checkNames(book: Book): Finding[] {
  return book.languages.flatMap((language) => {
    const byWords = new Map<string, Borne[]>();
    for (const map of [book.devices, book.groups, book.rooms, book.zones]) {
      for (const entity of map.values()) {
        for (const name of spokenNames(entity, language, book.languages[0] ?? language)) {
          // A name of another language is looked at there.
          if (name.language !== language) continue;
          const key = name.words.join(" ");
          byWords.set(key, [...(byWords.get(key) ?? []), { entity, name }]);
        }
      }
    }
    return [...byWords.values()].flatMap((borne) => [
      ...clashes(borne, language),
      ...swallows(book, borne, language),
    ]);
  });
}

/** Things of one name that neither what is asked nor the speaker's room tells apart. */
function clashes(borne: readonly Borne[], language: string): Finding[] {
  return borne.flatMap((one, index) =>
    borne.slice(0, index).flatMap((other): Finding[] => {
      if (one.entity === other.entity || one.name.alias !== other.name.alias) return [];
      if (!areAlike(one.entity, other.entity)) return [];
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
    }),
  );
}

function areAlike(a: Nameable, b: Nameable): boolean {
  if (a.type !== "device" || b.type !== "device") return true;
  return a.room === b.room && abilities(a).some((ability) => abilities(b).includes(ability));
}

function abilities({ properties, actions }: Device): string[] {
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
