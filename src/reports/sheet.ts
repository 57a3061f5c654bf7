import { stringify } from "csv-stringify/browser/esm/sync";
import type { Sheet, SheetThing } from "../survey/sheet.ts";
import { escaped } from "./escaped.ts";

/** What guards ask, in a sign. */
const guards = { free: "", confirm: "asks back", code: "asks for the code", barred: "" } as const;

/** A sheet to hand over, as Markdown. */
export function markdownSheet({ title, rooms, own }: Sheet): string {
  const lines = [`# ${title}`, ""];
  for (const { name, things } of rooms) {
    if (name !== "") lines.push(`## ${name}`, "");
    for (const thing of things) {
      const guard = guards[thing.voice];
      lines.push(`- **${thing.name}**${guard === "" ? "" : ` (${guard})`}: ${saidOf(thing)}`);
    }
    lines.push("");
  }
  if (own.length > 0) lines.push(...own.map((phrase) => `- “${phrase}”`), "");
  return lines.join("\n");
}

function saidOf({ say, ask }: SheetThing): string {
  return [...say.map((phrase) => `“${phrase}”`), ...ask.map((phrase) => `“${phrase}?”`)].join(", ");
}

/** A sheet to hand over, as a table: a phrase a row. */
export function csvSheet({ language, rooms, own }: Sheet): string {
  const rows = rooms.flatMap(({ name: room, things }) =>
    things.flatMap(({ name: thing, voice, say, ask }) => [
      ...say.map((phrase) => ({ room, thing, voice, phrase, language })),
      ...ask.map((phrase) => ({ room, thing, voice, phrase: `${phrase}?`, language })),
    ]),
  );
  const all = [
    ...rows,
    ...own.map((phrase) => ({ room: "", thing: "", voice: "", phrase, language })),
  ];
  return stringify(all, {
    header: true,
    columns: ["room", "thing", "voice", "phrase", "language"],
  });
}

/** A sheet to hand over, as a page for A4 that needs nothing beside it. */
export function pageSheet({ title, language, rooms, own }: Sheet): string {
  const sections = rooms.map(
    ({ name, things }) => `<section>
<h2>${escaped(name)}</h2>
<dl>
${things.map(thingRow).join("\n")}
</dl>
</section>`,
  );
  const ownSection =
    own.length === 0
      ? ""
      : `<section class="own"><ul>${own.map((phrase) => `<li>“${escaped(phrase)}”</li>`).join("")}</ul></section>`;
  return `<!doctype html>
<html lang="${escaped(language)}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)}</title>
<style>${sheetStyle}</style>
</head>
<body>
<h1>${escaped(title)}</h1>
<main>
${sections.join("\n")}
${ownSection}
</main>
</body>
</html>
`;
}

function thingRow(thing: SheetThing): string {
  const { name, say, ask, voice } = thing;
  const phrases = [
    ...say.map((phrase) => `<span>“${escaped(phrase)}”</span>`),
    ...ask.map((phrase) => `<span class="ask">“${escaped(phrase)}?”</span>`),
  ];
  const guard = guards[voice] === "" ? "" : ` <em>${guards[voice]}</em>`;
  return `<dt>${escaped(name)}${guard}</dt><dd>${phrases.join(" ")}</dd>`;
}

const sheetStyle = `
@page { size: A4; margin: 12mm; }
:root { color-scheme: light; --ink: #22201c; --quiet: #635e55; --line: #dcd7cc; }
* { box-sizing: border-box; }
body { margin: 0 auto; max-width: 190mm; padding: 6mm; color: var(--ink); background: #fff;
  font: 8.6pt/1.32 Georgia, "Times New Roman", serif; }
h1 { font-size: 16pt; font-weight: normal; margin: 0 0 3mm; }
main { columns: 2; column-gap: 8mm; }
section { break-inside: avoid; margin: 0 0 3mm; }
h2::first-letter { text-transform: uppercase; }
h2 { font-size: 10.5pt; font-weight: normal; margin: 0 0 1mm; border-bottom: .3mm solid var(--line); }
dl { margin: 0; }
dt { font-weight: bold; break-after: avoid; }
dt em { font-weight: normal; font-style: italic; color: var(--quiet); }
dd { margin: 0 0 1mm 3mm; break-inside: avoid; }
dd span { display: inline; margin-right: 1mm; }
.ask { color: var(--quiet); }
.own ul { list-style: none; margin: 0; padding: 0; columns: 2; }
@media print { body { padding: 0; max-width: none; } }
`;
