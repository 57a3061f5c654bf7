// Puts everyday phrases together from the lists in test/everyday, `<language>.lists.yaml`: every
// command with its wrappers, things and values, drawn with a seed. Two thirds go into
// `<language>.tsv`; the rest, set aside, into `<language>.aside.tsv`.
//
//     node scripts/everyday.js

import { readFileSync, readdirSync, writeFileSync } from "node:fs";
import { URL } from "node:url";
import { load } from "js-yaml";

const folder = new URL("../test/everyday/", import.meta.url);

/** Phrases drawn for each command. */
const perCommand = { en: 24 };
const usual = 11;

for (const file of readdirSync(folder).filter((name) => name.endsWith(".lists.yaml"))) {
  const language = file.split(".")[0];
  const lists = load(readFileSync(new URL(file, folder), "utf8"));
  const rows = composed(lists, perCommand[language] ?? usual);
  const parts = { tsv: [], aside: [] };
  rows.forEach((row, index) => parts[index % 3 === 2 ? "aside" : "tsv"].push(row.join("\t")));
  const header = "phrase\tvoicepoint\texpected";
  writeFileSync(new URL(`${language}.tsv`, folder), [header, ...parts.tsv, ""].join("\n"));
  writeFileSync(new URL(`${language}.aside.tsv`, folder), [header, ...parts.aside, ""].join("\n"));
  console.log(`${language}: ${parts.tsv.length} phrases, ${parts.aside.length} set aside`);
}

function composed(lists, count) {
  const draw = drawing(20261125);
  const rows = new Map();
  for (const command of lists.commands) {
    const things = command.on.flatMap((name) => lists.things[name]);
    const values = command.value ? Object.entries(lists.values[command.value]) : [["", ""]];
    const forms = ["do", "inf", "ing", "be", "is"].filter((form) => command[form]);
    // What is said for each sort of wrapper, as often as there are ways to say it.
    const ways = forms.flatMap((form) => command[form].map((said) => ({ form, said })));
    for (let index = 0; index < count; index++) {
      const { form, said } = ways[index % ways.length];
      const [thing, devices, at = "kitchen-shelf"] = draw(things);
      const [words, value] = draw(values);
      const wrap = draw(lists.wraps[form] ?? []);
      if (wrap === undefined) continue;
      const phrase = wrap
        .replace("{c}", said)
        .replace("{s}", form === "is" ? "{x}" : said)
        .replace("{a}", said)
        .replaceAll("{x}", thing)
        .replaceAll("{v}", words);
      const are = form === "is" && devices.length > 1 && lists.plural;
      const spoken = are
        ? Object.entries(lists.plural).reduce(
            (text, [one, many]) => text.replace(one, many),
            phrase,
          )
        : phrase;
      const effects = devices.flatMap((device) =>
        command.effect.map((effect) => `${device}.${effect.replace("{v}", value)}`),
      );
      rows.set(spoken, [spoken, at, effects.sort().join(" ")]);
    }
  }
  for (const [phrase, effects] of lists.phrases.act) {
    if (effects !== "")
      rows.set(phrase, [phrase, "kitchen-shelf", effects.split(" ").sort().join(" ")]);
  }
  for (const phrase of lists.phrases.answer) rows.set(phrase, [phrase, "kitchen-shelf", "answer"]);
  for (const phrase of lists.phrases.none) rows.set(phrase, [phrase, "kitchen-shelf", "nothing"]);
  return shuffled([...rows.values()], draw);
}

/** Draws from lists with a seed: the same phrases each time (a linear congruential generator). */
function drawing(seed) {
  let state = seed;
  return (list) => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return list[Math.floor((state / 2 ** 32) * list.length)];
  };
}

function shuffled(list, draw) {
  const left = [...list];
  const taken = [];
  while (left.length > 0) {
    const next = draw(left.map((_, index) => index));
    taken.push(left.splice(next, 1)[0]);
  }
  return taken;
}
