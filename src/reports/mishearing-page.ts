import type { SoundAlike, SoundName } from "../mishearing/alike.ts";
import { arrangeByEar, pairUp, shadeOf } from "../mishearing/by-ear.ts";
import type { Mishearing } from "../mishearing/mishearings.ts";
import { type Position, printPosition } from "../source/position.ts";
import { escaped } from "./escaped.ts";
import { type Remedied, describeRemedy, describeConfusion } from "./mishearing.ts";
import { pageStyle } from "./page-style.ts";

/** What is told on a page about what may be misheard. */
export interface MishearingPage {
  mishearings: readonly Mishearing[];
  confusions: readonly Remedied[];
  alikes: readonly SoundAlike[];
}

/** What may be misheard as one page that needs nothing beside it: a map of names, and every confusion. */
export function mishearingPage({ mishearings, confusions, alikes }: MishearingPage): string {
  const bad = confusions.filter(({ confusion }) => confusion.verdict !== "harmless");
  const unsafe = bad.filter(({ confusion }) => confusion.verdict === "unsafe").length;
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Mishearing: ${unsafe} unsafe confusions</title>
<style>${pageStyle}${mapStyle}</style>
</head>
<body>
<header>
<h1>What may be misheard</h1>
<p class="counts">${mishearings.length} phrases, <span class="${unsafe > 0 ? "bad" : "good"}">${unsafe} unsafe confusions</span>, ${bad.length - unsafe} wrong, ${confusions.length - bad.length} harmless</p>
</header>
<main>
<section>
<h2>Confusions <small>the worst first; 0 sounds the same, 1 is one sound that is well apart</small></h2>
<ol class="confusions">
${bad.map(confusionItem).join("\n")}
</ol>
</section>
<section>
<h2>Names by sound <small>the darker, the more alike</small></h2>
${[...new Set(alikes.map(({ spoken }) => spoken.language))].map((language) => mapOf(language, alikes)).join("\n")}
</section>
</main>
<footer>Written by calm-phrase mishear.</footer>
</body>
</html>
`;
}

const mapStyle = `
.confusions { padding: 0; list-style: none; }
.confusions li { padding: .6rem 0; }
.confusions dl { margin: .2rem 0 0 0; }
.verdict { font-variant: small-caps; }
.far { font-variant-numeric: tabular-nums; }
.map { overflow-x: auto; }
.map table { border-spacing: 0; }
.map th, .map td { font: .8rem/1.2 ui-monospace, "DejaVu Sans Mono", monospace; padding: 0 .2rem; height: 1.5rem; }
.map thead th { height: auto; vertical-align: bottom; writing-mode: vertical-rl; transform: rotate(180deg); padding: .3rem 0; }
.map tbody th { text-align: right; padding-right: .6rem; white-space: nowrap; }
.map td { min-width: 2.4rem; text-align: center; border: 1px solid var(--line); }
.map td a { display: block; color: inherit; text-decoration: none; }
.near1 { background: #7a1f14; color: #fff; } .near2 { background: #b9543a; color: #fff; }
.near3 { background: #e3a97c; color: #22201c; } .near4 { background: #f3ddc4; color: #22201c; }
tr:target { background: var(--mark); }
.pairs td { padding: .15rem 1.5rem .15rem 0; vertical-align: top; }
`;

function confusionItem({ confusion, remedies }: Remedied): string {
  const { verdict, distance, cases, why, language } = confusion;
  const [worst] = cases;
  if (!worst) return "";
  const { mishearing, taken: of } = worst;
  const rows: (readonly [string, string])[] = [
    ["spoken", said(mishearing.spoken.phrase, of.places.spoken ?? mishearing.spoken.position)],
    ["which is", escaped(mishearing.spoken.effect)],
    ["taken for", said(of.phrase, of.places.taken)],
    ["which is", escaped(of.effect)],
    ...remedies.map((remedy) => ["try", escaped(describeRemedy(remedy))] as const),
  ];
  const others = cases.slice(1).map((each) => `<li>${escaped(each.mishearing.spoken.phrase)}</li>`);
  return `<li>
<div class="row"><span class="${verdict === "unsafe" ? "bad" : "warn"} verdict">${verdict}</span>
<span class="far">${distance.toFixed(2)}</span> <strong>${escaped(describeConfusion(confusion))}</strong>
<span class="quiet">${escaped([why ?? "", language].filter((each) => each !== "").join(" · "))}</span></div>
<dl>${rows.map(([term, text]) => `<dt>${term}</dt><dd>${text}</dd>`).join("")}</dl>
${others.length > 0 ? `<details><summary>${others.length} more phrases</summary><ul>${others.join("")}</ul></details>` : ""}
</li>`;
}

function said(phrase: string, at: Position | undefined): string {
  const place = at ? ` <span class="quiet">${escaped(printPosition(at))}</span>` : "";
  return `“${escaped(phrase)}”${place}`;
}

/** A map of the names of one language that sound like others, and the pairs behind its cells. */
function mapOf(language: string, all: readonly SoundAlike[]): string {
  const alikes = all.filter(({ spoken }) => spoken.language === language);
  const names = arrangeByEar(alikes);
  const pairOf = pairUp(alikes);
  const numbers = new Map(alikes.map((pair, index) => [pair, index]));
  const cell = (one: SoundName, other: SoundName): string => {
    const pair = pairOf(one, other);
    if (!pair) return "<td></td>";
    const label = `${one.text} and ${other.text}`;
    return `<td class="near${shadeOf(pair.distance)}"><a href="#pair-${language}-${numbers.get(pair) ?? 0}" aria-label="${escaped(label)}, ${pair.distance.toFixed(2)}">${pair.distance.toFixed(1)}</a></td>`;
  };
  return `<div class="map" tabindex="0" role="region" aria-label="Names in ${escaped(language)} by sound"><table>
<caption class="quiet">${escaped(language)}</caption>
<thead><tr><td></td>${names.map(({ text }) => `<th scope="col">${escaped(text)}</th>`).join("")}</tr></thead>
<tbody>${names.map((one) => `<tr><th scope="row">${escaped(one.text)}</th>${names.map((other) => cell(one, other)).join("")}</tr>`).join("\n")}</tbody>
</table></div>
<table class="pairs"><tbody>
${alikes.map(({ spoken, taken, distance }, index) => `<tr id="pair-${language}-${index}"><td class="far">${distance.toFixed(2)}</td><td>${nameOf(spoken)}</td><td>${nameOf(taken)}</td></tr>`).join("\n")}
</tbody></table>`;
}

function nameOf({ text, of, id, at }: SoundName): string {
  const place = at ? ` <span class="quiet">${escaped(printPosition(at))}</span>` : "";
  return `${escaped(text)} <span class="quiet">${of} ${escaped(id)}</span>${place}`;
}
