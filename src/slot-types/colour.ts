import { agreeing } from "../language/agreement.ts";
import colorNames from "color-name";
import * as z from "zod/mini";
import type { Cursor } from "../document/cursor.ts";
import { choice, phrase } from "../pattern/build.ts";
import { given } from "../source/given.ts";
import { later } from "../source/later.ts";
import { need } from "./need.ts";
import { recognisePhrases } from "./phrases.ts";
import {
  type Ground,
  type SlotBase,
  type Spoken,
  type ValuedSlot,
  settleAsSaid,
  valueRead,
} from "./slot.ts";

const shape = z.strictObject({
  type: z.literal("colour"),
  default: z.optional(z.string()),
  ...need,
});

/** A colour by name or as `#rrggbb`. */
export const colour = {
  shape,
  read: (cursor: Cursor<z.output<typeof shape>>, base: SlotBase): ValuedSlot => ({
    ...base,
    fills: "value",
    family: "colour",
    alike: "colour",
    ...given({ default: cursor.value.default }),
    recognise: recogniseColour,
    settle: settleAsSaid,
    misfit: (value) => (/^#[0-9a-f]{6}$/.test(String(value)) ? undefined : "is no #rrggbb"),
    samples: ({ pack }) => (Object.values(pack.colours)[0] ?? []).slice(0, 1).map(phrase),
    grammar: (writing) =>
      writing.define("colour", () =>
        choice([
          writing.said(Object.values(writing.pack.colours).flat()),
          // They are words of English, which recognisers of other languages do not know.
          writing.pack.language === "en"
            ? writing.said(cssNames().map(({ said }) => said))
            : undefined,
          writing.said(ofHome(writing).map(({ said }) => said)),
        ]),
      ),
  }),
};

interface Called {
  said: string;
  /** `#rrggbb`. */
  hex: string;
}

/** Names of CSS (CSS Color 4, section 6.1), as they are said. */
const cssNames = later(() =>
  Object.entries(colorNames).map(([name, [red, green, blue]]): Called => {
    const hex = ((red << 16) | (green << 8) | blue).toString(16).padStart(6, "0");
    return { said: apart(name), hex: `#${hex}` };
  }),
);

/** The same as they are written, in one word. */
const cssWritten = later(() =>
  cssNames().map(({ said, hex }): Called => ({ said: said.replaceAll(" ", ""), hex })),
);

/** "Dark slate blue" for "darkslateblue": most end as another one, and begin with how it is. */
function apart(name: string): string {
  const how = /^(?:dark|light|medium|deep|pale|hot|dim)(?=..)/.exec(name)?.[0];
  if (how !== undefined) return `${how} ${apart(name.slice(how.length))}`;
  const last = Object.keys(colorNames).find(
    (other) => name.endsWith(other) && name.length > other.length + 2,
  );
  return last === undefined ? name : `${apart(name.slice(0, -last.length))} ${last}`;
}

function ofHome({ home, language }: Spoken): Called[] {
  return home.colours
    .filter((each) => each.language === language)
    .map(({ value, text }) => ({ said: text, hex: value }));
}

/**
 * By a name of the phrasebook or the language, by its CSS name (CSS Color 4, section 6.1), or as
 * `#rrggbb` or `#rgb`; it agrees with what it is said of. What a phrasebook calls a colour is no other one.
 */
function recogniseColour(ground: Ground) {
  const ofLanguage = Object.entries(ground.pack.colours).flatMap(([hex, all]): Called[] =>
    all.map((said) => ({ said, hex })),
  );
  const called = [...ofHome(ground), ...ofLanguage];
  const agreed = called.flatMap(({ said, hex }) =>
    agreeing(said, ground.pack).map((form): Called => ({ said: form, hex })),
  );
  const colours = new Map<string, Called[]>();
  for (const source of [ofHome(ground), ofLanguage, agreed, [...cssNames(), ...cssWritten()]]) {
    const before = new Set(colours.keys());
    for (const each of source) {
      if (before.has(each.said)) continue;
      colours.set(each.said, [...(colours.get(each.said) ?? []), each]);
    }
  }
  const phrases = [...colours.values()].flat().map(({ said, hex }) => {
    return { said, value: valueRead(hex) };
  });
  const named = recognisePhrases(phrases, ground);
  return (utterance: Parameters<typeof named>[0], from: number) => {
    const hex = /^#(?:([0-9a-f]{6})|([0-9a-f])([0-9a-f])([0-9a-f]))$/.exec(
      utterance.texts[from] ?? "",
    );
    if (!hex) return named(utterance, from);
    const [, long, red = "", green = "", blue = ""] = hex;
    const value = `#${long ?? red + red + green + green + blue + blue}`;
    return [{ end: from + 1, value: valueRead(value) }];
  };
}
