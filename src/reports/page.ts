import { printEvent } from "../home/log.ts";
import { printPosition } from "../source/position.ts";
import {
  type CaseResult,
  type SuiteResult,
  type SuiteResults,
  type Verdict,
  verdictOf,
} from "../suites/results.ts";
import { escaped } from "./escaped.ts";
import { type Painted, paintedSection } from "./painted.ts";
import { pageScript } from "./page-script.ts";
import { pageStyle } from "./page-style.ts";

const stateNames: readonly Verdict[] = ["failed", "passed", "failing", "skipped"];

const states: Readonly<Record<Verdict, { mark: string; word: string; paint: string }>> = {
  failed: { mark: "✗", word: "failed", paint: "bad" },
  passed: { mark: "✓", word: "passed", paint: "good" },
  failing: { mark: "–", word: "fails as it says", paint: "warn" },
  skipped: { mark: "○", word: "left out", paint: "quiet" },
};

/** Results as one page that needs nothing beside it: to search, to filter, to print. */
export function pageReport(results: SuiteResults, painted: readonly Painted[] = []): string {
  const { suites, problems } = results;
  const cases = suites.flatMap((suite) => suite.cases);
  const languages = [...new Set(cases.map(({ language }) => language))].sort();
  const tags = [...new Set(cases.flatMap((each) => each.tags ?? []))].sort();
  const outcomes = [...new Set(cases.flatMap((each) => outcomeOf(each) ?? []))].sort();
  const present = stateNames.filter((state) => results[state] > 0);
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Suites: ${results.passed} passed, ${results.failed} failed</title>
<style>${pageStyle}</style>
</head>
<body>
<header>
<h1>Suites</h1>
<p class="counts">${present.map((state) => countText(results, state)).join(", ")}</p>
<form>
<label>Search <input name="search" type="search" placeholder="a phrase, a device, a file"></label>
${select(
  "state",
  "Result",
  present.map((state) => [state, states[state].word]),
)}
${select("outcome", "Outcome of failures", outcomes.map(same))}
${select("language", "Language", languages.map(same))}
${select("tag", "Tag", tags.map(same))}
<output data-told aria-live="polite" class="quiet"></output>
</form>
</header>
<main>
${problems.map(({ message, at }) => `<p class="bad">${escaped(message)} <code>${escaped(printPosition(at))}</code></p>`).join("\n")}
${suites.map(suiteSection).join("\n")}
${painted.map(paintedSection).join("\n")}
</main>
<footer>Written by calm-phrase test.</footer>
<script>${pageScript}</script>
</body>
</html>
`;
}

function same(value: string): readonly [string, string] {
  return [value, value];
}

function select(
  name: string,
  label: string,
  options: readonly (readonly [string, string])[],
): string {
  if (options.length < 2) return "";
  const all = options.map(
    ([value, text]) => `<option value="${escaped(value)}">${escaped(text)}</option>`,
  );
  return `<label>${label} <select name="${name}"><option value="">any</option>${all.join("")}</select></label>`;
}

function countText(results: SuiteResults, state: Verdict): string {
  const { mark, word, paint } = states[state];
  return `<span class="${paint}">${mark} ${results[state]} ${word}</span>`;
}

function outcomeOf(each: CaseResult): string | undefined {
  return each.passed ? undefined : each.heard?.outcome;
}

function suiteSection({ suite, file, cases }: SuiteResult): string {
  return `<section data-suite>
<h2>${escaped(suite)} <small>${cases.length} cases, <code>${escaped(file)}</code></small></h2>
<ul>
${cases.map(caseItem).join("\n")}
</ul>
</section>`;
}

function caseItem(each: CaseResult): string {
  const state = verdictOf(each);
  const { mark, word, paint } = states[state];
  const { name, phrase, language, at, tags = [], position, note } = each;
  const data = [
    `data-state="${state}"`,
    `data-language="${escaped(language)}"`,
    `data-tags="${escaped(tags.join(" "))}"`,
    `data-outcome="${outcomeOf(each) ?? ""}"`,
  ];
  const title = name === undefined ? "" : `<strong>${escaped(name)}</strong> `;
  const where = at === undefined ? language : `${language}, at ${at}`;
  return `<li ${data.join(" ")}><div class="row">
<span class="state ${paint}" role="img" aria-label="${word}">${mark}</span>
<span>${title}<span class="said">${escaped(phrase)}</span> <span class="quiet">(${escaped(where)})</span>
${tags.map((tag) => `<span class="tag">${escaped(tag)}</span>`).join(" ")}</span>
<span class="place"><code>${escaped(printPosition(position))}</code></span></div>
${reasonText(each)}${note === undefined ? "" : `<p class="quiet">${escaped(note)}</p>`}${failureList(each)}</li>`;
}

function reasonText(each: CaseResult): string {
  const reason = each.passed ? (each.skipped ?? each.fails) : undefined;
  return reason === undefined ? "" : `<p class="warn">${escaped(reason)}</p>`;
}

function failureList(each: CaseResult): string {
  const { failures = [] } = each;
  if (failures.length === 0) return "";
  const rows = failures.map(
    ({ about, expected, actual }) =>
      `<p class="about">${about}</p>
<dl><dt>expected</dt><dd class="good">${escaped(expected)}</dd>
<dt>but</dt><dd class="bad">${escaped(actual)}</dd></dl>`,
  );
  const log = each.passed ? [] : (each.log ?? []);
  const lines = log.map(({ time, event }) => escaped(`${time.slice(11)}  ${printEvent(event)}`));
  const told =
    lines.length === 0
      ? ""
      : `<details><summary class="quiet">what happened</summary><pre tabindex="0">${lines.join("\n")}</pre></details>`;
  return `${rows.join("")}${suspectList(each)}${told}`;
}

/** Where a failure may come from, and what would mend it. */
function suspectList(each: CaseResult): string {
  if (each.passed || !each.suspects?.length) return "";
  const items = each.suspects.map(
    ({ at, of, what }) =>
      `<code>${escaped(printPosition(at))}</code> ${escaped(`${of} ${what}`.trim())}`,
  );
  const mend = each.mend ? `<p class="good">to pass: ${escaped(each.mend.change)}</p>` : "";
  return `<p class="quiet">look at ${items.join("; ")}</p>${mend}`;
}
