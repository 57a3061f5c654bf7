import { splitWords } from "../language/words.ts";
import type { Device } from "../model/home.ts";
import { spokenNames } from "../model/names.ts";
import { given } from "../source/given.ts";
import type { Noun } from "./nouns.ts";
import type { Spoken } from "./slot.ts";

/** What nouns say of devices. */
export interface NounsSaid {
  /** The nouns, to be told from others by. */
  said: string;
  kinds: readonly string[];
  /** Those that have the noun in their names: "curtain" in "bedroom curtains". */
  called: () => ReadonlySet<Device>;
  /** Whether several are only those, where any are. */
  differs?: boolean;
}

/** Tells what nouns say of the devices of a home. */
export function createNounsSaid(spoken: Spoken): (nouns: readonly Noun[]) => NounsSaid {
  const { home, language, pack } = spoken;
  const first = home.languages[0] ?? language;
  const known = new Map<string, ReadonlySet<Device>>();
  const calledBy = (noun: Noun): ReadonlySet<Device> => {
    const key = keyOf(noun);
    let called = known.get(key);
    if (!called) {
      const forms = noun.forms.map((form) => splitWords(form, pack).map(({ text }) => text));
      const isCalled = (device: Device): boolean =>
        spokenNames(device, language, first).some(({ words }) =>
          forms.some((form) => holdsWords(words, form, pack.links !== undefined)),
        );
      const devices = [...home.devices.values()].filter(({ kind }) => kind === noun.kind);
      known.set(key, (called = new Set(devices.filter(isCalled))));
    }
    return called;
  };
  return (nouns) => {
    const differs = nouns.every((noun) => noun.differs) || undefined;
    return {
      said: nouns.map(keyOf).join(),
      kinds: nouns.map(({ kind }) => kind),
      called: () => new Set(nouns.flatMap((noun) => [...calledBy(noun)])),
      ...given({ differs }),
    };
  };
}

function keyOf({ kind, forms }: Noun): string {
  return `${kind} ${forms.join("/")}`;
}

/** Whether words stand in a name in turn, the first as the end of a word where a language writes two as one. */
function holdsWords(
  name: readonly string[],
  words: readonly string[],
  areJoined: boolean,
): boolean {
  return name.some((_, from) =>
    words.every((word, at) => {
      const own = name[from + at] ?? "";
      return own === word || (areJoined && at === 0 && own.endsWith(word));
    }),
  );
}
